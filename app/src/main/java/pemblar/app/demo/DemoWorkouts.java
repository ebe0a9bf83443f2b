package pemblar.app.demo;

import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.Map;
import pemblar.core.sport.Sport;
import pemblar.core.workout.Shorthand;
import pemblar.core.workout.Workout;

/** The workouts of the demo scenario, in shorthand. */
final class DemoWorkouts {
    private static final Map<Sport, Map<String, Workout>> SHELVES = new EnumMap<>(Sport.class);

    private DemoWorkouts() {}

    static {
        ride("Easy spin", "50min 50-60%");
        ride("Steady valley road", "10min 45>65%, 80min 66-72% 85-95rpm, 10min 60>45%");
        ride("Long, firm at the end", "20min 45>65%, 2h10min 65-70%, 30min 82-88% \"eat before this\", 10min 55>45%");
        ride(
                "Five by four, hard",
                "warm-up: 15min 45>70%\n5 x (4min 105-110% 90+rpm, 4min 50%)\ncool-down: 10min 60>45%");
        ride("Two by twenty", "warm-up: 15min 45>70%\n2 x (20min 92-97%, 6min 50%)\ncool-down: 10min 60>45%");
        ride(
                "Over and under",
                "warm-up: 15min 45>70%\n3 x (3 x (2min 95%, 1min 106%), 5min 50%)\ncool-down: 10min 60>45%");
        ride(
                "Seated and standing",
                "warm-up: 15min 45>70%\n6 x (90s 92% 60-75rpm seated, 30s 118% 75+rpm standing \"hands "
                        + "light\", 3min 50%)\ncool-down: 10min 60>45%");
        ride("Sprints in endurance", "30min 60-65%, 6 x (12s 280%, 4min48s 60%), 20min 60-65%");
        ride("Race ride", "20min 45>75%, 55min 97-102% \"hold back for the first ten minutes\", 10min 55>40%");
        ride(
                "Two all-out efforts",
                "20min 50>75%, 3min 143% \"all-out\", 25min 50%, 12min 111% \"all-out\", 10min 50%");
        ride("Twenty minutes all-out", "20min 50>75%, 20min 107% \"all-out, evenly\", 15min 50%");
        run("Half-hour trial", "15min z1-2, 30min 105-107% \"alone, and even\", 10min z1");
        run("Race run", "15min z1-2, 10km 99-102% \"even splits\", 10min z1");
        run("Easy loop", "45min z1-2");
        run("Strides", "35min z1-2, 6 x (20s 120%, 70s z1), 5min z1");
        run("Long run with changes", "40min z2, 3 x (10min 92-96%, 4min z2), 15min z1");
        run("Eight hundreds", "warm-up: 15min z1-2\n6 x (800m 103-107%, 400m z1)\ncool-down: 10min z1");
        run("Threshold blocks", "warm-up: 15min z1-2\n3 x (8min 98-101%, 3min z1)\ncool-down: 10min z1");
        run("Steady by heart", "10min z1, 40min 84-89%hr, 5min z1");
        swim("Hundreds, even", "warm-up: 400m z1\n10 x (100m 98-101%, 20s rest)\ncool-down: 200m z1");
        swim("Four hundreds", "warm-up: 300m z1\n4 x (400m 93-96%, 40s rest)\ncool-down: 200m z1");
        swim("Easy lengths", "400m z1, 8 x (150m z1-2, 15s rest), 200m z1");
    }

    /** The folder of the demo's library. */
    static String folder(String title) {
        if (title.startsWith("Race")) return "Races";
        return title.contains("all-out") || title.contains("trial")
                ? "Tests"
                : title.startsWith("Easy") || title.startsWith("Steady") || title.startsWith("Long")
                        ? "Base"
                        : "Hard days";
    }

    /** All of a sport by title, in their order. */
    static Map<String, Workout> of(Sport sport) {
        return SHELVES.getOrDefault(sport, Map.of());
    }

    static Workout named(String title) {
        return SHELVES.values().stream()
                .filter(shelf -> shelf.containsKey(title))
                .map(shelf -> shelf.get(title))
                .findFirst()
                .orElseThrow();
    }

    private static void ride(String title, String text) {
        shelve(Sport.RIDE, title, text);
    }

    private static void run(String title, String text) {
        shelve(Sport.RUN, title, text);
    }

    private static void swim(String title, String text) {
        shelve(Sport.SWIM, title, text);
    }

    private static void shelve(Sport sport, String title, String text) {
        SHELVES.computeIfAbsent(sport, s -> new LinkedHashMap<>())
                .put(title, Shorthand.read(text, sport).workout().orElseThrow());
    }
}
