package pemblar.core.load;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotEquals;

import java.time.Instant;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import pemblar.core.load.SessionSummary.Part;
import pemblar.core.recording.Recording;
import pemblar.core.recording.Series;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Quantity;
import pemblar.core.threshold.Thresholds;
import pemblar.core.zone.Zones;

class SessionSummaryTest {
    private static final Thresholds BEFORE = Thresholds.NONE
            .with(Quantity.THRESHOLD_POWER, 240)
            .with(Quantity.CRITICAL_POWER, 250)
            .with(Quantity.W_PRIME, 9000)
            .with(Quantity.THRESHOLD_HEART_RATE, 165)
            .with(Quantity.RUNNING_THRESHOLD_HEART_RATE, 170)
            .with(Quantity.RUNNING_THRESHOLD_POWER, 280)
            .with(Quantity.MAXIMUM_HEART_RATE, 188)
            .with(Quantity.RESTING_HEART_RATE, 50)
            .with(Quantity.THRESHOLD_SPEED, 4)
            .with(Quantity.SWIMMING_THRESHOLD_SPEED, 1.1)
            .with(Quantity.BODY_MASS, 70);

    private static Recording recording(Sport sport, int seconds, long seed) {
        Random random = new Random(seed);
        double[] watts = new double[seconds];
        double[] bpm = new double[seconds];
        double[] speed = new double[seconds];
        for (int i = 0; i < seconds; i++) {
            boolean hard = i / 240 % 2 == 1;
            watts[i] = (hard ? 300 : 150) + random.nextInt(60);
            bpm[i] = random.nextInt(40) == 0 ? Double.NaN : (hard ? 160 : 130) + random.nextInt(15);
            speed[i] = (hard ? 4.3 : 3) + random.nextDouble();
        }
        Map<String, Series> channels = new LinkedHashMap<>();
        channels.put("power", Series.of(watts));
        channels.put("heartRate", Series.of(bpm));
        channels.put("speed", Series.of(speed));
        return new Recording(sport, Instant.EPOCH, seconds, List.of(), channels, List.of());
    }

    /** Only the channels that the parts need, as a recomputation reads them. */
    private static Recording only(Recording whole, Set<Part> parts) {
        Set<String> keys = parts.stream().map(p -> p.channel().key()).collect(Collectors.toSet());
        Map<String, Series> channels = whole.channels().entrySet().stream()
                .filter(e -> keys.contains(e.getKey()))
                .collect(Collectors.toMap(Map.Entry::getKey, Map.Entry::getValue));
        return new Recording(whole.sport(), whole.start(), whole.seconds(), whole.pauses(), channels, List.of());
    }

    @ParameterizedTest
    @EnumSource(Quantity.class)
    void aPartialRecomputationGivesWhatAWholeOneGives(Quantity changed) {
        for (Sport sport : Sport.values()) {
            Recording whole = recording(sport, 1500, 7);
            Thresholds after = BEFORE.with(changed, BEFORE.require(changed) * 1.06);
            Set<Part> parts = Part.restingOn(changed);
            SessionSummary partial =
                    SessionSummary.of(whole, BEFORE).again(only(whole, parts), Zones.usual(after), parts);
            assertEquals(SessionSummary.of(whole, after), partial, sport + " " + changed);
        }
    }

    @Test
    void everyThresholdChangesSomething() {
        for (Quantity quantity : Quantity.values()) {
            Sport sport = quantity.sport() == null ? Sport.RIDE : quantity.sport();
            Recording whole = recording(sport, 1500, 3);
            boolean stored = !Part.restingOn(quantity).isEmpty();
            SessionSummary after = SessionSummary.of(whole, BEFORE.with(quantity, BEFORE.require(quantity) * 1.06));
            if (stored) assertNotEquals(SessionSummary.of(whole, BEFORE), after, quantity.name());
            else assertEquals(SessionSummary.of(whole, BEFORE), after, quantity.name());
        }
    }

    @Property(tries = 20)
    void theLeastCriticalPowerKeepsTheReserveAtZero(@ForAll long seed) {
        Recording ride = recording(Sport.RIDE, 1500, seed);
        SessionSummary summary = SessionSummary.of(ride, BEFORE);
        double least = summary.leastCriticalWatts().orElseThrow();
        assertEquals(
                0,
                SessionSummary.of(ride, BEFORE.with(Quantity.CRITICAL_POWER, least))
                        .lowestReserve()
                        .orElseThrow()
                        .joules(),
                20);
        assertEquals(
                java.util.OptionalDouble.empty(),
                SessionSummary.of(ride, BEFORE.with(Quantity.CRITICAL_POWER, least + 0.1))
                        .leastCriticalWatts());
    }

    @Test
    void recomputingNothingKeepsEverything() {
        SessionSummary summary = SessionSummary.of(recording(Sport.RIDE, 900, 1), BEFORE);
        assertEquals(
                summary,
                summary.again(
                        only(recording(Sport.RIDE, 900, 1), EnumSet.noneOf(Part.class)),
                        Zones.usual(BEFORE),
                        EnumSet.noneOf(Part.class)));
    }
}
