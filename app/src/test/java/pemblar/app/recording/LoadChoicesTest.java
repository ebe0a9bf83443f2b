package pemblar.app.recording;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static org.mockito.ArgumentMatchers.anyLong;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import java.time.Instant;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import pemblar.app.frame.NotFoundException;
import pemblar.app.frame.Viewer;
import pemblar.app.frame.Visit;
import pemblar.app.recording.LoadChoices.Wanted;
import pemblar.app.recording.bytes.SummaryJson;
import pemblar.core.load.SessionLoad.Source;
import pemblar.core.load.SessionSummary;
import pemblar.core.recording.Recording;
import pemblar.core.recording.Series;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Quantity;
import pemblar.core.threshold.Thresholds;

/** An hour at threshold, 100 points by power; what a person says of it counts, with a reason and a name. */
@Tag("unit")
class LoadChoicesTest {
    private static final Viewer COACH = new Viewer(2, "Oda");
    private static final Instant NOW = Instant.parse("2026-05-05T08:00:00Z");
    private final RecordingRepository recordings = mock(RecordingRepository.class);
    private final LoadChoices service = new LoadChoices(recordings, () -> NOW);
    private RecordingRow row;

    @BeforeEach
    void anHourAtThreshold() {
        double[] watts = new double[3600];
        Arrays.fill(watts, 200);
        Recording recording =
                new Recording(Sport.RIDE, Instant.EPOCH, 3600, List.of(), Map.of("power", Series.of(watts)), List.of());
        row = new RecordingRow(3, "hash", "ride.fit", LocalDate.of(2026, 5, 4), "");
        row.id = 11L;
        row.fill(recording, SessionSummary.of(recording, Thresholds.NONE.with(Quantity.THRESHOLD_POWER, 200)), "");
        when(recordings.findById(11L)).thenReturn(Optional.of(row));
        when(recordings.require(anyLong(), anyLong())).thenCallRealMethod();
    }

    private LoadChoices.Chosen choose(Source source, Double points, String reason, Double effort) {
        return service.choose(new Visit(3, COACH), 11, new Wanted(source, points, reason, effort));
    }

    @Test
    void anOwnValueCountsWithWhoSaidSoWhenAndWhy() {
        choose(Source.SET, 120.0, " standing ", null);
        assertThat(row.loadPoints).isEqualTo(120);
        assertThat(row.loadSource).isEqualTo("SET");
        assertThat(row.loadReason).isEqualTo("standing");
        assertThat(row.loadBy).isEqualTo("Oda");
        assertThat(row.loadAt).isEqualTo(NOW);
        assertThat(SummaryJson.loads(row.loads)).as("what was computed stays").containsKey(Source.POWER);
    }

    @Test
    void undoBringsBackWhatCountedBefore() {
        service.putBack(3, choose(Source.SET, 120.0, "heat", 9.0).before());
        assertThat(row.loadPoints).isCloseTo(100, within(1e-6));
        assertThat(row.setLoad).isNull();
        assertThat(row.perceivedEffort).isNull();
        assertThat(row.loadBy).isEmpty();
    }

    @Test
    void undoOfOneAthleteNeverTouchesAnothers() {
        service.putBack(4, choose(Source.SET, 120.0, "heat", null).before());
        assertThat(row.loadPoints).isEqualTo(120);
    }

    @Test
    void whatCannotBeIsRefusedByItsFieldAndNothingIsChanged() {
        assertThatThrownBy(() -> choose(Source.SET, null, "heat", null)).hasMessageStartingWith("Load:");
        assertThatThrownBy(() -> choose(Source.SET, 120.0, " ", null)).hasMessageStartingWith("Reason:");
        assertThatThrownBy(() -> choose(Source.SET, 120.0, "x".repeat(201), null))
                .hasMessageStartingWith("Reason:");
        assertThatThrownBy(() -> choose(Source.SET, 9000.0, "heat", null)).hasMessageStartingWith("Load:");
        assertThatThrownBy(() -> choose(Source.HEART_RATE, null, "", null)).hasMessageContaining("no load from it");
        assertThat(row.loadPoints).isCloseTo(100, within(1e-6));
    }

    /** 7 of 10 over an hour is as much as an hour at threshold; 3.5 half as much. */
    @Test
    void aPerceivedEffortIsASourceOfItsOwn() {
        choose(Source.PERCEIVED_EFFORT, null, "", 3.5);
        assertThat(row.loadPoints).isCloseTo(50, within(1e-9));
        choose(null, null, "", null);
        assertThat(row.loadPoints).as("the order of preference again").isCloseTo(100, within(1e-6));
        assertThat(row.perceivedEffort).as("what was said is not forgotten").isEqualTo(3.5);
    }

    @Test
    void aRecordingOfSomebodyElseHasNothingToChoose() {
        assertThatThrownBy(() -> service.choose(new Visit(4, COACH), 11, new Wanted(null, null, "", null)))
                .isInstanceOf(NotFoundException.class);
    }
}
