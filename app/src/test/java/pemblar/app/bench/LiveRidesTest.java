package pemblar.app.bench;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import java.time.Instant;
import java.time.InstantSource;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.concurrent.atomic.AtomicReference;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import pemblar.benchunit.Body;
import pemblar.benchunit.LiveUnit;
import pemblar.core.recording.Recording;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Quantity;
import pemblar.core.threshold.Thresholds;
import pemblar.core.workout.Shorthand;
import pemblar.formats.RecordingFiles;
import pemblar.formats.fit.FitWorkouts;

class LiveRidesTest {
    private static final Instant START = Instant.parse("2026-05-04T15:00:00Z");
    private final InstantSource clock = mock(InstantSource.class);
    private final LiveRides rides = new LiveRides(clock);
    private long now = 1_000_000;

    @BeforeEach
    void start() {
        passes(0);
        byte[] file = FitWorkouts.of(
                        "Test",
                        Shorthand.read("10min 50%, 5min 100%", Sport.RIDE)
                                .workout()
                                .orElseThrow(),
                        Thresholds.NONE.with(Quantity.THRESHOLD_POWER, 250))
                .write(1, START);
        rides.start(
                1,
                7,
                LiveUnit.load(file, new Body(Sport.RIDE, 250, 20_000, 4, 50, 188, 70), new Random(1), 0),
                START,
                20);
    }

    private void passes(long millis) {
        now += millis;
        when(clock.millis()).thenReturn(now);
    }

    private LiveRides.State state() {
        return rides.state(1, 7).orElseThrow();
    }

    @Test
    void theUnitLivesByTheClockTimesItsSpeed() {
        passes(3000);
        assertEquals(60, state().view().second());
        passes(25); // half a second of the unit is carried on, not lost
        assertEquals(60, state().view().second());
        passes(25);
        assertEquals(61, state().view().second());
        rides.key(1, 7, "x60");
        passes(1000);
        assertEquals(121, state().view().second());
        assertEquals(60, rides.key(1, 7, "x99").orElseThrow().speed());
    }

    @Test
    void aPauseStandsInTheFileWithItsLength() {
        passes(3000);
        rides.key(1, 7, "pause");
        passes(2000);
        assertEquals(60, state().view().second());
        assertTrue(state().view().paused());
        rides.key(1, 7, "resume");
        passes(1000);
        rides.key(1, 7, "stop");
        Recording recording = RecordingFiles.read(finished().orElseThrow(), Optional.empty())
                .recording()
                .orElseThrow();
        assertEquals(80, recording.seconds());
        assertEquals(120, recording.elapsedSeconds(), 1); // 40 s of the unit's clock stood still
    }

    @Test
    void nobodyElseSeesOrStopsIt() {
        assertEquals(Optional.empty(), rides.state(2, 7));
        assertEquals(Optional.empty(), rides.key(2, 7, "stop"));
        assertEquals(Optional.empty(), rides.state(1, 8));
        assertFalse(state().view().finished());
    }

    @Test
    void aUnitStoppedBeforeItBeganLeavesNothingBehind() {
        rides.key(1, 7, "stop");
        assertEquals(Optional.empty(), finished());
        assertEquals(Optional.empty(), rides.state(1, 7));
    }

    @Test
    void aRideIsKeptUntilItIsDelivered() {
        passes(60_000);
        rides.state(1, 7);
        rides.key(1, 7, "stop");
        assertThrows(
                IllegalStateException.class,
                () -> rides.finish(1, 7, bytes -> {
                    throw new IllegalStateException("the disk is full");
                }));
        assertEquals(List.of(7L), rides.waiting(1));
        assertTrue(finished().isPresent());
        assertEquals(List.of(), rides.waiting(1));
    }

    /** What the unit hands over now. */
    private Optional<byte[]> finished() {
        AtomicReference<byte[]> taken = new AtomicReference<>();
        rides.finish(1, 7, taken::set);
        return Optional.ofNullable(taken.get());
    }

    @Test
    void aFinishedUnitDeliversOnce() {
        assertEquals(Optional.empty(), finished());
        passes(60_000);
        assertTrue(state().view().finished());
        assertTrue(finished().isPresent());
        assertEquals(Optional.empty(), finished());
        assertEquals(Optional.empty(), rides.state(1, 7));
    }
}
