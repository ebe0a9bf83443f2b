package pemblar.app.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import pemblar.app.bench.Ride.Pressed;
import pemblar.benchunit.Body;
import pemblar.benchunit.LiveUnit;
import pemblar.core.recording.Recording;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Quantity;
import pemblar.core.threshold.Thresholds;
import pemblar.core.workout.SharedClock;
import pemblar.core.workout.SharedClock.Event;
import pemblar.core.workout.SharedClock.Kind;
import pemblar.core.workout.Shorthand;
import pemblar.core.workout.Workout;
import pemblar.formats.RecordingFiles;
import pemblar.formats.fit.FitWorkouts;

@Tag("unit")
class RunningUnitTest {
    private static final Instant START = Instant.parse("2026-05-04T15:00:00Z");
    private static final long NOW = START.toEpochMilli();
    private static final Workout WORKOUT = workout("10min 50%, 5min 100%");
    private static final Workout SETS = workout("10min 55%, 4x(4min 105%, 3min 50%), 10min 45%");
    private final List<Pressed> keys = new ArrayList<>();

    private static Workout workout(String shorthand) {
        return Shorthand.read(shorthand, Sport.RIDE).workout().orElseThrow();
    }

    private static Ride ride(Workout workout, long startedMillis, int speed, double threshold) {
        byte[] file = FitWorkouts.of("Test", workout, Thresholds.NONE.with(Quantity.THRESHOLD_POWER, threshold))
                .write(1, START);
        Body body = new Body(Sport.RIDE, threshold, 20_000, 4, 50, 188, 70);
        return new Ride(7, 1, 1, null, file, body, null, START, startedMillis, speed);
    }

    private static RunningUnit alone() {
        return new RunningUnit(ride(WORKOUT, NOW, 20, 250), null);
    }

    private void press(long after, String key) {
        keys.add(new Pressed(keys.size() + 1, NOW + after, key));
    }

    private LiveUnit.View view(RunningUnit unit, long after) {
        return unit.to(NOW + after, keys).state().view();
    }

    private static Recording recording(RunningUnit unit) {
        return RecordingFiles.read(unit.activity(), Optional.empty())
                .recording()
                .orElseThrow();
    }

    @Test
    void theUnitLivesByTheClockTimesItsSpeed() {
        RunningUnit unit = alone();
        assertThat(view(unit, 3000).second()).isEqualTo(60);
        assertThat(view(unit, 3025).second()).isEqualTo(60); // half a second of the unit is carried on, not lost
        assertThat(view(unit, 3050).second()).isEqualTo(61);
        press(3050, "x60");
        assertThat(view(unit, 4050).second()).isEqualTo(121);
        press(4050, "x99");
        unit.to(NOW + 4050, keys);
        assertThat(unit.state().speed()).isEqualTo(60);
    }

    @Test
    void aPauseStandsInTheFileWithItsLength() {
        RunningUnit unit = alone();
        press(3000, "pause");
        LiveUnit.View paused = view(unit, 5000);
        assertThat(paused.second()).isEqualTo(60);
        assertThat(paused.paused()).isTrue();
        press(5000, "resume");
        press(6000, "stop");
        view(unit, 6000);
        Recording recording = recording(unit);
        assertThat(recording.seconds()).isEqualTo(80);
        assertThat(recording.elapsedSeconds()).isBetween(119.0, 121.0); // 40 s of the unit's clock stood still
    }

    /** Whoever brings it up, however often: any node comes to the same second, watt and file. */
    @Test
    void everyWayThroughTimeLeadsToTheSameRecording() {
        for (int seed = 0; seed < 60; seed++) {
            Random random = new Random(seed);
            keys.clear();
            String[] all = {"lap", "skip", "up", "down", "athlete", "pause", "resume", "x5", "x60", "p300"};
            long at = 0;
            for (int i = 0; i < 8; i++) press(at += random.nextInt(4000), all[random.nextInt(all.length)]);
            RunningUnit once = alone();
            RunningUnit often = alone();
            for (long t = 0; t < at + 5000; t += 1 + random.nextInt(700)) {
                long moment = t;
                List<Pressed> known =
                        keys.stream().filter(k -> k.atMillis() <= NOW + moment).toList();
                assertThat(often.isBehind(known, null)).isFalse();
                often.to(NOW + moment, known);
            }
            press(at + 5000, "stop");
            if (view(once, at + 5000).second() == 0) continue;
            assertThat(view(often, at + 5000)).isEqualTo(view(once, at + 5000));
            assertThat(often.activity()).isEqualTo(once.activity());
        }
    }

    @Test
    void aKeyThatCameThroughAnotherNodeLateIsNoticed() {
        RunningUnit unit = alone();
        view(unit, 5000);
        press(4000, "pause");
        assertThat(unit.isBehind(keys, null)).isTrue();
        assertThat(view(alone(), 5000).second()).isEqualTo(80);
    }

    private static Lead lead(int speed, Event... events) {
        return new Lead(new SharedClock(SETS), NOW, speed, List.of(events), "");
    }

    @Test
    void allAreAtTheSameStepEachWithTheirOwnWatts() {
        Lead lead = lead(1);
        RunningUnit early = new RunningUnit(ride(SETS, NOW - 30_000, 1, 250), lead);
        RunningUnit late = new RunningUnit(ride(SETS, NOW + 700_000, 1, 200), lead);
        LiveUnit.View one = view(early, 720_000);
        LiveUnit.View other = view(late, 720_000);
        assertThat(one.number()).isEqualTo(2);
        assertThat(other.number()).isEqualTo(2);
        assertThat(one.toGo()).isEqualTo(120).isEqualTo(other.toGo());
        assertThat(250 * 1.05).isBetween(one.low(), one.high());
        assertThat(200 * 1.05).isBetween(other.low(), other.high());
        assertThat(other.high()).isLessThan(one.low());
        assertThat(other.second()).isEqualTo(20); // recorded is only what was ridden
        view(late, 3_000_000);
        assertThat(late.isFinished()).isTrue();
        assertThat(recording(late).start()).isEqualTo(START.plusSeconds(700));
        assertThat(recording(late).seconds()).isEqualTo(2880 - 700);
    }

    @Test
    void beforeItBeginsAUnitWaits() {
        RunningUnit unit = new RunningUnit(ride(SETS, NOW - 90_000, 1, 250), lead(1));
        unit.to(NOW - 40_000, keys);
        assertThat(unit.state().led().waits()).isEqualTo(40);
        assertThat(unit.seconds()).isZero();
        assertThat(view(unit, 10_000).second()).isEqualTo(10);
    }

    @Test
    void whoLeavesForAWhileComesBackToTheGroup() {
        RunningUnit unit = new RunningUnit(ride(SETS, NOW, 1, 250), lead(1));
        press(500_000, "pause");
        press(1_100_000, "resume");
        LiveUnit.View back = view(unit, 1_100_010);
        assertThat(back.number()).isEqualTo(4); // the second repetition: 10 min, 4 min, 3 min are over
        assertThat(back.toGo()).isEqualTo(600 + 420 + 240 - 1100);
        assertThat(view(unit, 1_200_000).second()).isEqualTo(600);
        view(unit, 3_000_000);
        assertThat(recording(unit).elapsedSeconds()).isBetween(2879.0, 2881.0);
    }

    @Test
    void whatTheCoachDoesHoldsForAUnitThatLivedPastIt() {
        RunningUnit unit = new RunningUnit(ride(SETS, NOW, 1, 250), lead(1));
        view(unit, 900_000);
        Lead longer = lead(1, new Event(850, Kind.LONGER, 30));
        assertThat(unit.isBehind(keys, longer)).isTrue();
        assertThat(unit.isBehind(keys, lead(1, new Event(900, Kind.LONGER, 30))))
                .isFalse();
        RunningUnit anew = new RunningUnit(ride(SETS, NOW, 1, 250), longer);
        assertThat(view(anew, 900_000).toGo()).isEqualTo(150);
    }

    @Test
    void keysThatWouldLeaveTheGroupDoNothing() {
        RunningUnit unit = new RunningUnit(ride(SETS, NOW, 1, 250), lead(1));
        press(5000, "skip");
        press(6000, "x60");
        LiveUnit.View view = view(unit, 10_000);
        assertThat(view.number()).isEqualTo(1);
        assertThat(view.second()).isEqualTo(10);
    }

    @Test
    void anotherWorkoutIsRefused() {
        assertThatThrownBy(() -> new RunningUnit(ride(WORKOUT, NOW, 1, 250), lead(1)))
                .hasMessageContaining("other steps");
    }
}
