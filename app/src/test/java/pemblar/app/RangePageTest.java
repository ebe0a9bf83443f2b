package pemblar.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.JdbcTemplate;

/** The range page and the curve by pace against the demo's rows. */
class RangePageTest {
    private final JdbcTemplate sql = new JdbcTemplate(Running.APPLICATION.getBean(javax.sql.DataSource.class));
    private final Person kasper = Person.demo("kasper");

    private int swims(LocalDate from, LocalDate to) {
        return sql.queryForObject(
                "select count(*) from recording where athlete_id = 3 and sport = 'SWIM' and day between ? and ?",
                Integer.class,
                from,
                to);
    }

    @Test
    void aTypedRangeCountsTheSwimsOfItsDays() {
        LocalDate to = sql.queryForObject("select max(day) from recording where athlete_id = 3", LocalDate.class);
        LocalDate from = to.minusDays(27);
        String page = kasper.get("/a/3/progress/zones?span=typed&sport=swim&from=" + from + "&to=" + to)
                .body();
        int swims = swims(from, to);
        assertThat(swims).isPositive();
        assertThat(page).contains("of swimming in 28 days").contains(" in " + swims + "<");
        String csv = kasper.get("/a/3/progress/zones.csv?span=typed&sport=swim&from=" + from + "&to=" + to)
                .body();
        assertThat(csv).startsWith("week_from,week_to,hours_all,hours_swim");
        double hours = csv.lines()
                .skip(1)
                .mapToDouble(l -> Double.parseDouble(l.split(",")[3]))
                .sum();
        Double seconds = sql.queryForObject(
                "select sum(timer_seconds) from recording where athlete_id = 3 and sport = 'SWIM'"
                        + " and day between ? and ?",
                Double.class,
                from,
                to);
        assertThat(hours).as("five weeks at most, each rounded").isCloseTo(seconds / 3600, within(0.03));
    }

    @Test
    void aRangeThatMakesNoSenseIsRefusedWithItsFieldAndTheUsualDaysAreShown() {
        assertThat(kasper.get("/a/3/progress/zones?span=typed&from=2026-05-02&to=2026-05-01")
                        .body())
                .contains("To: choose a day from 2026-05-02")
                .contains("in 28 days");
        assertThat(kasper.get("/a/3/progress/zones?span=typed&from=1000-01-01&to=9999-12-31")
                        .statusCode())
                .isEqualTo(200);
        assertThat(kasper.get("/a/3/progress/zones?otherFrom=soon&sport=moon&by=x")
                        .statusCode())
                .isEqualTo(200);
        assertThat(kasper.get("/a/1/progress/zones.csv").statusCode()).isEqualTo(404);
    }

    @Test
    void bestSwimsAreAPaceOverHundredMetresAndGiveACriticalSpeedOrSayWhyNot() {
        String page = kasper.get("/a/3/thresholds/curve?sport=swim").body();
        assertThat(page).contains("min/100 m");
        // which of the two depends on the swims that the last 90 days hold on the day of the test
        boolean modelled = page.contains("pace for 5 min");
        assertThat(page.contains("Not enough evidence")).isEqualTo(!modelled);
        assertThat(page.contains("what goes above it")).isEqualTo(modelled);
        assertThat(kasper.get("/a/3/thresholds/curve?sport=run&by=power").statusCode())
                .isEqualTo(200);
    }
}
