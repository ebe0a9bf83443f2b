package pemblar.app;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Duration;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.web.util.HtmlUtils;

/** Zone sets over HTTP: edited, taken up from a day, kept, exchanged, refused while in use. */
@Tag("http")
class ZonesTest {
    private static final JdbcTemplate SQL = new JdbcTemplate(Running.APPLICATION.getBean(javax.sql.DataSource.class));
    private static final String ZONES = "/a/3/thresholds/zones";
    private static final LocalDate FROM = LocalDate.now().minusDays(40);

    private static String drawn(String page) {
        Matcher matcher = Pattern.compile("name=\"drawn\" value=\"([^\"]+)\"").matcher(page);
        assertTrue(matcher.find());
        return HtmlUtils.htmlUnescape(matcher.group(1));
    }

    private static List<Map<String, Object>> zones(String where) {
        return SQL.queryForList(
                "select id, zones->>'POWER' as zones from recording where athlete_id = 3 and sport = 'RIDE' and "
                        + where + " order by id");
    }

    private static Map<String, String> form(String drawn, String... more) {
        Map<String, String> form = new java.util.HashMap<>(
                Map.of("sport", "RIDE", "measure", "POWER", "drawn", drawn, "from", FROM.toString()));
        for (int i = 0; i < more.length; i += 2) form.put(more[i], more[i + 1]);
        return form;
    }

    @Test
    void aTypedBoundaryStopsAtItsNeighbourAndSaysSo() {
        Person kasper = Person.demo("kasper");
        String page = kasper.get(ZONES + "?sport=RIDE&measure=POWER&scheme=0").body();
        String edited = kasper.post(ZONES + "/edit", form(drawn(page), "boundary1", "140"))
                .body();
        assertTrue(edited.contains("stops at 89") && drawn(edited).contains("[55.0,89.0,90.0"), edited);
        assertTrue(kasper.post(ZONES + "/edit", form(drawn(page), "boundary1", "many"))
                .body()
                .contains("is not a number"));
        assertTrue(drawn(kasper.post(ZONES + "/edit", form(drawn(page), "do", "split:1"))
                        .body())
                .contains("[27.5,55.0"));
        assertTrue(drawn(kasper.post(ZONES + "/edit", form(drawn(page), "do", "join:0"))
                        .body())
                .contains("[75.0,90.0"));
        assertTrue(drawn(kasper.post(ZONES + "/edit", form(drawn(page), "do", "move:2:95.4"))
                        .body())
                .contains("75.0,95.4,105.0"));
        assertEquals(
                200,
                kasper.post(ZONES + "/edit", form(drawn(page), "boundary0", "57", "from", ""))
                        .statusCode(),
                "a half-typed day does not stop an edit");
        assertTrue(kasper.post(ZONES + "/edit", form(drawn(page), "do", "split:88"))
                .body()
                .contains("not possible here"));
        String lab = kasper.post(
                        ZONES + "/edit", form(drawn(page), "do", "laboratory", "first", "190", "second", "250"))
                .body();
        assertTrue(drawn(lab).contains("[190.0,250.0]") && lab.contains("190–250 W"));
        assertTrue(kasper.post(ZONES + "/edit", form(drawn(page), "do", "laboratory", "first", "250", "second", "190"))
                .body()
                .contains("must be harder"));
    }

    @Test
    void aSetHoldsFromItsDayAndUndoBringsTheOldTimesBack() {
        Person kasper = Person.demo("kasper");
        var before = zones("day < '" + FROM + "'");
        var inside = zones("day >= '" + FROM + "'");
        String page = kasper.get(ZONES + "?sport=RIDE&measure=POWER&scheme=1").body();
        String said = kasper.post(ZONES, form(drawn(page), "do", "take-up")).body();
        assertTrue(said.contains("from " + FROM.getDayOfMonth() + " "), Person.main(said));
        Eventually.holds(
                Duration.ofSeconds(60),
                () -> zones("day >= '" + FROM + "'").stream()
                        .allMatch(r -> ((String) r.get("zones")).split(",").length == 3));
        assertEquals(before, zones("day < '" + FROM + "'"));
        assertNotEquals(inside, zones("day >= '" + FROM + "'"));
        kasper.post("/a/3/thresholds/adopt/undo", Map.of());
        Eventually.holds(
                Duration.ofSeconds(60), () -> zones("day >= '" + FROM + "'").equals(inside));
    }

    private static Map<String, String> beats(String drawn, String typed) {
        return Map.of(
                "sport",
                "SWIM",
                "measure",
                "HEART_RATE",
                "drawn",
                drawn,
                "from",
                FROM.toString(),
                "do",
                "absolute",
                "absolute",
                typed);
    }

    @Test
    void fiveBoundariesInBeatsAreTypedInAnyOrderAndHoldBackwards() {
        Person kasper = Person.demo("kasper");
        String page = kasper.get(ZONES + "?sport=SWIM&measure=HEART_RATE").body();
        String edited = kasper.post(ZONES + "/edit", beats(drawn(page), "163, 120 176\n135;150"))
                .body();
        assertTrue(drawn(edited).contains("[120.0,135.0,150.0,163.0,176.0]"), drawn(edited));
        assertTrue(edited.contains("value=\"120 135 150 163 176\""), edited);
        for (String bad : List.of("", "120 many", "120 120", "NaN 130", "1e9", "1 2 3 4 5 6 7 8 9", "-5", "900"))
            assertTrue(
                    kasper.post(ZONES + "/edit", beats(drawn(page), bad)).body().contains("class=\"problem\""), bad);
        Map<String, String> take = new java.util.HashMap<>(beats(drawn(edited), ""));
        take.put("do", "take-up");
        String said = Person.main(kasper.post(ZONES, take).body());
        assertTrue(said.contains("hold for the sessions before that day too") && said.contains("and before"), said);
        kasper.post("/a/3/thresholds/adopt/undo", Map.of());
    }

    @Test
    void aSchemeInUseIsNotDeletedAndSaysWhoUsesIt() {
        Person oda = Person.demo("oda");
        String zones = "/a/2/thresholds/zones";
        String page = oda.get(zones + "?sport=RUN&measure=HEART_RATE").body();
        Map<String, String> keep = Map.of(
                "sport",
                "RUN",
                "measure",
                "HEART_RATE",
                "drawn",
                drawn(page),
                "name",
                "Trail beats",
                "do",
                "keep",
                "from",
                FROM.toString());
        assertTrue(oda.post(zones, keep).body().contains("Saved as your own scheme"));
        String id =
                String.valueOf(SQL.queryForObject("select id from zone_scheme where name = 'Trail beats'", Long.class));
        String own = oda.get("/a/3/thresholds/zones?sport=RUN&measure=HEART_RATE&scheme=own-" + id)
                .body();
        assertTrue(drawn(own).contains("Trail beats"), "the same scheme serves another athlete");
        oda.post(
                "/a/3/thresholds/zones",
                Map.of(
                        "sport",
                        "RUN",
                        "measure",
                        "HEART_RATE",
                        "drawn",
                        drawn(own),
                        "do",
                        "take-up",
                        "from",
                        FROM.toString()));
        String refused = oda.post(zones + "/own/delete", Map.of("id", id)).body();
        assertTrue(
                refused.contains("is in use and stays: Kasper Odell, run, heart rate from " + FROM),
                Person.main(refused));
        oda.post(
                "/a/3/thresholds/zones/drop", Map.of("sport", "RUN", "measure", "HEART_RATE", "from", FROM.toString()));
        String json = oda.get(zones + "/own.json").body();
        assertTrue(json.contains("Trail beats") && json.contains("\"reference\" : \"threshold\""), json);
        assertTrue(oda.post(zones + "/own/delete", Map.of("id", id)).body().contains("was deleted"));
        assertFalse(oda.get(zones + "/own.json").body().contains("Trail beats"));
        oda.get(zones);
        assertTrue(oda.upload(zones + "/import", "file", Map.of("zones.json", json.getBytes()))
                .body()
                .contains("“Trail beats”"));
        assertTrue(oda.upload(
                        zones + "/import",
                        "file",
                        Map.of("zones.json", json.replace("85.0", "95.0").getBytes()))
                .body()
                .contains("boundaries must rise"));
        assertEquals(
                404,
                Person.demo("sefa")
                        .get(zones + "?sport=RUN&measure=HEART_RATE&scheme=own-"
                                + SQL.queryForObject(
                                        "select id from zone_scheme where name = 'Trail beats'", Long.class))
                        .statusCode());
    }

    @Test
    void aSetThatPlannedSessionsNameIsNotTakenAway() {
        Person sefa = Person.demo("sefa");
        String zones = "/a/2/thresholds/zones";
        String page = sefa.get(zones + "?sport=RUN&measure=SPEED").body();
        sefa.post(
                zones,
                Map.of(
                        "sport",
                        "RUN",
                        "measure",
                        "SPEED",
                        "drawn",
                        drawn(page),
                        "name",
                        "Road",
                        "do",
                        "take-up",
                        "from",
                        FROM.toString()));
        String refused = sefa.post(zones + "/drop", Map.of("sport", "RUN", "measure", "SPEED", "from", FROM.toString()))
                .body();
        assertTrue(refused.contains("in use and stays") && refused.contains("Easy loop"), Person.main(refused));
        assertTrue(sefa.post("/a/2/thresholds/adopt/undo", Map.of()).body().contains("Taken back"));
        assertEquals(0, SQL.queryForObject("select count(*) from zone_set where athlete_id = 2", Integer.class));
    }
}
