package pemblar.app.workout;

import java.util.List;
import java.util.Set;

/**
 * A workout of the library with what it takes for one athlete.
 *
 * @param seconds, load null when a threshold is missing
 * @param parts its drawing in a box of 240 by 60, one path for each zone
 * @param trains durations of the power profile that its steps train
 * @param foundBy words for what it is for and for its zones, lower case
 */
public record Shelf(
        Shelved kept, Integer seconds, Double load, List<Part> parts, Set<Integer> trains, Set<String> foundBy) {
    /** All steps of one zone. */
    public record Part(int zone, String path) {}
}
