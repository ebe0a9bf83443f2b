package pemblar.app.strength;

import java.math.BigDecimal;
import java.math.RoundingMode;

/** How loads read: half kilograms and quarters as they are, anything finer with one digit. */
final class Kilograms {
    private Kilograms() {}

    static String of(double kilograms) {
        return figure(kilograms) + " kg";
    }

    static String figure(double kilograms) {
        int digits = Math.abs(kilograms * 4 - Math.rint(kilograms * 4)) < 1e-9 ? 2 : 1;
        String text = BigDecimal.valueOf(kilograms)
                .setScale(digits, RoundingMode.HALF_UP)
                .stripTrailingZeros()
                .toPlainString();
        return text.startsWith("-") ? "−" + text.substring(1) : text;
    }
}
