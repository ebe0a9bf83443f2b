package pemblar.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.By;
import org.openqa.selenium.support.ui.Select;
import org.springframework.jdbc.core.JdbcTemplate;

/** A triathlete is set up to the board and the device, goes away with one sport, and rides a race of stages. */
@Tag("browser")
class PlanJourneyTest extends Browser {
    private static final LocalDate TODAY = LocalDate.now(ZoneOffset.UTC);
    private final JdbcTemplate sql = new JdbcTemplate(Running.APPLICATION.getBean(javax.sql.DataSource.class));

    private List<String> strings(String asked, Object... values) {
        return sql.queryForList(asked, String.class, values);
    }

    @Test
    void aTriathleteFromQuestionsToTheDeviceAndARaceOfStages() {
        Person person = new Person(Running.ADDRESS).signUp("runa.three@pemblar.example", "swim,ride,run");
        String base = person.get("/").uri().getPath().replaceAll("/today$", "");
        long athlete = Long.parseLong(base.replaceAll("\\D", ""));
        person.post(
                base + "/thresholds/adopt",
                Map.of("THRESHOLD_POWER", "220", "from", TODAY.minusDays(30).toString()));
        signIn("runa.three@pemblar.example", "a long password");
        setUp(base, athlete);
        toTheDevice(base, athlete);
        parts(base, athlete);
        away(base, athlete);
        stages(base, athlete);
    }

    private void setUp(String base, long athlete) {
        go(base + "/season/setup");
        type("input[name=event]", "Otter bay triathlon");
        type("input[name=time]", "2h30");
        type("input[name=presentHours]", "6");
        for (String[] share : new String[][] {{"SWIM", "25"}, {"RIDE", "45"}, {"RUN", "30"}})
            type("input[name=share" + share[0] + "]", share[1]);
        click("form.setup > p .primary");
        seeText("#review", "Otter bay triathlon");
        click("#save-setup");
        seeText(".foot", "sessions are on the board");
        assertThat(strings(
                        "select distinct sport from session where athlete_id = ? and day > ? order by sport",
                        athlete,
                        TODAY))
                .contains("RIDE", "RUN", "SWIM");
    }

    /**
     * A planned session of the set-up is done on the bench unit by one touch from its page; its recording comes back.
     */
    private void toTheDevice(String base, long athlete) {
        long session = sql.queryForObject(
                "select id from session where athlete_id = ? and structure is not null and day >= ? and sport = 'RIDE'"
                        + " order by day, id limit 1",
                Long.class,
                athlete,
                TODAY);
        go(base + "/sessions/" + session);
        click("form[action$='/sessions/" + session + "/bench-unit'] button");
        LocalDate planned = sql.queryForObject("select day from session where id = ?", LocalDate.class, session);
        Eventually.holds(
                Duration.ofSeconds(20),
                () -> strings("select day::text from recording where athlete_id = ?", athlete)
                        .equals(List.of(TODAY.toString())));
        assertThat(sql.queryForObject("select day from session where id = ?", LocalDate.class, session))
                .isEqualTo(planned);
    }

    private void parts(String base, long athlete) {
        long event = sql.queryForObject(
                "select id from event where athlete_id = ? and name = 'Otter bay triathlon'", Long.class, athlete);
        go(base + "/season/demands/" + event);
        String[][] parts = {{"SWIM", "1.5", "30min"}, {"RIDE", "40", "1h15"}, {"RUN", "10", "50min"}};
        for (int i = 0; i < parts.length; i++) {
            new Select(see(".event-parts select[name=sport]")).selectByValue(parts[i][0]);
            type(".event-parts input[name=kilometres]", parts[i][1]);
            type(".event-parts input[name=time]", parts[i][2]);
            click(".event-parts form.search button");
            see(".event-parts tbody tr:nth-child(" + (i + 1) + ")");
        }
        assertThat(strings("select sport from event_part where event_id = ? order by place", event))
                .containsExactly("SWIM", "RIDE", "RUN");
        seeText(".event-parts", "1:15:00");
    }

    private void away(String base, long athlete) {
        go(base + "/season");
        browser.executeScript("for (const d of document.querySelectorAll('details')) d.open = true");
        browser.executeScript(
                "document.querySelector('input[name=awayFrom]').value = arguments[0];"
                        + "document.querySelector('input[name=awayTo]').value = arguments[1]",
                TODAY.plusDays(9).toString(),
                TODAY.plusDays(12).toString());
        type("form:has(input[name=awayFrom]) input[name=hours]", "3");
        type("form:has(input[name=awayFrom]) input[name=reason]", "work trip");
        new Select(see("form:has(input[name=awayFrom]) select[name=only]")).selectByValue("RUN");
        click("form:has(input[name=awayFrom]) button");
        Eventually.holds(
                Duration.ofSeconds(20),
                () -> strings("select only_sport from season_exception where athlete_id = ?", athlete)
                        .equals(List.of("RUN")));
    }

    /** Each stage's points lie on its own day: the forecast's load of that day is the stage's. */
    private void stages(String base, long athlete) {
        long event = sql.queryForObject(
                "insert into event (athlete_id, day, name, priority, days, sport) values (?, ?, 'Mill stages', 'B', 3,"
                        + " 'RIDE') returning id",
                Long.class,
                athlete,
                TODAY.plusDays(30));
        sql.update("update season set revision = revision + 1 where athlete_id = ?", athlete);
        go(base + "/season/demands/" + event);
        String[] times = {"30min", "5h", "3h"};
        for (int i = 0; i < times.length; i++) {
            new Select(see(".event-parts select[name=sport]")).selectByValue("RIDE");
            type(".event-parts input[name=time]", times[i]);
            click(".event-parts form.search button");
            see(".event-parts tbody tr:nth-child(" + (i + 1) + ")");
        }
        List<Integer> loads = browser.findElements(By.cssSelector(".event-parts tbody td:nth-child(5)")).stream()
                .map(cell -> Integer.valueOf(cell.getText()))
                .toList();
        assertThat(loads).hasSize(3);
        assertThat(loads.get(1)).isGreaterThan(5 * loads.get(0));
        assertThat(strings("select stage::text from event_part where event_id = ? order by place", event))
                .containsExactly("1", "2", "3");
    }
}
