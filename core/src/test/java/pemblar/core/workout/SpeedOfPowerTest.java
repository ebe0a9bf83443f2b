package pemblar.core.workout;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Quantity;
import pemblar.core.threshold.Thresholds;
import pemblar.core.workout.SpeedOfPower.Ride;

class SpeedOfPowerTest {
    /** Speed 8 m/s at 200 W, rising with the power of 0.4. */
    private static List<Ride> rides(int count) {
        List<Ride> rides = new ArrayList<>();
        for (int i = 0; i < count; i++) rides.add(new Ride(150 + 10 * i, 8 * Math.pow((150 + 10.0 * i) / 200, 0.4)));
        return rides;
    }

    @Test
    void theRelationOfTheRidesIsFound() {
        SpeedOfPower relation = SpeedOfPower.of(rides(10)).orElseThrow();
        assertEquals(0.4, relation.slope(), 1e-9);
        assertEquals(8, relation.at(200), 1e-9);
        assertEquals(0, relation.deviation(), 1e-6);
    }

    @Test
    void tooFewOrTooAlikeRidesGiveNone() {
        assertEquals(Optional.empty(), SpeedOfPower.of(rides(7)));
        List<Ride> alike = new ArrayList<>();
        for (int i = 0; i < 20; i++) alike.add(new Ride(180 + i % 3, 7 + 0.1 * i));
        assertEquals(Optional.empty(), SpeedOfPower.of(alike));
        List<Ride> downhill = rides(10).stream()
                .map(r -> new Ride(r.watts(), 20 - r.metresPerSecond()))
                .toList();
        assertEquals(Optional.empty(), SpeedOfPower.of(downhill));
    }

    @Test
    void theDistanceIsTheSumOverTheSteps() {
        Thresholds rider = Thresholds.NONE.with(Quantity.THRESHOLD_POWER, 200);
        SpeedOfPower relation = SpeedOfPower.of(rides(10)).orElseThrow();
        // 600 s at 200 W and 8 m/s is 4.8 km; 2 km are 2 km
        var steps = Plan.resolve(
                Shorthand.read("10min 100%, 2km 60%", Sport.RIDE).workout().orElseThrow(), rider);
        assertEquals(6800, relation.metres(steps, 200).orElseThrow(), 1e-6);
        var open = Plan.resolve(
                Shorthand.read("10min 100%, lap open", Sport.RIDE).workout().orElseThrow(), rider);
        assertTrue(relation.metres(open, 200).isEmpty());
    }
}
