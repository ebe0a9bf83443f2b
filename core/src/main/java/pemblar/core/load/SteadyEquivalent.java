package pemblar.core.load;

import java.util.Optional;
import pemblar.core.recording.Channel;
import pemblar.core.recording.Recording;
import pemblar.core.recording.Series;

/** The steady effort with the same physiological cost: 4th-power mean of the trailing 30 s means. */
public final class SteadyEquivalent {
    static final int WINDOW_SECONDS = 30;

    private SteadyEquivalent() {}

    /**
     * Windows start once 30 present seconds exist since the start or the last gap; without a whole window the plain
     * mean.
     *
     * @return in the unit of the values; NaN when all are missing
     */
    public static double of(Series values) {
        double sum = 0;
        double fourth = 0;
        int run = 0;
        int windows = 0;
        for (int i = 0; i < values.size(); i++) {
            if (!values.isPresent(i)) {
                run = 0;
                sum = 0;
                continue;
            }
            sum += values.at(i);
            if (++run > WINDOW_SECONDS) sum -= values.at(i - WINDOW_SECONDS);
            if (run < WINDOW_SECONDS) continue;
            double mean = sum / WINDOW_SECONDS;
            fourth += mean * mean * mean * mean;
            windows++;
        }
        return windows == 0 ? values.mean() : Math.sqrt(Math.sqrt(fourth / windows));
    }

    /**
     * The steady speed, m/s, of grid seconds [from, to) in a sport that is trained by speed: flat-equivalent where
     * hills cost; where people rest between, as at the wall of a pool, the mean while moving; NaN when nothing is
     * present.
     */
    public static double ofSpeed(Recording recording, int from, int to) {
        Series speed = recording
                .channel(Channel.SPEED)
                .orElseThrow(() -> new IllegalArgumentException("speed must be a channel of the recording"));
        if (recording.sport().restsBetween()) return meanWhileMoving(speed, from, to);
        return of((recording.sport().hillsCost() ? flatSpeed(recording) : speed).slice(from, to));
    }

    private static double meanWhileMoving(Series speed, int from, int to) {
        double sum = 0;
        int moving = 0;
        for (int i = from; i < to; i++) {
            if (!(speed.at(i) > 0)) continue; // a gap is not above 0 either
            sum += speed.at(i);
            moving++;
        }
        return moving == 0 ? Double.NaN : sum / moving;
    }

    /**
     * Speed on the flat, m/s, that costs what the recorded speed costs on its gradient: the slope of altitude on
     * distance by least squares over all samples within 25 m before and after, clipped to -0.45..0.45. With fewer than
     * three samples, or when they span under 20 m, it is 0; so it is without altitude or distance. A shorter base turns
     * a barometer's tremor into load.
     *
     * @see "Minetti, Moia, Roi, Susta and Ferretti, Energy cost of walking and running at extreme uphill and downhill
     *     slopes, J Appl Physiol 93 (2002)"
     */
    public static Series flatSpeed(Recording recording) {
        Series speed = recording
                .channel(Channel.SPEED)
                .orElseThrow(() -> new IllegalArgumentException("speed must be a channel of the recording"));
        Optional<Series> distance = recording.channel(Channel.DISTANCE);
        Optional<Series> altitude = recording.channel(Channel.ALTITUDE);
        Gradients gradients =
                distance.isPresent() && altitude.isPresent() ? new Gradients(distance.get(), altitude.get()) : null;
        double[] flat = new double[speed.size()];
        for (int i = 0; i < flat.length; i++) {
            double gradient = gradients == null ? 0 : gradients.at(i);
            flat[i] = speed.at(i) * costOfRunning(gradient) / costOfRunning(0);
        }
        return Series.of(flat);
    }

    /**
     * Cost of running a metre on a gradient over that of a metre on the flat, clipped to gradients of -0.45..0.45.
     *
     * @param gradient rise over distance
     * @see "Minetti, Moia, Roi, Susta and Ferretti, Energy cost of walking and running at extreme uphill and downhill
     *     slopes, J Appl Physiol 93 (2002)"
     */
    public static double costOfGradient(double gradient) {
        return costOfRunning(Math.max(-0.45, Math.min(0.45, gradient))) / costOfRunning(0);
    }

    /** Energy, J per kg and metre, to run on a gradient (rise over distance). */
    static double costOfRunning(double i) {
        return ((((155.4 * i - 30.4) * i - 43.3) * i + 46.3) * i + 19.5) * i + 3.6;
    }
}
