package pemblar.core.load;

/** Day loads as they would be had some days been trained like others. */
public final class Swap {
    private Swap() {}

    /**
     * @param loads points of each day
     * @param at index of the first day that is replaced
     * @param days how many are replaced; those beyond the end are left out
     * @param like index of the first day to take from; its days are repeated when there are fewer of them
     * @param ofDays how many days to take from, at least 1
     */
    public static double[] of(double[] loads, int at, int days, int like, int ofDays) {
        if (ofDays < 1) throw new IllegalArgumentException("ofDays must be at least 1, was " + ofDays);
        double[] liked = new double[ofDays];
        for (int i = 0; i < ofDays; i++) liked[i] = like + i >= 0 && like + i < loads.length ? loads[like + i] : 0;
        return like(loads, at, days, liked);
    }

    /** The same with days of anybody. @param like points of the days to take, repeated when there are fewer of them */
    public static double[] like(double[] loads, int at, int days, double[] like) {
        if (like.length < 1) throw new IllegalArgumentException("like must have at least one day");
        double[] swapped = loads.clone();
        for (int i = 0; i < days; i++)
            if (at + i >= 0 && at + i < loads.length) swapped[at + i] = like[i % like.length];
        return swapped;
    }
}
