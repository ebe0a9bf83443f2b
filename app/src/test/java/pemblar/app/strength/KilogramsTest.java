package pemblar.app.strength;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.DayOfWeek;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import pemblar.app.frame.page.Units;

/** Loads in the person's unit on the page, in kg where they are kept. */
@Tag("unit")
class KilogramsTest {
    @AfterEach
    void release() {
        Units.release();
    }

    private static void pounds() {
        Units.bind(new Units(
                Units.Length.KILOMETRES,
                Units.Mass.POUNDS,
                Units.Temperature.CELSIUS,
                Units.Decimal.POINT,
                DayOfWeek.MONDAY,
                Units.Theme.SYSTEM));
    }

    @Test
    void kilogramsAreSaidAsTheyAreLoaded() {
        assertThat(Kilograms.of(81.25)).isEqualTo("81.25 kg");
        assertThat(Kilograms.of(81.6333)).isEqualTo("81.6 kg");
        assertThat(Kilograms.of(-5)).isEqualTo("−5 kg");
    }

    /** 225 lb are kept as 102.06 kg and come back as 225. */
    @Test
    void poundsComeBackAsTheyWereTyped() {
        pounds();
        for (int typed = 5; typed <= 900; typed += 5)
            assertThat(Kilograms.of(Units.mine().kilograms("Load", String.valueOf(typed), 0, 999)))
                    .isEqualTo(typed + " lb");
    }

    @Test
    void whatIsKeptIsInKilogramsWhoeverLifts() {
        pounds();
        assertThat(Kilograms.kept(107.5)).isEqualTo("107.5 kg");
        assertThat(Kilograms.said("107.5 kg × 3")).isEqualTo("237 lb × 3");
        assertThat(Kilograms.said("4 x 8 each at 40kg")).isEqualTo("4 x 8 each at 88.2 lb");
        assertThat(Kilograms.said("5 x 5 at 80%")).isEqualTo("5 x 5 at 80%");
    }
}
