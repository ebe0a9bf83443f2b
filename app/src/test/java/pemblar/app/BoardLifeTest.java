package pemblar.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.JdbcTemplate;

/**
 * Sketches, sessions done without a recording, whole days, unavailable days and two people at once, over HTTP; undo
 * brings the rows back.
 */
@Tag("http")
class BoardLifeTest {
    private static final LocalDate DAY = LocalDate.now(ZoneOffset.UTC).plusDays(3);
    private static JdbcTemplate sql;
    private static Person ilka;
    private static String base;
    private static long athlete;

    @BeforeAll
    static void signUp() {
        sql = new JdbcTemplate(Running.APPLICATION.getBean(javax.sql.DataSource.class));
        ilka = new Person(Running.ADDRESS).signUp("ilka@pemblar.example", "ride");
        base = ilka.get("/").uri().getPath().replaceAll("/today$", "");
        athlete = Long.parseLong(base.replace("/a/", ""));
        ilka.post(
                base + "/thresholds/adopt",
                Map.of("THRESHOLD_POWER", "240", "from", DAY.minusDays(60).toString()));
        ilka.get(base + "/board");
    }

    private static List<Map<String, Object>> rows() {
        return sql.queryForList(
                "select id, day, start_minute, title, structure::text, planned_seconds, planned_load, "
                        + "purpose, done_seconds, done_metres, done_effort, done_note, done_load from session "
                        + "where athlete_id = ? order by id",
                athlete);
    }

    private static String change(String path, String... fields) {
        Map<String, String> form = new HashMap<>();
        for (int i = 0; i < fields.length; i += 2) form.put(fields[i], fields[i + 1]);
        return ilka.post(base + path, form).body();
    }

    private static long sketched(LocalDate day, String title) {
        change(
                "/sketch",
                "day",
                day.toString(),
                "sport",
                "RIDE",
                "purpose",
                "EASY",
                "length",
                "2h",
                "title",
                title,
                "time",
                "17:40");
        return sql.queryForObject(
                "select max(id) from session where athlete_id = ? and title = ?", Long.class, athlete, title);
    }

    private static void undone(List<Map<String, Object>> before) {
        assertThat(change("/undo")).contains("Taken back");
        assertThat(rows()).isEqualTo(before);
    }

    @Test
    void aSketchHasALoadFromItsLengthAndPurpose() {
        var before = rows();
        long id = sketched(DAY, "Calm two hours");
        assertThat(sql.queryForObject("select planned_load from session where id = ?", Double.class, id))
                .isBetween(81.0, 82.5);
        undone(before);
    }

    @Test
    void aCommitmentRepeatsOnItsWeekdayUntilADay() {
        var before = rows();
        change(
                "/sketch",
                "day",
                DAY.toString(),
                "sport",
                "RIDE",
                "purpose",
                "OUTING",
                "length",
                "3h",
                "title",
                "Club outing",
                "until",
                DAY.plusDays(28).toString());
        assertThat(sql.queryForObject(
                        "select count(*) from session where athlete_id = ? and title = 'Club outing'",
                        Integer.class,
                        athlete))
                .isEqualTo(5);
        undone(before);
    }

    @Test
    void whatCannotBeIsSaidWithTheFieldAndChangesNothing() {
        var before = rows();
        assertThat(change("/sketch", "day", DAY.toString(), "sport", "RIDE", "purpose", "EASY", "length", "soon"))
                .contains("Length: “soon” is not a time")
                .contains("data-problem");
        assertThat(change(
                        "/sketch",
                        "day",
                        DAY.toString(),
                        "sport",
                        "RIDE",
                        "purpose",
                        "EASY",
                        "length",
                        "1h",
                        "until",
                        DAY.minusDays(1).toString()))
                .contains("Until: choose a day");
        assertThat(change("/days/shift", "first", DAY.toString(), "by", "0")).contains("Days: enter 1 to");
        assertThat(rows()).isEqualTo(before);
    }

    @Test
    void aSketchTakesAWorkoutAtItsLength() {
        long id = sketched(DAY.plusDays(1), "To be filled");
        var before = rows();
        change("/sessions/" + id + "/fill", "workout", "-3");
        Map<String, Object> row = sql.queryForMap(
                "select structure::text, planned_seconds, start_minute, title from session where id = ?", id);
        assertThat(row.get("structure")).isNotNull();
        assertThat((Integer) row.get("planned_seconds")).isBetween(6600, 7800);
        assertThat(row.get("start_minute")).isEqualTo(1060);
        undone(before);
    }

    /** By hand: 90 min at effort 6 cost 90 x 6 / 420 x 100 = 128.6. */
    @Test
    void aSessionIsDoneWithoutARecordingAndItsEffortGivesTheLoad() {
        long id = sketched(DAY.minusDays(8), "Untold");
        assertThat(ilka.get(base + "/board?from=" + DAY.minusDays(8)).body()).contains("no recording");
        var before = rows();
        change("/sessions/" + id + "/done", "length", "1h30", "kilometres", "41", "effort", "6", "note", "hot");
        assertThat(sql.queryForObject("select done_load from session where id = ?", Double.class, id))
                .isBetween(128.5, 128.7);
        assertThat(ilka.get(base + "/sessions/" + id).body())
                .contains("Done without a recording")
                .contains("41.0 km")
                .contains("hot");
        undone(before);
    }

    @Test
    void manyDaysAreDoneAsPlannedInOneAction() {
        sketched(DAY.minusDays(20), "Before one");
        sketched(DAY.minusDays(19), "Before two");
        var before = rows();
        change(
                "/days/done",
                "first",
                DAY.minusDays(20).toString(),
                "last",
                DAY.minusDays(19).toString());
        assertThat(sql.queryForObject(
                        "select count(*) from session where athlete_id = ? and title like 'Before%' and "
                                + "done_seconds = 7200 and done_load > 80",
                        Integer.class, athlete))
                .isEqualTo(2);
        assertThat(ilka.get(base + "/progress").body()).doesNotContain("appears with the first session");
        undone(before);
    }

    @Test
    void whatIsTypedForADoneSessionIsChecked() {
        long id = sketched(DAY.minusDays(9), "Checked");
        assertThat(change("/sessions/" + id + "/done", "effort", "12"))
                .contains("Effort: 12 is not possible; enter 0 to 10. The nearest is 10.");
        assertThat(change("/sessions/" + id + "/done", "length", "9000h")).contains("Time:");
        assertThat(sql.queryForObject("select done_seconds from session where id = ?", Integer.class, id))
                .isNull();
    }

    @Test
    void daysAreCopiedMovedAndShifted() {
        sketched(DAY.plusDays(40), "Far one");
        sketched(DAY.plusDays(41), "Far two");
        var before = rows();
        change(
                "/days/copy",
                "first",
                DAY.plusDays(40).toString(),
                "last",
                DAY.plusDays(41).toString(),
                "target",
                DAY.plusDays(50).toString());
        assertThat(rows()).hasSize(before.size() + 2);
        undone(before);
        change(
                "/days/move",
                "first",
                DAY.plusDays(40).toString(),
                "last",
                DAY.plusDays(41).toString(),
                "target",
                DAY.plusDays(50).toString());
        assertThat(sql.queryForObject(
                        "select day from session where athlete_id = ? and title = 'Far two'", LocalDate.class, athlete))
                .isEqualTo(DAY.plusDays(51));
        undone(before);
        change("/days/shift", "first", DAY.plusDays(40).toString(), "by", "3", "blocks", "true");
        assertThat(sql.queryForObject(
                        "select day from session where athlete_id = ? and title = 'Far one'", LocalDate.class, athlete))
                .isEqualTo(DAY.plusDays(43));
        undone(before);
    }

    @Test
    void anUnavailableDayProposesOthersAndCanBeTakenBack() {
        long id = sketched(DAY.plusDays(5), "Displaced one");
        String board = change(
                "/days/mark",
                "day",
                DAY.plusDays(5).toString(),
                "unavailable",
                "true",
                "note",
                "a wedding",
                "from",
                DAY.toString());
        assertThat(board)
                .contains("which is unavailable")
                .contains("Displaced one")
                .contains("a wedding");
        assertThat(board).contains("/sessions/" + id + "/move");
        assertThat(change("/undo", "from", DAY.toString())).doesNotContain("which is unavailable");
    }

    @Test
    void aStartTimeIsSetAndTheBoardTellsTheGapBetweenHardSessions() {
        change(
                "/sketch",
                "day",
                DAY.plusDays(70).toString(),
                "sport",
                "RIDE",
                "purpose",
                "THRESHOLD",
                "length",
                "75min",
                "time",
                "17:40");
        change(
                "/sketch",
                "day",
                DAY.plusDays(71).toString(),
                "sport",
                "RIDE",
                "purpose",
                "INTERVALS",
                "length",
                "75min",
                "time",
                "17:40");
        long id = sql.queryForObject(
                "select max(id) from session where athlete_id = ? and purpose = 'INTERVALS'", Long.class, athlete);
        String near = ilka.get(base + "/board?from=" + DAY.plusDays(70)).body();
        assertThat(near)
                .as("from the end of one to the start of the next")
                .containsPattern("class=\"near\">\\w+ to \\w+ 23 h");
        String far = change(
                "/sessions/" + id + "/start",
                "day",
                DAY.plusDays(72).toString(),
                "time",
                "9:00",
                "from",
                DAY.plusDays(70).toString());
        assertThat(far).containsPattern(">\\w+ to \\w+ 38 h").doesNotContainPattern("class=\"near\">\\w+ to");
        ilka.get(base + "/proposals/limits");
        ilka.post(base + "/proposals/limits", Map.of("spacingHours", "40"));
        assertThat(ilka.get(base + "/board?from=" + DAY.plusDays(70)).body())
                .as("how far apart is the person's to say")
                .containsPattern("class=\"near\">\\w+ to \\w+ 38 h");
        sql.update("delete from adjust_limits where athlete_id = ?", athlete);
    }

    @Test
    void theSecondOfTwoPeopleIsToldAndShownBoth() {
        long id = sketched(DAY.plusDays(6), "Contested");
        int version = sql.queryForObject("select version from session where id = ?", Integer.class, id);
        Person coach = Person.demo("oda");
        Map<String, Object> account = sql.queryForMap("select id from account where email = 'oda@pemblar.example'");
        sql.update(
                "insert into coaching (athlete_id, coach_account_id, accepted_at) values (?, ?, now())",
                athlete,
                account.get("id"));
        coach.get(base + "/board");
        coach.post(
                base + "/sessions/" + id + "/move",
                Map.of("day", DAY.plusDays(8).toString(), "version", String.valueOf(version)));
        String told = change(
                "/sessions/" + id + "/move",
                "day",
                DAY.plusDays(4).toString(),
                "version",
                String.valueOf(version),
                "from",
                DAY.toString());
        assertThat(told)
                .contains("was changed meanwhile")
                .contains("Oda Verling")
                .contains("move day " + DAY.plusDays(4));
        assertThat(sql.queryForObject("select day from session where id = ?", LocalDate.class, id))
                .isEqualTo(DAY.plusDays(8));
        change("/sessions/" + id + "/move", "day", DAY.plusDays(4).toString(), "version", String.valueOf(version + 1));
        assertThat(sql.queryForObject("select day from session where id = ?", LocalDate.class, id))
                .isEqualTo(DAY.plusDays(4));
    }

    @Test
    void aBlockIsPrintedWithItsRestDays() {
        sketched(DAY.plusDays(100), "Printed one");
        assertThat(ilka.get(base + "/board/print?first=" + DAY.plusDays(100)).body())
                .contains("Printed one")
                .contains("rest");
    }
}
