package pemblar.app.frame.page;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.NullSource;
import org.junit.jupiter.params.provider.ValueSource;

@Tag("unit")
class TypedTest {
    @ParameterizedTest
    @CsvSource({
        "1h20, 4800",
        "1h20min, 4800",
        "90min, 5400",
        "90, 5400",
        "45 s, 45",
        "1:20:00, 4800",
        "20:00, 1200",
        "2H, 7200",
        "1h5min30s, 3930"
    })
    void timesAreReadAsPeopleWriteThem(String typed, int seconds) {
        assertThat(Typed.seconds("Length", typed, 1, 100_000)).isEqualTo(seconds);
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "soon", "1:99", "-5", "1e9", "99999999999"})
    void whatIsNoTimeIsRefusedWithExamples(String typed) {
        assertThatThrownBy(() -> Typed.seconds("Length", typed, 1, 100_000))
                .hasMessageStartingWith("Length: ")
                .hasMessageContaining("1h20");
    }

    @Test
    void aNumberOutsideItsRangeNamesTheNearest() {
        assertThat(Typed.number("Hours", "7,5", 0, 100)).isEqualTo(7.5);
        assertThatThrownBy(() -> Typed.number("Hours", "200", 0, 100))
                .hasMessage("Hours: 200 is not possible; enter 0 to 100. The nearest is 100.");
        assertThatThrownBy(() -> Typed.number("Hours", "NaN", 0, 100)).hasMessageContaining("enter 0 to 100");
        assertThatThrownBy(() -> Typed.whole("Days", "2.5", 0, 100))
                .hasMessage("Days: enter a whole number from 0 to 100.");
        assertThatThrownBy(() -> Typed.day("Day", "31.12.")).hasMessageContaining("such as 2027-05-30");
    }

    @ParameterizedTest
    @NullSource
    @ValueSource(strings = {"", "  "})
    void anEmptyFieldIsSaidToBeEmpty(String typed) {
        assertThatThrownBy(() -> Typed.day("Day", typed))
                .hasMessage("Day: nothing was entered; enter one such as 2027-05-30.");
        assertThatThrownBy(() -> Typed.number("Hours", typed, 0, 100))
                .hasMessage("Hours: nothing was entered; enter 0 to 100.");
    }
}
