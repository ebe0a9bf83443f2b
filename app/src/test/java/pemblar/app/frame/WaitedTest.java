package pemblar.app.frame;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.sql.SQLTransientConnectionException;
import java.util.function.Supplier;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

@Tag("unit")
class WaitedTest {
    private int asked;
    private final Supplier<String> away = () -> {
        asked++;
        throw new IllegalStateException(new SQLTransientConnectionException("not available within 2500 ms"));
    };

    @AfterEach
    void leave() {
        Waited.end();
    }

    @Test
    void aRequestWaitsOnceForADatabaseThatIsAway() {
        Waited.begin();
        assertThatThrownBy(() -> Waited.once(away)).isInstanceOf(IllegalStateException.class);
        assertThatThrownBy(() -> Waited.once(away)).isInstanceOf(IllegalStateException.class);
        assertThatThrownBy(() -> Waited.once(() -> "there")).isInstanceOf(IllegalStateException.class);
        assertThat(asked).isEqualTo(1);
        Waited.begin();
        assertThat(Waited.once(() -> "there")).as("the next request").isEqualTo("there");
    }

    @Test
    void anotherFaultDoesNotEndIt() {
        Waited.begin();
        assertThatThrownBy(() -> Waited.once(() -> {
                    throw new IllegalArgumentException("no such thing");
                }))
                .isInstanceOf(IllegalArgumentException.class);
        assertThat(Waited.once(() -> "there")).isEqualTo("there");
    }

    @Test
    void outsideOfARequestEveryOneAsks() {
        for (int i = 0; i < 2; i++)
            assertThatThrownBy(() -> Waited.once(away)).isInstanceOf(IllegalStateException.class);
        assertThat(asked).isEqualTo(2);
    }
}
