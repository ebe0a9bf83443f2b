package pemblar.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.JdbcTemplate;
import pemblar.app.recording.SkyTemperatures;

/** The sky from the service that ships to today, to the plan's answers and to recordings without a temperature. */
@Tag("http")
class SkyTest {
    private static final LocalDate TODAY = LocalDate.now(ZoneOffset.UTC);
    private static JdbcTemplate sql;
    private static Person person;
    private static String base;
    private static long athlete;

    @BeforeAll
    static void trainSomewhere() {
        sql = new JdbcTemplate(Running.APPLICATION.getBean(javax.sql.DataSource.class));
        person = new Person(Running.ADDRESS).signUp("ylva.sky@pemblar.example", "run");
        base = person.get("/").uri().getPath().replaceAll("/today$", "");
        athlete = Long.parseLong(base.replaceAll("\\D", ""));
        person.get(base + "/board");
        for (int day : new int[] {0, 1})
            person.post(
                    base + "/sketch",
                    Map.of(
                            "day",
                            TODAY.plusDays(day).toString(),
                            "sport",
                            "RUN",
                            "purpose",
                            "EASY",
                            "length",
                            "1h",
                            "time",
                            "12:00"));
    }

    private static void place(String name, String latitude, String longitude) {
        person.get(base + "/today");
        person.post(base + "/place", Map.of("name", name, "latitude", latitude, "longitude", longitude));
    }

    @Test
    void whereSomebodyTrainsTheSkyStandsAtTheHourOfTheSession() {
        place("Made-up fen", "61.2", "14,8");
        assertThat(person.get(base + "/today").body()).contains("At its hour: ").contains("The sky over Made-up fen");
        place("", "", "");
        assertThat(person.get(base + "/today").body()).doesNotContain("At its hour: ");
        assertThat(sql.queryForObject(
                        "select count(*) from athlete_place where athlete_id = ?", Integer.class, athlete))
                .isZero();
    }

    @Test
    void aPlaceThatIsNoneIsRefusedWithItsField() {
        person.get(base + "/today");
        Map<String, String> far = Map.of("name", "Nowhere", "latitude", "91", "longitude", "0");
        assertThat(person.post(base + "/place", far).body()).contains("Latitude");
        Map<String, String> nameless = Map.of("name", "", "latitude", "10", "longitude", "0");
        assertThat(person.post(base + "/place", nameless).body()).contains("Place: enter a name");
    }

    @Test
    void iceThatIsNotWantedIsAnsweredByThePlan() {
        place("Made-up ridge", "-33.5", "150.5");
        sql.update("update sky_hour set ice = true, celsius = -2 where latitude = -33.5 and longitude = 150.5");
        assertThat(person.get(base + "/proposals").body()).contains("weather is beyond what is wanted");
        sql.update("update sky_hour set ice = false where latitude = -33.5 and longitude = 150.5");
        assertThat(person.get(base + "/proposals").body()).doesNotContain("weather is beyond what is wanted");
    }

    @Test
    void recordingsWithoutATemperatureTakeTheSkysAndSayWhereItIsFrom() {
        Person jonna = Person.demo("jonna");
        String home = jonna.get("/").uri().getPath().replaceAll("/today$", "");
        long id = Long.parseLong(home.replaceAll("\\D", ""));
        assertThat(Running.APPLICATION.getBean(SkyTemperatures.class).fill(id)).isTrue();
        List<Map<String, Object>> filled = sql.queryForList(
                "select r.id, r.sky_celsius, s.id as session from recording r join session s on s.recording_id = r.id "
                        + "where r.athlete_id = ? and r.sky_celsius is not null",
                id);
        assertThat(filled).isNotEmpty();
        assertThat(sql.queryForObject(
                        "select count(*) from aerobic_piece where recording_id = ? and (celsius is null or not sky)",
                        Integer.class,
                        filled.get(0).get("id")))
                .isZero();
        assertThat(jonna.get(home + "/sessions/" + filled.get(0).get("session")).body())
                .contains("from the sky: the recording has no temperature");
    }

    @Test
    void theServiceThatShipsAnswersEveryQuestionWithoutAFault() {
        for (String question : List.of(
                "latitude=1&longitude=2&from=2027-01-01T00:00:00Z&to=2027-01-02T00:00:00Z",
                "latitude=91&longitude=2&from=2027-01-01T00:00:00Z&to=2027-01-02T00:00:00Z",
                "latitude=NaN&longitude=2&from=2027-01-01T00:00:00Z&to=2027-01-02T00:00:00Z",
                "latitude=1&longitude=2&from=yesterday&to=2027-01-02T00:00:00Z",
                "latitude=1&longitude=2&from=-1000000000-01-01T00:00:00Z&to=%2B1000000000-12-31T00:00:00Z",
                "latitude=1"))
            assertThat(new Person(Running.ADDRESS).get("/sky/hours?" + question).statusCode())
                    .as(question)
                    .isIn(200, 400);
    }
}
