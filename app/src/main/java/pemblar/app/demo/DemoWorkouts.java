package pemblar.app.demo;

import java.util.LinkedHashMap;
import java.util.Map;
import pemblar.core.Sport;
import pemblar.core.workout.Shorthand;
import pemblar.core.workout.Workout;

/** The workouts of the demo scenario, in shorthand. */
final class DemoWorkouts {
    static final Map<String, Workout> RIDES = new LinkedHashMap<>();
    static final Map<String, Workout> RUNS = new LinkedHashMap<>();

    private DemoWorkouts() {}

    static {
        ride("Easy spin", "50min 50-60%");
        ride("Steady valley road", "10min 45>65%, 80min 66-72% 85-95rpm, 10min 60>45%");
        ride("Long, firm at the end", "20min 45>65%, 2h10min 65-70%, 30min 82-88% \"eat before this\", 10min 55>45%");
        ride("Five by four, hard", "warm-up: 15min 45>70%\n5 x (4min 105-110% 90+rpm, 4min 50%)\ncool-down: 10min 60>45%");
        ride("Two by twenty", "warm-up: 15min 45>70%\n2 x (20min 92-97%, 6min 50%)\ncool-down: 10min 60>45%");
        ride("Over and under", "warm-up: 15min 45>70%\n3 x (3 x (2min 95%, 1min 106%), 5min 50%)\ncool-down: 10min 60>45%");
        ride("Seated and standing", "warm-up: 15min 45>70%\n6 x (90s 92% 60-75rpm seated, 30s 118% 75+rpm standing \"hands light\", 3min 50%)\ncool-down: 10min 60>45%");
        ride("Sprints in endurance", "30min 60-65%, 6 x (12s 280%, 4min48s 60%), 20min 60-65%");
        ride("Race ride", "20min 45>75%, 55min 97-102% \"hold back for the first ten minutes\", 10min 55>40%");
        ride("Two all-out efforts", "20min 50>75%, 3min 143% \"all-out\", 25min 50%, 12min 111% \"all-out\", 10min 50%");
        ride("Twenty minutes all-out", "20min 50>75%, 20min 107% \"all-out, evenly\", 15min 50%");
        run("Half-hour trial", "15min z1-2, 30min 105-107% \"alone, and even\", 10min z1");
        run("Race run", "15min z1-2, 10km 99-102% \"even splits\", 10min z1");
        run("Easy loop", "45min z1-2");
        run("Strides", "35min z1-2, 6 x (20s 120%, 70s z1), 5min z1");
        run("Long run with changes", "40min z2, 3 x (10min 92-96%, 4min z2), 15min z1");
        run("Eight hundreds", "warm-up: 15min z1-2\n6 x (800m 103-107%, 400m z1)\ncool-down: 10min z1");
        run("Threshold blocks", "warm-up: 15min z1-2\n3 x (8min 98-101%, 3min z1)\ncool-down: 10min z1");
        run("Steady by heart", "10min z1, 40min 84-89%hr, 5min z1");
    }

    /** The folder of the demo's library. */
    static String folder(String title) {
        if (title.startsWith("Race")) return "Races";
        return title.contains("all-out") || title.contains("trial") ? "Tests" : title.startsWith("Easy") || title.startsWith("Steady") || title.startsWith("Long") ? "Base" : "Hard days";
    }

    private static void ride(String title, String text) {
        RIDES.put(title, Shorthand.read(text, Sport.RIDE).workout().orElseThrow());
    }

    private static void run(String title, String text) {
        RUNS.put(title, Shorthand.read(text, Sport.RUN).workout().orElseThrow());
    }
}
