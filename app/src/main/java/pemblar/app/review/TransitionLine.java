package pemblar.app.review;

import pemblar.app.frame.page.Shown;
import pemblar.core.matching.Transitions.Transition;
import pemblar.core.sport.Sport;
import pemblar.core.workout.Basis;

/** What happens where one step of a repetition goes over into the next, in words. @param from second that it shows */
public record TransitionLine(String text, int from, int to) {
    private static final int HALF_SECONDS = 5;

    static TransitionLine of(Transition transition, Sport sport, Shown shown) {
        String lowest = transition.basis() == Basis.PACE
                ? shown.speed(sport, transition.lowest())
                : shown.watts(transition.lowest());
        return new TransitionLine(
                transition.repetition() + ": " + lowest + " (" + (transition.share() < 0 ? "−" : "+")
                        + Math.round(100 * Math.abs(transition.share())) + " %)",
                Math.max(0, transition.at() - HALF_SECONDS),
                transition.at() + HALF_SECONDS);
    }
}
