package pemblar.core.season;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.Optional;
import pemblar.core.season.Layout.Piece;

/**
 * Solves a season's programme in stages: first what pins break is broken as little as possible, then the aim is met as
 * nearly as possible, then the build is as even as possible. Days of the build rate enter only where they are broken,
 * which keeps the programme small; an easy block or taper whose hours do not reach its lower edge takes all of them,
 * tried both ways where both can be.
 */
final class Planning {
    /** Smaller than what anybody could see, larger than the solver's own dust. */
    private static final double WITHIN = 1e-7;

    private static final int MOST_ROUNDS = 60;
    private static final int MOST_CHOICES = 5;
    /**
     * Wishes after evenness, each far below it: the peak goes on where the build ended, nothing drops, bands are taken
     * in their middle.
     */
    private static final double PEAK_GOES_ON = 1e-2;

    private static final double DROPS = 3e-3;
    private static final double MIDDLE = 1e-3;
    private static final double FROM_PRESENT = 3e-4;
    private static final double FULL_EASY = 1e-5;
    private static final double TAPER_MIDDLE = 0.5;
    private static final double RECOVERY_MIDDLE = 0.45;
    private final Model model;
    private final Terms[] builds;
    private final boolean[] excused;
    private final Terms aim;
    private final BitSet rows = new BitSet();
    /** Pieces that for now have no lower edge. */
    private final BitSet open = new BitSet();

    /** The values of one solution. */
    record Solution(double[] values, double reached, double slack, BitSet allHours) {}

    Planning(Model model) {
        this(model, new BitSet());
    }

    /** @param days whose build rate is a row from the start */
    Planning(Model model, BitSet days) {
        rows.or(days);
        this.model = model;
        this.builds = model.builds();
        this.excused = model.excused();
        this.aim = model.aim();
    }

    /** Days whose build rate was a row of the latest solution. */
    BitSet buildDays() {
        return (BitSet) rows.clone();
    }

    boolean[] excused() {
        return excused;
    }

    Terms[] builds() {
        return builds;
    }

    /** Nearest to the aim, not yet even. */
    Solution nearest() {
        List<Integer> open = choices();
        double bound = nearestPossible(open);
        Solution best = null;
        for (int choice = 0; choice < 1 << Math.min(MOST_CHOICES, open.size()); choice++) {
            BitSet allHours = new BitSet();
            for (int i = 0; i < Math.min(MOST_CHOICES, open.size()); i++)
                if ((choice >> i & 1) == 0) allHours.set(open.get(i));
            for (int i = MOST_CHOICES; i < open.size(); i++) allHours.set(open.get(i));
            Optional<Solution> solution = nearest(allHours);
            if (solution.isPresent() && (best == null || isBetter(solution.get(), best))) best = solution.get();
            if (best != null && best.slack() <= WITHIN && distance(best) <= bound + WITHIN) break;
        }
        return best != null
                ? best
                : nearest(new BitSet()).orElseThrow(() -> new IllegalStateException("no season keeps the limits"));
    }

    /** No choice comes nearer than a plan in which nothing has to be chosen; 0 where pins make limits give way. */
    private double nearestPossible(List<Integer> choices) {
        if (choices.isEmpty() || hasPins()) return 0;
        choices.forEach(open::set);
        Optional<Solution> relaxed = nearest(new BitSet());
        open.clear();
        return relaxed.map(this::distance).orElse(0.0);
    }

    private boolean hasPins() {
        return model.pieces.stream().anyMatch(p -> p.pinned() != null)
                || !Double.isNaN(model.ask.shape().measure());
    }

    private boolean isBetter(Solution a, Solution b) {
        if (Math.abs(a.slack() - b.slack()) > WITHIN) return a.slack() < b.slack();
        return distance(a) < distance(b) - WITHIN;
    }

    private double distance(Solution solution) {
        return Math.abs(solution.reached() - model.ask.aim().value());
    }

    /** Pieces whose hours may not reach their lower edge: only there is something to choose. */
    private List<Integer> choices() {
        List<Integer> open = new ArrayList<>();
        for (int p = 0; p < model.pieces.size(); p++)
            if (model.hasLowerEdge(p) && model.mostByHours(p) < highestEdge(p) - WITHIN) open.add(p);
        return open;
    }

    private double highestEdge(int piece) {
        int measure = model.measureOf(piece);
        double[] most = new double[model.pieces.size() + 1];
        if (measure >= 0 && model.isFree(measure)) most[model.variable(measure)] = model.mostByHours(measure);
        return model.lowerEdge(piece).at(most);
    }

    private Optional<Solution> nearest(BitSet allHours) {
        boolean pins = hasPins();
        double slack = 0;
        if (pins) {
            Optional<double[]> least = lazily(() -> base(allHours, true));
            if (least.isEmpty()) return Optional.empty();
            slack = slackOf(least.get());
        }
        double allowed = slack;
        Optional<double[]> values = lazily(() -> towardsAim(allHours, pins, allowed));
        return values.map(v -> new Solution(v, aim.at(v), allowed, allHours));
    }

    /** Slack variables follow those of the blocks. */
    private double slackOf(double[] values) {
        double sum = 0;
        for (int i = blocks(); i < values.length; i++) sum += values[i];
        return sum;
    }

    private int blocks() {
        int count = 0;
        for (int p = 0; p < model.pieces.size(); p++) if (model.isFree(p)) count++;
        return count;
    }

    /** Bands and the build rate; with pins each may be missed at a price. */
    private Programme base(BitSet allHours, boolean pins) {
        Programme programme = model.programme.copy();
        model.bands(programme, allHours::get, open::get, pins ? programme : null);
        for (int day = rows.nextSetBit(0); day >= 0; day = rows.nextSetBit(day + 1)) {
            Terms build = new Terms().plus(builds[day], 1);
            if (pins) build.plus(programme.variable(0, Double.POSITIVE_INFINITY, 1), -1);
            programme.row(build, Double.NEGATIVE_INFINITY, model.ask.highestBuild());
        }
        return programme;
    }

    private Programme withSlack(BitSet allHours, boolean pins, double allowed) {
        Programme programme = base(allHours, pins && allowed > WITHIN);
        if (!(pins && allowed > WITHIN)) return programme;
        Terms sum = new Terms();
        for (int i = blocks(); i < programme.size(); i++) {
            programme.cost(i, 0);
            sum.plus(i, 1);
        }
        programme.row(sum, Double.NEGATIVE_INFINITY, allowed * (1 + 1e-9) + WITHIN);
        return programme;
    }

    private Programme towardsAim(BitSet allHours, boolean pins, double allowed) {
        Programme programme = withSlack(allHours, pins, allowed);
        int above = programme.variable(0, Double.POSITIVE_INFINITY, 1);
        int below = programme.variable(0, Double.POSITIVE_INFINITY, 1);
        programme.row(
                new Terms().plus(aim, 1).plus(above, -1).plus(below, 1),
                model.ask.aim().value(),
                model.ask.aim().value());
        return programme;
    }

    /**
     * Of all plans as near as this one the most even: second differences of neighbouring loading blocks of base and
     * build, then drops.
     */
    Solution even(Solution nearest) {
        boolean pins = nearest.slack() > WITHIN;
        Optional<double[]> values = lazily(() -> {
            Programme programme = withSlack(nearest.allHours(), pins, nearest.slack());
            programme.row(aim, nearest.reached() - WITHIN / 10, nearest.reached() + WITHIN / 10);
            evenness(programme);
            return programme;
        });
        return values.map(v -> new Solution(v, aim.at(v), nearest.slack(), nearest.allHours()))
                .orElse(nearest);
    }

    private void evenness(Programme programme) {
        List<Integer> run = new ArrayList<>();
        for (int p = 0; p < model.pieces.size(); p++) {
            Piece piece = model.pieces.get(p);
            if (model.isFree(p)) wish(programme, p, piece);
            boolean evened = piece.isLoading() && piece.phase() != Block.Phase.PEAK && model.isFree(p);
            if (evened) run.add(p);
            else if (!piece.easy() && piece.days() > 0) run = ended(programme, run);
        }
        ended(programme, run);
    }

    private void wish(Programme programme, int p, Piece piece) {
        if (piece.easy()) programme.cost(model.variable(p), -FULL_EASY);
        Terms measure = model.measure(p);
        if (piece.easy() || measure == null) return;
        boolean banded = piece.phase() == Block.Phase.TAPER || piece.phase() == Block.Phase.RECOVERY;
        double share = piece.phase() == Block.Phase.TAPER ? TAPER_MIDDLE : banded ? RECOVERY_MIDDLE : 1;
        boolean peak = piece.phase() == Block.Phase.PEAK;
        if (banded || peak)
            absolute(
                    programme, new Terms().plus(model.level(p), 1).plus(measure, -share), peak ? PEAK_GOES_ON : MIDDLE);
    }

    private List<Integer> ended(Programme programme, List<Integer> run) {
        if (!run.isEmpty()) {
            Terms first = new Terms().plus(model.level(run.get(0)), 1).plus(-model.evenings(false)[6]);
            absolute(programme, first, FROM_PRESENT);
        }
        for (int i = 0; i + 1 < run.size(); i++) {
            Terms drop = new Terms().plus(model.level(run.get(i)), 1).plus(model.level(run.get(i + 1)), -1);
            int size = programme.variable(0, Double.POSITIVE_INFINITY, DROPS);
            programme.row(drop.plus(size, -1), Double.NEGATIVE_INFINITY, 0);
        }
        for (int i = 0; i + 2 < run.size(); i++)
            absolute(
                    programme,
                    new Terms()
                            .plus(model.level(run.get(i)), 1)
                            .plus(model.level(run.get(i + 1)), -2)
                            .plus(model.level(run.get(i + 2)), 1),
                    1);
        return new ArrayList<>();
    }

    private static void absolute(Programme programme, Terms terms, double cost) {
        int above = programme.variable(0, Double.POSITIVE_INFINITY, cost);
        int below = programme.variable(0, Double.POSITIVE_INFINITY, cost);
        programme.row(new Terms().plus(terms, 1).plus(above, -1).plus(below, 1), 0, 0);
    }

    /** Makes the programme anew with the days on which the build rate was broken, until none is. */
    private Optional<double[]> lazily(java.util.function.Supplier<Programme> programme) {
        Optional<double[]> values = Optional.empty();
        for (int round = 0; round < MOST_ROUNDS; round++) {
            values = programme.get().solve();
            if (values.isEmpty() || !addBroken(values.get())) return values;
        }
        return values;
    }

    /** The worst day of each block that is not a row yet. */
    private boolean addBroken(double[] values) {
        boolean added = false;
        for (Piece piece : model.pieces) {
            int worst = -1;
            double most = model.ask.highestBuild() + WITHIN;
            for (int day = piece.from(); day < piece.end(); day++) {
                if (excused[day] || rows.get(day)) continue;
                double build = builds[day].at(values);
                if (build <= most) continue;
                most = build;
                worst = day;
            }
            if (worst < 0) continue;
            rows.set(worst);
            added = true;
        }
        return added;
    }
}
