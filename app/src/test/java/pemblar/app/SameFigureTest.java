package pemblar.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.JdbcTemplate;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.AthleteService;
import pemblar.app.athlete.CoachingService;
import pemblar.core.sport.Sport;

/**
 * For fifty seeded athletes every page that shows a figure of the same name and day shows the same: season, board,
 * trend, first look, side by side and what-if.
 */
@Tag("http")
class SameFigureTest {
    private static final int ATHLETES = 50;
    private static final LocalDate TODAY = LocalDate.now(ZoneOffset.UTC);
    private static final String FIGURE = "([+−]?\\d+)";
    private static JdbcTemplate sql;
    private static Person coach;
    private static long account;

    @BeforeAll
    static void signUp() {
        sql = new JdbcTemplate(Running.APPLICATION.getBean(javax.sql.DataSource.class));
        coach = new Person(Running.ADDRESS).signUp("same.figure@pemblar.example", "coach");
        account = sql.queryForObject("select id from account where email = 'same.figure@pemblar.example'", Long.class);
    }

    /**
     * Months behind with gaps, weeks ahead with blocks, sessions or neither, days away, an event with or without time.
     */
    private static long athlete(int seed) {
        Random random = new Random(seed);
        Athlete athlete = Running.APPLICATION
                .getBean(AthleteService.class)
                .await("Figure " + seed, random.nextBoolean() ? Sport.RIDE : Sport.RUN, "UTC");
        Running.APPLICATION.getBean(CoachingService.class).begin(athlete.id(), account, true);
        for (int day = -20 - random.nextInt(150); day <= 0; day++)
            if (random.nextInt(3) > 0) done(athlete, TODAY.plusDays(day), 20 + random.nextInt(120));
        int raced = 12 + random.nextInt(60);
        for (int day = random.nextInt(2); day < raced; day++)
            if (random.nextInt(5) == 0) planned(athlete, TODAY.plusDays(day), 30 + random.nextInt(90));
        if (random.nextInt(3) > 0) blocks(athlete, random, raced);
        event(athlete, random, raced);
        return athlete.id();
    }

    private static void done(Athlete athlete, LocalDate day, int load) {
        sql.update(
                "insert into session (athlete_id, day, sport, title, scale_percent, done_seconds, done_load) values"
                        + " (?, ?, ?, 'Done', 100, ?, ?)",
                athlete.id(),
                day,
                athlete.first().name(),
                load * 60,
                (double) load);
    }

    private static void planned(Athlete athlete, LocalDate day, int load) {
        sql.update(
                "insert into session (athlete_id, day, sport, title, scale_percent, purpose, planned_seconds,"
                        + " planned_load) values (?, ?, ?, 'Planned', 100, 'EASY', ?, ?)",
                athlete.id(),
                day,
                athlete.first().name(),
                load * 60,
                (double) load);
    }

    private static void blocks(Athlete athlete, Random random, int raced) {
        int first = -random.nextInt(5);
        while (first < raced) {
            int days = 4 + random.nextInt(12);
            sql.update(
                    "insert into block (athlete_id, first_day, days, phase, name, aim, target_load, target_seconds)"
                            + " values (?, ?, ?, 'BUILD', 'Build', '', ?, ?)",
                    athlete.id(),
                    TODAY.plusDays(first),
                    days,
                    (double) days * random.nextInt(100),
                    days * 3000);
            first += days;
        }
    }

    private static void event(Athlete athlete, Random random, int raced) {
        long id = sql.queryForObject(
                "insert into event (athlete_id, day, name, priority, days, seconds) values (?, ?, ?, 'A', ?, ?)"
                        + " returning id",
                Long.class,
                athlete.id(),
                TODAY.plusDays(raced),
                "Race of all",
                1 + random.nextInt(4),
                random.nextBoolean() ? (Integer) (3600 * (1 + random.nextInt(5))) : null);
        if (random.nextInt(3) == 0)
            sql.update(
                    "insert into event_part (event_id, athlete_id, place, stage, sport, seconds) values"
                            + " (?, ?, 0, 1, 'SWIM', 1800), (?, ?, 1, 1, 'RIDE', 7200)",
                    id,
                    athlete.id(),
                    id,
                    athlete.id());
    }

    private static String page(String path) {
        return coach.get(path).body().replaceAll("\\s+", " ").replaceAll("> <", "><");
    }

    private static List<String> found(String page, String pattern) {
        Matcher matcher = Pattern.compile(pattern).matcher(page);
        assertThat(matcher.find()).as(pattern).isTrue();
        List<String> figures = new ArrayList<>();
        for (int i = 1; i <= matcher.groupCount(); i++) figures.add(matcher.group(i));
        return figures;
    }

    @Test
    void whatHasOneNameAndDayHasOneFigure() {
        coach.get("/roster");
        for (int seed = 0; seed < ATHLETES; seed++) {
            String at = "/a/" + athlete(seed);
            String trend = page(at + "/progress");
            List<String> race = List.of(
                    found(trend, "<dd>" + FIGURE + "</dd><dt>chronic load by then")
                            .get(0),
                    found(trend, "<dd>" + FIGURE + "</dd><dt>balance in points on the morning of <span>Race of all")
                            .get(0));
            assertThat(found(
                            page(at + "/season"),
                            "<b>Race of all</b>: chronic <b>" + FIGURE + "</b>, balance ?<b>" + FIGURE + "</b>"))
                    .as("season, seed %d", seed)
                    .isEqualTo(race);
            assertThat(found(
                            page(at + "/board"),
                            "<span>Race of all</span>: chronic ?<b>" + FIGURE + "</b>, balance ?<b>" + FIGURE + "</b>"))
                    .as("board, seed %d", seed)
                    .isEqualTo(race);
            String balance = found(trend, "<dd>" + FIGURE + "</dd><dt>balance this morning")
                    .get(0);
            String beside = page("/roster/beside?athlete=" + at.substring(3));
            assertThat(found(beside, "Balance this morning, points</th><td[^>]*><span>" + FIGURE)
                            .get(0))
                    .as("side by side, seed %d", seed)
                    .isEqualTo(balance);
            assertThat(found(page(at + "/first-look"), "<dd>" + FIGURE + "</dd><dt>chronic load this morning"))
                    .as("first look, seed %d", seed)
                    .isEqualTo(found(beside, "Chronic load this morning, points a day</th><td[^>]*>" + FIGURE));
        }
    }
}
