package pemblar.app.workout;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertSame;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Quantity;
import pemblar.core.threshold.Thresholds;
import pemblar.core.workout.Forecast;
import pemblar.core.workout.Shorthand;
import pemblar.core.workout.ShorthandText;
import pemblar.core.zone.Zones;

@Tag("unit")
class ShippedWorkoutsTest {
    private static final Zones ATHLETE = Zones.usual(Thresholds.NONE
            .with(Quantity.THRESHOLD_POWER, 250)
            .with(Quantity.CRITICAL_POWER, 256)
            .with(Quantity.W_PRIME, 20_000)
            .with(Quantity.THRESHOLD_SPEED, 4)
            .with(Quantity.SWIMMING_THRESHOLD_SPEED, 1.1)
            .with(Quantity.THRESHOLD_HEART_RATE, 170)
            .with(Quantity.MAXIMUM_HEART_RATE, 188)
            .with(Quantity.RESTING_HEART_RATE, 50));

    @Test
    void thereAreAboutFortyForBothSportsAndEveryPurpose() {
        assertTrue(ShippedWorkouts.ALL.size() >= 40);
        for (Sport sport : List.of(Sport.RIDE, Sport.RUN)) {
            Set<String> folders = ShippedWorkouts.ALL.stream()
                    .filter(w -> w.workout().sport() == sport)
                    .map(Shelved::folder)
                    .collect(Collectors.toSet());
            assertTrue(
                    folders.containsAll(Set.of(
                            "Recovery",
                            "Endurance",
                            "Tempo",
                            "Threshold",
                            "Over-under",
                            "Hills",
                            "Short intervals",
                            "Sprints",
                            "Tests",
                            "Pre-race")),
                    sport + " " + folders);
        }
        assertEquals(
                ShippedWorkouts.ALL.size(),
                ShippedWorkouts.ALL.stream().map(Shelved::title).distinct().count());
        assertEquals(-1, ShippedWorkouts.ALL.get(0).id());
    }

    @Test
    void eachReadsBackTheSameAndCanBeDone() {
        for (Shelved w : ShippedWorkouts.ALL) {
            assertEquals(
                    w.workout(),
                    Shorthand.read(
                                    ShorthandText.of(w.workout()),
                                    w.workout().sport(),
                                    w.workout().basis())
                            .workout()
                            .orElseThrow(),
                    w.title());
            Forecast forecast = Forecast.of(w.workout(), ATHLETE);
            assertTrue(forecast.load().orElse(0) > 5 && forecast.load().orElse(999) < 250, w.title());
            boolean test = w.folder().equals("Tests");
            forecast.lowestReserve()
                    .ifPresent(lowest -> assertTrue(
                            test || lowest.joules() >= 0, w.title() + " drives the reserve to " + lowest.joules()));
        }
    }

    @Test
    void aShelfIsWorkedOutOnceForTheSameValues() {
        Shelves shelves = new Shelves();
        Shelf first = shelves.of(ShippedWorkouts.ALL.get(3), ATHLETE);
        assertSame(
                first.drawn(), shelves.of(ShippedWorkouts.ALL.get(3), ATHLETE).drawn());
        Shelf stronger = shelves.of(
                ShippedWorkouts.ALL.get(3), Zones.usual(ATHLETE.thresholds().with(Quantity.THRESHOLD_POWER, 300)));
        assertEquals(first.load(), stronger.load(), 1e-9, "percent of threshold cost the same");
        assertEquals(
                null,
                shelves.of(ShippedWorkouts.ALL.get(3), Zones.usual(Thresholds.NONE))
                        .seconds());
        assertTrue(first.drawn().matches("(<path d=\"M[^\"]+\" class=\"z\\d\"/>)+"), first.drawn());
    }
}
