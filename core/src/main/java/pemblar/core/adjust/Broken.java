package pemblar.core.adjust;

/** A limit that a plan breaks. */
public enum Broken {
    BUILD_RATE("buildRate"),
    BALANCE("balance"),
    HOURS("hours"),
    SPACING("spacing"),
    WEATHER("weather");

    private final String key;

    Broken(String key) {
        this.key = key;
    }

    /** The word used in files. */
    public String key() {
        return key;
    }
}
