package pemblar.core.repetition;

/**
 * What a value does over repetitions: the straight line by least squares.
 *
 * @param perRepetition change from one repetition to the next, in the unit of the values
 * @param standardError of it; NaN with fewer than three values
 * @param level mean of the values
 * @param count repetitions that have the value
 */
public record Slope(double perRepetition, double standardError, double level, int count) {
    /**
     * Student's t that 95 % of lines without a trend stay within, by degrees of freedom from 1. Twice the standard
     * error would let 14 % of five flat repetitions through.
     */
    private static final double[] STUDENT = {
        12.706, 4.303, 3.182, 2.776, 2.571, 2.447, 2.365, 2.306, 2.262, 2.228, 2.201, 2.179, 2.160, 2.145, 2.131, 2.120,
        2.110, 2.101, 2.093, 2.086
    };

    /** Two repetitions in a row differ by more for no reason, however sure the slope is. */
    private static final double NEGLIGIBLE = 0.003;

    /** Values in order of the repetitions; NaN ones are left out. */
    public static Slope of(double[] values) {
        int n = 0;
        double meanX = 0;
        double meanY = 0;
        for (int i = 0; i < values.length; i++) {
            if (Double.isNaN(values[i])) continue;
            n++;
            meanX += i;
            meanY += values[i];
        }
        if (n < 2) return new Slope(Double.NaN, Double.NaN, n == 0 ? Double.NaN : meanY, n);
        meanX /= n;
        meanY /= n;
        double squares = 0;
        double products = 0;
        for (int i = 0; i < values.length; i++) {
            if (Double.isNaN(values[i])) continue;
            squares += (i - meanX) * (i - meanX);
            products += (i - meanX) * (values[i] - meanY);
        }
        double slope = products / squares;
        double error = n < 3 ? Double.NaN : Math.sqrt(rest(values, meanX, meanY, slope) / (n - 2) / squares);
        return new Slope(slope, error, meanY, n);
    }

    /** What the line leaves, squared. */
    private static double rest(double[] values, double meanX, double meanY, double slope) {
        double rest = 0;
        for (int i = 0; i < values.length; i++)
            if (!Double.isNaN(values[i])) rest += Math.pow(values[i] - meanY - slope * (i - meanX), 2);
        return rest;
    }

    /**
     * More than noise and worth a word: beyond what 95 % of flat series of this length show, never less than twice the
     * standard error, and more than 0.3 % of the value a repetition.
     */
    public boolean isTrend() {
        return isBeyondNoise() && Math.abs(relative()) > NEGLIGIBLE;
    }

    /** Beyond what 95 % of flat series of this length show, however small it is. */
    public boolean isBeyondNoise() {
        return Math.abs(perRepetition) > student(Math.max(1, count - 2)) * standardError;
    }

    /**
     * Standard errors that 95 % of series without a trend stay within; never less than 2. @param freedom values less
     * fitted parameters, at least 1
     */
    public static double student(int freedom) {
        return freedom > STUDENT.length ? 2 : Math.max(2, STUDENT[freedom - 1]);
    }

    /** Change per repetition as a fraction of the level. */
    public double relative() {
        return perRepetition / level;
    }
}
