package pemblar.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.JdbcTemplate;

/** Days away with running shoes alone: the season says so, and what is put there is run. */
@Tag("http")
class AwaySportTest {
    private static final LocalDate TODAY = LocalDate.now(ZoneOffset.UTC);

    @Test
    void onDaysAwayWithOneSportTheFillerTakesThatOne() {
        JdbcTemplate sql = new JdbcTemplate(Running.APPLICATION.getBean(javax.sql.DataSource.class));
        Person person = new Person(Running.ADDRESS).signUp("away.shoes@pemblar.example", "ride");
        String base = person.get("/").uri().getPath().replaceAll("/today$", "");
        long athlete = Long.parseLong(base.replaceAll("\\D", ""));
        person.get(base + "/thresholds");
        person.post(
                base + "/thresholds/adopt",
                Map.of("THRESHOLD_POWER", "250", "from", TODAY.minusDays(60).toString()));
        sql.update("update athlete set start_chronic = 40 where id = ?", athlete);
        person.get(base + "/season");
        LocalDate first = TODAY.plusDays(8);
        LocalDate last = TODAY.plusDays(17);
        Map<String, String> away = Map.of(
                "awayFrom",
                first.toString(),
                "awayTo",
                last.toString(),
                "hours",
                "5",
                "reason",
                "work trip",
                "awayKind",
                "WORK",
                "only",
                "RUN");
        assertThat(person.post(base + "/season/away", away).body())
                .contains("work trip")
                .contains("5 h a week, only running");
        person.post(
                base + "/season/settings",
                Map.of(
                        "aimKind",
                        "WEEKLY_HOURS",
                        "aimValue",
                        "6",
                        "blockDays",
                        "7",
                        "easyEvery",
                        "4",
                        "easyUnit",
                        "blocks",
                        "easyDays",
                        "7",
                        "highestBuild",
                        "6",
                        "weeklyHours",
                        "8"));
        person.post(base + "/season/fill", Map.of());
        List<String> inside = sql.queryForList(
                "select distinct sport from session where athlete_id = ? and day between ? and ?",
                String.class,
                athlete,
                first,
                last);
        List<String> outside = sql.queryForList(
                "select distinct sport from session where athlete_id = ? and day > ?", String.class, athlete, last);
        assertThat(inside).containsExactly("RUN");
        assertThat(outside).containsExactly("RIDE");
    }
}
