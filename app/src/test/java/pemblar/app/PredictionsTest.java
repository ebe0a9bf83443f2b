package pemblar.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.JdbcTemplate;
import pemblar.core.prediction.Prediction;
import pemblar.core.threshold.Endurance;
import pemblar.core.threshold.Sex;

/** Predictions of events: made from what was known on each day, kept as they were made, held against what came. */
@Tag("http")
class PredictionsTest {
    private static final LocalDate TODAY = LocalDate.now(ZoneOffset.UTC);
    private static final double FIRST = 4.0;
    private static final double LATER = 4.4;
    private final JdbcTemplate sql = new JdbcTemplate(Running.APPLICATION.getBean(javax.sql.DataSource.class));

    private record Row(LocalDate day, double value, double low, double high) {}

    private List<Row> rows(long athlete) {
        return sql.query(
                "select * from predicted where athlete_id = ? order by metres, seconds, day",
                (rs, i) -> new Row(
                        rs.getObject("day", LocalDate.class),
                        rs.getDouble("value"),
                        rs.getDouble("low"),
                        rs.getDouble("high")),
                athlete);
    }

    private static double expected(double threshold) {
        Endurance endurance = Endurance.ofRunning(List.of(), 10_000, 10_000 / threshold, Sex.NOT_GIVEN);
        return Prediction.overMetres(Prediction.usual(TODAY, threshold, endurance, List.of()), 10_000)
                .value();
    }

    private static void threshold(Person person, String base, double speed, LocalDate from) {
        person.get(base + "/thresholds");
        int seconds = (int) Math.round(1000 / speed);
        assertThat(person.post(
                                base + "/thresholds/adopt",
                                Map.of(
                                        "THRESHOLD_SPEED",
                                        seconds / 60 + ":" + String.format("%02d", seconds % 60),
                                        "from",
                                        from.toString()))
                        .statusCode())
                .isEqualTo(200);
    }

    @Test
    void eachIsMadeFromWhatWasKnownThatDayAndStaysAsItWasMade() {
        Person person = new Person(Running.ADDRESS).signUp("foreseen@pemblar.example", "run");
        String base = person.get("/").uri().getPath().replaceAll("/today$", "");
        long athlete = Long.parseLong(base.replaceAll("\\D", ""));
        threshold(person, base, FIRST, TODAY.minusDays(100));
        threshold(person, base, LATER, TODAY.minusDays(30));
        sql.update(
                "insert into event (athlete_id, day, name, priority, kind, sport, metres) values (?, ?, 'Ten', 'A', "
                        + "'RACE', 'RUN', 10000)",
                athlete,
                TODAY.plusDays(20));
        String page = person.get(base + "/progress/fitness").body();
        assertThat(page).contains("Your events").contains("10.0 km, ").contains("faster.");
        List<Row> rows = rows(athlete);
        assertThat(rows).hasSizeGreaterThan(12).allMatch(r -> r.day().getDayOfWeek() == DayOfWeek.MONDAY);
        for (Row row : rows) {
            double known = row.day().isBefore(TODAY.minusDays(30)) ? FIRST : LATER;
            double speed = 1000 / Math.rint(1000 / known);
            assertThat(row.value()).as("on " + row.day()).isCloseTo(expected(speed), within(1e-6));
            assertThat(row.low()).isLessThan(row.value());
        }
        threshold(person, base, 5, TODAY.minusDays(60));
        assertThat(person.get(base + "/progress/fitness").statusCode()).isEqualTo(200);
        assertThat(rows(athlete)).as("what was said stays said").isEqualTo(rows);
        assertThat(person.get(base + "/season").body())
                .contains("likely, as of ")
                .contains("#events");
    }

    @Test
    void aRaceThatIsOverIsHeldAgainstItsRange() {
        Person sefa = Person.demo("sefa");
        String page = sefa.get("/a/2/progress/fitness").body();
        assertThat(page).contains("Harbour club race").contains(" came: ").contains("result");
        LocalDate race = sql.queryForObject(
                "select day from event where athlete_id = 2 and name = 'Harbour club race'", LocalDate.class);
        assertThat(sql.queryForObject(
                        "select count(*) from predicted where athlete_id = 2 and day = ?",
                        Integer.class,
                        race.minusDays(1)))
                .as("the eve's word")
                .isEqualTo(1);
    }

    @Test
    void aClimbIsToldOrWhatIsMissingIsSaid() {
        Person jonna = Person.demo("jonna");
        String at = "/a/1/progress/fitness?length=8&gradient=";
        assertThat(jonna.get(at + "6").body()).contains("between ").contains("for bike and bottle");
        assertThat(jonna.get("/a/1/progress/fitness?length=40&gradient=0").body())
                .contains("on roads like those of your rides");
        assertThat(jonna.get("/a/1/progress/fitness?length=1&gradient=5").body())
                .as("a power that the law does not tell is not shown")
                .contains("under 20 min");
        assertThat(jonna.get(at + "90").body()).contains("Gradient: ");
        assertThat(jonna.get("/a/1/progress/fitness?length=far&gradient=NaN").body())
                .contains("Length: ");
    }
}
