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
        double[] swapped = loads.clone();
        for (int i = 0; i < days; i++) {
            int from = like + i % ofDays;
            if (at + i >= 0 && at + i < loads.length)
                swapped[at + i] = from >= 0 && from < loads.length ? loads[from] : 0;
        }
        return swapped;
    }
}
