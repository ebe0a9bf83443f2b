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
            double[] ends =
                    ends(p.from(), p.to(), p.ramp(), Math.rint(first), Math.rint(second), LEAST_PERCENT, MOST_PERCENT);
            return new Target.Percent(ends[0], ends[1], p.ramp(), p.basis());
        }
        if (target instanceof Target.Absolute a)
            return absolute(a, first / percentOfOneUnit, second / percentOfOneUnit);
        if (target instanceof Target.Zone z) {
            double[] ends = ends(
                    z.from(),
                    z.to(),
                    false,
                    Math.rint(first / PERCENT_OF_A_ZONE),
                    Math.rint(second / PERCENT_OF_A_ZONE),
                    1,
                    MOST_ZONE);
            return new Target.Zone((int) ends[0], (int) ends[1], z.basis());
        }
        if (target instanceof Target.Max m) {
            double[] ends = ends(m.from(), m.to(), false, Math.rint(first), Math.rint(second), 30, 150);
            return new Target.Max(ends[0], ends[1]);
        }
        if (target instanceof Target.Effort e) {
            double[] ends = ends(
                    e.from(),
                    e.to(),
                    false,
                    Math.rint(first / PERCENT_OF_A_POINT),
                    Math.rint(second / PERCENT_OF_A_POINT),
                    0,
                    10);
            return new Target.Effort(ends[0], ends[1]);
        }
        throw new IllegalArgumentException((target instanceof Target.Rest ? "a rest" : "an open step")
                + " has no target to move: write one, such as 65%");
    }

    private static Target absolute(Target.Absolute a, double first, double second) {
        if (!Double.isFinite(first) || !Double.isFinite(second))
            throw new IllegalArgumentException("the threshold is not known, so this target can only be written");
        if (a.basis() == Basis.PACE) {
            double[] ends = ends(a.from(), a.to(), a.ramp(), first, second, 0.4, 11);
            return new Target.Absolute(wholePace(ends[0]), wholePace(ends[1]), a.ramp(), a.basis());
        }
        double[] ends = ends(
                a.from(),
                a.to(),
                a.ramp(),
                Math.rint(first),
                Math.rint(second),
                a.basis() == Basis.HEART_RATE ? 40 : 1,
                a.basis() == Basis.HEART_RATE ? 240 : 2500);
        return new Target.Absolute(ends[0], ends[1], a.ramp(), a.basis());
    }

    private static double wholePace(double metresPerSecond) {
        return 1000.0 / Math.rint(1000 / metresPerSecond);
    }

    private static double[] ends(
            double from, double to, boolean ramp, double first, double second, double least, double most) {
        if (from == to && !ramp) {
            double value = within(from + (Math.abs(first) > Math.abs(second) ? first : second), least, most);
            return new double[] {value, value};
        }
        double low = within(from + first, least, most);
        double high = within(to + second, least, most);
        if (ramp || low <= high) return new double[] {low, high};
        return first == 0 ? new double[] {low, low} : new double[] {high, high};
    }

    private static double within(double value, double least, double most) {
        return Math.max(least, Math.min(most, value));
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
