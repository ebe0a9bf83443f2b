package pemblar.app.workout;

import java.util.Set;

/**
 * A workout of the library with what it takes for one athlete.
 *
 * @param seconds, load null when a threshold is missing
 * @param drawn the paths of its drawing in a box of 240 by 60, one for each zone
 * @param trains durations of the power profile that its steps train
 * @param foundBy words for what it is for and for its zones, lower case
 */
public record Shelf(
        Shelved kept, Integer seconds, Double load, String drawn, Set<Integer> trains, Set<String> foundBy) {}
