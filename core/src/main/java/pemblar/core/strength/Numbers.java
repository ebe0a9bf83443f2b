package pemblar.core.strength;

import java.math.BigDecimal;
import java.math.RoundingMode;

/** Figures as the shorthand writes them. */
final class Numbers {
    private Numbers() {}

    static String plain(double value) {
        return BigDecimal.valueOf(value)
                .setScale(2, RoundingMode.HALF_UP)
                .stripTrailingZeros()
                .toPlainString();
    }
}
