package pemblar.core.season;

/** What keeps a season from its aim. */
public enum Limit {
    HOURS("hours"),
    BUILD_RATE("buildRate"),
    AWAY("away"),
    PINS("pinned"),
    EASY("easy"),
    TAPER("taper");

    private final String key;

    Limit(String key) {
        this.key = key;
    }

    /** The word used in files. */
    public String key() {
        return key;
    }
}
