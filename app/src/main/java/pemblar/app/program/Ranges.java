package pemblar.app.program;

/** What a field can hold; null is not said. */
final class Ranges {
    private static final int SCALE = 5;

    private Ranges() {}

    /** Written so that NaN is refused too. */
    static Double within(String field, Double value, double lowest, double highest) {
        if (value != null && !(value >= lowest && value <= highest))
            throw new IllegalArgumentException(field + ": send " + lowest + " to " + highest + ".");
        return value;
    }

    static Integer scale(String field, Integer value) {
        if (value != null && (value < 1 || value > SCALE))
            throw new IllegalArgumentException(field + ": send 1 to " + SCALE + ".");
        return value;
    }

    static String word(String field, String text, int longest) {
        if (text == null) return "";
        if (text.length() > longest || text.indexOf(0) >= 0)
            throw new IllegalArgumentException(field + ": send at most " + longest + " characters.");
        return text.strip();
    }
}
