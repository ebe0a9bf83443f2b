package pemblar.formats.ical;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import net.fortuna.ical4j.data.CalendarBuilder;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.Component;
import net.fortuna.ical4j.model.component.VEvent;
import org.junit.jupiter.api.Test;
import pemblar.formats.ical.PlanCalendar.Entry;

class PlanCalendarTest {
    private static final Instant START = Instant.parse("2027-03-28T15:40:00Z");
    private static final List<Entry> ENTRIES = List.of(
            new Entry(
                    "session-7@pemblar",
                    LocalDate.of(2027, 3, 28),
                    START,
                    START.plusSeconds(4500),
                    "Two by twenty; hard, \"seated\"",
                    "Load 87\n2 x 20 min"),
            new Entry("event-3@pemblar", LocalDate.of(2027, 6, 20), null, null, "A · Løype på fjället", ""));

    private static Calendar readBack(byte[] bytes) throws Exception {
        return new CalendarBuilder().build(new ByteArrayInputStream(bytes));
    }

    @Test
    void whatIsWrittenIsReadBackByTheLibrary() throws Exception {
        List<VEvent> events =
                readBack(PlanCalendar.write("Plan", ENTRIES, START)).getComponents(Component.VEVENT);
        assertThat(events).hasSize(2);
        assertThat(events.get(0).getSummary().getValue()).isEqualTo("Two by twenty; hard, \"seated\"");
        assertThat(events.get(0).getDescription().getValue()).isEqualTo("Load 87\n2 x 20 min");
        assertThat(events.get(0).getUid().orElseThrow().getValue()).isEqualTo("session-7@pemblar");
        assertThat(Instant.from(events.get(0).getDateTimeStart().getDate())).isEqualTo(START);
        assertThat(ChronoUnit.SECONDS.between(
                        events.get(0).getDateTimeStart().getDate(),
                        events.get(0).getDateTimeEnd().getDate()))
                .isEqualTo(4500);
        assertThat(LocalDate.from(events.get(1).getDateTimeStart().getDate())).isEqualTo(LocalDate.of(2027, 6, 20));
        assertThat(events.get(1).getSummary().getValue()).isEqualTo("A · Løype på fjället");
    }

    @Test
    void theCalendarIsValidAndItsLinesAreFolded() throws Exception {
        byte[] bytes = PlanCalendar.write(
                "Plan",
                List.of(new Entry(
                        "x@pemblar",
                        LocalDate.of(2027, 1, 1),
                        null,
                        null,
                        "long ".repeat(60).strip(),
                        "")),
                START);
        assertThat(readBack(bytes).validate().hasErrors()).isFalse();
        assertThat(new String(bytes, StandardCharsets.UTF_8).split("\r\n"))
                .allMatch(line -> line.getBytes(StandardCharsets.UTF_8).length <= 75);
    }

    @Test
    void anEndBeforeItsStartIsRefused() {
        assertThatThrownBy(() -> new Entry("x", LocalDate.of(2027, 1, 1), START, START, "x", ""))
                .hasMessageContaining("end must be after start");
    }
}
