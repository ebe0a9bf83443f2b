package pemblar.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.By;
import org.openqa.selenium.support.ui.Select;
import org.springframework.jdbc.core.JdbcTemplate;
import pemblar.benchunit.Body;
import pemblar.benchunit.Faults;
import pemblar.benchunit.HeadUnit;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Quantity;
import pemblar.core.threshold.Thresholds;
import pemblar.core.workout.Shorthand;
import pemblar.formats.fit.FitWorkouts;

/** Questions to the data as a practitioner asks them in the browser: what holds, what differs, what comes. */
@Tag("browser")
class AnalysisJourneyTest extends Browser {
    private static final LocalDate TODAY = LocalDate.now(ZoneOffset.UTC);
    private static final JdbcTemplate SQL = new JdbcTemplate(Running.APPLICATION.getBean(javax.sql.DataSource.class));
    private static final String SETS = "10min 50%, 2 x (3 x (2min 105%, 2min 50%), 5min 45%), 5min 40%";

    @TempDir
    static Path folder;

    private static void setDay(String css, LocalDate day) {
        browser.executeScript(
                "const d = document.querySelector(arguments[0]); d.value = arguments[1]; "
                        + "d.dispatchEvent(new Event('change', {bubbles: true}))",
                css,
                day.toString());
    }

    private static String rider(String email) {
        Person person = new Person(Running.ADDRESS).signUp(email, "ride");
        String base = person.get("/").uri().getPath().replaceAll("/today$", "");
        person.get(base + "/thresholds");
        person.post(
                base + "/thresholds/adopt",
                Map.of(
                        "THRESHOLD_POWER",
                        "250",
                        "CRITICAL_POWER",
                        "258",
                        "W_PRIME",
                        "20",
                        "BODY_MASS",
                        "70",
                        "from",
                        TODAY.minusDays(60).toString()));
        signIn(email, "a long password");
        return base;
    }

    private static void keepTest(String base, String watts, LocalDate day) {
        go(base + "/thresholds/evidence/try?sport=RIDE&method=TWENTY_MINUTES");
        type("input[name=watts]", watts);
        setDay("input[name=day]", day);
        click("button[name=calculate]");
        seeText(".answer .big", "W");
        click(".answer ~ form button.primary");
        seeText("#pieces", "20 min");
    }

    @Test
    void evidenceThatDisagreesIsSaidAndAdoptingMeansChoosing() {
        String base = rider("disagreeing@pemblar.example");
        keepTest(base, "280", TODAY.minusDays(5));
        seeText(".suggested", "most likely 266");
        keepTest(base, "340", TODAY.minusDays(3));
        seeText(".warn", "contradicts itself, so nothing is averaged");
        assertThat(text(".warn")).contains("(266 W)").contains("(323 W)").contains("choose one to adopt");
        assertThat(browser.findElements(By.cssSelector(".suggested li")))
                .as("no mean of what excludes each other")
                .isEmpty();
        browser.findElements(By.cssSelector("#pieces .adopt-this")).get(1).click();
        see("#effect");
        click("#adopt button.primary");
        seeText("#foot", "Threshold power is now");
        assertThat(text("#THRESHOLD_POWER .now")).isIn("266", "323");
    }

    @Test
    void oneClickGroupsRepetitionsByShoes() {
        signIn("sefa@pemblar.example", "pemblar-demo");
        for (long session : SQL.queryForList(
                "select id from session where athlete_id = 2 and title = 'Eight hundreds' and recording_id is not null"
                        + " order by day desc limit 2",
                Long.class)) {
            boolean first = SQL.queryForObject(
                            "select count(*) from comparison where athlete_id = 2 and name = 'Which shoes'",
                            Integer.class)
                    == 0;
            go("/a/2/sessions/" + session);
            click("#repetitions .aside a");
            if (first) type("input[name=name]", "Which shoes");
            else new Select(see("select[name=comparison]")).selectByVisibleText("Which shoes (6)");
            String form = first ? "form:has(input[name=name])" : "form:has(select)";
            type(form + " input[name=group]", "all");
            click(form + " button");
            seeText("h1", "Which shoes");
        }
        SQL.update("update session set equipment = 'light shoes' where id in (select id from session where athlete_id "
                + "= 2 and title = 'Eight hundreds' and recording_id is not null order by day desc limit 1)");
        SQL.update("update session set equipment = 'heavy shoes' where id in (select id from session where athlete_id "
                + "= 2 and title = 'Eight hundreds' and recording_id is not null order by day desc offset 1 limit 1)");
        click("button[name=by][value=EQUIPMENT]");
        seeText(".group-means", "light shoes");
        assertThat(text(".group-means")).contains("heavy shoes");
        assertThat(text("#difference")).contains("One day each");
    }

    @Test
    void twoSetsAreKeptApart() throws IOException {
        String base = rider("sets@pemblar.example");
        byte[] plan = FitWorkouts.of(
                        "Two sets",
                        Shorthand.read(SETS, Sport.RIDE).workout().orElseThrow(),
                        Thresholds.NONE.with(Quantity.THRESHOLD_POWER, 250))
                .write(1, TODAY.atTime(5, 0).toInstant(ZoneOffset.UTC));
        byte[] ride = HeadUnit.follow(
                plan,
                new Body(Sport.RIDE, 262, 20_000, 4, 48, 188, 70),
                TODAY.minusDays(1).atTime(6, 0).toInstant(ZoneOffset.UTC),
                new Random(11),
                Faults.NONE);
        go(base + "/workouts/design");
        type("input[name=title]", "Two sets");
        type("textarea[name=text]", SETS);
        click("form button.primary");
        Person person = new Person(Running.ADDRESS).signIn("sets@pemblar.example", "a long password");
        String workout = person.get(base + "/board")
                .body()
                .replaceAll("(?s).*name=\"workout\".*?<option value=\"(\\d+)\".*", "$1");
        person.post(
                base + "/sessions",
                Map.of("workout", workout, "day", TODAY.minusDays(1).toString()));
        go(base + "/sessions");
        browser.findElement(By.id("files"))
                .sendKeys(Files.write(folder.resolve("sets.fit"), ride).toString());
        click(".upload button");
        click("#uploads a[href*='/sessions/']");
        seeText("#repetitions", "2 sets of 3 times 2min, as planned");
        assertThat(text("#repetitions"))
                .contains("Set 1: target met in")
                .contains("Set 2: target met in")
                .contains("Set 2 was");
    }

    @Test
    void zonesOverFourWeeksAddUpInTheTablesAndTheFile() {
        signIn("kasper@pemblar.example", "pemblar-demo");
        go("/a/3/progress/zones");
        assertThat(see("input[name=span][value='28']").isSelected()).isTrue();
        new Select(see("select[name=sport]")).selectByValue("swim");
        click("form.ranges button");
        seeText(".season-word", "of swimming in 28 days");
        assertThat(browser.findElements(By.cssSelector("svg.weeks rect.part"))).isNotEmpty();
        click("#by-week summary");
        seeText("#by-week thead", "swimming");
        assertThat(text("#by-week tbody tr:nth-child(2)")).contains(" in ");
        click("#by-block summary");
        assertThat(text("#by-block tbody tr:nth-child(2)")).matches("(?s).*\\d of \\d.*%.*");
        click("input[name=span][value='7']");
        click("form.ranges button");
        seeText(".season-word", "in 7 days");
    }

    @Test
    void theTrendIsDrawnWithItsBandAndAnEventWithWhatWasForeseen() {
        signIn("sefa@pemblar.example", "pemblar-demo");
        go("/a/2/progress/fitness");
        seeText("main", "of your heart-rate reserve you hold");
        assertThat(text("main")).contains("95 % range").contains("Rests on").contains("Filled: in like conditions");
        assertThat(text("#events"))
                .contains("Three bridges run")
                .contains("42.2 km")
                .contains(" came: ");
        assertThat(browser.findElements(By.cssSelector("#events path.band"))).hasSizeGreaterThan(2);
        go("/a/2/season");
        seeText("main", "likely");
        String likely = text("a[href$='/progress/fitness#events']");
        click("a[href$='/progress/fitness#events']");
        seeText("#events", likely.substring(0, likely.indexOf(',')));
    }

    @Test
    void aTargetOfTheMostThatCanBeHeldHasItsWattsAndLeavesReserve() {
        String base = rider("most@pemblar.example");
        go(base + "/workouts/design");
        type("textarea[name=text]", "10min 50%, 6 x (3min 100%max, 3min 50%)");
        seeText("#forecast", "46:00");
        assertThat(text("#forecast")).containsPattern("2\\.[01] kJ\\s+lowest reserve");
        type("input[name=title]", "As hard as it goes");
        click("form button.primary");
        seeText("main", "As hard as it goes");
        long workout = SQL.queryForObject("select max(id) from workout where title = 'As hard as it goes'", Long.class);
        go(base + "/workouts/" + workout + "/sheet");
        seeText("h1", "As hard as it goes");
        assertThat(text("main")).containsPattern("3min\\s+3\\d\\d to 3\\d\\d W");
    }
}
