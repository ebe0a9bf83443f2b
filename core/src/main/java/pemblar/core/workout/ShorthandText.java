package pemblar.core.workout;

import java.util.List;
import pemblar.core.sport.SpeedUnit;
import pemblar.core.sport.Sport;
import pemblar.core.workout.Element.Cadence;
import pemblar.core.workout.Element.Posture;
import pemblar.core.workout.Element.Repeat;
import pemblar.core.workout.Element.Step;

/**
 * Writes a workout in the normal form of the shorthand: reading it gives the same workout, writing that the same text.
 */
public final class ShorthandText {
    private ShorthandText() {}

    public static String of(Workout workout) {
        return elements(workout.elements(), workout.sport());
    }

    private static String elements(List<Element> elements, Sport sport) {
        StringBuilder text = new StringBuilder();
        for (Element element : elements) {
            if (!text.isEmpty()) text.append(element.name().isEmpty() ? ", " : "\n");
            if (!element.name().isEmpty()) text.append(element.name()).append(": ");
            text.append(
                    element instanceof Repeat r
                            ? r.times() + " x (" + elements(r.elements(), sport) + ")"
                            : step((Step) element, sport));
        }
        return text.toString();
    }

    private static String step(Step step, Sport sport) {
        String text = length(step.length()) + " " + target(step.target(), sport);
        if (step.gradientPercent() != 0) text += " at " + number(step.gradientPercent()) + "%";
        if (step.cadence() != null) text += " " + cadence(step.cadence()) + (sport.countsSteps() ? "spm" : "rpm");
        if (step.posture() != Posture.ANY) text += " " + step.posture().name().toLowerCase(java.util.Locale.ROOT);
        return step.cue().isEmpty() ? text : text + " \"" + step.cue() + "\"";
    }

    /** A length as the shorthand writes it, as 1h30min. */
    public static String length(Length length) {
        if (length instanceof Length.Time time) return time(time.seconds());
        if (length instanceof Length.Distance distance) return distance(distance.metres());
        if (length instanceof Length.HeartRateBelow below) return "until hr<" + below.bpm();
        if (length instanceof Length.ReserveAt reserve)
            return "until reserve" + (reserve.back() ? ">" : "<") + reserve.percent() + "%";
        return "lap";
    }

    private static String time(int seconds) {
        if (seconds < 120 && seconds % 60 != 0) return seconds + "s";
        return (seconds >= 3600 ? seconds / 3600 + "h" : "")
                + (seconds % 3600 >= 60 ? seconds % 3600 / 60 + "min" : "")
                + (seconds % 60 > 0 ? seconds % 60 + "s" : "");
    }

    private static String distance(double metres) {
        double miles = metres / Pace.METRES_PER_MILE;
        if (Math.abs(metres - Math.rint(metres)) > 1e-6 && Math.abs(miles * 100 - Math.rint(miles * 100)) < 1e-6)
            return number(miles) + "mi";
        return metres >= 1000 && Math.abs(metres / 100 - Math.rint(metres / 100)) < 1e-9
                ? number(metres / 1000) + "km"
                : number(metres) + "m";
    }

    /** A target as the shorthand writes it, as 60-65%; a pace as the sport reads it. */
    public static String target(Target target, Sport sport) {
        if (target instanceof Target.Percent p) return span(p.from(), p.to(), p.ramp()) + "%" + basis(p.basis());
        if (target instanceof Target.Zone z)
            return "z" + z.from() + (z.to() > z.from() ? "-" + z.to() : "")
                    + (z.basis() == null ? "" : " " + z.basis().key());
        if (target instanceof Target.Max m)
            return m.from() == 100 && m.to() == 100 ? "max" : span(m.from(), m.to(), false) + "%max";
        if (target instanceof Target.Effort e) return "rpe " + span(e.from(), e.to(), false);
        if (target instanceof Target.Absolute a) return absolute(a, sport);
        return target instanceof Target.Rest ? "rest" : "open";
    }

    private static String absolute(Target.Absolute a, Sport sport) {
        if (a.basis() == Basis.POWER) return span(a.from(), a.to(), a.ramp()) + "W";
        if (a.basis() == Basis.HEART_RATE) return span(a.from(), a.to(), a.ramp()) + "bpm";
        SpeedUnit unit = unit(a, sport);
        double metres = unit.paceMetres();
        String first = Pace.clock(metres / (a.ramp() ? a.from() : a.to()));
        String second = Pace.clock(metres / (a.ramp() ? a.to() : a.from()));
        return (a.from() == a.to() ? first : first + (a.ramp() ? ">" : "-") + second) + "/" + unit.shorthand();
    }

    /** The sport's own, or the mile where that is what was written. */
    private static SpeedUnit unit(Target.Absolute a, Sport sport) {
        SpeedUnit own = sport.speed().isPace() ? sport.speed() : SpeedUnit.PER_KILOMETRE;
        boolean whole = isWhole(own.paceMetres() / a.from()) && isWhole(own.paceMetres() / a.to());
        return whole || !isWhole(Pace.METRES_PER_MILE / a.from()) ? own : SpeedUnit.PER_MILE;
    }

    private static boolean isWhole(double seconds) {
        return Math.abs(seconds - Math.rint(seconds)) < 1e-6;
    }

    private static String cadence(Cadence c) {
        if (c.low() == 0) return "<" + c.high();
        if (c.high() == 0) return c.low() + "+";
        return c.low() == c.high() ? "" + c.low() : c.low() + "-" + c.high();
    }

    private static String basis(Basis basis) {
        return basis == null ? "" : basis.key();
    }

    private static String span(double from, double to, boolean ramp) {
        return from == to && !ramp ? number(from) : number(from) + (ramp ? ">" : "-") + number(to);
    }

    static String number(double value) {
        java.math.BigDecimal rounded = java.math.BigDecimal.valueOf(value)
                .setScale(2, java.math.RoundingMode.HALF_UP)
                .stripTrailingZeros();
        return rounded.toPlainString();
    }
}
