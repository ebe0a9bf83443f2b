package pemblar.app.recording.bytes;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.anyString;
import static org.mockito.Mockito.RETURNS_DEEP_STUBS;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.simple.JdbcClient;
import pemblar.app.objects.ObjectStore;
import pemblar.app.operator.WhereRecordingsLie.Lying;

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
        assertThat(out).isEqualTo(new Lying(false, true, 1000));
        assertThat(out.waitingInWords()).isEqualTo("at least 1000");
        Lying in = new Moving(sql, objects, null, "database").lying().orElseThrow();
        assertThat(in).isEqualTo(new Lying(false, false, 7));
        assertThat(in.waitingInWords()).isEqualTo("7");
        assertThat(new Moving(sql, objects, null, "stay").lying()).hasValue(new Lying(true, false, 0));
    }

    @Test
    void withoutAStoreThereIsNothingToSay() {
        assertThat(new Moving(sql, objects, null, "database").lying()).isEmpty();
    }
}
