package pemblar.core.repetition;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import pemblar.core.repetition.RepetitionSet.Quantity;
import pemblar.core.repetition.RepetitionSet.Repetition;

/** What the repetitions say, as statements that each name the figures they rest on. */
public final class Verdict {
    /** Held is what ends within this share of where it began; a rule of ours. */
    private static final double HELD_WITHIN = 0.03;

    private Verdict() {}

    /** What was asked of every repetition; NaN where nothing was. */
    public record Asked(double low, double high, double lowCadence, double highCadence) {
        public static final Asked NOTHING = new Asked(Double.NaN, Double.NaN, Double.NaN, Double.NaN);
    }

    /** Kinds of statements. */
    public enum Kind {
        TARGET_MET,
        HELD,
        ROSE,
        FELL,
        /** Certain, small from one to the next, and too much over all of them to be held. */
        CREPT,
        UNEVEN,
        CADENCE_IN_BAND,
        CADENCE_LEFT_BAND,
        RECOVERED_TO,
        RECOVERY_ENDED,
        RECOVERS_LESS,
        FORM_FADES,
        COLD_START
    }

    /**
     * One statement.
     *
     * @param count how many repetitions, or from which one on, counted from 1
     * @param of of how many
     * @param value relative change per repetition, or a heart rate, bpm
     * @param lowest of several heart rates of which {@code value} is the highest; NaN otherwise
     */
    public record Statement(Kind kind, int count, int of, double value, double lowest) {
        Statement(Kind kind, int count, int of, double value) {
            this(kind, count, of, value, Double.NaN);
        }
    }

    public static List<Statement> of(RepetitionSet set, Asked asked) {
        List<Statement> all = new ArrayList<>();
        target(set, asked, all);
        Slope main = set.slopes().get(Quantity.MAIN);
        if (main != null && main.count() >= 3)
            all.add(new Statement(course(main), main.count(), set.repetitions().size(), main.relative()));
        cadence(set, asked, all);
        heart(set, all);
        set.fading()
                .ifPresent(f -> all.add(new Statement(
                        Kind.FORM_FADES, f.from(), set.repetitions().size(), Double.NaN)));
        if (set.coldStart())
            all.add(new Statement(
                    Kind.COLD_START,
                    1,
                    set.repetitions().size(),
                    set.repetitions().get(0).peakBpm()));
        return all;
    }

    /** A change that is not certain is no holding: it holds only when it ends near where it began. */
    private static Kind course(Slope main) {
        if (main.isTrend()) return main.perRepetition() > 0 ? Kind.ROSE : Kind.FELL;
        if (Math.abs(main.relative()) * (main.count() - 1) <= HELD_WITHIN) return Kind.HELD;
        return main.isBeyondNoise() ? Kind.CREPT : Kind.UNEVEN;
    }

    private static void target(RepetitionSet set, Asked asked, List<Statement> all) {
        if (Double.isNaN(asked.low())) return;
        int met = (int) set.repetitions().stream()
                .filter(r -> r.mean() >= asked.low() && r.mean() <= asked.high())
                .count();
        all.add(new Statement(Kind.TARGET_MET, met, set.repetitions().size(), Double.NaN));
    }

    /** Left its band from the repetition after which it never came back. */
    private static void cadence(RepetitionSet set, Asked asked, List<Statement> all) {
        if (Double.isNaN(asked.lowCadence())) return;
        List<Repetition> repetitions = set.repetitions();
        if (repetitions.stream().anyMatch(r -> Double.isNaN(r.cadence()))) return;
        int from = repetitions.size();
        while (from > 0
                && !(repetitions.get(from - 1).cadence() >= asked.lowCadence()
                        && repetitions.get(from - 1).cadence() <= asked.highCadence())) from--;
        all.add(
                from == repetitions.size()
                        ? new Statement(
                                Kind.CADENCE_IN_BAND,
                                (int) repetitions.stream()
                                        .filter(r ->
                                                r.cadence() >= asked.lowCadence() && r.cadence() <= asked.highCadence())
                                        .count(),
                                repetitions.size(),
                                Double.NaN)
                        : new Statement(Kind.CADENCE_LEFT_BAND, from + 1, repetitions.size(), Double.NaN));
    }

    private static void heart(RepetitionSet set, List<Statement> all) {
        Slope valley = set.slopes().get(Quantity.VALLEY_HEART_RATE);
        if (valley == null) return;
        int of = set.repetitions().size();
        if (valley.isTrend() && valley.perRepetition() > 0) {
            all.add(new Statement(Kind.RECOVERS_LESS, valley.count(), of, valley.perRepetition()));
            return;
        }
        all.add(range(Kind.RECOVERED_TO, valley.count(), set, Quantity.VALLEY_HEART_RATE));
        Slope end = set.slopes().get(Quantity.END_HEART_RATE);
        if (end != null) all.add(range(Kind.RECOVERY_ENDED, end.count(), set, Quantity.END_HEART_RATE));
    }

    private static Statement range(Kind kind, int count, RepetitionSet set, Quantity quantity) {
        double[] values = Arrays.stream(RepetitionSet.values(set.repetitions(), quantity))
                .filter(v -> !Double.isNaN(v))
                .sorted()
                .toArray();
        return new Statement(kind, count, set.repetitions().size(), values[values.length - 1], values[0]);
    }
}
