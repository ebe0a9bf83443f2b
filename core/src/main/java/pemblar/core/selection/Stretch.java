package pemblar.core.selection;

import java.util.OptionalDouble;
import pemblar.core.load.SessionLoad;
import pemblar.core.load.SteadyEquivalent;
import pemblar.core.recording.Channel;
import pemblar.core.recording.Recording;
import pemblar.core.recording.Series;
import pemblar.core.sport.Measure;
import pemblar.core.threshold.Quantity;
import pemblar.core.threshold.Thresholds;

/**
 * Figures of grid seconds [from, to) of a recording; NaN where a channel or a threshold is missing.
 *
 * @param clockSeconds from the first to the end of the last second, pauses included
 * @param equivalent power in W, or flat-equivalent speed in m/s when running without power
 * @param intensity equivalent over the day's threshold
 * @param joulesSoFar work from the start of the recording to the end of the stretch
 * @param climbRate height gained per hour, m/h
 * @param gradient difference of height over distance, as a fraction
 * @param drift mean power (speed when running without power, nothing else: speed on wheels is wind and road) over mean
 *     heart rate, first half over second, minus 1; needs ten minutes
 * @param presentShare of the seconds that have power, else speed, else heart rate
 */
public record Stretch(
        int from,
        int to,
        double clockSeconds,
        double metres,
        double watts,
        double peakWatts,
        double equivalent,
        double wattsPerKilogram,
        double intensity,
        double bpm,
        double peakBpm,
        double cadence,
        double speed,
        double climb,
        double climbRate,
        double gradient,
        double load,
        double joules,
        double joulesSoFar,
        double drift,
        double presentShare) {
    /** Shorter stretches do not tell a drift. */
    private static final int DRIFT_SECONDS = 600;

    public int seconds() {
        return to - from;
    }

    /** @param from brought inside the recording, as is {@code to}; at least one second is taken */
    public static Stretch of(Recording recording, Thresholds thresholds, int from, int to) {
        int begin = Math.max(0, Math.min(from, recording.seconds() - 1));
        int end = Math.max(begin + 1, Math.min(to, recording.seconds()));
        return new Reader(recording, thresholds, begin, end).read();
    }

    private record Reader(Recording recording, Thresholds thresholds, int from, int to) {
        Stretch read() {
            Series power = channel(Channel.POWER);
            Series speed = channel(Channel.SPEED);
            Series heart = channel(Channel.HEART_RATE);
            double watts = mean(power);
            double joules = power == null ? Double.NaN : watts * power.present(from, to);
            double equivalent = equivalent(power, speed);
            double intensity = equivalent / threshold(power);
            double metres = metres();
            Series altitude = channel(Channel.ALTITUDE);
            double climb = altitude == null ? Double.NaN : Climbs.risen(altitude, from, to);
            Series main = power != null ? power : speed;
            Series sound = main != null ? main : heart;
            return new Stretch(
                    from,
                    to,
                    recording.clockSecondsAt(to) - recording.clockSecondsAt(from + 1) + 1,
                    metres,
                    watts,
                    max(power),
                    equivalent,
                    watts / value(Quantity.BODY_MASS),
                    intensity,
                    mean(heart),
                    max(heart),
                    mean(channel(Channel.CADENCE)),
                    mean(speed),
                    climb,
                    climb * 3600 / (to - from),
                    gradient(altitude, metres),
                    SessionLoad.ofIntensity(
                            to - from,
                            intensity,
                            power != null ? 2 : recording.sport().loadExponent()),
                    joules,
                    power == null ? Double.NaN : power.mean(0, to) * power.present(0, to),
                    drift(power != null ? power : recording.sport().trainsBy(Measure.SPEED) ? speed : null, heart),
                    sound == null ? 0 : (double) sound.present(from, to) / (to - from));
        }

        private Series channel(Channel channel) {
            return recording.channel(channel).orElse(null);
        }

        private double mean(Series series) {
            return series == null ? Double.NaN : series.mean(from, to);
        }

        private double max(Series series) {
            return series == null ? Double.NaN : series.max(from, to);
        }

        private double value(Quantity quantity) {
            OptionalDouble value = thresholds.get(quantity);
            return value.orElse(Double.NaN);
        }

        private double equivalent(Series power, Series speed) {
            if (power != null)
                return power.present(from, to) == 0 ? Double.NaN : SteadyEquivalent.of(power.slice(from, to));
            if (speed == null || !recording.sport().trainsBy(Measure.SPEED)) return Double.NaN;
            return SteadyEquivalent.ofSpeed(recording, from, to);
        }

        private double threshold(Series power) {
            return value(power != null ? Quantity.THRESHOLD_POWER : Quantity.THRESHOLD_SPEED);
        }

        private double metres() {
            Series distance = channel(Channel.DISTANCE);
            if (distance == null) return Double.NaN;
            double before = from == 0 ? 0 : distance.lastBefore(from);
            return distance.lastBefore(to) - (Double.isNaN(before) ? 0 : before);
        }

        private double gradient(Series altitude, double metres) {
            if (altitude == null || !(metres > 0)) return Double.NaN;
            int first = from;
            while (first < to && !altitude.isPresent(first)) first++;
            return first == to ? Double.NaN : (altitude.lastBefore(to) - altitude.at(first)) / metres;
        }

        private double drift(Series main, Series heart) {
            if (main == null || heart == null || to - from < DRIFT_SECONDS) return Double.NaN;
            int middle = from + (to - from) / 2;
            return main.mean(from, middle) / heart.mean(from, middle) / (main.mean(middle, to) / heart.mean(middle, to))
                    - 1;
        }
    }
}
