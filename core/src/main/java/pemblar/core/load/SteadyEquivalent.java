package pemblar.core.load;

import pemblar.core.recording.Channel;
import pemblar.core.recording.Recording;
import pemblar.core.recording.Series;

/** The steady effort with the same physiological cost: 4th-power mean of the trailing 30 s means. */
public final class SteadyEquivalent {
    static final int WINDOW_SECONDS = 30;
    private static final double GRADIENT_OVER_METRES = 10;
    private static final double STEEPEST = 0.45;

    private SteadyEquivalent() {}

    /**
     * Windows start once 30 present seconds exist since the start or the last gap; without a whole window the plain mean.
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
     * Speed on the flat, m/s, that costs what the recorded speed costs on its gradient. The gradient is taken over the
     * last 10 m or more of distance and clipped to -0.45..0.45; it is 0 before 10 m and without altitude or distance.
     * @see "Minetti, Moia, Roi, Susta and Ferretti, Energy cost of walking and running at extreme uphill and downhill
     *      slopes, J Appl Physiol 93 (2002)"
     */
    public static Series flatSpeed(Recording recording) {
        Series speed = recording.channel(Channel.SPEED).orElseThrow(() -> new IllegalArgumentException("speed must be a channel of the recording"));
        Series distance = recording.channel(Channel.DISTANCE).orElse(null);
        Series altitude = recording.channel(Channel.ALTITUDE).orElse(null);
        double[] flat = new double[speed.size()];
        int behind = 0;
        for (int i = 0; i < flat.length; i++) {
            double gradient = 0;
            if (distance != null && altitude != null && distance.isPresent(i)) {
                behind = latestTenMetresBehind(distance, behind, i);
                gradient = gradient(distance, altitude, behind, i);
            }
            flat[i] = speed.at(i) * costOfRunning(gradient) / costOfRunning(0);
        }
        return Series.of(flat);
    }

    private static int latestTenMetresBehind(Series distance, int behind, int now) {
        int latest = behind;
        for (int i = behind; i < now; i++) {
            if (!distance.isPresent(i)) continue;
            if (distance.at(now) - distance.at(i) < GRADIENT_OVER_METRES) break;
            latest = i;
        }
        return latest;
    }

    private static double gradient(Series distance, Series altitude, int behind, int now) {
        double metres = distance.at(now) - distance.at(behind);
        double climb = altitude.at(now) - altitude.at(behind);
        if (!(metres >= GRADIENT_OVER_METRES) || Double.isNaN(climb)) return 0;
        return Math.max(-STEEPEST, Math.min(STEEPEST, climb / metres));
    }

    /** Energy, J per kg and metre, to run on a gradient (rise over distance). */
    static double costOfRunning(double i) {
        return ((((155.4 * i - 30.4) * i - 43.3) * i + 46.3) * i + 19.5) * i + 3.6;
    }
}
