package pemblar.core.mending;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import pemblar.core.recording.Pause;
import pemblar.core.recording.Recording;
import pemblar.core.recording.Series;
import pemblar.core.sport.Sport;

/** A channel of another device by the clock, worked out by hand. */
class ReplacingTest {
    private static final Instant START = Instant.parse("2026-05-01T08:00:00Z");

    private static Recording recording(Instant start, String key, List<Pause> pauses, double... values) {
        return new Recording(Sport.RIDE, start, values.length, pauses, Map.of(key, Series.of(values)), List.of());
    }

    private static Series from(Recording other, Recording mine, double shift) {
        return Replacing.series(mine, other, "heartRate", shift).orElseThrow();
    }

    private static final Recording MINE = recording(START, "power", List.of(), 200, 200, 200, 200, 200, 200);

    @Test
    void eachSecondTakesWhatTheOtherHadAtTheSameTime() {
        Recording early =
                recording(START.minusSeconds(2), "heartRate", List.of(), 100, 101, 102, 103, 104, 105, 106, 107, 108);
        assertThat(from(early, MINE, 0)).isEqualTo(Series.of(102, 103, 104, 105, 106, 107));
    }

    @Test
    void whereTheOtherWasNotRunningNothingIsThere() {
        Recording late = recording(START.plusSeconds(3), "heartRate", List.of(), 120, 121);
        Series found = from(late, MINE, 0);
        assertThat(found.isPresent(0)).isFalse();
        assertThat(found.at(3)).isEqualTo(120);
        assertThat(found.at(4)).isEqualTo(121);
        assertThat(found.present()).isBetween(2, 4);
    }

    @Test
    void aClockThatIsBehindIsSetRight() {
        Recording other = recording(START.minusSeconds(60), "heartRate", List.of(), 100, 101, 102, 103, 104, 105);
        assertThat(from(other, MINE, 60))
                .as("its 07:59 was the other's 08:00")
                .isEqualTo(Series.of(100, 101, 102, 103, 104, 105));
    }

    @Test
    void aPauseOfTheOtherIsAGapAndAPauseOfOnesOwnIsPassed() {
        Recording paused = recording(START, "heartRate", List.of(new Pause(2, 3)), 100, 101, 105, 106);
        Series found = from(paused, MINE, 0);
        assertThat(found.at(1)).isEqualTo(101);
        assertThat(found.isPresent(3))
                .as("three seconds after the stop nothing was measured")
                .isFalse();
        assertThat(found.at(5)).isEqualTo(105);
        Recording stopped = recording(START, "power", List.of(new Pause(3, 10)), 200, 200, 200, 200, 200);
        Recording through = recording(
                START,
                "heartRate",
                List.of(),
                100,
                101,
                102,
                103,
                104,
                105,
                106,
                107,
                108,
                109,
                110,
                111,
                112,
                113,
                114,
                115);
        assertThat(from(through, stopped, 0)).isEqualTo(Series.of(100, 101, 102, 113, 114));
    }

    @Test
    void withoutTheChannelOrAnyCommonSecondThereIsNothingToTake() {
        Recording other = recording(START, "power", List.of(), 150, 150);
        assertThat(Replacing.series(MINE, other, "heartRate", 0)).isEmpty();
        Recording nextDay = recording(START.plusSeconds(86_400), "heartRate", List.of(), 120, 121);
        assertThat(Replacing.series(MINE, nextDay, "heartRate", 0)).isEmpty();
    }
}
