package pemblar.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import net.fortuna.ical4j.data.CalendarBuilder;
import net.fortuna.ical4j.model.Component;
import net.fortuna.ical4j.model.component.VEvent;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.JdbcTemplate;

/** The feed carries what one does: steps in watts, sets in kilograms, rest and days away; what is over leaves it. */
@Tag("http")
class CalendarFeedTest {
    private static final LocalDate TODAY = LocalDate.now(ZoneId.of("Europe/Dublin"));
    private final JdbcTemplate sql = new JdbcTemplate(Running.APPLICATION.getBean(javax.sql.DataSource.class));

    private static List<VEvent> events(Person person, String base) throws Exception {
        String page = person.post(base + "/season/calendar/renew", Map.of()).body();
        if (!page.contains("feed-address"))
            page = person.get(base + "/season/calendar").body();
        Matcher address = Pattern.compile("(/calendar/[\\w-]+\\.ics)").matcher(page);
        assertThat(address.find()).isTrue();
        String feed = new Person(Running.ADDRESS).get(address.group(1)).body();
        return new CalendarBuilder()
                .build(new ByteArrayInputStream(feed.getBytes(StandardCharsets.UTF_8)))
                .getComponents(Component.VEVENT);
    }

    private static VEvent named(List<VEvent> events, String summary) {
        return events.stream()
                .filter(e -> e.getSummary().getValue().equals(summary))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void stepsSetsRestAndAway() throws Exception {
        Person person = new Person(Running.ADDRESS).signUp("feed.carries@pemblar.example", "ride");
        String base = person.get("/").uri().getPath().replaceAll("/today$", "");
        long id = Long.parseLong(base.replaceAll("\\D", ""));
        person.get(base + "/strength/maxima");
        String before = TODAY.minusDays(60).toString();
        person.post(base + "/thresholds/adopt", Map.of("THRESHOLD_POWER", "250", "from", before));
        person.post(base + "/strength/maxima", Map.of("exercise", "back squat", "kilograms", "100", "day", before));
        String text = "back squat 3 x 5 at 80%\nplank 2 x 45s";
        String lifting = TODAY.plusDays(1).toString();
        person.post(base + "/strength", Map.of("title", "Legs", "text", text, "put", "1", "day", lifting));
        String copy = "insert into session (athlete_id, day, sport, title, structure, planned_seconds, planned_load,"
                + " planned_silhouette) select ?, ?, 'RIDE', ?, structure, 3600, 60, '' from session where sport ="
                + " 'RIDE' and structure is not null and title = 'Two by twenty' limit 1";
        int made =
                sql.update(copy, id, TODAY.plusDays(3), "To come") + sql.update(copy, id, TODAY.minusDays(1), "Missed");
        assertThat(made).isEqualTo(2);
        sql.update(
                "insert into block (athlete_id, first_day, days, phase, name, aim, target_load, target_seconds) values"
                        + " (?, ?, 9, 'BUILD', 'Build', '', 400, 30000)",
                id,
                TODAY.minusDays(2));
        sql.update(
                "insert into season_exception (athlete_id, from_day, to_day, weekly_hours, reason,"
                        + " kind) values (?, ?, ?, 0, 'trip',"
                        + " 'TRAVEL')",
                id,
                TODAY.plusDays(5),
                TODAY.plusDays(6));
        List<VEvent> events = events(person, base);
        assertThat(named(events, "Legs").getDescription().getValue())
                .contains("back squat: 80 kg × 5 (3 sets)")
                .contains("plank: 45 s (2 sets)");
        assertThat(named(events, "To come").getDescription().getValue())
                .containsPattern("\\d times")
                .containsPattern("\\d+ to \\d+ W");
        assertThat(events.stream().map(e -> e.getSummary().getValue()))
                .contains("Away: trip", "Rest")
                .doesNotContain("Missed");
        VEvent away = named(events, "Away: trip");
        assertThat(LocalDate.from(away.getDateTimeStart().getDate())).isEqualTo(TODAY.plusDays(5));
        assertThat(LocalDate.from(away.getDateTimeEnd().getDate())).isEqualTo(TODAY.plusDays(7));
        assertThat(events.stream()
                        .filter(e -> e.getSummary().getValue().equals("Rest"))
                        .map(e -> LocalDate.from(e.getDateTimeStart().getDate())))
                .containsExactly(TODAY, TODAY.plusDays(2));
    }
}
