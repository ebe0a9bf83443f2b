package pemblar.core.adjust;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import pemblar.core.adjust.Instead.Choice;
import pemblar.core.adjust.Instead.Feeling;
import pemblar.core.adjust.Instead.Option;
import pemblar.core.load.LoadTrend;
import pemblar.core.schedule.Purpose;
import pemblar.core.season.Event;
import pemblar.core.season.Priority;

/**
 * Today holds intervals of 80 points; the last six days brought 250, and there is another hard session the day after
 * tomorrow.
 */
class InsteadTest {
    private static final LocalDate TODAY = LocalDate.of(2027, 5, 12);
    private static final Session INTERVALS =
            new Session("t", TODAY, 1050, "ride", "intervals", 80, 1.25, true, false, false, false);
    private static final List<Option> LIBRARY = List.of(
            option(1, Purpose.INTERVALS, 78),
            option(2, Purpose.INTERVALS, 60),
            option(3, Purpose.EASY, 45),
            option(4, Purpose.EASY, 40),
            option(5, Purpose.THRESHOLD, 75),
            option(6, Purpose.RECOVERY, 25));

    private static Option option(long id, Purpose purpose, double load) {
        return new Option(id, 100, purpose, 3600, load, OptionalDouble.of(4000));
    }

    private static Situation situation(boolean restDay, List<Situation.Checkin> mornings) {
        Session hard =
                new Session("h", TODAY.plusDays(2), 1050, "ride", "threshold", 80, 1.25, true, false, false, false);
        List<Session> ahead = new ArrayList<>(restDay ? List.of(hard) : List.of(INTERVALS, hard));
        List<Situation.Behind> behind = new ArrayList<>();
        for (int i = 1; i <= 7; i++) {
            Session planned =
                    new Session("b" + i, TODAY.minusDays(i), 1050, "ride", "easy", 50, 1, false, false, false, false);
            behind.add(new Situation.Behind(
                    planned,
                    i == 3 ? Optional.empty() : Optional.of(new Situation.Done(50, 1)),
                    OptionalDouble.empty(),
                    false));
        }
        return new Situation(
                TODAY,
                45,
                45,
                Collections.nCopies(7, 45.0),
                LoadTrend.Settings.DEFAULT,
                behind,
                ahead,
                List.of(),
                List.of(),
                new Situation.Limits(8, 4, 36, -40, Double.NaN, true),
                mornings,
                List.of(),
                List.of(),
                List.of());
    }

    private static List<Long> ids(Instead.Answer answer) {
        return answer.choices().stream().map(c -> c.option().id()).toList();
    }

    @Test
    void thePurposeComesFirstThenTheLikestLoadAndNeverMoreThanThree() {
        Instead.Answer answer = Instead.of(situation(false, List.of()), LIBRARY, Feeling.AS_USUAL);
        assertThat(ids(answer)).containsExactly(1L, 2L, 3L);
        assertThat(answer.replaced()).contains(INTERVALS);
        assertThat(answer.plannedWeek())
                .as("five done days within 7, and today")
                .isEqualTo(5 * 50 + 80);
        assertThat(answer.choices()).extracting(Choice::weekLoad).containsExactly(328.0, 310.0, 295.0);
    }

    @Test
    void theEffectIsTheForecastOfThePlanWithTheOneInPlaceOfTheOther() {
        Situation s = situation(false, List.of());
        Choice choice = Instead.of(s, LIBRARY, Feeling.TIRED).choices().get(0);
        List<Session> swapped = List.of(
                new Session("x", TODAY, 1050, "ride", "easy", choice.option().load(), 1, false, false, false, false),
                s.ahead().get(1));
        Situation other = new Situation(
                TODAY,
                45,
                45,
                s.chronicPast(),
                s.trend(),
                s.behind(),
                swapped,
                List.of(),
                List.of(),
                s.limits(),
                List.of(),
                List.of(),
                List.of(),
                List.of());
        assertThat(choice.effect())
                .isEqualTo(
                        Adjusting.preview(other, Trigger.Kind.READY, List.of()).effect());
    }

    @Test
    void nothingHardForSomebodyTiredUnwellOrWithMorningsOutOfBand() {
        assertThat(ids(Instead.of(situation(false, List.of()), LIBRARY, Feeling.TIRED)))
                .containsExactly(3L, 4L, 6L);
        assertThat(ids(Instead.of(situation(false, List.of()), LIBRARY, Feeling.UNWELL)))
                .containsExactly(6L);
        List<Situation.Checkin> sore = List.of(new Situation.Checkin(TODAY, Double.NaN, Double.NaN, 5, "", ""));
        assertThat(ids(Instead.of(situation(false, sore), LIBRARY, Feeling.FRESH)))
                .containsExactly(3L, 4L, 6L);
        assertThat(ids(Instead.of(situation(true, List.of()), LIBRARY, Feeling.AS_USUAL)))
                .containsExactlyInAnyOrder(3L, 4L, 6L);
    }

    private static Situation before(Situation s, Priority priority, int days) {
        Event event = new Event(TODAY.plusDays(days), priority, 150);
        return s.withEvents(List.of(new Situation.Coming(event, Optional.empty(), false)));
    }

    @Test
    void beforeAnEventNothingKeyIsOfferedButWhatIsPlannedItself() {
        Situation rest = ahead(hard("h", 9));
        assertThat(ids(Instead.of(rest, TEMPO_OR_EASY, Feeling.FRESH))).hasSize(2);
        assertThat(ids(Instead.of(before(rest, Priority.B, 1), TEMPO_OR_EASY, Feeling.FRESH)))
                .containsExactly(3L);
        assertThat(ids(Instead.of(before(rest, Priority.A, 3), TEMPO_OR_EASY, Feeling.FRESH)))
                .containsExactly(3L);
        assertThat(ids(Instead.of(before(rest, Priority.B, 2), TEMPO_OR_EASY, Feeling.FRESH)))
                .hasSize(2);
        assertThat(ids(Instead.of(before(situation(false, List.of()), Priority.A, 2), LIBRARY, Feeling.AS_USUAL)))
                .as("openers that are planned")
                .containsExactly(1L, 2L, 3L);
    }

    @Test
    void whatWouldEmptyTheReserveOrStandTooNearAHardDayIsNotOffered() {
        List<Option> empty = List.of(new Option(9, 100, Purpose.INTERVALS, 3600, 80, OptionalDouble.of(-200)));
        assertThat(Instead.of(situation(false, List.of()), empty, Feeling.AS_USUAL)
                        .choices())
                .isEmpty();
        assertThat(ids(Instead.of(ahead(hard("h", 1)), TEMPO_OR_EASY, Feeling.FRESH)))
                .containsExactly(3L);
    }

    @Test
    void thatHardSessionsAreTooNearInThreeWeeksLeavesTodayNoFreer() {
        Situation s = ahead(hard("h", 1), hard("i", 20), hard("j", 21));
        assertThat(Adjusting.preview(s, Trigger.Kind.READY, List.of()).breaks()).containsExactly(Broken.SPACING);
        assertThat(ids(Instead.of(s, TEMPO_OR_EASY, Feeling.FRESH))).containsExactly(3L);
    }

    @Test
    void whatIsPlannedTodayTooNearAnotherMayBeDoneInAnotherForm() {
        Session today = new Session("t", TODAY, 480, "ride", "tempo", 60, 1, true, false, false, false);
        assertThat(ids(Instead.of(ahead(today, hard("h", 1)), TEMPO_OR_EASY, Feeling.AS_USUAL)))
                .containsExactly(7L, 3L);
    }

    /** A club ride that nobody had planned: its points count, and a hard one keeps its distance. */
    @Test
    void whatWasDoneWithoutAPlanCountsLikeAnythingElseDone() {
        Situation s = ahead();
        Situation ridden = rode(s, TODAY.minusDays(1), 1140);
        assertThat(Instead.of(ridden, TEMPO_OR_EASY, Feeling.FRESH).plannedWeek())
                .isEqualTo(Instead.of(s, TEMPO_OR_EASY, Feeling.FRESH).plannedWeek() + 130);
        assertThat(ids(Instead.of(s, TEMPO_OR_EASY, Feeling.FRESH))).contains(7L);
        assertThat(ids(Instead.of(ridden, TEMPO_OR_EASY, Feeling.FRESH))).containsExactly(3L);
    }

    @Test
    void whatNobodyHadPlannedIsNeitherMissedNorPartOfWhatWasAsked() {
        Situation s = ahead();
        Adjusting.Answer before = Adjusting.of(s);
        Adjusting.Answer after = Adjusting.of(rode(s, TODAY.minusDays(1), 1140));
        assertThat(after.triggers()).isEqualTo(before.triggers());
        assertThat(before.triggers()).anyMatch(t -> t.kind() == Trigger.Kind.MISSED);
    }

    private static Situation rode(Situation s, LocalDate day, int minute) {
        Session ride = new Session("club", day, minute, "ride", "", 0, 0, true, false, false, false);
        List<Situation.Behind> behind = new ArrayList<>(s.behind());
        behind.add(new Situation.Behind(
                ride, Optional.of(new Situation.Done(130, 2.5)), OptionalDouble.empty(), false, true));
        return new Situation(
                s.today(),
                s.chronic(),
                s.acute(),
                s.chronicPast(),
                s.trend(),
                behind,
                s.ahead(),
                s.blocks(),
                s.events(),
                s.limits(),
                s.checkins(),
                s.away(),
                s.thresholds(),
                s.weather());
    }

    private static final List<Option> TEMPO_OR_EASY =
            List.of(option(7, Purpose.TEMPO, 60), option(3, Purpose.EASY, 45));

    private static Session hard(String id, int days) {
        return new Session(id, TODAY.plusDays(days), 480, "ride", "threshold", 80, 1.25, true, false, false, false);
    }

    private static Situation ahead(Session... ahead) {
        Situation s = situation(true, List.of());
        return new Situation(
                TODAY,
                45,
                45,
                s.chronicPast(),
                s.trend(),
                s.behind(),
                List.of(ahead),
                List.of(),
                List.of(),
                s.limits(),
                List.of(),
                List.of(),
                List.of(),
                List.of());
    }

    @Test
    void aScaleFitsTheMinutesOrThereIsNone() {
        assertThat(Instead.percent(3600, 60)).hasValue(100);
        assertThat(Instead.percent(3600, 45)).hasValue(75);
        assertThat(Instead.percent(3600, 90)).hasValue(130);
        assertThat(Instead.percent(3600, 40)).isEmpty();
        assertThat(Instead.percent(3600, 120)).isEmpty();
        assertThat(Instead.percent(0, 60)).isEmpty();
    }
}
