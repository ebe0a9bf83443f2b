package pemblar.core.adjust;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.Collections;
import java.util.List;
import java.util.OptionalInt;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import pemblar.core.load.LoadTrend;

/** What a day has room for counts what the same proposal has put there already. */
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
}
