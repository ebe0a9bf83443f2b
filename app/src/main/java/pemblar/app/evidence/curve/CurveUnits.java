package pemblar.app.evidence.curve;

import java.util.Locale;
import pemblar.app.frame.page.Shown;
import pemblar.core.sport.Measure;
import pemblar.core.sport.Sport;

/** How best efforts read on the curve's page: watts, watts per kilogram, or the pace of the sport. */
public record CurveUnits(Measure measure, Sport sport, boolean perKilogram) {
    public boolean isSpeed() {
        return measure == Measure.SPEED;
    }

    /** Behind figures and on the axis. */
    public String unit() {
        return isSpeed() ? Shown.unit(sport).axisUnit() : perKilogram ? "W/kg" : "W";
    }

    public String shown(double value) {
        if (isSpeed()) return Shown.speedFigure(sport, value);
        return perKilogram ? String.format(Locale.ROOT, "%.2f", value) : String.valueOf(Math.round(value));
    }

    public String withUnit(double value) {
        return isSpeed() ? shown(value) + " " + Shown.speedUnit(sport) : shown(value) + " " + unit();
    }

    /** What a critical level is called. */
    public String critical() {
        return isSpeed() ? "critical speed" : "critical power";
    }

    /** What can be done above it. */
    public String reserve() {
        return isSpeed() ? "D′" : "W′";
    }

    public String title() {
        return isSpeed() ? "Speed-duration" : "Power-duration";
    }

    /** The name of the upright axis. */
    public String axis() {
        return isSpeed() ? "best mean pace, " + unit() + "; faster is higher" : "best mean power, " + unit();
    }
}
