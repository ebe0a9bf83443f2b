package pemblar.core.adjust;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import pemblar.core.load.LoadTrend;
import pemblar.core.season.Event;
import pemblar.core.season.Priority;

/** What a day has room for, and what is left when it has none. */
class RoomTest {
    /** A Wednesday. */
    private static final LocalDate TODAY = LocalDate.of(2027, 5, 12);

    private static Session ride(String id, int day) {
        return new Session(id, TODAY.plusDays(day), 600, "ride", "easy", 40, 1, false, false, false, false);
    }

    private static Situation icy(int... days) {
        List<Situation.Weather> weather = java.util.Arrays.stream(days)
                .mapToObj(d -> new Situation.Weather(TODAY.plusDays(d), Double.NaN, true))
                .toList();
        Situation.Limits limits = new Situation.Limits(
                8, 5, 36, -40, Double.NaN, false, Situation.Easing.USUAL, Collections.nCopies(7, 1.5));
        return new Situation(
                TODAY,
                45,
                45,
                Collections.nCopies(7, 45.0),
                LoadTrend.Settings.DEFAULT,
                List.of(),
                Stream.of(ride("fri", 2), ride("sat", 3), ride("sun", 4), ride("far", 12))
                        .toList(),
                List.of(),
                List.of(),
                limits,
                List.of(),
                List.of(),
                List.of(),
                weather);
    }

    @Test
    void twoSessionsThatGiveWayToIceDoNotBothFillTheSameHourAndAHalf() {
        Proposal first = Adjusting.of(icy(3, 4)).proposals().stream()
                .filter(p -> p.trigger() == Trigger.Kind.WEATHER)
                .findFirst()
                .orElseThrow();
        assertThat(first.changes())
                .containsExactly(
                        new Change.Move("sat", TODAY.plusDays(5), OptionalInt.empty()),
                        new Change.Move("sun", TODAY.plusDays(6), OptionalInt.empty()));
    }

    private static Session hard(String id, int day) {
        return new Session(id, TODAY.plusDays(day), 600, "ride", "threshold", 80, 1, true, false, false, false);
    }

    private static Situation with(double acute, double floor, List<Situation.Coming> events, Session... ahead) {
        Session missed = hard("missed", -1);
        return new Situation(
                TODAY,
                60,
                acute,
                Collections.nCopies(7, 60.0),
                LoadTrend.Settings.DEFAULT,
                List.of(new Situation.Behind(missed, Optional.empty(), OptionalDouble.empty(), false)),
                List.of(ahead),
                List.of(),
                events,
                new Situation.Limits(8, 5, 36, floor, Double.NaN, false),
                List.of(),
                List.of(),
                List.of(),
                List.of());
    }

    private static List<Proposal> to(Trigger.Kind kind, Situation s) {
        return Adjusting.of(s).proposals().stream()
                .filter(p -> p.trigger() == kind)
                .toList();
    }

    private static Situation.Coming event(Priority priority, int day) {
        return new Situation.Coming(new Event(TODAY.plusDays(day), priority, 100), Optional.empty(), false);
    }

    /** Tomorrow's hard session keeps a missed one from today and the two days after. */
    @Test
    void aMissedHardSessionDoesNotGoToTheEveOfABEvent() {
        Situation free = with(60, -60, List.of(event(Priority.C, 4)), hard("next", 1));
        assertThat(to(Trigger.Kind.GAP, free).get(0).changes())
                .containsExactly(new Change.Move("missed", TODAY.plusDays(3), OptionalInt.empty()));
        assertThat(to(Trigger.Kind.GAP, with(60, -60, List.of(event(Priority.B, 4)), hard("next", 1))))
                .isEmpty();
    }

    @Test
    void whereNothingLighterKeepsTheFloorRestDoes() {
        Situation tired = with(84, -15, List.of(), hard("today", 0), ride("later", 4));
        assertThat(to(Trigger.Kind.LOW_BALANCE, tired))
                .extracting(Proposal::changes)
                .containsExactly(List.of(new Change.Rest(TODAY)));
        assertThat(to(Trigger.Kind.LOW_BALANCE, tired).get(0).breaches()).isEmpty();
    }

    @Test
    void whereALighterSessionKeepsTheFloorRestIsNotProposed() {
        Situation lessTired = with(76, -15, List.of(), hard("today", 0), ride("later", 4));
        assertThat(to(Trigger.Kind.LOW_BALANCE, lessTired))
                .isNotEmpty()
                .noneMatch(p -> p.changes().contains(new Change.Rest(TODAY)));
    }
}
