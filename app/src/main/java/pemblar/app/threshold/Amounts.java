package pemblar.app.threshold;

import pemblar.app.frame.page.Shown;
import pemblar.app.frame.page.Units;
import pemblar.core.sport.SpeedUnit;
import pemblar.core.threshold.Quantity;
import pemblar.core.workout.Pace;

/**
 * How values of a quantity are typed and read: pace as minutes and seconds for the distance of its sport, W′ in kJ, all
 * else in the quantity's unit.
 */
public final class Amounts {
    private Amounts() {}

    /** @throws NumberFormatException when it is no number, or no pace such as 4:10 */
    public static double parsed(Quantity quantity, String typed) {
        String value = typed.strip().replace(',', '.');
        if (isPace(quantity)) {
            if (!value.matches("\\d{1,2}:[0-5]\\d")) throw new NumberFormatException(value);
            String[] parts = value.split(":");
            return speed(quantity).paceMetres() / (Integer.parseInt(parts[0]) * 60 + Integer.parseInt(parts[1]));
        }
        double number = Double.parseDouble(value);
        if (quantity == Quantity.BODY_MASS) return number * Units.mine().massKilograms();
        return quantity == Quantity.W_PRIME ? number * 1000 : number;
    }

    private static boolean isPace(Quantity quantity) {
        return quantity.kind() == Quantity.Kind.THRESHOLD_SPEED;
    }

    /** How the speed of the quantity's sport reads. */
    private static SpeedUnit speed(Quantity quantity) {
        return Shown.unit(quantity.sport());
    }

    /** What somebody might type. */
    public static String example(Quantity quantity) {
        return switch (quantity) {
            case THRESHOLD_POWER, CRITICAL_POWER -> "250";
            case RUNNING_THRESHOLD_POWER -> "290";
            case W_PRIME -> "18";
            case THRESHOLD_HEART_RATE -> "168";
            case RUNNING_THRESHOLD_HEART_RATE -> "174";
            case MAXIMUM_HEART_RATE -> "187";
            case RESTING_HEART_RATE -> "48";
            case THRESHOLD_SPEED -> Pace.clock(250 * speed(quantity).paceMetres() / 1000);
            case SWIMMING_THRESHOLD_SPEED -> "1:38";
            case BODY_MASS -> String.valueOf(Math.round(Units.mine().mass(68)));
        };
    }

    public static String unit(Quantity quantity) {
        if (quantity == Quantity.BODY_MASS) return Units.mine().massUnit();
        return isPace(quantity) ? speed(quantity).unit() : quantity == Quantity.W_PRIME ? "kJ" : quantity.unit();
    }

    public static String shown(Quantity quantity, double value) {
        if (isPace(quantity)) return Pace.clock(speed(quantity).paceMetres() / value);
        if (quantity == Quantity.W_PRIME) return Units.mine().decimal(value / 1000, 1);
        return quantity == Quantity.BODY_MASS
                ? Units.mine().decimal(Units.mine().mass(value), 1)
                : String.valueOf(Math.round(value));
    }

    public static String withUnit(Quantity quantity, double value) {
        return shown(quantity, value) + " " + unit(quantity);
    }

    /** As “255 to 266 W”; a pace from slow to fast. */
    public static String range(Quantity quantity, double low, double high) {
        return shown(quantity, low) + " to " + withUnit(quantity, high);
    }

    /** With a capital, to begin a sentence. */
    public static String label(Quantity quantity) {
        return Character.toUpperCase(quantity.label().charAt(0))
                + quantity.label().substring(1);
    }

    /** Why a typed value was refused, and what is accepted. */
    public static String problem(Quantity quantity, String typed, IllegalArgumentException e) {
        if (e instanceof NumberFormatException)
            return label(quantity) + ": “" + typed + "” is not "
                    + (isPace(quantity) ? "a pace such as " + example(quantity) + "." : "a number.");
        boolean pace = isPace(quantity);
        return label(quantity) + ": “" + typed + "” cannot be right; accepted is "
                + shown(quantity, pace ? quantity.highest() : quantity.lowest()) + " to "
                + withUnit(quantity, pace ? quantity.lowest() : quantity.highest()) + ".";
    }
}
