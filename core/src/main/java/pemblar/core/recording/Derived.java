package pemblar.core.recording;

/**
 * A channel that follows from two others by one step of arithmetic.
 *
 * @param name what the athlete calls it
 * @param left key of the first channel; {@code right} of the second
 */
public record Derived(String name, String left, Operation operation, String right) {
    private static final int LONGEST_NAME = 40;

    public enum Operation {
        MINUS("−"),
        PLUS("+"),
        OVER("/"),
        TIMES("×");

        private final String sign;

        Operation(String sign) {
            this.sign = sign;
        }

        public String sign() {
            return sign;
        }
    }

    public Derived {
        if (name.isBlank() || name.length() > LONGEST_NAME)
            throw new IllegalArgumentException("Name: enter 1 to " + LONGEST_NAME + " characters.");
    }

    /** Missing where either is missing, and where it would be divided by zero. */
    public static Series of(Series left, Operation operation, Series right) {
        double[] values = new double[Math.min(left.size(), right.size())];
        for (int i = 0; i < values.length; i++) values[i] = apply(left.at(i), operation, right.at(i));
        return Series.of(values);
    }

    /** One value; NaN where either is, and for a division by zero. */
    public static double apply(double a, Operation operation, double b) {
        return switch (operation) {
            case MINUS -> a - b;
            case PLUS -> a + b;
            case TIMES -> a * b;
            case OVER -> b == 0 ? Double.NaN : a / b;
        };
    }
}
