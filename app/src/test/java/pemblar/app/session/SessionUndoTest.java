package pemblar.app.session;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyLong;
import static org.mockito.ArgumentMatchers.anyString;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.context.ApplicationEventPublisher;
import pemblar.app.athlete.AthleteService;
import pemblar.app.recording.RecordingService;
import pemblar.app.session.done.StrengthFigures;
import pemblar.core.schedule.Purpose;
import pemblar.core.sport.Sport;
import tools.jackson.databind.json.JsonMapper;

/** Undo restores the very row, with everything that people said of it. */
@Tag("unit")
class SessionUndoTest {
    private final TrainingSessionRepository sessions = mock(TrainingSessionRepository.class);
    private final SessionUndo undo = new SessionUndo(
            sessions,
            mock(RecordedRepository.class),
            mock(RecordingService.class),
            mock(AthleteService.class),
            mock(ApplicationEventPublisher.class),
            mock(StrengthFigures.class));

    private static SessionRow row() {
        SessionRow row = new SessionRow();
        row.id = 7L;
        row.athleteId = 3L;
        row.day = LocalDate.of(2026, 5, 4);
        row.startMinute = 1060;
        row.sport = Sport.RIDE;
        row.title = "Easy, two hours";
        row.purpose = Purpose.EASY;
        row.plannedSeconds = 7200;
        row.plannedLoad = 80.0;
        row.surface = "gravel";
        row.tags = "club";
        row.verdict = "Well held.";
        return row;
    }

    private static String before(SessionRow row) {
        return JsonMapper.shared().writeValueAsString(PlanState.changing(row));
    }

    @Test
    void everyFieldThatAChangeCanTouchComesBack() {
        SessionRow row = row();
        String state = before(row);
        row.day = row.day.plusDays(3);
        row.startMinute = null;
        row.title = "Something else";
        row.plannedSeconds = 3600;
        row.surface = "";
        row.tags = "";
        row.verdict = null;
        row.doneSeconds = 3000;
        when(sessions.find(7, 3)).thenReturn(Optional.of(row));
        undo.restore(3, state);
        assertThat(before(row)).isEqualTo(state);
        verify(sessions, never()).insert(anyLong(), anyLong(), any(), anyString(), anyString());
    }

    @Test
    void aDroppedSessionIsPutInAgainUnderItsOwnNumber() {
        SessionRow fresh = new SessionRow();
        fresh.id = 7L;
        when(sessions.find(7, 3)).thenReturn(Optional.empty(), Optional.empty(), Optional.empty(), Optional.of(fresh));
        undo.restore(3, before(row()));
        verify(sessions).insert(7, 3, LocalDate.of(2026, 5, 4), "RIDE", "Easy, two hours");
        assertThat(fresh.plannedLoad).isEqualTo(80);
        assertThat(fresh.surface).isEqualTo("gravel");
    }

    /** An athlete deletes the session that the coach moved: the coach's undo must not fail over it. */
    @Test
    void aSessionThatSomebodyElseDeletedMeanwhileIsLeftAlone() {
        when(sessions.find(7, 3)).thenReturn(Optional.empty());
        undo.restore(3, before(row()));
        verify(sessions).insert(anyLong(), anyLong(), any(), anyString(), anyString());
    }

    @Test
    void whatTheChangeCreatedIsTakenAway() {
        SessionRow made = row();
        when(sessions.find(7, 3)).thenReturn(Optional.of(made));
        undo.restore(3, JsonMapper.shared().writeValueAsString(new PlanState(List.of(), List.of(7L, 8L))));
        verify(sessions).delete(made);
    }
}
