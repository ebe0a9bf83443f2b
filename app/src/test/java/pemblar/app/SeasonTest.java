package pemblar.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import net.fortuna.ical4j.data.CalendarBuilder;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.Component;
import net.fortuna.ical4j.model.component.VEvent;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.springframework.jdbc.core.JdbcTemplate;

/** A season over HTTP: planned, changed by hand, refused, contested, taken back, and written for other programs. */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
@Tag("http")
class SeasonTest {
    private static final LocalDate TODAY = LocalDate.now(ZoneOffset.UTC);
    private static final LocalDate RACE = TODAY.plusDays(110);
    private static JdbcTemplate sql;
    private static Person runa;
    private static String base;
    private static long athlete;

    @BeforeAll
    static void signUp() {
        sql = new JdbcTemplate(Running.APPLICATION.getBean(javax.sql.DataSource.class));
        runa = new Person(Running.ADDRESS).signUp("solvei@pemblar.example", "ride");
        base = runa.get("/").uri().getPath().replaceAll("/today$", "");
        athlete = Long.parseLong(base.replace("/a/", ""));
        runa.post(
                base + "/thresholds/adopt",
                Map.of(
                        "THRESHOLD_POWER",
                        "240",
                        "BODY_MASS",
                        "62",
                        "from",
                        TODAY.minusDays(60).toString()));
        runa.get(base + "/season");
    }

    private static String change(String path, String... fields) {
        Map<String, String> form = new HashMap<>();
        for (int i = 0; i < fields.length; i += 2) form.put(fields[i], fields[i + 1]);
        return runa.post(base + "/season" + path, form).body();
    }

    private static List<Map<String, Object>> blocks() {
        return sql.queryForList(
                "select first_day, days, phase, target_load, pinned from block where athlete_id = ? order by first_day",
                athlete);
    }

    private static String settings(String aim, String... more) {
        Map<String, String> form = new HashMap<>(Map.of(
                "aimKind",
                "CHRONIC_LOAD",
                "aimValue",
                aim,
                "blockDays",
                "7",
                "easyEvery",
                "4",
                "easyUnit",
                "blocks",
                "easyDays",
                "7",
                "highestBuild",
                "5",
                "weeklyHours",
                "8"));
        for (int i = 0; i < more.length; i += 2) form.put(more[i], more[i + 1]);
        return runa.post(base + "/season/settings", form).body();
    }

    private static int revision() {
        return sql.queryForObject("select revision from season where athlete_id = ?", Integer.class, athlete);
    }

    @Test
    @Order(1)
    void anEventAndAnAimGiveASeason() {
        change("/event", "name", "Tarn loop", "day", RACE.toString(), "priority", "A", "time", "3h20");
        assertThat(settings("35")).contains("can be met").contains("Taper");
        assertThat(blocks()).hasSizeGreaterThan(12);
        assertThat(sql.queryForObject(
                        "select first_day + days - 1 from block where athlete_id = ? and phase = 'TAPER'",
                        LocalDate.class,
                        athlete))
                .isEqualTo(RACE);
    }

    @Test
    @Order(2)
    void whatIsBeyondAllLimitsIsSaidWithTheNearest() {
        assertThat(settings("300")).contains("cannot be met").contains("The nearest possible is");
        assertThat(settings("35", "weeklyHours", "200"))
                .contains("Hours a week: 200 is not possible; enter 0 to 100. The nearest is 100.")
                .contains("value=\"200\"");
        assertThat(settings("35", "weeklyHours", "0")).contains("The nearest possible is");
        assertThat(settings("35", "lastDay", TODAY.minusDays(9).toString()))
                .contains("the nearest possible is " + TODAY.plusDays(6));
        assertThat(settings("35", "easyUnit", "days", "easyEvery", "8")).contains("leave less than 3");
        assertThat(change(
                        "/away",
                        "awayFrom",
                        TODAY.plusDays(9).toString(),
                        "awayTo",
                        TODAY.plusDays(2).toString(),
                        "hours",
                        "2",
                        "reason",
                        "trip"))
                .contains("is before");
        assertThat(change("/event", "name", "Other", "day", RACE.toString(), "priority", "B"))
                .contains("there is “Tarn loop” already")
                .contains("nearest free day is " + RACE.plusDays(1));
        settings("35");
    }

    @Test
    @Order(3)
    void aBlockSetByHandIsPinnedSurvivesANewPlanAndComesBackByUndo() {
        var before = blocks();
        LocalDate first = ((java.sql.Date) before.get(4).get("first_day")).toLocalDate();
        String page = change("/block", "kind", "LOAD", "first", first.toString(), "value", "333", "replan", "true");
        assertThat(page).contains("pinned");
        settings("40");
        assertThat(blocks())
                .anyMatch(b -> b.get("first_day").equals(java.sql.Date.valueOf(first))
                        && (Double) b.get("target_load") == 333
                        && (Boolean) b.get("pinned"));
        assertThat(change("/undo")).contains("Taken back");
        assertThat(change("/undo")).contains("Taken back");
        assertThat(blocks()).isEqualTo(before);
    }

    @Test
    @Order(4)
    void aPreviewFollowsTheDragAndSavesNothing() {
        var before = blocks();
        LocalDate first = ((java.sql.Date) before.get(5).get("first_day")).toLocalDate();
        String low = change("/preview", "kind", "LOAD", "first", first.toString(), "value", "100");
        String high = change("/preview", "kind", "LOAD", "first", first.toString(), "value", "700");
        assertThat(low).contains("season-svg");
        assertThat(path(low)).isNotEqualTo(path(high));
        assertThat(change("/preview", "kind", "EDGE", "first", first.toString(), "value", "1e300"))
                .contains("season-svg");
        assertThat(blocks()).isEqualTo(before);
    }

    private static String path(String drawing) {
        Matcher chronic =
                Pattern.compile("class=\"chronic ahead\" d=\"([^\"]+)\"").matcher(drawing);
        assertThat(chronic.find()).isTrue();
        return chronic.group(1);
    }

    @Test
    @Order(5)
    void splitJoinAndShiftAreTakenBack() {
        var before = blocks();
        LocalDate first = ((java.sql.Date) before.get(3).get("first_day")).toLocalDate();
        change(
                "/block",
                "kind",
                "SPLIT",
                "first",
                first.toString(),
                "day",
                first.plusDays(3).toString());
        assertThat(blocks()).hasSize(before.size() + 1);
        change("/block", "kind", "JOIN", "first", first.toString());
        assertThat(blocks()).hasSize(before.size());
        change("/shift", "first", first.toString(), "by", "4");
        assertThat(((java.sql.Date) blocks().get(3).get("first_day")).toLocalDate())
                .isEqualTo(first.plusDays(4));
        for (int i = 0; i < 3; i++) change("/undo");
        assertThat(blocks()).isEqualTo(before);
        assertThat(change("/block", "kind", "EDGE", "first", first.toString(), "day", first.toString()))
                .contains("must have 3 to 28 days");
    }

    @Test
    @Order(6)
    void theSecondOfTwoPeopleIsToldAndNothingIsOverwritten() {
        int seen = revision();
        LocalDate first = ((java.sql.Date) blocks().get(4).get("first_day")).toLocalDate();
        change("/block", "kind", "LOAD", "first", first.toString(), "value", "222", "revision", String.valueOf(seen));
        String told = change(
                "/block", "kind", "LOAD", "first", first.toString(), "value", "444", "revision", String.valueOf(seen));
        assertThat(told).contains("has changed the season since").contains("value 444");
        assertThat(blocks().get(4).get("target_load")).isEqualTo(222.0);
        change(
                "/block",
                "kind",
                "LOAD",
                "first",
                first.toString(),
                "value",
                "444",
                "revision",
                String.valueOf(revision()));
        assertThat(blocks().get(4).get("target_load")).isEqualTo(444.0);
        change("/undo");
        change("/undo");
    }

    @Test
    @Order(7)
    void theBlocksAreFilledWithWorkoutsOnceAndAgainWithoutDoubles() {
        runa.post(base + "/season/fill", Map.of());
        int count = sql.queryForObject(
                "select count(*) from session where athlete_id = ? and placed", Integer.class, athlete);
        assertThat(count).isGreaterThan(30);
        assertThat(sql.queryForObject(
                        "select count(*) from session where athlete_id = ? and structure is not null",
                        Integer.class,
                        athlete))
                .isGreaterThan(count * 3 / 4);
        long kept = sql.queryForObject(
                "select min(id) from session where athlete_id = ? and day > ?", Long.class, athlete, TODAY.plusDays(8));
        runa.post(base + "/sessions/" + kept + "/scale", Map.of("percent", "80"));
        runa.post(base + "/season/fill", Map.of());
        assertThat(sql.queryForObject("select count(*) from session where athlete_id = ?", Integer.class, athlete))
                .isBetween(count - 4, count + 4);
        assertThat(sql.queryForObject("select scale_percent from session where id = ?", Integer.class, kept))
                .isEqualTo(80);
        var hard = sql.queryForList(
                "select extract(epoch from day + make_interval(mins => start_minute)) / 3600 as hour from "
                        + "session where athlete_id = ? and purpose in ('TEMPO', 'THRESHOLD', 'INTERVALS', "
                        + "'RACE') order by 1",
                Double.class,
                athlete);
        for (int i = 1; i < hard.size(); i++)
            assertThat(hard.get(i) - hard.get(i - 1)).isGreaterThanOrEqualTo(36);
    }

    @Test
    @Order(8)
    void filledBlocksMeetTheirTargetsWhereTheDaysAllow() {
        List<Double> shares = sql.queryForList(
                "select (select sum(planned_load) from session s where s.athlete_id = b.athlete_id and s.day "
                        + "between b.first_day and b.first_day + b.days - 1) / target_load "
                        + "from block b where athlete_id = ? and target_load > 100 and first_day > ? and "
                        + "phase in ('BASE', 'BUILD') and not easy",
                Double.class,
                athlete,
                TODAY.plusDays(10));
        assertThat(shares).isNotEmpty().allSatisfy(share -> assertThat(share).isBetween(0.9, 1.1));
        assertThat(shares.stream().filter(s -> s > 0.95 && s < 1.05).count()).isGreaterThanOrEqualTo(shares.size() - 1);
    }

    /** The expected time of the whole is that of its parts; what cannot be is refused and nothing is lost. */
    @Test
    @Order(8)
    void anEventIsMadeOfParts() {
        long event = sql.queryForObject("select id from event where athlete_id = ?", Long.class, athlete);
        String at = "/demands/" + event + "/parts";
        assertThat(change(at, "sport", "RIDE", "kilometres", "40", "time", "1h15"))
                .contains("1:15:00")
                .contains("40");
        change(at, "sport", "RUN", "kilometres", "10", "time", "45min", "load", "70");
        assertThat(sql.queryForList(
                        "select sport || ' ' || seconds || ' ' || coalesce(load_points, -1) from event_part where"
                                + " event_id = ? order by place",
                        String.class,
                        event))
                .containsExactly("RIDE 4500 -1", "RUN 2700 70");
        assertThat(sql.queryForObject("select seconds from event where id = ?", Integer.class, event))
                .isEqualTo(7200);
        assertThat(change(at, "sport", "SWIM", "kilometres", "", "time", "")).contains("enter at least its distance");
        assertThat(change(at, "sport", "SWIM", "stage", "3", "time", "1h")).contains("take that part out first");
        assertThat(change(at, "sport", "SWIM", "time", "soon"))
                .contains("Expected time")
                .contains("soon");
        change(at + "/remove", "place", "1");
        assertThat(change(at + "/remove", "place", "7")).contains("no longer there");
        assertThat(runa.post(base + "/season/undo", Map.of()).body()).contains("made of");
        assertThat(sql.queryForObject("select count(*) from event_part where event_id = ?", Integer.class, event))
                .isEqualTo(2);
        change(at + "/remove", "place", "1");
        change(at + "/remove", "place", "0");
    }

    /** Hours are asked of an event too; after hours no more than what is kept of it. */
    @Test
    @Order(8)
    void aDemandOfHoursIsTaken() {
        long event = sql.queryForObject("select id from event where athlete_id = ?", Long.class, athlete);
        String four = change(
                "/demands/" + event, "length", "4h", "amount", "2.5", "unit", "WATTS_PER_KG:RIDE", "after", "FRESH");
        assertThat(four).contains("4:00:00").contains("2.50 W/kg");
        assertThat(change(
                        "/demands/" + event,
                        "length",
                        "4h",
                        "amount",
                        "2",
                        "unit",
                        "WATTS_PER_KG",
                        "after",
                        "TIME:3600"))
                .contains("Duration");
        assertThat(change("/demands/" + event, "length", "4h", "amount", "2", "unit", "MILES", "after", "FRESH"))
                .contains("Effort in: choose one of the list.")
                .doesNotContain("pemblar.app");
        change("/demands/" + event + "/remove", "index", "0");
        assertThat(sql.queryForObject("select count(*) from event_demand where event_id = ?", Integer.class, event))
                .isZero();
    }

    @Test
    @Order(9)
    void demandsAreTypedRefusedAndRemoved() {
        long event = sql.queryForObject("select id from event where athlete_id = ?", Long.class, athlete);
        change("/demands/" + event, "length", "5min", "amount", "4.4", "unit", "WATTS_PER_KG", "after", "WORK:1500000");
        String page = runa.get(base + "/season/demands/" + event).body();
        assertThat(page).contains("after 1500 kJ").contains("4.40 W/kg").contains("not tried");
        change("/demands/" + event, "length", "5min", "amount", "99", "unit", "WATTS_PER_KG", "after", "FRESH");
        assertThat(sql.queryForObject("select count(*) from event_demand where event_id = ?", Integer.class, event))
                .isEqualTo(1);
        assertThat(page).contains("not tried all-out").contains("Put its test there");
        String day = TODAY.plusDays(4).toString();
        assertThat(change("/demands/" + event + "/test", "index", "0", "day", day))
                .satisfiesAnyOf(
                        t -> assertThat(t).contains("is on the board"),
                        t -> assertThat(t).contains("Set a threshold power first"));
        change("/demands/" + event, "length", "3min", "amount", "4.4", "unit", "WATTS_PER_KG", "after", "FRESH");
        assertThat(change("/demands/" + event + "/test", "index", "1", "day", day))
                .contains("“Test: 3:00 all-out” is on the board");
        assertThat(sql.queryForObject(
                        "select count(*) from session where athlete_id = ? and title = 'Test: 3:00 all-out'"
                                + " and day = ?",
                        Integer.class,
                        athlete,
                        TODAY.plusDays(4)))
                .isEqualTo(1);
        assertThat(change("/demands/" + event + "/test", "index", "1", "day", "soon"))
                .contains("Day: “soon” is not a day");
        assertThat(change("/demands/" + event + "/test", "index", "9", "day", day))
                .contains("no longer there");
        sql.update("delete from session where athlete_id = ? and title like 'Test: %'", athlete);
        change("/demands/" + event + "/remove", "index", "1");
        change("/demands/" + event + "/remove", "index", "0");
        assertThat(sql.queryForObject("select count(*) from event_demand where event_id = ?", Integer.class, event))
                .isZero();
    }

    private static String feedAddress() {
        String page = runa.post(base + "/season/calendar/renew", Map.of()).body();
        if (!page.contains("feed-address"))
            page = runa.get(base + "/season/calendar").body();
        Matcher address = Pattern.compile("(/calendar/[\\w-]+\\.ics)").matcher(page);
        assertThat(address.find()).isTrue();
        return address.group(1);
    }

    @Test
    @Order(10)
    void theFeedIsReadWithoutSigningInAndARenewedAddressEndsTheOld() throws Exception {
        Person stranger = new Person(Running.ADDRESS);
        String old = feedAddress();
        Calendar calendar = new CalendarBuilder()
                .build(new ByteArrayInputStream(stranger.get(old).body().getBytes(StandardCharsets.UTF_8)));
        List<VEvent> events = calendar.getComponents(Component.VEVENT);
        int open = sql.queryForObject(
                "select count(*) from session where athlete_id = ? and day >= ?", Integer.class, athlete, TODAY);
        assertThat(events.stream()
                        .map(e -> e.getUid().orElseThrow().getValue())
                        .filter(uid -> uid.startsWith("session-")))
                .hasSize(open);
        assertThat(events.stream().map(e -> e.getSummary().getValue())).contains("A · Tarn loop");
        String fresh = feedAddress();
        assertThat(stranger.get(old).statusCode()).isEqualTo(404);
        assertThat(stranger.get(fresh).statusCode()).isEqualTo(200);
        runa.post(base + "/season/calendar/close", Map.of());
        assertThat(stranger.get(fresh).statusCode()).isEqualTo(404);
    }

    @Test
    @Order(11)
    void theSeasonIsWrittenAsCsv() {
        String csv = runa.get(base + "/season/season.csv").body();
        assertThat(csv).startsWith("first_day,last_day,days,phase").contains("A Tarn loop " + RACE);
        assertThat(csv.lines().count()).isEqualTo(blocks().size() + 1);
    }

    @Test
    @Order(12)
    void twoStretchesStandSideBySideAndABadOneIsSaid() {
        assertThat(runa.get(base + "/season/compare?from=" + TODAY.plusDays(7) + "&to=" + TODAY.plusDays(13)
                                + "&otherFrom=" + TODAY.plusDays(14) + "&otherTo=" + TODAY.plusDays(20))
                        .body())
                .contains("chronic load on the morning of Tarn loop")
                .contains("zone-chip");
        assertThat(runa.get(base + "/season/compare?from=" + TODAY.plusDays(7) + "&to=" + TODAY)
                        .body())
                .contains("ends before it begins");
    }

    @Test
    @Order(13)
    void theSetUpSaysWhatIsMissingAndKeepsWhatWasTyped() {
        String body = change(
                "/setup", "event", "Fell ride", "kilometres", "", "time", "", "minutes2", "60", "minutes6", "120");
        assertThat(body).contains("Distance or duration: enter one of the two").contains("value=\"Fell ride\"");
        assertThat(change("/setup", "event", "Fell ride", "time", "4h", "minutes2", "60"))
                .contains("give at least two days");
        assertThat(change(
                        "/setup",
                        "event",
                        "Fell ride",
                        "time",
                        "4h",
                        "minutes2",
                        "60",
                        "minutes6",
                        "120",
                        "day",
                        TODAY.plusDays(3).toString()))
                .contains("the nearest possible is " + TODAY.plusDays(21));
    }

    @Test
    @Order(14)
    void aStretchOfARecordingBecomesADemand() {
        Person jonna = Person.demo("jonna");
        String session = PagesTest.lastRide().replaceAll(".*/", "");
        assertThat(jonna.get("/a/1/season/demands/from?session=" + session + "&from=600&to=900")
                        .body())
                .contains("5:00 at")
                .contains(" W, fresh");
        long event =
                sql.queryForObject("select max(id) from event where athlete_id = 1 and priority = 'A'", Long.class);
        int before = sql.queryForObject("select count(*) from event_demand where event_id = ?", Integer.class, event);
        jonna.post(
                "/a/1/season/demands/from",
                Map.of("session", session, "from", "600", "to", "900", "event", String.valueOf(event)));
        assertThat(sql.queryForObject(
                        "select count(*) from event_demand where event_id = ? and effort_seconds = 300 and "
                                + "source <> ''",
                        Integer.class,
                        event))
                .isEqualTo(1);
        assertThat(jonna.post("/a/1/season/undo", Map.of()).body()).contains("Taken back");
        assertThat(sql.queryForObject("select count(*) from event_demand where event_id = ?", Integer.class, event))
                .isEqualTo(before);
        assertThat(jonna.get("/a/1/season/demands/from?session=" + session + "&from=0&to=3")
                        .body())
                .contains("cannot be a demand");
    }

    @Test
    @Order(15)
    void repetitionsHaveAVerdictInWords() {
        Person jonna = Person.demo("jonna");
        long session = sql.queryForObject(
                "select max(id) from session where athlete_id = 1 and recording_id is not null and title like "
                        + "'Five by four%' and scale_percent = 100 and day > ?",
                Long.class, TODAY.minusDays(60));
        assertThat(jonna.get("/a/1/sessions/" + session).body())
                .contains("id=\"repetitions\"")
                .containsPattern("Target met in \\d of \\d")
                .containsPattern("Power (held|rose|fell)")
                .contains("mean power");
    }
}
