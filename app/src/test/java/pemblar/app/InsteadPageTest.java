package pemblar.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.JdbcTemplate;

/** Today instead, from the page to the plan and back by one undo. */
@Tag("http")
class InsteadPageTest {
    private static final Pattern OFFER =
            Pattern.compile("name=\"workout\" value=\"(-?\\d+)\".*?name=\"percent\" value=\"(\\d+)\"", Pattern.DOTALL);
    private static final LocalDate TODAY = LocalDate.now(ZoneOffset.UTC);
    private static JdbcTemplate sql;
    private static Person person;
    private static String base;

    @BeforeAll
    static void planIntervals() {
        sql = new JdbcTemplate(Running.APPLICATION.getBean(javax.sql.DataSource.class));
        person = new Person(Running.ADDRESS).signUp("elin.instead@pemblar.example", "ride");
        base = person.get("/").uri().getPath().replaceAll("/today$", "");
        person.get(base + "/thresholds");
        person.post(
                base + "/thresholds/adopt",
                Map.of("THRESHOLD_POWER", "240", "from", TODAY.minusDays(30).toString()));
        person.get(base + "/board");
        person.post(
                base + "/sketch",
                Map.of("day", TODAY.toString(), "sport", "RIDE", "purpose", "INTERVALS", "length", "1h"));
    }

    private static List<Map<String, Object>> today() {
        return sql.queryForList(
                "select id, title, purpose, scale_percent, planned_load from session where athlete_id = ? and "
                        + "day = ? order by id",
                Long.parseLong(base.replaceAll("\\D", "")),
                TODAY);
    }

    @Test
    void oneTouchPutsItInPlaceAndOneUndoBringsBackWhatWasThere() {
        var before = today();
        String page = person.get(base + "/instead?minutes=60&feeling=TIRED").body();
        assertThat(page).contains("in place of");
        Matcher offer = OFFER.matcher(page);
        assertThat(offer.results().count()).isBetween(1L, 3L);
        offer.reset();
        assertThat(offer.find()).isTrue();
        person.post(base + "/instead", Map.of("workout", offer.group(1), "percent", offer.group(2)));
        assertThat(today()).hasSize(1).isNotEqualTo(before);
        assertThat(today().get(0).get("purpose")).isIn("EASY", "RECOVERY");
        person.post(base + "/proposals/undo", Map.of("here", "today"));
        assertThat(today()).isEqualTo(before);
    }

    /** A ride that nobody had planned is part of the seven days like any other. */
    @Test
    void theSevenDaysHoldWhatWasDoneWithoutAPlan() {
        long before = sevenDays();
        sql.update(
                "insert into session (athlete_id, day, sport, title, done_seconds, done_load) values (?, ?, 'RIDE',"
                        + " 'With the club', 7200, 120)",
                Long.parseLong(base.replaceAll("\\D", "")),
                TODAY.minusDays(2));
        assertThat(sevenDays()).isEqualTo(before + 120);
        sql.update("delete from session where title = 'With the club'");
    }

    private static long sevenDays() {
        String page = person.get(base + "/instead?minutes=60&feeling=TIRED").body();
        Matcher week =
                Pattern.compile("7 days come to \\d+ instead of (\\d+)\\.").matcher(page);
        assertThat(week.find()).isTrue();
        return Long.parseLong(week.group(1));
    }

    @Test
    void minutesThatCannotBeAreNamedAndSoIsAScaleOutOfReach() {
        assertThat(person.get(base + "/instead?minutes=9999").body()).contains("Minutes");
        assertThat(person.get(base + "/instead?minutes=x").body()).contains("Minutes");
        assertThat(person.get(base + "/instead?minutes=60&feeling=ANGRY").statusCode())
                .isEqualTo(400);
        var before = today();
        assertThat(person.post(base + "/instead", Map.of("workout", "-1", "percent", "500"))
                        .body())
                .contains("Scale");
        assertThat(today()).isEqualTo(before);
        assertThat(Person.demo("sefa").get(base + "/instead").statusCode()).isEqualTo(404);
    }
}
