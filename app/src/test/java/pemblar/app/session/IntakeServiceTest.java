package pemblar.app.session;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyLong;
import static org.mockito.ArgumentMatchers.anyString;
import static org.mockito.Mockito.inOrder;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.mockito.InOrder;
import org.springframework.context.ApplicationEventPublisher;
import pemblar.app.athlete.Athlete;
import pemblar.app.recording.RecordingService;
import pemblar.app.recording.RecordingService.Outcome;
import pemblar.core.load.LoadTrend;
import pemblar.core.recording.Recording;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Sex;

/** Which planned session a recording belongs to, and what becomes of what was told by hand. */
@Tag("unit")
class IntakeServiceTest {
    private static final LocalDate DAY = LocalDate.of(2026, 5, 4);
    private static final Athlete ATHLETE =
            new Athlete(1, "A", List.of(Sport.RIDE), Sex.NOT_GIVEN, ZoneId.of("UTC"), LoadTrend.Settings.DEFAULT);
    private static final Recording SOUND =
            new Recording(Sport.RIDE, Instant.EPOCH, 3600, List.of(), Map.of(), List.of());
    private final RecordingService recordings = mock(RecordingService.class);
    private final RecordedRepository recorded = mock(RecordedRepository.class);
    private final TrainingSessionRepository sessions = mock(TrainingSessionRepository.class);
    private final ApplicationEventPublisher events = mock(ApplicationEventPublisher.class);
    private final IntakeService intake = new IntakeService(recordings, recorded, sessions, events);
    private final RecordedRow row = new RecordedRow();

    @BeforeEach
    void anHourInTheMorning() {
        row.id = 5L;
        row.sport = Sport.RIDE;
        row.day = DAY;
        row.timerSeconds = 3600;
        row.startedAt = Instant.parse("2026-05-04T08:00:00Z");
        when(recorded.findById(5)).thenReturn(Optional.of(row));
        when(sessions.save(any())).thenAnswer(call -> {
            SessionRow saved = call.getArgument(0);
            if (saved.id == null) saved.id = 70L;
            return saved;
        });
        read(Outcome.DONE, "");
    }

    private void read(Outcome outcome, String name) {
        when(recordings.take(any(), anyString(), any()))
                .thenReturn(new RecordingService.Read(
                        outcome, outcome == Outcome.REFUSED ? null : 5L, SOUND, name, "said"));
    }

    private IntakeService.Taken take(Optional<Long> wanted) {
        return intake.take(ATHLETE, "a.fit", new byte[1], wanted);
    }

    private static SessionRow planned(long id, Integer seconds) {
        SessionRow session = new SessionRow(1, DAY, Sport.RIDE, "Planned " + id);
        session.id = id;
        session.plannedSeconds = seconds;
        session.doneSeconds = 1200;
        session.doneLoad = 20.0;
        session.draft = true;
        return session;
    }

    @Test
    void theNearestInLengthOfTheDayIsItAndWhatWasToldGivesWay() {
        SessionRow near = planned(2, 3900);
        when(sessions.open(1, DAY, Sport.RIDE)).thenReturn(List.of(planned(1, 7200), near, planned(3, null)));
        assertThat(take(Optional.empty()).sessionId()).isEqualTo(2);
        assertThat(near.recording).isSameAs(row);
        assertThat(near.draft).isFalse();
        assertThat(near.doneSeconds).isNull();
        assertThat(near.doneLoad).isNull();
    }

    @Test
    void theOneThatWasAskedForComesBeforeAll() {
        SessionRow asked = planned(9, 60);
        when(sessions.find(9, 1)).thenReturn(Optional.of(asked));
        when(sessions.open(1, DAY, Sport.RIDE)).thenReturn(List.of(planned(1, 3600)));
        assertThat(take(Optional.of(9L)).sessionId()).isEqualTo(9);
    }

    @Test
    void oneThatHasARecordingAlreadyKeepsIt() {
        SessionRow taken = planned(9, 3600);
        taken.recording = new RecordedRow();
        when(sessions.find(9, 1)).thenReturn(Optional.of(taken));
        assertThat(take(Optional.of(9L)).sessionId()).isEqualTo(70);
        assertThat(taken.recording).isNotSameAs(row);
    }

    @Test
    void withoutAPlanItIsCalledByItsNameOrItsTimeOfDay() {
        take(Optional.empty());
        read(Outcome.DONE, "Round the bay");
        take(Optional.empty());
        var saved = org.mockito.ArgumentCaptor.forClass(SessionRow.class);
        verify(sessions, org.mockito.Mockito.times(2)).save(saved.capture());
        assertThat(saved.getAllValues()).extracting(s -> s.title).containsExactly("Morning ride", "Round the bay");
    }

    /** The plan is known to the recording only once the session points to it, and is told of only then. */
    @Test
    void firstItHasItsSessionThenItsPlanThenItIsToldOf() {
        take(Optional.empty());
        InOrder order = inOrder(sessions, recordings, events);
        order.verify(sessions).save(any());
        order.verify(recordings).follow(ATHLETE, 5, SOUND);
        order.verify(events).publishEvent(new SessionArrived(1, 70));
    }

    @Test
    void whatIsKnownOrRefusedMakesNothing() {
        read(Outcome.KNOWN, "");
        when(sessions.idOfRecording(5)).thenReturn(Optional.of(44L));
        assertThat(take(Optional.empty())).isEqualTo(new IntakeService.Taken(Outcome.KNOWN, 44L, "said"));
        read(Outcome.REFUSED, "");
        assertThat(take(Optional.empty())).isEqualTo(new IntakeService.Taken(Outcome.REFUSED, null, "said"));
        verify(sessions, never()).save(any());
        verify(recordings, never()).follow(any(), anyLong(), any());
    }
}
