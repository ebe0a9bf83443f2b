package pemblar.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.JdbcTemplate;

/** The range page and the curve by pace against the demo's rows. */
@Tag("http")
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
        double hours = sum(csv, "hours_swim");
        assertThat(sum(csv, "sessions_swim")).isEqualTo(swims);
        assertThat(sum(csv, "hours_all")).isGreaterThan(hours);
        Double seconds = sql.queryForObject(
                "select sum(timer_seconds) from recording where athlete_id = 3 and sport = 'SWIM'"
                        + " and day between ? and ?",
                Double.class,
                from,
                to);
        assertThat(hours).as("five weeks at most, each rounded").isCloseTo(seconds / 3600, within(0.03));
    }

    private static double sum(String csv, String column) {
        List<String> heads = List.of(csv.lines().findFirst().orElseThrow().split(","));
        assertThat(heads).contains(column);
        return csv.lines()
                .skip(1)
                .mapToDouble(l -> Double.parseDouble(l.split(",")[heads.indexOf(column)]))
                .sum();
    }

    /** Every planned session that is over stands in one block and one kind, and the table says what the file says. */
    @Test
    void planAndDoneStandByBlockAndKind() {
        LocalDate last = sql.queryForObject(
                "select max(first_day + days - 1) from block where athlete_id = 3 and first_day + days - 1 < "
                        + "current_date",
                LocalDate.class);
        LocalDate first = sql.queryForObject(
                "select min(first_day) from block where athlete_id = 3 and first_day > ?",
                LocalDate.class,
                last.minusDays(60));
        String asked = "?span=typed&from=" + first + "&to=" + last;
        String csv =
                kasper.get("/a/3/progress/zones.csv" + asked + "&rows=block").body();
        List<String> all = csv.lines()
                .filter(l -> l.contains(",all,"))
                .map(l -> l.split(",")[4])
                .toList();
        int planned = all.stream().mapToInt(Integer::parseInt).sum();
        assertThat(planned)
                .isPositive()
                .isEqualTo(sql.queryForObject(
                        "select count(*) from session where athlete_id = 3 and planned_seconds > 0 and day between ? "
                                + "and ?",
                        Integer.class,
                        first,
                        last));
        assertThat(sum(csv, "sessions_planned")).as("once as all, once by kind").isEqualTo(2.0 * planned);
        String page = kasper.get("/a/3/progress/zones" + asked).body();
        assertThat(page)
                .contains("Plan and done by block, " + all.size())
                .contains("Hours, sessions and zones by week");
        String table =
                kasper.get("/a/3/progress/zones/table" + asked + "&rows=block").body();
        assertThat(table.split("<tr>").length - 2)
                .as("its head and a row a block")
                .isEqualTo(all.size());
        assertThat(kasper.get("/a/3/progress/zones/table?sport=swim").body()).contains(">swimming<");
        assertThat(kasper.get("/a/1/progress/zones/table").statusCode()).isEqualTo(404);
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
