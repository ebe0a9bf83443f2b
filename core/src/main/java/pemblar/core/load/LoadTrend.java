package pemblar.core.load;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;

/**
 * Acute and chronic load day by day: x[t] = x[t-1] + (load[t] - x[t-1]) (1 - e^(-1/days)).
 *
 * @see "Banister, Calvert, Savage and Bach, A systems model of training for athletic performance, Aust J Sports Med 7
 *     (1975)"
 */
public final class LoadTrend {
    /** Days over which the first start value is averaged when the athlete gives none. */
    private static final int START_DAYS = 14;

    private static final int BUILD_DAYS = 7;

    /**
     * Time constants and where the recursion starts.
     *
     * @param startAcute points a day before the first day; NaN takes the mean of the first days
     * @param startChronic likewise
     */
    public record Settings(double acuteDays, double chronicDays, double startAcute, double startChronic) {
        public static final Settings DEFAULT = new Settings(7, 42, Double.NaN, Double.NaN);

        public Settings {
            if (!(acuteDays >= 1 && acuteDays <= 60))
                throw new IllegalArgumentException("acuteDays must be in 1..60, was " + acuteDays);
            if (!(chronicDays >= 7 && chronicDays <= 200))
                throw new IllegalArgumentException("chronicDays must be in 7..200, was " + chronicDays);
        }
    }

    /**
     * One day.
     *
     * @param acute at the end of the day
     * @param chronic at the end of the day
     * @param balance on its morning: chronic minus acute of the evening before
     * @param build chronic minus chronic seven days before
     * @param chronicBefore chronic on its morning: of the evening before
     */
    public record Day(
            LocalDate date,
            double load,
            double acute,
            double chronic,
            double balance,
            double build,
            double chronicBefore) {}

    private LoadTrend() {}

    /**
     * The trend over consecutive days; days ahead carry their planned load, so that the same recursion is the forecast.
     *
     * @param loads points, one for each day from {@code first}; finite, at least 0
     * @throws IllegalArgumentException naming the first day with a load that is not
     */
    public static List<Day> of(LocalDate first, double[] loads, Settings settings) {
        double start = meanOfFirstDays(loads);
        double startChronic = Double.isNaN(settings.startChronic()) ? start : settings.startChronic();
        double acute = Double.isNaN(settings.startAcute()) ? start : settings.startAcute();
        double chronic = startChronic;
        List<Day> days = new ArrayList<>(loads.length);
        for (int t = 0; t < loads.length; t++) {
            if (!(loads[t] >= 0 && loads[t] < 1e6))
                throw new IllegalArgumentException(
                        "load of " + first.plusDays(t) + " must be at least 0, was " + loads[t]);
            double balance = chronic - acute;
            double morning = chronic;
            acute += (loads[t] - acute) * (1 - Math.exp(-1 / settings.acuteDays()));
            chronic += (loads[t] - chronic) * (1 - Math.exp(-1 / settings.chronicDays()));
            double before = t >= BUILD_DAYS ? days.get(t - BUILD_DAYS).chronic() : startChronic;
            days.add(new Day(first.plusDays(t), loads[t], acute, chronic, balance, chronic - before, morning));
        }
        return days;
    }

    /**
     * Where a trend starts that nobody gave a start value for: the mean done load of the first 14 days, or of as many
     * as there are.
     */
    public static double startOf(double[] done) {
        return meanOfFirstDays(done);
    }

    private static double meanOfFirstDays(double[] loads) {
        int days = Math.min(START_DAYS, loads.length);
        double sum = 0;
        for (int t = 0; t < days; t++) sum += loads[t];
        return days == 0 ? 0 : sum / days;
    }
}
