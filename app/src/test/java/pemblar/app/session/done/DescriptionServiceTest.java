package pemblar.app.session.done;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyString;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import pemblar.app.athlete.Athlete;
import pemblar.app.frame.Viewer;
import pemblar.app.frame.Visit;
import pemblar.app.session.Described;
import pemblar.app.session.PlanState;
import pemblar.app.session.Rows;
import pemblar.app.session.SessionDesk;
import pemblar.app.session.SessionRow;
import pemblar.app.session.TrainingSessionRepository;
import pemblar.app.session.done.DescriptionService.Known;
import pemblar.app.session.done.DescriptionService.Words;
import pemblar.core.load.LoadTrend;
import pemblar.core.matching.Stretches;
import pemblar.core.matching.Stretches.One;
import pemblar.core.range.DayRange;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Sex;

@Tag("unit")
class DescriptionServiceTest {
    private static final Viewer VIEWER = new Viewer(1, "Test Person");
    private static final Athlete ATHLETE = new Athlete(
            3, "A", java.util.List.of(Sport.RIDE), Sex.NOT_GIVEN, ZoneOffset.UTC, LoadTrend.Settings.DEFAULT);
    private static final LocalDate DAY = LocalDate.of(2026, 5, 4);
    private static final DayRange DAYS = DayRange.upTo(DAY, 90);
    private final SessionDesk desk = mock(SessionDesk.class);
    private final TrainingSessionRepository sessions = mock(TrainingSessionRepository.class);
    private final WordStore store = mock(WordStore.class);
    private final DescriptionService service = new DescriptionService(desk, sessions, store);

    private static SessionRow row(long id, String tags) {
        SessionRow row = Rows.of(id, 3, DAY, Sport.RIDE, "Ride " + id);
        row.tags(tags);
        return row;
    }

    private SessionRow one(String tags) {
        SessionRow row = row(7, tags);
        when(desk.require(new Visit(3, VIEWER), 7)).thenReturn(row);
        return row;
    }

    private static WordStore.Used words(Sport sport, String equipment, String surface, String tags, long lately) {
        return new WordStore.Used(sport, "training", equipment, surface, "dry", tags, lately);
    }

    @Test
    void whatIsNotSaidStaysAsItWas() {
        SessionRow row = one("club");
        row.surface("road");
        service.describe(new Visit(3, VIEWER), 7, new Words(null, " grey bike ", null, "", null));
        assertThat(row.equipment()).isEqualTo("grey bike");
        assertThat(row.surface()).isEqualTo("road");
        assertThat(row.weather()).isEmpty();
        assertThat(row.tags()).isEqualTo("club");
    }

    @Test
    void tagsOfOneAreReplacedAndTagsOfManyAreAdded() {
        SessionRow row = one("club,hill");
        service.describe(new Visit(3, VIEWER), 7, new Words(null, null, null, null, "hill, windy day ,, hill"));
        assertThat(row.tags()).isEqualTo("hill,windy day");
        SessionRow other = row(8, "race");
        when(sessions.all(3, List.of(7L, 8L))).thenReturn(List.of(row, other));
        assertThat(service.describeAll(
                        new Visit(3, VIEWER), List.of(7L, 8L), new Words(null, null, null, null, "taper")))
                .isEqualTo(2);
        assertThat(row.tags()).isEqualTo("hill,windy day,taper");
        assertThat(other.tags()).isEqualTo("race,taper");
    }

    @Test
    void whatIsTooLongIsRefusedByItsNameAndNotRemembered() {
        one("");
        assertThatThrownBy(() ->
                        service.describe(new Visit(3, VIEWER), 7, new Words("x".repeat(41), null, null, null, null)))
                .hasMessage("Kind: enter at most 40 characters.");
        assertThatThrownBy(() ->
                        service.describe(new Visit(3, VIEWER), 7, new Words(null, null, null, null, "x".repeat(31))))
                .hasMessageStartingWith("Tags:");
        assertThatThrownBy(() -> service.judge(new Visit(3, VIEWER), 7, "x".repeat(1001)))
                .hasMessageStartingWith("Verdict:");
        assertThatThrownBy(() ->
                        service.describeAll(new Visit(3, VIEWER), List.of(), new Words(null, null, "road", null, null)))
                .hasMessageContaining("Choose");
        verify(desk, never()).remember(any(), anyString(), any(PlanState.class));
    }

    @Test
    void theUsualIsWhatMostSessionsOfTheSportHadOfLate() {
        when(store.used(3, DAYS))
                .thenReturn(List.of(
                        words(Sport.RIDE, "grey bike", "road", "club", 5),
                        words(Sport.RIDE, "red bike", "gravel", "", 3),
                        words(Sport.RIDE, "grey bike", "road", "", 2),
                        words(Sport.RUN, "light shoes", "trail", "", 20),
                        words(Sport.RIDE, "old bike", "road", "", 0)));
        Known known = service.known(ATHLETE, Sport.RIDE, DAY);
        assertThat(known.usual()).isEqualTo(new Words(null, "grey bike", "road", null, null));
        assertThat(known.surfaces()).containsExactly("gravel", "road", "trail");
        assertThat(known.all())
                .contains("surface:gravel", "tag:club", "equipment:light shoes", "weather:dry", "kind:training");
    }

    @Test
    void onceIsNotUsual() {
        when(store.used(3, DAYS))
                .thenReturn(
                        List.of(words(Sport.RIDE, "grey bike", "road", "", 1), words(Sport.RIDE, "", "", "club", 9)));
        assertThat(service.known(ATHLETE, Sport.RIDE, DAY).usual()).isNull();
    }

    @Test
    void aWordOfAListFindsItsRecordingsAndNothingAsksForAll() {
        when(store.recordingsWith(3, "surface", "gravel", DAYS)).thenReturn(List.of(11L, 12L));
        when(store.recordingsTagged(3, "club", DAYS)).thenReturn(List.of(12L));
        assertThat(service.recordingsWith(ATHLETE, "surface:gravel", DAYS)).containsExactlyInAnyOrder(11L, 12L);
        assertThat(service.recordingsWith(ATHLETE, "tag:club", DAYS)).containsExactly(12L);
        assertThat(service.recordingsWith(ATHLETE, "", DAYS)).as("all").isNull();
        assertThat(service.recordingsWith(ATHLETE, "moon:full", DAYS))
                .as("no such word")
                .isEmpty();
    }

    @Test
    void stretchesAndVerdictComeAndGoWithWhatWasBefore() {
        SessionRow row = one("");
        service.cut(
                new Visit(3, VIEWER), 7, new Stretches(600, List.of(new One(10, 60, 2, true))), "Moved a boundary.");
        assertThat(Described.of(row).stretches()).contains(List.of(new One(10, 60, 2, true)));
        service.judge(new Visit(3, VIEWER), 7, "  Well held. ");
        assertThat(Described.of(row).verdict()).contains("Well held.");
        service.judge(new Visit(3, VIEWER), 7, " ");
        service.cut(new Visit(3, VIEWER), 7, null, "Followed the recording again.");
        assertThat(Described.of(row).verdict()).isEmpty();
        assertThat(Described.of(row).stretches()).isEmpty();
    }
}
