package pemblar.app.workout;

import java.util.List;
import pemblar.core.workout.Workout;

/**
 * A workout of the library.
 *
 * @param id negative for one that ships
 * @param version rises with every change of its steps
 */
public record Shelved(
        long id,
        String title,
        Workout workout,
        String folder,
        List<String> tags,
        Origin origin,
        boolean shared,
        boolean archived,
        int version) {
    /** Whose a workout is. */
    public enum Origin {
        OWN,
        COACH,
        SHIPPED
    }

    public boolean isOwn() {
        return origin == Origin.OWN;
    }
}
