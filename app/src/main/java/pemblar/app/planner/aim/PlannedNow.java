package pemblar.app.planner.aim;

import pemblar.core.season.Season.Outcome;

/**
 * What is planned now beside what could be planned, on the morning of the A event, with what to do about it. Sessions
 * count in place of the target of the block they lie in, so that a season planned anew changes nothing where they lie.
 *
 * @param chronic on that morning with the sessions on the board
 * @param byTargets with the blocks' targets alone, from the first block that can be planned anew
 * @param sessions there are some on the board from there on, up to that morning
 */
public record PlannedNow(double chronic, double byTargets, boolean sessions) {
    /** Points of chronic load; less is not worth a sentence. */
    private static final double WORTH_SAYING = 1.5;

    /** Follows the sentence on whether the aim can be met; for a plan that does not come to what can be reached. */
    public String sentence(Outcome outcome) {
        String comes = " What is planned now comes to " + Math.round(chronic);
        double aim = outcome.aim().value();
        if (Math.abs(chronic - aim) > Math.abs(outcome.reached() - aim)) return comes + nearer(outcome);
        return comes + ", which blocks within the limits do not reach: "
                + (differ(chronic, byTargets) ? "scale or drop sessions" : "lower a target") + ", or raise a limit.";
    }

    private String nearer(Outcome outcome) {
        if (!sessions) return "; plan the season anew to come nearer.";
        String fit = chronic < outcome.reached()
                ? "scale them up, or put more on the board."
                : "scale them down, or drop some.";
        if (differ(byTargets, outcome.reached()))
            return ". Sessions on the board count in place of what their blocks ask: plan the season anew, then " + fit;
        return ": the sessions on the board count in place of what their blocks ask, with which it would be "
                + Math.round(byTargets) + ". To come nearer, " + fit;
    }

    /** More than what is not worth a sentence. */
    public static boolean differ(double one, double other) {
        return Math.abs(one - other) > WORTH_SAYING;
    }
}
