package pemblar.core.workout;

import java.util.List;

/** Targets moved and divided, in round figures. */
final class Targets {
    private static final double LEAST_PERCENT = 1;
    private static final double MOST_PERCENT = 300;
    private static final double PERCENT_OF_A_ZONE = 12;
    private static final double PERCENT_OF_A_POINT = 10;
    private static final int MOST_ZONE = 9;

    private Targets() {}

    /**
     * A target whose first end (lower edge, or begin of a ramp) and second end moved by percent of threshold. A band's
     * edges do not cross; one value moves as a whole, by the larger of the two.
     *
     * @param percentOfOneUnit percent of threshold that one W, bpm or m/s is, for absolute targets
     */
    static Target shifted(Target target, double first, double second, double percentOfOneUnit) {
        if (target instanceof Target.Percent p) {
            Ends ends = new Ends(p.from(), p.to(), p.ramp())
                    .by(Math.rint(first), Math.rint(second), new Bounds(LEAST_PERCENT, MOST_PERCENT));
            return new Target.Percent(ends.from(), ends.to(), p.ramp(), p.basis());
        }
        if (target instanceof Target.Absolute a)
            return absolute(a, first / percentOfOneUnit, second / percentOfOneUnit);
        if (target instanceof Target.Zone z) {
            Ends ends = new Ends(z.from(), z.to(), false)
                    .by(
                            Math.rint(first / PERCENT_OF_A_ZONE),
                            Math.rint(second / PERCENT_OF_A_ZONE),
                            new Bounds(1, MOST_ZONE));
            return new Target.Zone((int) ends.from(), (int) ends.to(), z.basis());
        }
        if (target instanceof Target.Max m) {
            Ends ends = new Ends(m.from(), m.to(), false).by(Math.rint(first), Math.rint(second), new Bounds(30, 150));
            return new Target.Max(ends.from(), ends.to());
        }
        if (target instanceof Target.Effort e) {
            Ends ends = new Ends(e.from(), e.to(), false)
                    .by(
                            Math.rint(first / PERCENT_OF_A_POINT),
                            Math.rint(second / PERCENT_OF_A_POINT),
                            new Bounds(0, 10));
            return new Target.Effort(ends.from(), ends.to());
        }
        throw new IllegalArgumentException((target instanceof Target.Rest ? "a rest" : "an open step")
                + " has no target to move: write one, such as 65%");
    }

    private static Target absolute(Target.Absolute a, double first, double second) {
        if (!Double.isFinite(first) || !Double.isFinite(second))
            throw new IllegalArgumentException("the threshold is not known, so this target can only be written");
        if (a.basis() == Basis.PACE) {
            Ends ends = new Ends(a.from(), a.to(), a.ramp()).by(first, second, new Bounds(0.4, 11));
            return new Target.Absolute(wholePace(ends.from()), wholePace(ends.to()), a.ramp(), a.basis());
        }
        Bounds bounds = a.basis() == Basis.HEART_RATE ? new Bounds(40, 240) : new Bounds(1, 2500);
        Ends ends = new Ends(a.from(), a.to(), a.ramp()).by(Math.rint(first), Math.rint(second), bounds);
        return new Target.Absolute(ends.from(), ends.to(), a.ramp(), a.basis());
    }

    private static double wholePace(double metresPerSecond) {
        return 1000.0 / Math.rint(1000 / metresPerSecond);
    }

    private record Bounds(double least, double most) {
        double within(double value) {
            return Math.max(least, Math.min(most, value));
        }
    }

    /** Both ends of a target; a single value is moved whole, and a band never turns into a falling one. */
    private record Ends(double from, double to, boolean ramp) {
        Ends by(double first, double second, Bounds bounds) {
            if (from == to && !ramp) {
                double value = bounds.within(from + (Math.abs(first) > Math.abs(second) ? first : second));
                return new Ends(value, value, false);
            }
            double low = bounds.within(from + first);
            double high = bounds.within(to + second);
            if (ramp || low <= high) return new Ends(low, high, ramp);
            return first == 0 ? new Ends(low, low, false) : new Ends(high, high, false);
        }
    }

    /** The targets of two halves: a ramp's end where it is in the middle, all else twice the same. */
    static List<Target> halves(Target target) {
        if (target instanceof Target.Percent p && p.ramp()) {
            double middle = Math.rint((p.from() + p.to()) / 2);
            return List.of(
                    new Target.Percent(p.from(), middle, true, p.basis()),
                    new Target.Percent(middle, p.to(), true, p.basis()));
        }
        if (target instanceof Target.Absolute a && a.ramp()) {
            double middle =
                    a.basis() == Basis.PACE ? wholePace((a.from() + a.to()) / 2) : Math.rint((a.from() + a.to()) / 2);
            return List.of(
                    new Target.Absolute(a.from(), middle, true, a.basis()),
                    new Target.Absolute(middle, a.to(), true, a.basis()));
        }
        return List.of(target, target);
    }
}
