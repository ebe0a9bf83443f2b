package pemblar.app.workout;

import java.util.List;

/** The workouts that ship, for tests of other areas. */
public final class ShippedShelf {
    private ShippedShelf() {}

    public static List<Shelved> all() {
        return ShippedWorkouts.ALL;
    }
}
