package pemblar.app.workout;

import java.util.EnumMap;
import java.util.Map;
import pemblar.core.sport.Sport;

/** What stands in an empty designer, to be written over: a workout of the sport that shows its targets. */
final class Examples {
    private static final Map<Sport, String> TEXTS = new EnumMap<>(Map.of(
            Sport.RIDE, "warm-up: 15min 45>65%\n5 x (4min 105-110%, 4min 50%)\ncool-down: 10min 60>45%",
            Sport.RUN, "warm-up: 12min z1-2\n6 x (800m 102%, 400m z1)\ncool-down: 10min z1",
            Sport.SWIM, "warm-up: 400m z1\n8 x (100m z4, 20s rest)\ncool-down: 200m z1"));
    private static final String BY_HEART = "warm-up: 12min rpe 3\n4 x (6min z3, 3min rpe 2)\ncool-down: 10min rpe 2";

    private Examples() {}

    static String of(Sport sport) {
        return TEXTS.getOrDefault(sport, BY_HEART);
    }
}
