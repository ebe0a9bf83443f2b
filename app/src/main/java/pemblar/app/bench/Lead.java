package pemblar.app.bench;

import java.time.Instant;
import java.util.List;
import pemblar.core.workout.SharedClock;

/**
 * A group by whose clock a unit goes.
 *
 * @param startMillis of the wall at which the clock is at 0; {@code speed} its seconds a second
 * @param events what the coach changed, in order
 * @param cue the coach's last word, while it is fresh; else empty
 */
public record Lead(SharedClock clock, long startMillis, int speed, List<SharedClock.Event> events, String cue) {
    private static final int MILLIS = 1000;

    /** Second of the clock at a moment; below 0 before the start. */
    public int second(long millis) {
        long second = Math.floorDiv((millis - startMillis) * speed, MILLIS);
        return (int) Math.max(Integer.MIN_VALUE, Math.min(Integer.MAX_VALUE, second));
    }

    SharedClock.At at(int second) {
        return clock.at(second, events);
    }

    /** When the clock shows a second, as the recording of a unit that began at it says. */
    Instant instant(int second) {
        return Instant.ofEpochMilli(startMillis).plusSeconds(Math.max(0, second));
    }
}
