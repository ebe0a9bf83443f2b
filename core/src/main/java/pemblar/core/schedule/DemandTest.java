package pemblar.core.schedule;

import pemblar.core.sport.Sport;
import pemblar.core.workout.Shorthand;
import pemblar.core.workout.Workout;

/**
 * The session that finds out what nobody has tried: one effort of a length, all-out, fresh or after hours of steady
 * work. By feel alone, so that it needs no threshold: that is what it is for.
 */
public final class DemandTest {
    private static final int MOST_SECONDS = 2 * 3600;
    private static final int MOST_BEFORE = 6 * 3600;

    private DemandTest() {}

    /**
     * @param seconds of the effort
     * @param before seconds of steady work that come first; 0: fresh
     * @throws IllegalArgumentException with a sentence when that is no test
     */
    public static Workout of(Sport sport, int seconds, int before) {
        if (seconds < 5 || seconds > MOST_SECONDS)
            throw new IllegalArgumentException(
                    "An effort of 5 s to 2 h can be tested; what is longer shows itself in an event.");
        if (before < 0 || before > MOST_BEFORE)
            throw new IllegalArgumentException("At most 6 h of work before it can be planned.");
        String steady = before == 0 ? "" : rounded(before) + "s rpe 4 \"steady\"\n";
        String text = "warm-up: 12min rpe 3\n2 x (30s rpe 7, 90s rpe 2)\n" + steady + "4min rpe 2\n" + seconds
                + "s rpe 10 \"all-out, as even as you can\"\ncool-down: 10min rpe 2";
        return Shorthand.read(text, sport)
                .workout()
                .orElseThrow(() -> new IllegalArgumentException("This test cannot be written for this sport."));
    }

    private static int rounded(int seconds) {
        return Math.max(300, Math.round(seconds / 300f) * 300);
    }
}
