package pemblar.app.recording.bytes;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.anyString;
import static org.mockito.Mockito.RETURNS_DEEP_STUBS;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.simple.JdbcClient;
import pemblar.app.objects.ObjectLost;
import pemblar.app.objects.ObjectStore;
import pemblar.app.objects.StoreAway;
import pemblar.app.operator.WhereRecordingsLie.Lying;
import pemblar.app.operator.WhereRecordingsLie.Where;

@Tag("unit")
class MovingTest {
    private final JdbcClient sql = mock(JdbcClient.class, RETURNS_DEEP_STUBS);
    private final ObjectStore objects = mock(ObjectStore.class);

    private void lie(String place, int recordings) {
        when(sql.sql(anyString()).param(place).query(Integer.class).single()).thenReturn(recordings);
    }

    @Test
    void whatIsToBeMovedLiesInTheOtherPlace() {
        when(objects.isThere()).thenReturn(true);
        lie("DATABASE", 1000);
        lie("OBJECTS", 7);
        Lying out = new Moving(sql, objects, null, "objects").lying().orElseThrow();
        assertThat(out).isEqualTo(new Lying(Where.STORE_OF_OBJECTS, 1000));
        assertThat(out.rest()).startsWith("at least 1000 still to be moved there");
        Lying in = new Moving(sql, objects, null, "database").lying().orElseThrow();
        assertThat(in).isEqualTo(new Lying(Where.DATABASE, 7));
        assertThat(in.rest()).startsWith("7 still to be moved there");
        assertThat(new Moving(sql, objects, null, "stay").lying()).hasValue(new Lying(Where.EACH_WHERE_IT_LIES, 7));
    }

    @Test
    void withoutAStoreThereIsNothingToSayUnlessSomeLieInOne() {
        lie("OBJECTS", 0);
        assertThat(new Moving(sql, objects, null, "database").lying()).isEmpty();
        lie("OBJECTS", 3);
        Lying lost = new Moving(sql, objects, null, "database").lying().orElseThrow();
        assertThat(lost.sentence()).contains("names none: 3 can neither be shown nor computed anew");
        assertThat(lost.rest()).isEmpty();
    }

    private static final Runnable WELL = () -> {};

    private static void away() {
        throw new StoreAway("hung up");
    }

    private static void lost() {
        throw new ObjectLost("other than it was put");
    }

    @Test
    void oneThatTheStoreDoesNotTakeIsToldAtTheEndOfTheRound() {
        Moving.Failures round = new Moving.Failures();
        for (int i = 0; i < 10; i++) {
            round.count(3 * i, MovingTest::away);
            round.count(3 * i + 1, MovingTest::away);
            round.count(3 * i + 2, WELL);
        }
        assertThatThrownBy(round::tell).isExactlyInstanceOf(StoreAway.class).hasMessage("hung up");
    }

    @Test
    void aStoreThatTakesNothingIsNotAskedForAll() {
        Moving.Failures round = new Moving.Failures();
        round.count(1, MovingTest::away);
        round.count(2, MovingTest::away);
        assertThatThrownBy(() -> round.count(3, MovingTest::away)).isInstanceOf(StoreAway.class);
    }

    @Test
    void whatIsLostIsNamedUpToTen() {
        Moving.Failures round = new Moving.Failures();
        for (int i = 1; i <= 12; i++) round.count(i, MovingTest::lost);
        assertThatThrownBy(round::tell)
                .isInstanceOf(ObjectLost.class)
                .hasMessageStartingWith("12 recordings do not lie in the store as put there")
                .hasMessageEndingWith(": 1, 2, 3, 4, 5, 6, 7, 8, 9, 10 and others");
    }

    @Test
    void aRoundWithoutAFailureSaysNothing() {
        Moving.Failures round = new Moving.Failures();
        round.count(1, WELL);
        round.tell();
    }
}
