package pemblar.app.session;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyLong;
import static org.mockito.ArgumentMatchers.anyString;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import java.time.Instant;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.mockito.ArgumentCaptor;
import pemblar.app.frame.NotFoundException;
import pemblar.app.frame.Viewer;
import pemblar.app.session.CostService.Wanted;
import pemblar.app.undo.UndoService;
import pemblar.core.load.SessionLoad.Source;
import pemblar.core.load.SessionSummary;
import pemblar.core.recording.Recording;
import pemblar.core.recording.Series;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Quantity;
import pemblar.core.threshold.Thresholds;
import tools.jackson.databind.json.JsonMapper;

/** An hour at threshold, 100 points by power; what a person says of it counts, with a reason and a name. */
class CostServiceTest {
    private static final Viewer COACH = new Viewer(2, "Oda");
    private static final Instant NOW = Instant.parse("2026-05-05T08:00:00Z");
    private final SessionDesk desk = mock(SessionDesk.class);
    private final RecordingRepository recordings = mock(RecordingRepository.class);
    private final UndoService undo = mock(UndoService.class);
    private final CostService service = new CostService(desk, recordings, undo, () -> NOW);
    private final SessionRow session = new SessionRow();

    @BeforeEach
    void anHourAtThreshold() {
        double[] watts = new double[3600];
        Arrays.fill(watts, 200);
        Recording recording =
                new Recording(Sport.RIDE, Instant.EPOCH, 3600, List.of(), Map.of("power", Series.of(watts)), List.of());
        RecordingRow row = new RecordingRow(3, "hash", "ride.fit", LocalDate.of(2026, 5, 4), "");
        row.id = 11L;
        row.fill(recording, SessionSummary.of(recording, Thresholds.NONE.with(Quantity.THRESHOLD_POWER, 200)), "");
        session.id = 7L;
        session.title = "Climbs standing";
        session.recording = row;
        when(desk.require(3, COACH, 7)).thenReturn(session);
        when(recordings.findById(11L)).thenReturn(Optional.of(row));
    }

    private void choose(Source source, Double points, String reason, Double effort) {
        service.choose(3, COACH, 7, new Wanted(source, points, reason, effort));
    }

    private String remembered() {
        ArgumentCaptor<Object> before = ArgumentCaptor.forClass(Object.class);
        verify(undo).remember(eq(3L), eq(COACH), anyString(), eq("load-choice"), before.capture());
        return JsonMapper.shared().writeValueAsString(before.getValue());
    }

    @Test
    void anOwnValueCountsWithWhoSaidSoWhenAndWhy() {
        choose(Source.SET, 120.0, " standing ", null);
        assertThat(session.recording.loadPoints).isEqualTo(120);
        assertThat(session.recording.loadSource).isEqualTo("SET");
        assertThat(session.recording.loadReason).isEqualTo("standing");
        assertThat(session.recording.loadBy).isEqualTo("Oda");
        assertThat(session.recording.loadAt).isEqualTo(NOW);
        assertThat(SummaryJson.loads(session.recording.loads))
                .as("what was computed stays")
                .containsKey(Source.POWER);
    }

    @Test
    void undoBringsBackWhatCountedBefore() {
        choose(Source.SET, 120.0, "heat", 9.0);
        service.restore(3, remembered());
        assertThat(session.recording.loadPoints).isCloseTo(100, within(1e-6));
        assertThat(session.recording.setLoad).isNull();
        assertThat(session.recording.perceivedEffort).isNull();
        assertThat(session.recording.loadBy).isEmpty();
    }

    @Test
    void undoOfOneAthleteNeverTouchesAnothers() {
        choose(Source.SET, 120.0, "heat", null);
        service.restore(4, remembered());
        assertThat(session.recording.loadPoints).isEqualTo(120);
    }

    @Test
    void whatCannotBeIsRefusedByItsFieldAndNothingIsRemembered() {
        assertThatThrownBy(() -> choose(Source.SET, null, "heat", null)).hasMessageStartingWith("Load:");
        assertThatThrownBy(() -> choose(Source.SET, 120.0, " ", null)).hasMessageStartingWith("Reason:");
        assertThatThrownBy(() -> choose(Source.SET, 120.0, "x".repeat(201), null))
                .hasMessageStartingWith("Reason:");
        assertThatThrownBy(() -> choose(Source.SET, 9000.0, "heat", null)).hasMessageStartingWith("Load:");
        assertThatThrownBy(() -> choose(Source.HEART_RATE, null, "", null)).hasMessageContaining("no load from it");
        assertThat(session.recording.loadPoints).isCloseTo(100, within(1e-6));
        verify(undo, never()).remember(anyLong(), any(), anyString(), anyString(), any());
    }

    /** 7 of 10 over an hour is as much as an hour at threshold; 3.5 half as much. */
    @Test
    void aPerceivedEffortIsASourceOfItsOwn() {
        choose(Source.PERCEIVED_EFFORT, null, "", 3.5);
        assertThat(session.recording.loadPoints).isCloseTo(50, within(1e-9));
        choose(null, null, "", null);
        assertThat(session.recording.loadPoints)
                .as("the order of preference again")
                .isCloseTo(100, within(1e-6));
        assertThat(session.recording.perceivedEffort)
                .as("what was said is not forgotten")
                .isEqualTo(3.5);
    }

    @Test
    void aSessionWithoutARecordingHasNothingToChoose() {
        session.recording = null;
        assertThatThrownBy(() -> choose(null, null, "", null)).isInstanceOf(NotFoundException.class);
    }
}
