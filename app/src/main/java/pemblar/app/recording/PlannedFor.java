package pemblar.app.recording;

import java.util.Optional;
import pemblar.core.load.SessionLoad;
import pemblar.core.workout.Workout;

/** What was planned for a recording; whoever keeps the plan knows. */
public interface PlannedFor {
    /** Empty when the recording belongs to nothing planned. */
    Optional<Plan> recording(long recordingId);

    /** @param load points; null when they are not known, as the seconds @param workout its steps; null without */
    record Plan(Double load, Integer seconds, Workout workout) {
        /** Planned load times the part that was done; null when the plan says none. */
        Double points(int doneSeconds) {
            return load == null || seconds == null || seconds <= 0
                    ? null
                    : (Double) SessionLoad.ofPlan(load, seconds, doneSeconds);
        }
    }
}
