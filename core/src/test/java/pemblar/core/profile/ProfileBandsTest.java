package pemblar.core.profile;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import pemblar.core.threshold.Sex;

class ProfileBandsTest {
    private static ProfileBands bands() {
        TreeMap<Integer, List<Double>> men = new TreeMap<>();
        TreeMap<Integer, List<Double>> women = new TreeMap<>();
        for (int seconds : ProfileBands.SECONDS) {
            men.put(seconds, List.of(2.0, 4.0));
            women.put(seconds, List.of(1.0, 3.0));
        }
        return new ProfileBands(List.of("low", "middle", "high"), Map.of(Sex.MALE, men, Sex.FEMALE, women));
    }

    @Test
    void theLevelIsThePlaceBetweenTheFloors() {
        List<Double> floors = List.of(2.0, 4.0);
        assertEquals(0.5, ProfileBands.level(floors, 1), 1e-9);
        assertEquals(1, ProfileBands.level(floors, 2), 1e-9);
        assertEquals(1.5, ProfileBands.level(floors, 3), 1e-9);
        assertEquals(2.5, ProfileBands.level(floors, 5), 1e-9);
    }

    @Test
    void withoutASexTheMeanOfBothCounts() {
        assertEquals(List.of(1.5, 3.5), bands().floors(Sex.NOT_GIVEN, 300));
    }

    @Test
    void theWeakestIsTheLowestOfWhatIsTested() {
        var rungs = bands().profile(Sex.MALE, Map.of(5, 5.0, 60, 1.0, 300, 3.0, 1200, 2.5), List.of(60));
        assertEquals(1200, ProfileBands.weakest(rungs).orElseThrow().seconds());
        assertEquals(Optional.empty(), rungs.get(1).level());
        assertTrue(!rungs.get(4).tested() && rungs.get(4).wattsPerKilogram().isEmpty());
    }

    @Test
    void oneTestedDurationHasNothingToBeWeakerThan() {
        assertEquals(Optional.empty(), ProfileBands.weakest(bands().profile(Sex.MALE, Map.of(5, 5.0), List.of())));
    }

    @Test
    void floorsMustRise() {
        TreeMap<Integer, List<Double>> rows = new TreeMap<>(Map.of(5, List.of(4.0, 4.0)));
        assertThrows(
                IllegalArgumentException.class, () -> new ProfileBands(List.of("a", "b", "c"), Map.of(Sex.MALE, rows)));
    }
}
