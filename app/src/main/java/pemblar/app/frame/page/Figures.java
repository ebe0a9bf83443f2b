package pemblar.app.frame.page;

import java.util.Locale;

/** Figures as text, without the cost of a format: a page writes hundreds. */
final class Figures {
    private static final long[] TENS = {1, 10, 100, 1000};
    private static final double MOST = 1e12;

    private Figures() {}

    /** With so many digits behind a point, halves away from zero. */
    static String fixed(double value, int digits) {
        if (digits >= TENS.length || !(Math.abs(value) < MOST))
            return String.format(Locale.ROOT, "%." + digits + "f", value);
        double scaled = Math.abs(value) * TENS[digits];
        if (scaled != 0 && Math.abs(scaled - Math.floor(scaled) - 0.5) < 1e-6) // a half: its decimals decide
        return String.format(Locale.ROOT, "%." + digits + "f", value);
        long whole = Math.round(scaled);
        StringBuilder text = new StringBuilder();
        if (value < 0 || value == 0 && 1 / value < 0) text.append('-');
        text.append(whole / TENS[digits]);
        if (digits == 0) return text.toString();
        String rest = String.valueOf(whole % TENS[digits]);
        return text.append('.')
                .append("0".repeat(digits - rest.length()))
                .append(rest)
                .toString();
    }

    /** Of at least two digits. */
    static String two(long value) {
        return value >= 0 && value < 10 ? "0" + value : String.valueOf(value);
    }
}
