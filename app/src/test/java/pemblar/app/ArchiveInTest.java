package pemblar.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.concurrent.CompletableFuture;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * An archive taken in elsewhere gives the same pages, as the archive of those shows; one that was tampered with leaves
 * out what cannot be, and every page still opens.
 */
@Tag("http")
class ArchiveInTest {
    private static final int DAMAGED = Integer.getInteger("archives", 4);
    private static final byte[] PICTURE = {(byte) 0x89, 'P', 'N', 'G', '\r', '\n', 0x1a, '\n', 1, 2, 3};
    private static final JsonMapper JSON = JsonMapper.shared();
    private final JdbcTemplate sql = new JdbcTemplate(Running.APPLICATION.getBean(javax.sql.DataSource.class));

    /** Somebody new, who has brought an archive. */
    private final class Newcomer {
        private final String email;
        private final Person person;

        private Newcomer(String name, String role) {
            email = name + "@pemblar.example";
            person = new Person(Running.ADDRESS).signUp(email, role);
            person.get("/account");
        }

        private int send(byte[] archive) {
            return person.send("/account/archive/in", "application/zip", archive)
                    .statusCode();
        }

        private Newcomer bring(Map<String, byte[]> files) throws IOException {
            assertThat(send(Zips.zip(files))).isEqualTo(202);
            Eventually.holds(Duration.ofSeconds(180), () -> !state().matches("|WAITING|READING"));
            return this;
        }

        private String state() {
            return String.join(
                    "",
                    sql.queryForList(
                            "select state from archive_in a join account k on k.id = a.account_id where k.email = ?"
                                    + " order by a.id desc limit 1",
                            String.class,
                            email));
        }

        private Map<String, byte[]> archive() throws IOException {
            return Zips.archive(sql, email);
        }

        private long athlete() {
            return sql.queryForObject(
                    "select a.id from athlete a join account k on k.id = a.account_id where k.email = ?",
                    Long.class,
                    email);
        }

        private String told() {
            return Person.main(person.get("/account/archive/in").body());
        }
    }

    /** The demo athlete with the recordings of the latest days, so that reading them is quick. */
    private Map<String, byte[]> demo(int recordings) throws IOException {
        Map<String, byte[]> files = Zips.archive(sql, "jonna@pemblar.example");
        List<String> names =
                files.keySet().stream().filter(n -> n.startsWith("recordings/")).toList();
        Set<String> kept = new TreeSet<>();
        names.subList(names.size() - recordings, names.size()).forEach(n -> kept.add(n.split(" ")[1]));
        files.keySet().removeIf(n -> n.startsWith("recordings/") && !kept.contains(n.split(" ")[1]));
        edit(files, "recording", row -> kept.contains(row.path("id").asString()) ? row : null);
        return files;
    }

    private static void edit(
            Map<String, byte[]> files, String shelf, java.util.function.UnaryOperator<ObjectNode> change) {
        String path = "data/" + shelf + ".jsonl";
        files.put(
                path,
                lines(files, path).stream()
                        .map(change)
                        .filter(java.util.Objects::nonNull)
                        .map(row -> row + "\n")
                        .collect(Collectors.joining())
                        .getBytes(StandardCharsets.UTF_8));
    }

    private static List<ObjectNode> lines(Map<String, byte[]> files, String path) {
        return new String(files.get(path), StandardCharsets.UTF_8)
                .lines()
                .map(line -> (ObjectNode) JSON.readTree(line))
                .toList();
    }

    /** Columns that name rows by number, that say whose they are, or how often and by which rules they were read. */
    private static final Set<String> ELSEWHERE = Set.of(
            "id",
            "version",
            "revision",
            "curves_version",
            "doubts_version",
            "email",
            "name of account",
            "created_at",
            "kept_by",
            "session",
            "sky_celsius");

    private static String normal(String shelf, JsonNode row) {
        if (row instanceof ObjectNode object) {
            Map<String, String> fields = new TreeMap<>();
            for (Map.Entry<String, JsonNode> field : object.properties())
                if (!ELSEWHERE.contains(field.getKey())
                        && !field.getKey().endsWith("_id")
                        && !(shelf.equals("account")
                                || shelf.equals("athlete") && field.getKey().equals("name")))
                    fields.put(field.getKey(), normal(shelf, field.getValue()));
            return fields.toString();
        }
        if (!row.isArray()) return row.toString();
        return row.values().stream().map(v -> normal(shelf, v)).toList().toString();
    }

    private static Map<String, List<String>> rows(Map<String, byte[]> files) {
        Map<String, List<String>> rows = new TreeMap<>();
        for (String path : files.keySet())
            if (path.startsWith("data/") && !path.contains("coaching"))
                rows.put(
                        path,
                        lines(files, path).stream()
                                .map(row -> normal(path.replaceAll("data/|\\.jsonl", ""), row))
                                .sorted()
                                .toList());
        return rows;
    }

    private static void same(Map<String, byte[]> is, Map<String, byte[]> was) {
        Map<String, List<String>> before = rows(was);
        rows(is).forEach((path, rows) -> {
            List<String> lost = new ArrayList<>(before.get(path));
            rows.forEach(lost::remove);
            List<String> made = new ArrayList<>(rows);
            before.get(path).forEach(made::remove);
            assertThat(lost.stream().map(l -> differing(l, made)).toList())
                    .as(path)
                    .isEmpty();
            assertThat(made).as(path).isEmpty();
        });
    }

    /** From where a row differs from the one that stands in its place. */
    private static String differing(String lost, List<String> made) {
        String other = made.isEmpty() ? "" : made.get(0);
        int at = Math.max(0, org.apache.commons.lang3.StringUtils.indexOfDifference(lost, other) - 40);
        return org.apache.commons.lang3.StringUtils.mid(lost, at, 200) + " | "
                + org.apache.commons.lang3.StringUtils.mid(other, at, 200);
    }

    private static List<String> contents(Map<String, byte[]> files, String folder) {
        return files.entrySet().stream()
                .filter(f -> f.getKey().startsWith(folder))
                .map(f ->
                        f.getKey().replaceAll("^(\\S+ )?\\S*\\d+ ", "") + " " + java.util.Arrays.hashCode(f.getValue()))
                .sorted()
                .toList();
    }

    /** What a season of using it leaves: mended, set aside, chosen, described, named, noted, kept and deleted. */
    private void use(Newcomer somebody) {
        long athlete = somebody.athlete();
        Person person = somebody.person;
        List<Long> sessions = sql.queryForList(
                "select s.id from session s join recording r on r.id = s.recording_id where s.athlete_id = ? and"
                        + " r.mean_watts is not null and r.mean_bpm is not null order by s.day desc limit 3",
                Long.class,
                athlete);
        List<String> at =
                sessions.stream().map(s -> "/a/" + athlete + "/sessions/" + s).toList();
        person.get(at.get(0));
        person.post(at.get(0) + "/mend", Map.of("what", "TRIM", "from", "60", "to", "900", "reason", "left running"));
        person.post(at.get(0) + "/mend", Map.of("what", "HIDE", "channel", "heartRate", "reason", "strap"));
        person.post(at.get(1) + "/load", Map.of("source", "SET", "points", "77", "reason", "standing", "effort", "6"));
        person.post(at.get(1) + "/describe", Map.of("surface", "gravel", "tags", "windy, club"));
        person.post(at.get(1) + "/ranges", Map.of("from", "30", "to", "90", "name", "the dip"));
        person.post(
                at.get(1) + "/derive",
                Map.of("name", "ratio", "left", "power", "operation", "OVER", "right", "heartRate"));
        // one that no comparison looks at
        person.post("/a/" + athlete + "/sessions/" + oldest(athlete) + "/delete", Map.of());
        person.post(
                "/a/" + athlete + "/thresholds/curve/set-aside",
                Map.of("recording", recordingOf(sessions.get(2)), "seconds", "60", "reason", "spike"));
        LocalDate today = LocalDate.now(ZoneOffset.UTC);
        person.post(
                "/a/" + athlete + "/templates",
                Map.of("from", today.minusDays(20).toString(), "to", today.toString(), "title", "Three weeks"));
        person.post(
                "/account/units",
                Map.of(
                        "length",
                        "MILES",
                        "mass",
                        "KILOGRAMS",
                        "temperature",
                        "CELSIUS",
                        "decimal",
                        "POINT",
                        "weekStart",
                        "MONDAY",
                        "theme",
                        "DARK"));
        long note = sql.queryForObject(
                "insert into note (athlete_id, about, body, author_id, author, written_at) select ?, 'ATHLETE',"
                        + " 'with a picture', account_id, 'Test Person', now() from athlete where id = ? returning id",
                Long.class,
                athlete,
                athlete);
        sql.update(
                "insert into note_file (note_id, athlete_id, name, type, content) values (?, ?, 'foot.png',"
                        + " 'image/png', ?)",
                note,
                athlete,
                PICTURE);
        sql.update("update recording set sky_celsius = 33.25 where id = ?", Long.valueOf(recordingOf(sessions.get(2))));
    }

    private long oldest(long athlete) {
        return sql.queryForObject(
                "select id from session where athlete_id = ? and recording_id is not null order by day, id limit 1",
                Long.class,
                athlete);
    }

    private String recordingOf(long session) {
        return String.valueOf(sql.queryForObject("select recording_id from session where id = ?", Long.class, session));
    }

    @Test
    void theSamePagesStandElsewhereAndOnceMoreElsewhere() throws IOException {
        Map<String, byte[]> demo = demo(40);
        Newcomer first = new Newcomer("archive.first", "ride").bring(demo);
        assertThat(first.state()).isEqualTo("DONE");
        same(first.archive(), demo);
        assertThat(contents(first.archive(), "recordings/")).isEqualTo(contents(demo, "recordings/"));

        use(first);
        Map<String, byte[]> used = first.archive();
        for (String shelf : List.of(
                "recording_edit", "effort_set_aside", "named_range", "derived_channel", "template", "preference"))
            assertThat(lines(used, "data/" + shelf + ".jsonl")).as(shelf).isNotEmpty();
        Newcomer second = new Newcomer("archive.second", "run").bring(used);
        Map<String, byte[]> again = second.archive();
        same(again, used);
        assertThat(contents(again, "recordings/")).isEqualTo(contents(used, "recordings/"));
        assertThat(contents(again, "notes/")).hasSize(1).isEqualTo(contents(used, "notes/"));
        assertThat(sql.queryForObject(
                        "select count(*) from recording where athlete_id = ? and sky_celsius = 33.25",
                        Integer.class,
                        second.athlete()))
                .isEqualTo(1);
        assertThat(second.told()).contains("The archive is taken in.").doesNotContain("Left out");
        assertThat(sql.queryForObject(
                        "select count(*) from note n where athlete_id = ? and author_id is null and author <> ''",
                        Integer.class,
                        second.athlete()))
                .as("what others wrote is theirs")
                .isEqualTo(1);
        for (String table : List.of("archive_in_piece", "archive_in_number"))
            assertThat(sql.queryForObject("select count(*) from " + table, Integer.class))
                    .isZero();
    }

    @Test
    void onlyAnEmptyAccountTakesOneInAndOnlyOnce() throws IOException {
        byte[] small = Zips.zip(small(demo(2), new Random(1)));
        Newcomer newcomer = new Newcomer("archive.twice", "ride");
        List<Integer> answers =
                IntStream.range(0, 4)
                        .mapToObj(i -> CompletableFuture.supplyAsync(() -> newcomer.send(small)))
                        .toList()
                        .stream()
                        .map(CompletableFuture::join)
                        .sorted()
                        .toList();
        assertThat(answers).containsExactly(202, 422, 422, 422);
        Eventually.holds(Duration.ofSeconds(60), () -> newcomer.state().equals("DONE"));
        assertThat(newcomer.send(small)).isEqualTo(422);
        assertThat(new Person(Running.ADDRESS)
                        .send("/account/archive/in", "application/zip", small)
                        .statusCode())
                .isBetween(300, 403);

        Newcomer coach = new Newcomer("archive.coach", "coach").bring(Zips.files(small));
        assertThat(coach.state()).isEqualTo("REFUSED");
        assertThat(coach.told()).contains("Sign up as an athlete");
        assertThat(coach.bring(Zips.archive(sql, "oda@pemblar.example")).state())
                .isEqualTo("DONE");
        assertThat(lines(coach.archive(), "data/workout.jsonl"))
                .hasSameSizeAs(lines(Zips.archive(sql, "oda@pemblar.example"), "data/workout.jsonl"));
    }

    @Test
    void whatIsNoArchiveIsRefusedAndLeavesNothing() throws IOException {
        byte[] whole = Zips.zip(small(demo(2), new Random(2)));
        Newcomer newcomer = new Newcomer("archive.broken", "ride");
        assertThat(newcomer.send("no archive".getBytes(StandardCharsets.UTF_8))).isEqualTo(422);
        assertThat(newcomer.send(new byte[0])).isEqualTo(422);
        assertThat(newcomer.send(Zips.zip(Map.of("other.txt", new byte[10])))).isEqualTo(422);
        assertThat(newcomer.send(Zips.zip(Map.of("recordings/2026-11-01 4 a.fit", new byte[65 << 20]))))
                .as("a small archive that unpacks to much")
                .isEqualTo(422);
        assertThat(newcomer.send(java.util.Arrays.copyOf(whole, whole.length / 3)))
                .isEqualTo(422);
        nothingStays(newcomer);
    }

    private void nothingStays(Newcomer newcomer) {
        assertThat(newcomer.state()).isEmpty();
        assertThat(sql.queryForObject("select count(*) from archive_in_piece", Integer.class))
                .isZero();
    }

    @Test
    void whereOthersTakeTheRoomItIsToComeLater() throws IOException {
        long others = sql.queryForObject("select id from account where email = 'sefa@pemblar.example'", Long.class);
        sql.update(
                "insert into archive_in (account_id, state, arrived_at, bytes) values (?, 'ARRIVING', now(), ?)",
                others,
                16L << 30);
        try {
            Newcomer newcomer = new Newcomer("archive.full", "ride");
            byte[] archive = Zips.zip(Map.of("recordings/2026-11-01 4 a.fit", new byte[9 << 20]));
            var answer = newcomer.person.send("/account/archive/in", "application/zip", archive);
            assertThat(answer.statusCode()).isEqualTo(422);
            assertThat(answer.body()).contains("no room for this one now").contains("Send it again in an hour");
            nothingStays(newcomer);
        } finally {
            sql.update("delete from archive_in where account_id = ?", others);
        }
    }

    /** A few rows of each shelf. */
    private static Map<String, byte[]> small(Map<String, byte[]> files, Random random) {
        Map<String, byte[]> small = new LinkedHashMap<>(files);
        for (String path : files.keySet()) {
            if (!path.startsWith("data/") || path.contains("/recording")) continue;
            List<ObjectNode> lines = new ArrayList<>(lines(files, path));
            if (!path.contains("account") && !path.contains("athlete.")) java.util.Collections.shuffle(lines, random);
            small.put(
                    path,
                    lines.stream()
                            .limit(6)
                            .map(row -> row + "\n")
                            .collect(Collectors.joining())
                            .getBytes(StandardCharsets.UTF_8));
        }
        return small;
    }

    private static final List<Object> HOSTILE = List.of(
            "",
            "\0",
            "NaN",
            "Infinity",
            "javascript:alert(1)",
            "RIDE",
            "9999-12-31",
            "{}",
            "[]",
            "x".repeat(5000),
            -1,
            0,
            1e308,
            Long.MAX_VALUE,
            0.1,
            true,
            "null",
            ",",
            ";;",
            "1,2,3;4");

    private static void tamper(ObjectNode row, Random random) {
        List<String> columns = new ArrayList<>(row.propertyNames());
        if (columns.isEmpty()) return;
        String column = columns.get(random.nextInt(columns.size()));
        if (random.nextInt(4) == 0 && row.get(column) instanceof ObjectNode inner) tamper(inner, random);
        else if (random.nextInt(6) == 0) row.remove(column);
        else if (random.nextInt(5) == 0) row.putNull(column);
        else row.set(column, JSON.valueToTree(HOSTILE.get(random.nextInt(HOSTILE.size()))));
    }

    private static final List<String> PAGES = List.of(
            "today",
            "board",
            "season",
            "season/setup",
            "sessions",
            "progress",
            "progress/fitness",
            "progress/report",
            "thresholds",
            "thresholds/curve",
            "thresholds/profile",
            "thresholds/intervals",
            "thresholds/zones",
            "thresholds/evidence",
            "notes",
            "compare",
            "templates",
            "strength",
            "strength/maxima",
            "strength/sets",
            "proposals",
            "proposals/limits",
            "others",
            "what-if",
            "workouts");

    @Test
    void whateverWasTamperedWithEveryPageOpens() throws IOException {
        Newcomer rich = new Newcomer("archive.rich", "ride").bring(demo(8));
        use(rich);
        opens(rich, "as it is");
        Map<String, byte[]> used = rich.archive();
        int seed = Integer.getInteger("archivesSeed", 0);
        for (int i = 0; i < DAMAGED; i++) {
            Random random = new Random(seed + i);
            Map<String, byte[]> files = small(used, random);
            for (String path : files.keySet())
                if (path.startsWith("data/") && !path.contains("account"))
                    edit(files, path.replaceAll("data/|\\.jsonl", ""), row -> {
                        if (random.nextInt(3) == 0) tamper(row, random);
                        return row;
                    });
            Newcomer victim = new Newcomer("archive.damaged" + (seed + i), "ride").bring(files);
            assertThat(victim.state()).isIn("DONE", "REFUSED");
            opens(victim, "seed " + (seed + i));
        }
    }

    private void opens(Newcomer somebody, String as) {
        String at = "/a/" + somebody.athlete() + "/";
        List<String> pages = new ArrayList<>(PAGES.stream().map(p -> at + p).toList());
        for (Map<String, Object> one : sql.queryForList(
                "select 'sessions/' as page, id from session where athlete_id = ? and deleted_at is null union all"
                        + " select 'compare/', id from comparison where athlete_id = ?",
                somebody.athlete(),
                somebody.athlete())) pages.add(at + one.get("page") + one.get("id"));
        pages.addAll(List.of("/account", "/account/archive/in"));
        for (String page : pages)
            assertThat(somebody.person.get(page).statusCode())
                    .as(as + " " + page)
                    .isEqualTo(200);
    }
}
