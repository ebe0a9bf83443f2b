package pemblar.core;

/** What was or will be done; OTHER is anything that zones for riding or running do not fit. */
public enum Sport {
    RIDE, RUN, OTHER;

    /** The word used in files, addresses and on the command line. */
    public String key() {
        return name().toLowerCase(java.util.Locale.ROOT);
    }

    /** @throws IllegalArgumentException when the key is none of ride, run, other */
    public static Sport ofKey(String key) {
        for (Sport sport : values()) if (sport.key().equalsIgnoreCase(key)) return sport;
        throw new IllegalArgumentException("sport must be ride, run or other, was '" + key + "'");
    }
}
