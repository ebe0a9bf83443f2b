package pemblar.app.frame.page;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.DayOfWeek;
import java.time.LocalDate;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import pemblar.core.sport.Sport;

/** Miles, pounds, degrees Fahrenheit, commas and weeks from Sunday, by hand. */
@Tag("unit")
class UnitsTest {
    private static final Units OTHER = new Units(
            Units.Length.MILES,
            Units.Mass.POUNDS,
            Units.Temperature.FAHRENHEIT,
            Units.Decimal.COMMA,
            DayOfWeek.SUNDAY,
            Units.Theme.DARK);
    private final Shown shown = new Shown();

    @BeforeEach
    void bind() {
        Units.bind(OTHER);
    }

    @AfterEach
    void release() {
        Units.release();
    }

    @Test
    void figuresReadInThePersonsUnits() {
        assertThat(shown.kilometres(42_195)).isEqualTo("26,2 mi");
        assertThat(shown.speed(Sport.RIDE, 10)).isEqualTo("22,4 mi/h");
        assertThat(shown.speed(Sport.RUN, 1609.344 / 480)).isEqualTo("8:00 /mi");
        assertThat(shown.kilograms(70)).isEqualTo("154,3 lb");
        assertThat(shown.celsius(-40)).isEqualTo("−40 °F");
        assertThat(shown.celsius(20)).isEqualTo("68 °F");
    }

    /** A pool and a rowing course are metric for everybody. */
    @Test
    void poolsStayMetric() {
        assertThat(shown.speed(Sport.SWIM, 1)).isEqualTo("1:40 /100 m");
    }

    @Test
    void whatIsTypedIsReadTheSameWay() {
        assertThat(OTHER.metres("Distance", "26,2", 100, 5_000_000)).isCloseTo(42_164.8, within(0.1));
        assertThat(OTHER.kilograms("Load", "225", 0, 999)).isCloseTo(102.058, within(0.001));
        assertThat(OTHER.celsius("Hottest", "86", 0, 60)).isEqualTo(30, within(1e-9));
        assertThatThrownBy(() -> OTHER.kilograms("Body mass", "30", 20, 400))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("Body mass, lb")
                .hasMessageContaining("45 to 881");
    }

    @Test
    void weeksBeginWhereThePersonSays() {
        assertThat(OTHER.weekOf(LocalDate.of(2026, 11, 27))).isEqualTo(LocalDate.of(2026, 11, 22));
        assertThat(Units.METRIC.weekOf(LocalDate.of(2026, 11, 27))).isEqualTo(LocalDate.of(2026, 11, 23));
        assertThat(OTHER.weekdays()).startsWith(DayOfWeek.SUNDAY).endsWith(DayOfWeek.SATURDAY);
    }

    @Test
    void nobodyIsMetric() {
        Units.release();
        assertThat(shown.kilometres(1000)).isEqualTo("1.0 km");
        assertThat(shown.units().darkMedia()).isEqualTo("(prefers-color-scheme: dark)");
    }
}
