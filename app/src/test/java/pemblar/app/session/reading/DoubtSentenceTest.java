package pemblar.app.session.reading;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import pemblar.app.session.reading.DoubtService.Doubt;

@Tag("unit")
class DoubtSentenceTest {
    private static String sentence(Double load, Double mended) {
        return new Doubt(1, "Hills", LocalDate.of(2026, 5, 4), "a spike of power", load, mended).sentence();
    }

    @ParameterizedTest
    @CsvSource({
        "88.0, 88.0, The load stays at 88.",
        "88.4, 87.6, The load stays at 88.",
        "88.0, 86.9, Load 88 would be 87.",
        "88.0, 84.0, Load 88 would be 84.",
        "188.0, 84.0, Load 188 would be 84."
    })
    void theLoadStaysOnlyWhereTheFiguresShownAreTheSame(double load, double mended, String effect) {
        assertThat(sentence(load, mended)).isEqualTo("Probably a spike of power. " + effect);
    }

    @Test
    void withoutALoadNothingIsSaidAboutIt() {
        assertThat(sentence(null, 84.0)).isEqualTo("Probably a spike of power.");
        assertThat(sentence(88.0, null)).isEqualTo("Probably a spike of power.");
    }
}
