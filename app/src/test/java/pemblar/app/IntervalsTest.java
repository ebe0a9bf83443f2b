package pemblar.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.JdbcTemplate;
import pemblar.core.model.IntervalTarget;
import pemblar.core.model.Reserve;

/** What to hold for a set: the core's figure with the values that hold, and what is missing said. */
@Tag("http")
class IntervalsTest {
    private final JdbcTemplate sql = new JdbcTemplate(Running.APPLICATION.getBean(javax.sql.DataSource.class));

    private double valid(String quantity) {
        return sql.queryForObject(
                "select amount from dated_value where athlete_id = 1 and quantity = ? and valid_from <= current_date"
                        + " order by valid_from desc limit 1",
                Double.class,
                quantity);
    }

    @Test
    void itIsTheCoresFigureWithARangeAndAWorkout() {
        Person jonna = Person.demo("jonna");
        String page = jonna.get("/a/1/thresholds/intervals?repeats=5&length=4min&rest=3min&easy=50&left=10")
                .body();
        double watts = IntervalTarget.of(
                        new Reserve(valid("CRITICAL_POWER"), valid("W_PRIME")),
                        new IntervalTarget.Set(5, 240, 180, valid("THRESHOLD_POWER") / 2, 0.1))
                .watts();
        assertThat(page).contains("<span>" + Math.round(watts) + " W</span>").contains("95 % range");
        assertThat(page).contains("5 x (4min max, 3min 50%)").contains("Design it");
        String design = jonna.get("/a/1/workouts/design?text=5%20x%20(4min%20max%2C%203min%2050%25)")
                .body();
        assertThat(design)
                .contains("5 x (4min max, 3min 50%)")
                .contains(Math.round(0.1 * valid("W_PRIME") / 100) / 10.0 + " kJ");
    }

    @Test
    void aCoachSeesItForAllWhoHaveAModel() {
        String page = Person.demo("oda")
                .get("/a/1/thresholds/intervals?everybody=true")
                .body();
        assertThat(page).contains("The same for all whom you see").contains("<td>Jonna Thale</td>");
        assertThat(page).doesNotContain("<td>Sefa Myrin</td>");
    }

    @Test
    void whatIsMissingOrCannotBeIsSaid() {
        Person nobody = new Person(Running.ADDRESS).signUp("intervals@pemblar.example", "ride");
        String base = nobody.get("/").uri().getPath().replaceAll("/today$", "") + "/thresholds/intervals";
        assertThat(nobody.get(base).body()).contains("Critical power and W′ are not known");
        Map.of(
                        "repeats=0", "Repetitions",
                        "length=soon", "is not a time",
                        "easy=NaN", "Rest at",
                        "left=100", "Left")
                .forEach((query, words) -> assertThat(
                                nobody.get(base + "?" + query).body())
                        .as(query)
                        .contains(words));
        assertThat(Person.demo("jonna")
                        .get("/a/1/thresholds/intervals?repeats=20&length=5min&rest=1min&easy=100")
                        .statusCode())
                .isEqualTo(200);
    }

    @Test
    void aRunnerIsAskedForEffortsAndNotForPower() {
        Person runner = new Person(Running.ADDRESS).signUp("intervals.runner@pemblar.example", "run,ride");
        String base = runner.get("/").uri().getPath().replaceAll("/today$", "") + "/thresholds/intervals";
        String page = Person.main(runner.get(base).body());
        assertThat(page)
                .contains("fastest pace")
                .contains("Critical speed and D′ are not known: it takes three all-out efforts")
                .doesNotContain("W′");
        assertThat(Person.main(runner.get(base + "?sport=ride").body()))
                .contains("highest power")
                .contains("Critical power and W′ are not known");
    }

    @Test
    void aTestOfTheCurveIsPutOnADay() {
        Person runner = new Person(Running.ADDRESS).signUp("curve.test@pemblar.example", "run");
        String base = runner.get("/").uri().getPath().replaceAll("/today$", "");
        runner.get(base + "/thresholds/curve");
        String day =
                java.time.LocalDate.now(java.time.ZoneOffset.UTC).plusDays(3).toString();
        runner.post(base + "/thresholds/curve/test", Map.of("sport", "run", "seconds", "720", "day", day));
        assertThat(sql.queryForList(
                        "select title from session where athlete_id = ? and day = ?::date",
                        String.class,
                        Long.parseLong(base.replaceAll("\\D", "")),
                        day))
                .containsExactly("Test: 12 min all-out");
        assertThat(Person.demo("sefa").get("/a/2/thresholds/curve").body())
                .contains("Put it on this day")
                .contains("min all-out</option>");
        for (String bad : new String[] {"", "soon", "9999-12-31"})
            assertThat(runner.post(
                                    base + "/thresholds/curve/test",
                                    Map.of("sport", "run", "seconds", "720", "day", bad))
                            .statusCode())
                    .as(bad)
                    .isLessThan(500);
    }
}
