package pemblar.app.hour;

import java.time.Instant;
import pemblar.core.workout.Workout;

/**
 * An hour of a group.
 *
 * @param accountId of the coach who leads it
 * @param workoutId of the library, in the version that it had then; negative for one that ships
 * @param speed seconds of its clock a second of the wall: above 1 to try it out
 */
record Hour(
        long id,
        long groupId,
        long accountId,
        String title,
        long workoutId,
        int workoutVersion,
        Workout workout,
        Instant startsAt,
        int speed) {}
