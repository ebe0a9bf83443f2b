package pemblar.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.CompletableFuture;
import java.util.function.Consumer;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.JdbcTemplate;
import pemblar.app.athlete.CoachingService;

/**
 * An athlete and their coach change the same athlete's things at the same moment, while files are read and sessions are
 * computed anew by jobs. What each does touches other things than what the other does, so whatever the order, the end
 * must be that of one doing everything after the other. Each seed is done both ways, by two athletes who have the same
 * recordings, and all that is stored is compared. {@code -Dinterleavings=500} does more than CI does.
 */
@Tag("http")
class InterleavingTest {
    private static final int SEEDS = Integer.getInteger("interleavings", 24);
    private static final int OPERATIONS = 5;
    private static final int RECORDINGS = 4;
    private static final LocalDate FIRST = LocalDate.now(ZoneOffset.UTC).minusDays(40);
    private static JdbcTemplate sql;
    private static Two together;
    private static Two inTurn;

    /** An athlete and a coach who may plan, each with their own way back. */
    private record Two(long athlete, Person self, Person coach) {
        private static Two signUp(String name) {
            Person self = new Person(Running.ADDRESS).signUp(name + ".self@pemblar.example", "ride");
            Person coach = new Person(Running.ADDRESS).signUp(name + ".coach@pemblar.example", "coach");
            long athlete = Long.parseLong(self.get("/").uri().getPath().replaceAll("\\D", ""));
            Running.APPLICATION
                    .getBean(CoachingService.class)
                    .begin(
                            athlete,
                            sql.queryForObject(
                                    "select id from account where email = ?",
                                    Long.class,
                                    name + ".coach@pemblar.example"),
                            true);
            Two two = new Two(athlete, self, coach);
            two.self().get(two.base() + "/thresholds");
            two.coach().get(two.base() + "/thresholds");
            two.self()
                    .post(
                            two.base() + "/thresholds/adopt",
                            Map.of(
                                    "THRESHOLD_POWER",
                                    "220",
                                    "THRESHOLD_HEART_RATE",
                                    "165",
                                    "from",
                                    FIRST.minusDays(5).toString()));
            for (int i = 0; i < RECORDINGS; i++) two.upload(two.self(), i);
            two.settle();
            return two;
        }

        String base() {
            return "/a/" + athlete;
        }

        void upload(Person by, int number) {
            by.upload(base() + "/sessions/upload", Map.of("ride-" + number + ".gpx", gpx(number)));
        }

        /** Of the recording on a day; the session keeps its number when it is deleted. */
        long session(int number) {
            return sql.queryForObject(
                    "select id from session where athlete_id = ? and day = ? and recording_id is not null",
                    Long.class,
                    athlete,
                    FIRST.plusDays(number));
        }

        void settle() {
            Eventually.holds(
                    Duration.ofSeconds(60),
                    () -> sql.queryForObject(
                                    "select (select count(*) from import_file where athlete_id = ? and state ="
                                            + " 'WAITING') + (select count(*) from recomputation where athlete_id = ?"
                                            + " and done < total)",
                                    Integer.class,
                                    athlete,
                                    athlete)
                            == 0);
        }

        /** All that can be seen of the athlete's recordings and values. */
        String state() {
            List<String> rows = new ArrayList<>();
            for (Map<String, Object> row : sql.queryForList(
                    "select s.day, r.timer_seconds, r.equivalent_watts, r.intensity,"
                            + " r.load_points, r.load_source, r.set_load, r.load_reason, r.zones::text, r.loads::text,"
                            + " r.lowest_reserve_joules, r.perceived_effort, (select string_agg(e.kind || ' ' ||"
                            + " coalesce(e.channel, ''), ',' order by e.kind, e.channel) from recording_edit e where"
                            + " e.recording_id = r.id) as edits from session s join recording r on"
                            + " r.id = s.recording_id where s.athlete_id = ? and s.deleted_at is null order by s.day",
                    athlete)) rows.add(row.toString());
            rows.add(sql.queryForList(
                            "select quantity, valid_from, amount from dated_value where athlete_id = ?"
                                    + " order by quantity, valid_from",
                            athlete)
                    .toString());
            rows.add(sql.queryForList(
                            "select day, done_load, done_seconds from load_day where athlete_id = ? order by day",
                            athlete)
                    .toString());
            return String.join("\n", rows);
        }
    }

    private static byte[] gpx(int number) {
        Instant start = FIRST.plusDays(number).atTime(8, 0).toInstant(ZoneOffset.UTC);
        StringBuilder text = new StringBuilder("<?xml version=\"1.0\"?><gpx version=\"1.1\" creator=\"test\" "
                + "xmlns=\"http://www.topografix.com/GPX/1/1\"><trk><type>ride</type><trkseg>");
        for (int i = 0; i < 240; i++)
            text.append("<trkpt lat=\"")
                    .append(50 + i * 0.00005)
                    .append("\" lon=\"7\"><ele>100</ele><time>")
                    .append(start.plusSeconds(i))
                    .append("</time><extensions><power>")
                    .append(170 + 10 * (number % 9) + i % 7)
                    .append("</power><hr>")
                    .append(130 + i % 11)
                    .append("</hr></extensions></trkpt>");
        return text.append("</trkseg></trk></gpx>").toString().getBytes(StandardCharsets.UTF_8);
    }

    @BeforeAll
    static void people() {
        sql = new JdbcTemplate(Running.APPLICATION.getBean(javax.sql.DataSource.class));
        together = Two.signUp("together");
        inTurn = Two.signUp("in.turn");
    }

    /** @param once tells one form from another that is alike, which would be taken for the same pressed twice */
    private static void post(Person by, String path, String once, Map<String, String> form) {
        Map<String, String> all = new HashMap<>(form);
        all.put("once", once);
        assertThat(by.post(path, all).statusCode()).as(path).isLessThan(500);
    }

    /** Recordings 0 and 1 are the athlete's to change, 2 and 3 the coach's; thresholds one's, mass the other's. */
    private static List<Consumer<Two>> operations(Random random, boolean coach, int seed) {
        List<Consumer<Two>> all = new ArrayList<>();
        int own = coach ? 2 : 0;
        for (int i = 0; i < OPERATIONS; i++) {
            int recording = own + random.nextInt(2);
            int amount = random.nextInt(40);
            String once = seed + "." + i;
            int next = RECORDINGS + (2 * seed + (coach ? 1 : 0)) % 26;
            all.add(
                    switch (random.nextInt(6)) {
                        case 0 -> two -> two.upload(by(two, coach), next);
                        case 1 ->
                            two -> post(
                                    by(two, coach),
                                    two.base() + "/thresholds/adopt",
                                    once,
                                    coach
                                            ? Map.of(
                                                    "BODY_MASS",
                                                    "" + (60 + amount / 4),
                                                    "from",
                                                    FIRST.plusDays(amount % 3).toString())
                                            : Map.of(
                                                    "THRESHOLD_POWER",
                                                    "" + (200 + amount),
                                                    "THRESHOLD_HEART_RATE",
                                                    "" + (150 + amount / 2),
                                                    "from",
                                                    FIRST.plusDays(amount % 3).toString()));
                        case 2 ->
                            two -> post(
                                    by(two, coach),
                                    two.base() + "/sessions/" + two.session(recording) + "/load",
                                    once,
                                    Map.of("source", "SET", "points", "" + (20 + amount), "reason", "heat"));
                        case 3 ->
                            two -> post(
                                    by(two, coach),
                                    two.base() + "/sessions/" + two.session(recording) + "/mend",
                                    once,
                                    Map.of("what", "HIDE", "channel", amount % 2 == 0 ? "heartRate" : "power"));
                        case 4 ->
                            two -> post(
                                    by(two, coach),
                                    two.base() + "/sessions/delete",
                                    once,
                                    Map.of("chosen", "" + two.session(recording)));
                        default -> two -> post(by(two, coach), two.base() + "/sessions/undo", once, Map.of());
                    });
        }
        return all;
    }

    private static Person by(Two two, boolean coach) {
        return coach ? two.coach() : two.self();
    }

    @Test
    void whoeverComesFirstTheEndIsTheSame() {
        assertThat(together.state()).isEqualTo(inTurn.state());
        for (int seed = 0; seed < SEEDS; seed++) {
            List<Consumer<Two>> athletes = operations(new Random(seed), false, seed);
            List<Consumer<Two>> coachs = operations(new Random(1000 + seed), true, seed);
            CompletableFuture<Void> one = CompletableFuture.runAsync(() -> athletes.forEach(o -> o.accept(together)));
            CompletableFuture<Void> other = CompletableFuture.runAsync(() -> coachs.forEach(o -> o.accept(together)));
            CompletableFuture.allOf(one, other).join();
            together.settle();
            for (Consumer<Two> operation : athletes) {
                operation.accept(inTurn);
                inTurn.settle();
            }
            for (Consumer<Two> operation : coachs) {
                operation.accept(inTurn);
                inTurn.settle();
            }
            assertThat(together.state()).as("seed %d", seed).isEqualTo(inTurn.state());
        }
    }
}
