package pemblar.core.season;

import java.util.ArrayList;
import java.util.List;
import java.util.function.IntPredicate;
import pemblar.core.season.Block.Phase;
import pemblar.core.season.Layout.Piece;

/**
 * A season as a linear programme: a variable a block, its points per trainable day. Chronic load, and so every limit
 * and every aim, is linear in them. Which lower edges give way to hours is a choice that {@link Planning} makes.
 */
final class Model {
    static final double EASY_LOW = 0.55;
    static final double EASY_HIGH = 0.65;
    static final double TAPER_LOW = 0.4;
    static final double TAPER_HIGH = 0.6;
    static final double RECOVERY_HIGH = 0.5;
    private static final int WEEK = 7;
    private static final double MOST_POINTS = 5000;
    private static final double DUST = 1e-9;
    final Ask ask;
    final Days days;
    final List<Piece> pieces;
    private final Bands bands;
    private final double kept;
    /** Points per trainable day of each piece: its variable, or a constant when pinned or without a day to train on. */
    private final List<Terms> levels = new ArrayList<>();

    private final List<Integer> variables = new ArrayList<>();
    private final int[] pieceOf;
    final Programme programme = new Programme();

    /** How wide the bands are, 1 as they should be: for asking whether one of them binds. */
    record Bands(double easy, double taper) {
        static final Bands AS_THEY_ARE = new Bands(1, 1);
    }

    Model(Ask ask, Bands bands) {
        this.ask = ask;
        this.bands = bands;
        this.days = new Days(ask);
        this.pieces = Layout.of(ask, days);
        this.kept = Math.exp(-1 / ask.start().settings().chronicDays());
        this.pieceOf = new int[ask.days()];
        for (int p = 0; p < pieces.size(); p++) {
            Piece piece = pieces.get(p);
            for (int i = piece.from(); i < piece.end(); i++) pieceOf[i] = p;
            boolean free = piece.pinned() == null && days.trainable(piece) > 0;
            double most = free
                    ? Math.min(
                            MOST_POINTS,
                            days.hours(piece) * ask.loadPerHour().in(piece.phase()) / days.trainable(piece))
                    : 0;
            int variable = free ? programme.variable(0, most, 0) : -1;
            variables.add(variable);
            levels.add(free ? new Terms().plus(variable, 1) : new Terms().plus(pinnedLevel(piece)));
        }
    }

    /** Points a day of a pinned block on the days that can be trained; on all of them when none can. */
    private double pinnedLevel(Piece piece) {
        if (piece.pinned() == null) return 0;
        double load =
                piece.pinned().targetLoad() * piece.days() / piece.pinned().days();
        return load / (days.trainable(piece) > 0 ? days.trainable(piece) : piece.days());
    }

    boolean isFree(int piece) {
        return variables.get(piece) >= 0;
    }

    int variable(int piece) {
        return variables.get(piece);
    }

    Terms level(int piece) {
        return levels.get(piece);
    }

    /** True on days on which a piece's training lies. */
    boolean isLoaded(int day) {
        Piece piece = pieces.get(pieceOf[day]);
        return days.isTrainable(day) || piece.pinned() != null && days.trainable(piece) == 0;
    }

    int pieceOf(int day) {
        return pieceOf[day];
    }

    int loadedDays(Piece piece) {
        int trainable = days.trainable(piece);
        return trainable > 0 || piece.pinned() == null ? trainable : piece.days();
    }

    /** Index of the last loading block before a piece that had enough days to train on; -1 when there is none. */
    int measureOf(int piece) {
        for (int p = piece - 1; p >= 0; p--) if (days.isMeasure(pieces.get(p))) return p;
        return -1;
    }

    /** Points per trainable day that measure a piece; null without a measure. */
    Terms measure(int piece) {
        int of = measureOf(piece);
        if (of >= 0) return levels.get(of);
        return Double.isNaN(ask.shape().measure())
                ? null
                : new Terms().plus(ask.shape().measure());
    }

    boolean isBanded(int piece) {
        Piece p = pieces.get(piece);
        return isFree(piece)
                && (p.easy() || p.phase() == Phase.TAPER || p.phase() == Phase.RECOVERY)
                && measure(piece) != null;
    }

    boolean hasLowerEdge(int piece) {
        return isBanded(piece) && pieces.get(piece).phase() != Phase.RECOVERY;
    }

    private double low(Piece piece) {
        return piece.easy() ? EASY_LOW / bands.easy() : TAPER_LOW / bands.taper();
    }

    private double high(Piece piece) {
        if (piece.easy()) return EASY_HIGH * bands.easy();
        return piece.phase() == Phase.TAPER ? TAPER_HIGH * bands.taper() : RECOVERY_HIGH * bands.taper();
    }

    /** The lower edge of a banded piece, points per trainable day. */
    Terms lowerEdge(int piece) {
        return new Terms().plus(measure(piece), low(pieces.get(piece)));
    }

    double mostByHours(int piece) {
        Piece p = pieces.get(piece);
        return days.hours(p) * ask.loadPerHour().in(p.phase()) / days.trainable(p);
    }

    /**
     * Bands of easy blocks, tapers and recoveries.
     *
     * @param allHours pieces that are under their lower edge and take all their hours instead
     * @param open pieces without a lower edge: no plan that keeps it can come nearer
     * @param slack for each lower edge that may be missed at a price; null for none
     */
    void bands(Programme to, IntPredicate allHours, IntPredicate open, Programme slack) {
        for (int p = 0; p < pieces.size(); p++) {
            if (!isBanded(p)) continue;
            to.row(
                    new Terms().plus(levels.get(p), 1).plus(measure(p), -high(pieces.get(p))),
                    Double.NEGATIVE_INFINITY,
                    0);
            if (!hasLowerEdge(p) || open.test(p)) continue;
            if (allHours.test(p)) {
                to.bound(variables.get(p), mostByHours(p), mostByHours(p));
                to.row(lowerEdge(p), mostByHours(p), Double.POSITIVE_INFINITY);
            } else {
                Terms above = new Terms().plus(levels.get(p), 1).plus(lowerEdge(p), -1);
                if (slack != null && measure(p).isConstant())
                    above.plus(to.variable(0, Double.POSITIVE_INFINITY, 1), 1);
                to.row(above, 0, Double.POSITIVE_INFINITY);
            }
        }
    }

    /**
     * Chronic load by training alone on the evening of each planned day, as terms; index 7 is the first day, before it
     * the week before.
     */
    private Terms[] trained() {
        Terms[] evenings = new Terms[ask.days() + WEEK];
        double[] before = evenings(false);
        for (int i = 0; i < WEEK; i++) evenings[i] = new Terms().plus(before[i]);
        for (int i = 0; i < ask.days(); i++) {
            Terms next = new Terms().plus(evenings[i + WEEK - 1], kept);
            evenings[i + WEEK] = isLoaded(i) ? next.plus(levels.get(pieceOf[i]), 1 - kept) : next;
        }
        return evenings;
    }

    /** The seven evenings before the first day; with what lies between today and it. */
    double[] evenings(boolean withEvents) {
        List<Double> all = new ArrayList<>(ask.start().chronicOfWeek());
        for (int i = 0; i < ask.start().between().size(); i++) {
            double load = ask.start().between().get(i) + (withEvents ? eventLoadBetween(i) : 0);
            all.add(all.get(all.size() - 1) * kept + load * (1 - kept));
        }
        return all.subList(all.size() - WEEK, all.size()).stream()
                .mapToDouble(Double::doubleValue)
                .toArray();
    }

    double eventLoadBetween(int index) {
        java.time.LocalDate day = ask.first().minusDays(ask.start().between().size() - (long) index);
        return ask.events().stream().mapToDouble(e -> e.loadOn(day)).sum();
    }

    /** The rise of chronic load in 7 days by training, one for each planned day. */
    Terms[] builds() {
        Terms[] trained = trained();
        Terms[] builds = new Terms[ask.days()];
        for (int i = 0; i < builds.length; i++)
            builds[i] = new Terms().plus(trained[i + WEEK], 1).plus(trained[i], -1);
        return builds;
    }

    /** True on days on which the build is over its limit without any load at all. */
    boolean[] excused() {
        double[] chronic = new double[ask.days() + WEEK];
        System.arraycopy(evenings(false), 0, chronic, 0, WEEK);
        boolean[] excused = new boolean[ask.days()];
        for (int i = 0; i < excused.length; i++) {
            chronic[i + WEEK] = chronic[i + WEEK - 1] * kept;
            excused[i] = chronic[i + WEEK] - chronic[i] > ask.highestBuild() + DUST;
        }
        return excused;
    }

    /** What the aim is about, linear in the blocks. */
    Terms aim() {
        return switch (ask.aim().kind()) {
            case CHRONIC_LOAD -> chronicOnAim();
            case WEEKLY_HOURS, WEEKLY_LOAD -> weekly(ask.aim().kind() == Aim.Kind.WEEKLY_HOURS);
        };
    }

    /** Chronic load on the morning of the last A event, or of the last day without one; events counted. */
    private Terms chronicOnAim() {
        List<Event> aims = ask.of(Priority.A);
        int morning = aims.isEmpty()
                ? ask.days() - 1
                : (int) (aims.get(aims.size() - 1).day().toEpochDay()
                        - ask.first().toEpochDay());
        Terms chronic = new Terms().plus(evenings(true)[WEEK - 1]);
        for (int i = 0; i < morning; i++) {
            chronic = new Terms().plus(chronic, kept).plus(days.eventLoad(i) * (1 - kept));
            if (isLoaded(i)) chronic.plus(levels.get(pieceOf[i]), 1 - kept);
        }
        return chronic;
    }

    /** The mean week from the first day to the eve of the last A event's taper. */
    private Terms weekly(boolean hours) {
        int until = Layout.lastTaper(ask);
        if (until == 0) until = ask.days();
        Terms sum = new Terms();
        for (int i = 0; i < until; i++) {
            if (!isLoaded(i)) continue;
            double perHour = hours ? ask.loadPerHour().in(pieces.get(pieceOf[i]).phase()) : 1;
            sum.plus(levels.get(pieceOf[i]), (double) WEEK / until / perHour);
        }
        return sum;
    }
}
