package pemblar.app.compare;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyList;
import static org.mockito.ArgumentMatchers.anyLong;
import static org.mockito.ArgumentMatchers.anyString;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.mockito.ArgumentCaptor;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.AthleteService;
import pemblar.app.compare.ComparisonStore.Held;
import pemblar.app.compare.Content.Line;
import pemblar.app.frame.NotFoundException;
import pemblar.app.frame.Viewer;
import pemblar.app.frame.Visit;
import pemblar.app.review.RepetitionFinder;
import pemblar.app.session.Described;
import pemblar.app.session.Slab;
import pemblar.app.session.reading.SessionService;
import pemblar.app.session.reading.SessionService.Opened;
import pemblar.app.undo.UndoService;
import pemblar.core.load.LoadTrend;
import pemblar.core.recording.Recording;
import pemblar.core.recording.Series;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Sex;
import pemblar.core.threshold.Thresholds;
import pemblar.core.zone.Zones;

/** Figures in a comparison are those of the recording as it counts now, and nobody's change is lost to another's. */
@Tag("unit")
class ComparisonServiceTest {
    private static final long ATHLETE = 3;
    private static final Viewer VIEWER = new Viewer(1, "Test Person");
    private final ComparisonStore store = mock(ComparisonStore.class);
    private final SessionService sessions = mock(SessionService.class);
    private final AthleteService athletes = mock(AthleteService.class);
    private final UndoService undo = mock(UndoService.class);
    private final ComparisonService service = new ComparisonService(
            store,
            sessions,
            mock(RepetitionFinder.class),
            athletes,
            undo,
            mock(pemblar.app.session.done.DescriptionService.class),
            () -> Instant.EPOCH);

    private static Line line(int revision, double watts) {
        return new Line(
                1,
                7,
                100,
                200,
                "Fives · 1",
                "before",
                false,
                Map.of("HEART_RATE", 150.0),
                Map.of("WATTS", watts),
                revision,
                "2026-05-04",
                "road");
    }

    private void holds(Line line) {
        Content content = new Content(List.of(line), List.of("WATTS"), List.of(), "WATTS", "HEART_RATE", 2);
        when(store.find(ATHLETE, 5)).thenReturn(Optional.of(new Held(5, "Shoes", content, 1)));
        when(store.save(any(), anyString(), any(), any())).thenReturn(true);
    }

    /** 210 W all along, of which some seconds were cut off the start. */
    private static Opened recorded(int trimmed) {
        double[] watts = new double[400];
        Arrays.fill(watts, 210);
        Recording recording = new Recording(
                Sport.RIDE, Instant.EPOCH, watts.length, List.of(), Map.of("power", Series.of(watts)), List.of());
        Slab slab = new Slab(
                7,
                LocalDate.of(2026, 5, 4),
                null,
                Sport.RIDE,
                "Fives",
                false,
                100,
                null,
                null,
                null,
                null,
                false,
                0,
                "",
                null,
                null);
        Athlete athlete = new Athlete(
                ATHLETE, "A", java.util.List.of(Sport.RIDE), Sex.NOT_GIVEN, ZoneOffset.UTC, LoadTrend.Settings.DEFAULT);
        return new Opened(
                athlete,
                slab,
                Optional.empty(),
                Zones.usual(Thresholds.NONE),
                Optional.of(recording),
                Optional.empty(),
                null,
                null,
                trimmed,
                watts.length + trimmed,
                new Described("", "", "", "", List.of(), Optional.empty(), Optional.empty()),
                List.of());
    }

    @Test
    void figuresOfARecordingThatDidNotChangeAreNotReadAgain() {
        holds(line(4, 199));
        when(sessions.revisions(eq(ATHLETE), anyList())).thenReturn(Map.of(7L, 4));
        assertThat(service.open(new Visit(ATHLETE, VIEWER), 5)
                        .content()
                        .lines()
                        .get(0)
                        .value("WATTS"))
                .isEqualTo(199);
        verify(sessions, never()).open(any(), anyLong());
        verify(store, never()).save(any(), anyString(), any(), any());
    }

    @Test
    void aMendedRecordingIsMeasuredAnewAndWhatWasEnteredByHandStays() {
        holds(line(4, 199));
        when(sessions.revisions(eq(ATHLETE), anyList())).thenReturn(Map.of(7L, 5));
        when(sessions.open(new Visit(ATHLETE, VIEWER), 7)).thenReturn(recorded(0));
        Held opened = service.open(new Visit(ATHLETE, VIEWER), 5);
        Line now = opened.content().lines().get(0);
        assertThat(now.value("WATTS")).isEqualTo(210);
        assertThat(now.value("HEART_RATE")).isEqualTo(150);
        assertThat(now.revision()).isEqualTo(5);
        assertThat(opened.version()).as("it was kept").isEqualTo(2);
    }

    @Test
    void aRepetitionThatWasTrimmedAwayAndOneOfADeletedSessionHaveNoFigures() {
        holds(line(4, 199));
        when(sessions.revisions(eq(ATHLETE), anyList())).thenReturn(Map.of(7L, 5));
        when(sessions.open(new Visit(ATHLETE, VIEWER), 7)).thenReturn(recorded(150));
        assertThat(service.open(new Visit(ATHLETE, VIEWER), 5)
                        .content()
                        .lines()
                        .get(0)
                        .figures())
                .isEmpty();
        when(sessions.revisions(eq(ATHLETE), anyList())).thenReturn(Map.of());
        Line gone =
                service.open(new Visit(ATHLETE, VIEWER), 5).content().lines().get(0);
        assertThat(gone.figures()).isEmpty();
        assertThat(gone.revision()).isNegative();
    }

    @Test
    void aChangeIsKeptWithWhatWasBeforeForUndo() {
        holds(line(4, 199));
        when(sessions.revisions(eq(ATHLETE), anyList())).thenReturn(Map.of(7L, 4));
        service.change(
                new Visit(ATHLETE, VIEWER),
                5,
                "Changed a comparison.",
                content -> content.change(1, l -> l.in("after")));
        ArgumentCaptor<Content> kept = ArgumentCaptor.forClass(Content.class);
        verify(store).save(any(), eq("Shoes"), kept.capture(), any());
        assertThat(kept.getValue().lines().get(0).group()).isEqualTo("after");
        ArgumentCaptor<Object> before = ArgumentCaptor.forClass(Object.class);
        verify(undo).remember(eq(new Visit(ATHLETE, VIEWER)), anyString(), eq("comparison"), before.capture());
        assertThat(((Held) before.getValue()).content().lines().get(0).group()).isEqualTo("before");
    }

    @Test
    void whoWasSlowerIsTold() {
        holds(line(4, 199));
        when(sessions.revisions(eq(ATHLETE), anyList())).thenReturn(Map.of(7L, 4));
        when(store.save(any(), anyString(), any(), any())).thenReturn(false);
        assertThatThrownBy(() -> service.change(new Visit(ATHLETE, VIEWER), 5, "x", content -> content.remove(1)))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("Somebody else changed");
    }

    @Test
    void aStrangerAndAnUnknownComparisonFindNothing() {
        when(store.find(ATHLETE, 6)).thenReturn(Optional.empty());
        assertThatThrownBy(() -> service.open(new Visit(ATHLETE, VIEWER), 6)).isInstanceOf(NotFoundException.class);
        when(athletes.require(new Visit(ATHLETE, VIEWER))).thenThrow(new NotFoundException("athlete"));
        assertThatThrownBy(() -> service.all(new Visit(ATHLETE, VIEWER))).isInstanceOf(NotFoundException.class);
        verify(store, never()).all(anyLong());
    }
}
