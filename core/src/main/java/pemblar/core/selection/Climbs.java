package pemblar.core.selection;

import java.util.ArrayList;
import java.util.List;
import pemblar.core.recording.Channel;
import pemblar.core.recording.Recording;
import pemblar.core.recording.Series;

/** Height gained, and the climbs of a recording. */
public final class Climbs {
    /** A barometer trembles by some tenths of a metre each second: smaller rises are noise. */
    private static final double DEAD_BAND_METRES = 1;

    private static final double LEAST_RISE_METRES = 30;
    private static final double LEAST_GRADIENT = 0.03;
    private static final double FLAT_GRADIENT = 0.02;
    /** A climb goes on over a dip in which less is lost than this, and than a fifth of what was gained. */
    private static final double DIP_METRES = 10;

    private static final double DIP_SHARE = 0.2;

    /** So much flat road ends a climb. */
    private static final double FLAT_METRES = 1000;

    private Climbs() {}

    /** A climb. @param metres along the road @param gradient as a fraction */
    public record Climb(int from, int to, double metres, double rise, double gradient) {
        public double gradientPercent() {
            return 100 * gradient;
        }
    }

    /**
     * Height gained over grid seconds [from, to), m: rises of at least 1 m above the last low. Missing seconds are
     * passed over.
     */
    public static double risen(Series altitude, int from, int to) {
        double sum = 0;
        double low = Double.NaN;
        double high = Double.NaN;
        for (int i = from; i < Math.min(to, altitude.size()); i++) {
            double metres = altitude.at(i);
            if (Double.isNaN(metres)) continue;
            if (Double.isNaN(low)) {
                low = metres;
                high = metres;
            }
            if (metres > high) high = metres;
            else if (high - metres >= DEAD_BAND_METRES) {
                if (high - low >= DEAD_BAND_METRES) sum += high - low;
                low = metres;
                high = metres;
            }
            if (metres < low) {
                low = metres;
                high = metres;
            }
        }
        return high - low >= DEAD_BAND_METRES ? sum + high - low : sum;
    }

    /**
     * Climbs of at least 30 m and 3 %, in order; empty without altitude or distance. Each begins and ends where the
     * road is steeper than 2 %.
     */
    public static List<Climb> of(Recording recording) {
        Series altitude = recording.channel(Channel.ALTITUDE).orElse(null);
        Series distance = recording.channel(Channel.DISTANCE).orElse(null);
        if (altitude == null || distance == null) return List.of();
        List<Climb> climbs = new ArrayList<>();
        int i = 0;
        while (i < altitude.size()) {
            int end = top(altitude, distance, i);
            if (end > i) climb(altitude, distance, i, end, climbs);
            i = Math.max(i + 1, end);
        }
        return climbs;
    }

    private static void climb(Series altitude, Series distance, int from, int to, List<Climb> climbs) {
        double rise = altitude.at(to) - altitude.at(from);
        double metres = distance.at(to) - distance.at(from);
        if (rise >= LEAST_RISE_METRES && rise >= LEAST_GRADIENT * metres)
            climbs.add(new Climb(from, to + 1, metres, rise, rise / metres));
    }

    /**
     * Where the height above a road of 2 % is highest before it falls back to the start or by too much; {@code from}
     * when it never rises.
     */
    private static int top(Series altitude, Series distance, int from) {
        if (!isPresent(altitude, distance, from)) return from;
        double best = 0;
        int top = from;
        for (int i = from + 1; i < altitude.size(); i++) {
            if (!isPresent(altitude, distance, i)) continue;
            double above = altitude.at(i) - altitude.at(from) - FLAT_GRADIENT * (distance.at(i) - distance.at(from));
            if (above > best) {
                best = above;
                top = i;
            }
            double lost = altitude.at(top) - altitude.at(i);
            if (above <= 0 && best < DEAD_BAND_METRES
                    || lost > Math.min(DIP_METRES, DEAD_BAND_METRES + DIP_SHARE * best)
                    || best - above > FLAT_METRES * FLAT_GRADIENT) return top;
        }
        return top;
    }

    private static boolean isPresent(Series altitude, Series distance, int i) {
        return altitude.isPresent(i) && distance.isPresent(i);
    }
}
