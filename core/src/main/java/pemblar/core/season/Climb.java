package pemblar.core.season;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import pemblar.core.season.Block.Phase;
import pemblar.core.season.Layout.Piece;

/**
 * Gives each block its load so that chronic load climbs at a wanted rate, points in 7 days, as far as the limits let it. What an
 * event costs is a fact and no choice: the build limit counts an event's day as a day of training.
 */
final class Climb {
    private static final int WEEK = 7;
    private final Ask ask;
    private final List<Piece> pieces;
    private final List<Event> aims;
    private final double[] share;
    private final double[] eventLoad;
    private final double kept;

    Climb(Ask ask, List<Piece> pieces) {
        this.ask = ask;
        this.pieces = pieces;
        this.aims = ask.of(Priority.A);
        this.share = new double[ask.days()];
        this.eventLoad = new double[ask.days()];
        this.kept = Math.exp(-1 / ask.start().settings().chronicDays());
        List<Event> bEvents = ask.of(Priority.B);
        for (int i = 0; i < share.length; i++) share[i] = Generator.share(ask.first().plusDays(i), bEvents);
        java.util.Arrays.fill(eventLoad, Double.NaN);
        for (Event event : ask.events()) eventLoad[index(event.day())] = event.load();
    }

    /** Targets, and the load of every day. */
    record Result(List<Season.Target> targets, double[] dayLoads) {}

    int aims() {
        return aims.size();
    }

    /** Stretches that end on an A event, and what comes after the last. */
    int stretches() {
        return aims.size() + 1;
    }

    private int index(LocalDate day) {
        return (int) (day.toEpochDay() - ask.first().toEpochDay());
    }

    private int stretch(Piece piece) {
        int stretch = 0;
        for (Event aim : aims) if (piece.from() > index(aim.day())) stretch++;
        return stretch;
    }

    /** Chronic load on the morning of an A event, or of the last day after the last of them. */
    double chronicOnAim(Result result, int number) {
        int day = number < aims.size() ? index(aims.get(number).day()) : ask.days() - 1;
        double chronic = ask.start().chronic();
        for (int i = 0; i < day; i++) chronic = result.dayLoads()[i] + (chronic - result.dayLoads()[i]) * kept;
        return chronic;
    }

    /** @param rates one for each stretch, or one for all */
    Result at(double[] rates) {
        Pass pass = new Pass();
        for (Piece piece : pieces) {
            if (piece.pinned() != null) pass.pinned(piece);
            else pass.free(piece, rates[Math.min(stretch(piece), rates.length - 1)]);
        }
        return new Result(pass.targets, pass.dayLoads);
    }

    /** One walk through the season. {@code trained[i + 7]} is chronic load by training on the evening of day i. */
    private final class Pass {
        private final List<Season.Target> targets = new ArrayList<>();
        private final double[] dayLoads = new double[ask.days()];
        private final double[] trained = new double[ask.days() + WEEK];
        private double blockBefore = Double.NaN;
        private double loadingBefore = Double.NaN;

        Pass() {
            for (int i = 0; i < WEEK; i++) trained[i] = ask.start().chronicOfWeek().get(i);
        }

        void pinned(Piece piece) {
            double fixed = fixedLoad(piece);
            double level = Math.max(0, piece.pinned().targetLoad() * piece.days() / piece.pinned().days() - fixed) / Math.max(0.5, shares(piece));
            write(piece, level, piece.pinned().targetLoad() * piece.days() / piece.pinned().days(), null, true);
        }

        void free(Piece piece, double rate) {
            double wanted = wanted(piece, rate);
            double byHours = Math.max(0, byHours(piece));
            double byBuild = Math.max(0, byBuild(piece));
            double level = Math.max(0, Math.min(wanted, Math.min(byHours, byBuild)));
            Limit limit = level >= wanted ? null : byHours <= byBuild ? Limit.HOURS : Limit.BUILD_RATE;
            write(piece, level, level * shares(piece) + fixedLoad(piece), limit, false);
        }

        /** Load per day without any limit. */
        private double wanted(Piece piece, double rate) {
            double chronic = trained[piece.from() + WEEK - 1];
            double before = Double.isNaN(blockBefore) ? chronic : blockBefore;
            double loading = Double.isNaN(loadingBefore) ? chronic : loadingBefore;
            if (piece.phase() == Phase.TAPER) return Generator.TAPER * loading;
            if (piece.phase() == Phase.RECOVERY) return Generator.RECOVERY * loading;
            if (piece.easy()) return Generator.EASY * before;
            return Math.max(0, chronic + rate * piece.days() / WEEK / (1 - Math.pow(kept, piece.days())));
        }

        private double byHours(Piece piece) {
            double most = ask.hours().over(ask.first().plusDays(piece.from()), piece.days()) * perHour(piece);
            return (most - fixedLoad(piece)) / Math.max(0.5, shares(piece));
        }

        /** Chronic load is linear in the level: for each evening the level at which it has risen by just the highest build in 7 days. */
        private double byBuild(Piece piece) {
            double least = Double.POSITIVE_INFINITY;
            double constant = trained[piece.from() + WEEK - 1];
            double slope = 0;
            double[] constants = new double[piece.days() + WEEK];
            double[] slopes = new double[piece.days() + WEEK];
            for (int i = 0; i < WEEK; i++) constants[i] = trained[piece.from() + i];
            for (int i = 0; i < piece.days(); i++) {
                constant *= kept;
                slope = slope * kept + share[piece.from() + i] * (1 - kept);
                constants[i + WEEK] = constant;
                slopes[i + WEEK] = slope;
                double gained = slope - slopes[i];
                if (gained > 1e-12) least = Math.min(least, (ask.highestBuild() - constant + constants[i]) / gained);
            }
            return least;
        }

        private double perHour(Piece piece) {
            return ask.loadPerHour() * Generator.density(piece.phase(), piece.easy());
        }

        private double shares(Piece piece) {
            double sum = 0;
            for (int i = piece.from(); i < piece.end(); i++) if (Double.isNaN(eventLoad[i])) sum += share[i];
            return sum;
        }

        private double fixedLoad(Piece piece) {
            double sum = 0;
            for (int i = piece.from(); i < piece.end(); i++) if (!Double.isNaN(eventLoad[i])) sum += eventLoad[i];
            return sum;
        }

        private void write(Piece piece, double level, double load, Limit limit, boolean pinned) {
            for (int i = piece.from(); i < piece.end(); i++) {
                dayLoads[i] = Double.isNaN(eventLoad[i]) ? level * share[i] : eventLoad[i];
                double byTraining = level * share[i];
                trained[i + WEEK] = byTraining + (trained[i + WEEK - 1] - byTraining) * kept;
            }
            LocalDate first = ask.first().plusDays(piece.from());
            double available = ask.hours().over(first, piece.days());
            double hours = load / perHour(piece);
            targets.add(new Season.Target(first, piece.days(), piece.phase(), piece.easy(), pinned, load, hours, available, limit, pinned && hours > available * 1.001));
            blockBefore = level;
            if (piece.isLoading()) loadingBefore = level;
        }
    }
}
