package pemblar.app.frame.page;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.time.LocalDate;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

@Tag("unit")
class ShownTest {
    private final Shown shown = new Shown();

    @Test
    void timesReadAsPeopleSayThem() {
        assertEquals("50 min", shown.duration(2990));
        assertEquals("1 h 00", shown.duration(3590));
        assertEquals("3 h 10", shown.duration(11_400));
        assertEquals("1:05:00", shown.clock(3900));
        assertEquals("4:00", shown.clock(239.7));
    }

    @Test
    void whatIsNotKnownIsADash() {
        assertEquals("–", shown.duration(null));
        assertEquals("–", shown.whole(Double.NaN));
        assertEquals("–", shown.pace(0));
        assertEquals("–", shown.kilojoules(null));
    }

    @Test
    void signsAndUnitsAreThere() {
        assertEquals("+12", shown.signed(11.6));
        assertEquals("−4", shown.signed(-4.2));
        assertEquals("0", shown.signed(-0.3));
        assertEquals("4:10 /km", shown.pace(4));
        assertEquals("91 %", shown.percent(0.908));
        assertEquals("9 to 31 August", shown.span(LocalDate.of(2026, 8, 9), LocalDate.of(2026, 8, 31)));
        assertEquals("28 August to 3 September", shown.span(LocalDate.of(2026, 8, 28), LocalDate.of(2026, 9, 3)));
    }
}
