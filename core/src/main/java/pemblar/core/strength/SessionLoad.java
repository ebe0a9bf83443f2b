package pemblar.core.strength;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;

/** What a strength session amounts to. */
public final class SessionLoad {
    private static final double MINUTES_A_SET = 3;
    /** An hour at an effort of 7 is 100 points. */
    private static final double MINUTE_EFFORTS_A_POINT = 4.2;

    private SessionLoad() {}

    /** Points: minutes x effort / 420 x 100; without minutes 3 min a set; empty without an effort. */
    public static OptionalDouble points(OptionalDouble minutes, int sets, OptionalDouble effort) {
        if (effort.isEmpty()) return OptionalDouble.empty();
        return OptionalDouble.of(minutes.orElse(MINUTES_A_SET * sets) * effort.getAsDouble() / MINUTE_EFFORTS_A_POINT);
    }

    /** Load x repetitions, kg, by exercise, in the order in which they were done. */
    public static Map<String, Double> volume(List<LoggedSet> sets) {
        Map<String, Double> volume = new LinkedHashMap<>();
        for (LoggedSet set : sets) volume.merge(set.exercise(), set.loadKilograms() * set.repetitions(), Double::sum);
        return volume;
    }
}
