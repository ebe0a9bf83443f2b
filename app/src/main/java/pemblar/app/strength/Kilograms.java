package pemblar.app.strength;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import pemblar.app.frame.page.Units;

/** How loads read: what can be put on a bar as it is, anything finer with one digit. */
public final class Kilograms {
    private static final Pattern IN_TEXT = Pattern.compile("(\\d+(?:\\.\\d+)?) ?kg");
    /** Words keep hundredths of a kilogram; so near to half a pound it was half a pound. */
    private static final double POUND_DUST = 0.03;

    private Kilograms() {}

    /** In the person's unit. */
    public static String of(double kilograms) {
        return figure(kilograms) + " " + Units.mine().massUnit();
    }

    /** The same without the unit. */
    public static String figure(double kilograms) {
        Units units = Units.mine();
        String text = units.mass() == Units.Mass.KILOGRAMS ? plain(kilograms) : pounds(units.mass(kilograms));
        String own = units.decimal() == Units.Decimal.COMMA ? text.replace('.', ',') : text;
        return own.startsWith("-") ? "−" + own.substring(1) : own;
    }

    /** What was computed, to a tenth. */
    public static String rounded(double kilograms) {
        return Units.mine().mass() == Units.Mass.KILOGRAMS ? of(Math.rint(kilograms * 10) / 10) : of(kilograms);
    }

    /** As it is kept and written to files, in kg whoever asks. */
    public static String kept(double kilograms) {
        return hundredths(kilograms) + " kg";
    }

    public static String hundredths(double kilograms) {
        return BigDecimal.valueOf(kilograms)
                .setScale(2, RoundingMode.HALF_UP)
                .stripTrailingZeros()
                .toPlainString();
    }

    public static String plain(double kilograms) {
        int digits = Math.abs(kilograms * 4 - Math.rint(kilograms * 4)) < 1e-9 ? 2 : 1;
        return BigDecimal.valueOf(kilograms)
                .setScale(digits, RoundingMode.HALF_UP)
                .stripTrailingZeros()
                .toPlainString();
    }

    private static String pounds(double pounds) {
        double half = Math.rint(pounds * 2) / 2;
        return BigDecimal.valueOf(Math.abs(pounds - half) < POUND_DUST ? half : pounds)
                .setScale(1, RoundingMode.HALF_UP)
                .stripTrailingZeros()
                .toPlainString();
    }

    /** Volume and other large sums, whole. */
    public static String sum(double kilograms) {
        return Math.round(Units.mine().mass(kilograms)) + " " + Units.mine().massUnit();
    }

    /** Kept words, as “107.5 kg × 3” or “at 40kg”, in the person's unit. */
    public static String said(String kept) {
        if (Units.mine().mass() == Units.Mass.KILOGRAMS && Units.mine().decimal() == Units.Decimal.POINT) return kept;
        Matcher loads = IN_TEXT.matcher(kept);
        return loads.replaceAll(found -> of(Double.parseDouble(found.group(1))));
    }
}
