package pemblar.core.repetition;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import pemblar.core.recording.Channel;
import pemblar.core.recording.Recording;
import pemblar.core.recording.Series;

/**
 * Repetitions of one effort in a recording, and what changes over them.
 *
 * @param main power, else speed: what an effort is measured by
 */
public record RepetitionSet(
        Channel main,
        List<Repetition> repetitions,
        Map<Quantity, Slope> slopes,
        Optional<Fading> fading,
        boolean coldStart) {
    private static final double ALIKE_SECONDS = 0.2;
    private static final int FEWEST = 2;
    /** A first peak so far below the mean of the others, bpm, and below all of them. */
    private static final double COLD_BPM = 6;

    /** A first repetition that was easier than this has a reason of its own for its low heart rate. */
    private static final double SAME_OUTPUT = 0.05;

    private static final int END_SECONDS = 3;
    private static final int FEWEST_FOR_COLD = 4;
    private static final int FEWEST_FOR_FADING = 4;

    public RepetitionSet {
        repetitions = List.copyOf(repetitions);
        slopes = Map.copyOf(slopes);
    }

    /** What is followed over the repetitions. */
    public enum Quantity {
        MAIN,
        CADENCE,
        STEP_LENGTH,
        CONTACT_TIME,
        PEAK_HEART_RATE,
        VALLEY_HEART_RATE,
        END_HEART_RATE,
        SPREAD
    }

    /**
     * One repetition; NaN where a channel is missing.
     *
     * @param mean of the main quantity
     * @param spread standard deviation over mean
     * @param valleyBpm lowest heart rate in the recovery before the next repetition; NaN where none follows
     * @param endBpm heart rate over the last 3 s of that recovery
     * @param gradient of the ground, a fraction
     */
    public record Repetition(
            Span span,
            double mean,
            double spread,
            double cadence,
            double stepLength,
            double contactSeconds,
            double peakBpm,
            double valleyBpm,
            double endBpm,
            double gradient) {}

    /** Form fades: from which repetition (counted from 1) it shows, and in what. */
    public record Fading(int from, boolean stepsShorten, boolean contactLengthens) {}

    /**
     * @param spans in order of time; empty when there are fewer than two or the recording has neither power nor speed
     */
    public static Optional<RepetitionSet> of(Recording recording, List<Span> spans) {
        return of(recording, spans, spans, Double.NaN);
    }

    /**
     * @param hard every effort of the session, in order of time: a recovery ends where the next one begins, of whatever
     *     kind it is
     * @param restCeiling mean of the main quantity above which what lies between two repetitions is no recovery: 75 %
     *     of threshold; NaN when it is not known, and everything between is one
     */
    public static Optional<RepetitionSet> of(
            Recording recording, List<Span> spans, List<Span> hard, double restCeiling) {
        Optional<Channel> main = recording.has(Channel.POWER)
                ? Optional.of(Channel.POWER)
                : recording.has(Channel.SPEED) ? Optional.of(Channel.SPEED) : Optional.empty();
        if (main.isEmpty() || spans.size() < FEWEST) return Optional.empty();
        List<Repetition> all = new ArrayList<>();
        for (int i = 0; i < spans.size(); i++)
            all.add(repetition(
                    recording,
                    main.get(),
                    spans.get(i),
                    i + 1 < spans.size()
                            ? next(recording, main.get(), spans.get(i).to(), hard, restCeiling)
                            : -1));
        Map<Quantity, Slope> slopes = new EnumMap<>(Quantity.class);
        for (Quantity quantity : Quantity.values()) {
            Slope slope = Slope.of(values(all, quantity));
            if (slope.count() >= FEWEST) slopes.put(quantity, slope);
        }
        return Optional.of(new RepetitionSet(main.get(), all, slopes, fading(all, slopes), coldStart(all)));
    }

    /**
     * The largest group of spans that are alike in length, in order; what is found without a plan is seldom all one
     * exercise.
     */
    public static List<Span> alike(List<Span> spans) {
        List<Span> best = List.of();
        for (Span like : spans) {
            List<Span> group = spans.stream()
                    .filter(s -> Math.abs(s.seconds() - like.seconds()) <= ALIKE_SECONDS * like.seconds())
                    .toList();
            if (group.size() > best.size()) best = group;
        }
        return best.size() < FEWEST ? List.of() : best;
    }

    /** Where the recovery from a second on ends; -1 when none follows. */
    private static int next(Recording recording, Channel main, int from, List<Span> hard, double restCeiling) {
        int to = hard.stream()
                .mapToInt(Span::from)
                .filter(at -> at >= from)
                .min()
                .orElse(-1);
        if (to <= from) return -1;
        double between = recording.channel(main).orElseThrow().mean(from, Math.min(to, recording.seconds()));
        return between > restCeiling ? -1 : to;
    }

    private static Repetition repetition(Recording recording, Channel main, Span span, int next) {
        Series values = recording.channel(main).orElseThrow();
        int to = Math.min(span.to(), values.size());
        double mean = values.mean(span.from(), to);
        Series heart = recording.channel(Channel.HEART_RATE).orElse(null);
        return new Repetition(
                span,
                mean,
                values.deviation(span.from(), to) / mean,
                mean(recording, Channel.CADENCE, span),
                mean(recording, Channel.STEP_LENGTH, span),
                mean(recording, Channel.GROUND_CONTACT_TIME, span),
                heart == null ? Double.NaN : heart.max(span.from(), to),
                heart == null || next < 0 ? Double.NaN : lowest(heart, to, next),
                heart == null || next < 0
                        ? Double.NaN
                        : heart.mean(Math.max(to, next - END_SECONDS), Math.min(next, heart.size())),
                gradient(recording, span));
    }

    private static double gradient(Recording recording, Span span) {
        Series altitude = recording.channel(Channel.ALTITUDE).orElse(null);
        Series distance = recording.channel(Channel.DISTANCE).orElse(null);
        if (altitude == null || distance == null) return Double.NaN;
        int last = Math.min(span.to(), recording.seconds()) - 1;
        double metres = distance.at(last) - distance.at(span.from());
        return metres > 0 ? (altitude.at(last) - altitude.at(span.from())) / metres : Double.NaN;
    }

    private static double mean(Recording recording, Channel channel, Span span) {
        return recording
                .channel(channel)
                .map(s -> s.mean(span.from(), Math.min(span.to(), s.size())))
                .orElse(Double.NaN);
    }

    private static double lowest(Series heart, int from, int to) {
        double lowest = Double.NaN;
        for (int i = from; i < Math.min(to, heart.size()); i++)
            if (heart.isPresent(i) && !(heart.at(i) >= lowest)) lowest = heart.at(i);
        return lowest;
    }

    /** Values of a quantity in order; NaN where it is missing. */
    public static double[] values(List<Repetition> all, Quantity quantity) {
        ToDoubleFunction<Repetition> value = switch (quantity) {
            case MAIN -> Repetition::mean;
            case CADENCE -> Repetition::cadence;
            case STEP_LENGTH -> Repetition::stepLength;
            case CONTACT_TIME -> Repetition::contactSeconds;
            case PEAK_HEART_RATE -> Repetition::peakBpm;
            case VALLEY_HEART_RATE -> Repetition::valleyBpm;
            case END_HEART_RATE -> Repetition::endBpm;
            case SPREAD -> Repetition::spread;
        };
        return all.stream().mapToDouble(value).toArray();
    }

    /**
     * Cadence rising with step length falling, or contact time rising, each as a trend, while the effort held: both
     * follow from slowing down alone.
     */
    private static Optional<Fading> fading(List<Repetition> all, Map<Quantity, Slope> slopes) {
        if (all.size() < FEWEST_FOR_FADING || falls(slopes, Quantity.MAIN)) return Optional.empty();
        boolean shorter = rises(slopes, Quantity.CADENCE) && falls(slopes, Quantity.STEP_LENGTH);
        boolean longer = rises(slopes, Quantity.CONTACT_TIME);
        if (!shorter && !longer) return Optional.empty();
        return Optional.of(new Fading(
                1 + partedAt(values(all, shorter ? Quantity.STEP_LENGTH : Quantity.CONTACT_TIME)), shorter, longer));
    }

    private static boolean rises(Map<Quantity, Slope> slopes, Quantity quantity) {
        return slopes.containsKey(quantity)
                && slopes.get(quantity).isTrend()
                && slopes.get(quantity).perRepetition() > 0;
    }

    private static boolean falls(Map<Quantity, Slope> slopes, Quantity quantity) {
        return slopes.containsKey(quantity)
                && slopes.get(quantity).isTrend()
                && slopes.get(quantity).perRepetition() < 0;
    }

    /** Index of the first value of the second part when the values are cut in two levels by least squares. */
    private static int partedAt(double[] values) {
        int best = 1;
        double least = Double.POSITIVE_INFINITY;
        for (int cut = 1; cut < values.length; cut++) {
            double rest = rest(values, 0, cut) + rest(values, cut, values.length);
            if (rest < least) {
                least = rest;
                best = cut;
            }
        }
        return best;
    }

    private static double rest(double[] values, int from, int to) {
        double mean = 0;
        for (int i = from; i < to; i++) mean += values[i] / (to - from);
        double rest = 0;
        for (int i = from; i < to; i++) rest += (values[i] - mean) * (values[i] - mean);
        return rest;
    }

    /**
     * The first peak of heart rate is far below the others at the same output: the warm-up was too short or too easy.
     */
    private static boolean coldStart(List<Repetition> all) {
        if (all.size() < FEWEST_FOR_COLD || Double.isNaN(all.get(0).peakBpm())) return false;
        double others =
                all.stream().skip(1).mapToDouble(Repetition::peakBpm).average().orElse(Double.NaN);
        double lowest =
                all.stream().skip(1).mapToDouble(Repetition::peakBpm).min().orElse(Double.NaN);
        double output =
                all.stream().skip(1).mapToDouble(Repetition::mean).average().orElse(Double.NaN);
        return all.get(0).peakBpm() < others - COLD_BPM
                && all.get(0).peakBpm() < lowest
                && Math.abs(all.get(0).mean() / output - 1) <= SAME_OUTPUT;
    }
}
