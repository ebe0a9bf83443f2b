package pemblar.core.threshold;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import pemblar.core.model.Effort;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Calculation.Refusal;

/**
 * From the result of a test or race to a threshold with its range (computation, section 7). Impossible input is refused
 * with the reason.
 */
public final class Calculators {
    public static final double USUAL_FACTOR = 0.95;
    private static final double LEAST_FACTOR = 0.90;
    private static final double MOST_FACTOR = 0.97;
    private static final double FACTOR_RANGE = 0.03;
    private static final double RAMP = 0.75;
    private static final double RAMP_LOW = 0.68;
    private static final double RAMP_HIGH = 0.79;
    private static final double EFFORT_RANGE = 0.01;
    private static final double SHORTEST_EFFORT = 90;
    private static final double LONGEST_EFFORT = 2400;
    private static final double LEAST_RATIO = 3;
    private static final int MOST_DAYS_APART = 7;
    private static final double POWER_MINUTES = 55;
    private static final double POWER_MINUTES_LOW = 40;
    private static final double POWER_MINUTES_HIGH = 70;
    private static final double PACE_MINUTES = 60;
    private static final double K_RANGE = 0.01;
    private static final double SHORTEST_RACE = 600;
    private static final double LONGEST_RACE = 86_400;
    private static final double HEART_RATE_RANGE = 2;
    private static final double OF_TWENTY_MINUTES = 0.98;
    private static final double LEAST_WATTS = 40;
    private static final double FASTER_THAN_ANYBODY = 1.02;
    private static final double MINUTE = 60;
    private static final double SHORTEST_SWIM = 100;
    private static final double LONGEST_SWIM = 2000;
    private static final double LEAST_SWIM_RATIO = 1.5;

    private Calculators() {}

    /** Threshold power from the best 20 min mean times a factor of 0.90..0.97. */
    public static Calculation twentyMinutes(Sport sport, double meanWatts, double factor) {
        List<Refusal> refusals = new ArrayList<>();
        checkWatts(refusals, "watts", meanWatts, 20 * MINUTE);
        if (!(factor >= LEAST_FACTOR && factor <= MOST_FACTOR))
            refusals.add(new Refusal("factor", text("the factor must be 0.90 to 0.97, was %.2f", factor)));
        if (!refusals.isEmpty()) return Calculation.refused(refusals);
        return Calculation.of(new Estimate(
                power(sport),
                factor * meanWatts,
                (factor - FACTOR_RANGE) * meanWatts,
                (factor + FACTOR_RANGE) * meanWatts));
    }

    /** Threshold power from the best minute at the end of a ramp. */
    public static Calculation ramp(Sport sport, double bestMinuteWatts) {
        List<Refusal> refusals = new ArrayList<>();
        checkWatts(refusals, "watts", bestMinuteWatts, MINUTE);
        if (!refusals.isEmpty()) return Calculation.refused(refusals);
        return Calculation.of(new Estimate(
                power(sport), RAMP * bestMinuteWatts, RAMP_LOW * bestMinuteWatts, RAMP_HIGH * bestMinuteWatts));
    }

    /**
     * CP and W′ from two all-out efforts, exactly; the range from 1 % of each effort's power either way.
     *
     * @param daysBetween days from one to the other, 0 for the same day
     */
    public static Calculation twoEfforts(Effort first, Effort second, long daysBetween) {
        Effort shorter = first.seconds() <= second.seconds() ? first : second;
        Effort longer = shorter == first ? second : first;
        List<Refusal> refusals = twoEffortRefusals(shorter, longer, daysBetween);
        if (!refusals.isEmpty()) return Calculation.refused(refusals);
        double[] cp = {Double.POSITIVE_INFINITY, 0};
        double[] reserve = {Double.POSITIVE_INFINITY, 0};
        for (double a : new double[] {1 - EFFORT_RANGE, 1 + EFFORT_RANGE})
            for (double b : new double[] {1 - EFFORT_RANGE, 1 + EFFORT_RANGE}) {
                widen(cp, criticalPower(shorter, a, longer, b));
                widen(reserve, reserve(shorter, a, longer, b));
            }
        double bestCp = criticalPower(shorter, 1, longer, 1);
        double bestReserve = reserve(shorter, 1, longer, 1);
        return Calculation.of(
                new Estimate(Quantity.CRITICAL_POWER, bestCp, cp[0], cp[1]),
                new Estimate(Quantity.W_PRIME, bestReserve, Math.max(reserve[0], bestReserve / 10), reserve[1]));
    }

    /**
     * The power of a duration between two all-out efforts, by the line of work over time through both; the range as
     * theirs. Empty outside the two: the line bends there.
     *
     * @return likely, lowest and highest, W
     */
    public static Optional<double[]> between(Effort first, Effort second, double seconds) {
        Effort shorter = first.seconds() <= second.seconds() ? first : second;
        Effort longer = shorter == first ? second : first;
        if (!(shorter.seconds() <= seconds && seconds <= longer.seconds()) || shorter.seconds() == longer.seconds())
            return Optional.empty();
        double[] range = {Double.POSITIVE_INFINITY, 0};
        for (double a : new double[] {1 - EFFORT_RANGE, 1 + EFFORT_RANGE})
            for (double b : new double[] {1 - EFFORT_RANGE, 1 + EFFORT_RANGE})
                widen(range, criticalPower(shorter, a, longer, b) + reserve(shorter, a, longer, b) / seconds);
        double likely = criticalPower(shorter, 1, longer, 1) + reserve(shorter, 1, longer, 1) / seconds;
        return Optional.of(new double[] {likely, range[0], range[1]});
    }

    private static void widen(double[] range, double value) {
        range[0] = Math.min(range[0], value);
        range[1] = Math.max(range[1], value);
    }

    private static double criticalPower(Effort shorter, double a, Effort longer, double b) {
        return (b * longer.joules() - a * shorter.joules()) / (longer.seconds() - shorter.seconds());
    }

    private static double reserve(Effort shorter, double a, Effort longer, double b) {
        return (a * shorter.watts() - b * longer.watts())
                * shorter.seconds()
                * longer.seconds()
                / (longer.seconds() - shorter.seconds());
    }

    private static List<Refusal> twoEffortRefusals(Effort shorter, Effort longer, long daysBetween) {
        List<Refusal> refusals = new ArrayList<>();
        for (Effort e : List.of(shorter, longer))
            if (!(e.seconds() >= SHORTEST_EFFORT && e.seconds() <= LONGEST_EFFORT))
                refusals.add(new Refusal(
                        e == shorter ? "shortTime" : "longTime",
                        "each effort must last 1:30 to 40:00: outside, the line of work over time bends"));
        if (longer.seconds() < LEAST_RATIO * shorter.seconds())
            refusals.add(new Refusal(
                    "longTime",
                    text(
                            "the long effort must last at least 3 times the short one, %s or more, was %s: "
                                    + "closer together, a small error in one turns W′ upside down",
                            clock(LEAST_RATIO * shorter.seconds()), clock(longer.seconds()))));
        if (shorter.watts() <= longer.watts())
            refusals.add(new Refusal("longWatts", "the short effort must have more watts than the long one"));
        if (Math.abs(daysBetween) > MOST_DAYS_APART)
            refusals.add(new Refusal(
                    "longDay", text("both efforts must lie within 7 days, were %d apart", Math.abs(daysBetween))));
        checkWatts(refusals, "shortWatts", shorter.watts(), shorter.seconds());
        checkWatts(refusals, "longWatts", longer.watts(), longer.seconds());
        if (refusals.isEmpty() && criticalPower(shorter, 1, longer, 1) < LEAST_WATTS)
            refusals.add(new Refusal(
                    "longWatts", "these efforts give no sensible critical power: was the long one all-out?"));
        return refusals;
    }

    /**
     * Threshold power from the mean power of a race or trial of 10 min or more: P (t / T)^k with T of 55 min, 40 to 70.
     */
    public static Calculation racePower(Sport sport, double meanWatts, double seconds, double k) {
        List<Refusal> refusals = new ArrayList<>();
        checkRace(refusals, seconds, "the short one of two efforts");
        checkWatts(refusals, "watts", meanWatts, seconds);
        if (!refusals.isEmpty()) return Calculation.refused(refusals);
        double low = Double.POSITIVE_INFINITY;
        double high = 0;
        for (double exponent : new double[] {k - K_RANGE, k + K_RANGE})
            for (double minutes : new double[] {POWER_MINUTES_LOW, POWER_MINUTES_HIGH}) {
                double value = meanWatts * Math.pow(seconds / (minutes * MINUTE), exponent);
                low = Math.min(low, value);
                high = Math.max(high, value);
            }
        return Calculation.of(
                new Estimate(power(sport), meanWatts * Math.pow(seconds / (POWER_MINUTES * MINUTE), k), low, high));
    }

    /** Threshold speed, m/s, from distance and time of a race or trial of 10 min or more: v (t / 60 min)^k. */
    public static Calculation racePace(double metres, double seconds, double k) {
        List<Refusal> refusals = new ArrayList<>();
        checkRace(refusals, seconds, "a shorter piece of work");
        if (!(metres > 0) || seconds <= 0) refusals.add(new Refusal("distance", "the distance must be above 0 km"));
        else if (metres / seconds < 1)
            refusals.add(new Refusal("distance", "slower than 16:40 per km is walking: check distance and time"));
        else if (seconds * FASTER_THAN_ANYBODY < WorldBest.seconds(metres, Sex.MALE))
            refusals.add(new Refusal(
                    "time", text("faster than anybody has run %.1f km: check distance and time", metres / 1000)));
        if (!refusals.isEmpty()) return Calculation.refused(refusals);
        double speed = metres / seconds;
        double hours = seconds / (PACE_MINUTES * MINUTE);
        double one = speed * Math.pow(hours, k - K_RANGE);
        double other = speed * Math.pow(hours, k + K_RANGE);
        return Calculation.of(new Estimate(
                Quantity.THRESHOLD_SPEED, speed * Math.pow(hours, k), Math.min(one, other), Math.max(one, other)));
    }

    /** An all-out swim. */
    public record Swim(double metres, double seconds) {}

    /**
     * Threshold speed in water, m/s, from two all-out swims: the slope of distance over time. The range is that of 1 %
     * of each time either way.
     *
     * @param shorter at least 100 m; the longer at least 1.5 times as far, at most 2000 m
     * @param daysBetween at most 7
     * @see "Wakayoshi et al., Determination and validity of critical velocity as an index of swimming performance, Eur
     *     J Appl Physiol 64 (1992)"
     */
    public static Calculation twoSwims(Swim shorter, Swim longer, long daysBetween) {
        double shorterMetres = shorter.metres();
        double shorterSeconds = shorter.seconds();
        double longerMetres = longer.metres();
        double longerSeconds = longer.seconds();
        List<Refusal> refusals = new ArrayList<>();
        if (!(shorterMetres >= SHORTEST_SWIM))
            refusals.add(new Refusal("shortDistance", "the short swim must be 100 m or more"));
        if (!(longerMetres >= LEAST_SWIM_RATIO * shorterMetres && longerMetres <= LONGEST_SWIM))
            refusals.add(new Refusal(
                    "longDistance",
                    "the long swim must be at least 1.5 times the short one and at most 2000 m: 200 m "
                            + "and 400 m serve well"));
        if (!(shorterSeconds > 0 && longerSeconds > shorterSeconds))
            refusals.add(new Refusal("longTime", "the long swim must take longer than the short one"));
        if (Math.abs(daysBetween) > MOST_DAYS_APART)
            refusals.add(new Refusal(
                    "longDay", text("both swims must lie within 7 days, were %d apart", Math.abs(daysBetween))));
        if (!refusals.isEmpty()) return Calculation.refused(refusals);
        double best = (longerMetres - shorterMetres) / (longerSeconds - shorterSeconds);
        if (!Quantity.SWIMMING_THRESHOLD_SPEED.allows(best)
                || longerMetres / longerSeconds > shorterMetres / shorterSeconds)
            return Calculation.refused(List.of(new Refusal(
                    "longTime",
                    "these swims give no sensible threshold: was the short one the faster, and both all-out?")));
        double low = Double.POSITIVE_INFINITY;
        double high = 0;
        for (double a : new double[] {1 - EFFORT_RANGE, 1 + EFFORT_RANGE})
            for (double b : new double[] {1 - EFFORT_RANGE, 1 + EFFORT_RANGE}) {
                double speed = (longerMetres - shorterMetres) / (b * longerSeconds - a * shorterSeconds);
                low = Math.min(low, speed);
                high = Math.max(high, speed);
            }
        return Calculation.of(new Estimate(Quantity.SWIMMING_THRESHOLD_SPEED, best, low, high));
    }

    /** Threshold heart rate from the mean of the last 20 min of a 30 min solo trial. */
    public static Calculation heartRateThirty(Sport sport, double meanBpm) {
        return heartRate(sport, meanBpm, 1);
    }

    /** Threshold heart rate from the mean of a 20 min test. */
    public static Calculation heartRateTwenty(Sport sport, double meanBpm) {
        return heartRate(sport, meanBpm, OF_TWENTY_MINUTES);
    }

    private static Calculation heartRate(Sport sport, double meanBpm, double share) {
        Quantity quantity = Quantity.of(Quantity.Kind.THRESHOLD_HEART_RATE, sport);
        if (!(meanBpm >= quantity.lowest() && meanBpm <= quantity.highest()))
            return Calculation.refused(List.of(new Refusal(
                    "bpm",
                    text(
                            "a mean of a hard trial must be %.0f to %.0f bpm, was %.0f",
                            quantity.lowest(), quantity.highest(), meanBpm))));
        return Calculation.of(new Estimate(
                quantity, share * meanBpm, share * meanBpm - HEART_RATE_RANGE, share * meanBpm + HEART_RATE_RANGE));
    }

    /** Threshold power of a sport. */
    public static Quantity power(Sport sport) {
        return Quantity.of(Quantity.Kind.THRESHOLD_POWER, sport);
    }

    private static void checkRace(List<Refusal> refusals, double seconds, String instead) {
        if (!(seconds >= SHORTEST_RACE))
            refusals.add(new Refusal(
                    "time",
                    text(
                            "a race or trial must last 10 min or more, was %d:%02d: below that the reserve "
                                    + "carries much of it; enter it as %s",
                            (long) seconds / 60, (long) seconds % 60, instead)));
        else if (seconds > LONGEST_RACE) refusals.add(new Refusal("time", "a race or trial may last up to 24 h"));
    }

    private static void checkWatts(List<Refusal> refusals, String field, double watts, double seconds) {
        if (!(watts >= LEAST_WATTS))
            refusals.add(new Refusal(field, text("power must be %.0f W or more, was %.0f W", LEAST_WATTS, watts)));
        else if (watts > HumanLimit.watts(seconds))
            refusals.add(new Refusal(
                    field,
                    text(
                            "nobody holds %.0f W for %s; at most %.0f W is accepted",
                            watts, clock(seconds), HumanLimit.watts(seconds))));
    }

    private static String clock(double seconds) {
        long s = Math.round(seconds);
        return s < 3600 ? text("%d:%02d min", s / 60, s % 60) : text("%d:%02d h", s / 3600, s / 60 % 60);
    }

    private static String text(String format, Object... values) {
        return String.format(Locale.ROOT, format, values);
    }
}
