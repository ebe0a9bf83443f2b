package pemblar.app.compare;

import pemblar.app.frame.page.Shown;
import pemblar.app.frame.page.Typed;
import pemblar.app.frame.page.Units;
import pemblar.core.comparison.Figure;
import pemblar.core.sport.Sport;

/** Figures of repetitions in the person's units; they are kept in those of {@link Figure}. */
public final class FigureUnits {
    private FigureUnits() {}

    public static String unit(Figure figure) {
        return switch (figure) {
            case SPEED -> Shown.speedUnit(Sport.RIDE);
            case TEMPERATURE -> Units.mine().temperatureUnit();
            default -> figure.unit();
        };
    }

    /** A kept value as the person reads it. */
    static double shown(String figure, double value) {
        if (figure.equals(Figure.SPEED.name())) return value * perKept();
        return figure.equals(Figure.TEMPERATURE.name()) ? Units.mine().temperature(value) : value;
    }

    /** A value that the person typed as it is kept. @throws IllegalArgumentException when it is no number */
    public static double kept(Figure figure, String typed) {
        if (figure == Figure.TEMPERATURE) return Units.mine().celsius("Value", typed, -1e6, 1e6);
        double value = Typed.number("Value", typed, -1e6, 1e6);
        return figure == Figure.SPEED ? value / perKept() : value;
    }

    private static double perKept() {
        return Shown.unit(Sport.RIDE).perMetrePerSecond() / Sport.RIDE.speed().perMetrePerSecond();
    }
}
