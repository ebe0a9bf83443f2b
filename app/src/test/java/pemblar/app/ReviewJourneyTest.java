package pemblar.app;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.selenium.AxeBuilder;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.interactions.Actions;
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

/** A coach's questions to a recording, with pointer and keys: select, name, mend, undo, cut, compare groups. */
@Tag("browser")
class ReviewJourneyTest extends Browser {
    private static final JdbcTemplate SQL = new JdbcTemplate(Running.APPLICATION.getBean(javax.sql.DataSource.class));
    private long athlete;

    private byte[] ride(int day, int seed, int percent, Faults faults) {
        Instant start = Instant.parse("2026-09-01T16:00:00Z").plusSeconds(86_400L * day);
        byte[] plan = FitWorkouts.of(
                        "Threes",
                        Shorthand.read("8min 60%, 5 x (2min " + percent + "%, 2min 50%), 4min 45%", Sport.RIDE)
                                .workout()
                                .orElseThrow(),
                        Thresholds.NONE.with(Quantity.THRESHOLD_POWER, 250))
                .write(1, start);
        return HeadUnit.follow(
                plan, new Body(Sport.RIDE, 255, 26_000, 4, 48, 188, 68), start, new Random(seed), faults);
    }

    private List<Long> threeRides(Person person) {
        athlete = SQL.queryForObject(
                "select a.id from athlete a join account c on c.id = a.account_id where c.email = "
                        + "'torvi@pemblar.example'",
                Long.class);
        person.post(
                "/a/" + athlete + "/thresholds/adopt",
                Map.of("THRESHOLD_POWER", "250", "BODY_MASS", "68", "MAXIMUM_HEART_RATE", "188", "from", "2026-01-01"));
        person.get("/a/" + athlete + "/sessions");
        person.upload(
                "/a/" + athlete + "/sessions/upload",
                Map.of(
                        "one.fit",
                        ride(0, 1, 105, new Faults(0, 900, false, false, 0.2)),
                        "two.fit",
                        ride(3, 2, 110, Faults.NONE),
                        "three.fit",
                        ride(6, 3, 115, Faults.NONE)));
        Eventually.holds(
                Duration.ofSeconds(60),
                () -> SQL.queryForObject("select count(*) from session where athlete_id = ?", Integer.class, athlete)
                        == 3);
        return SQL.queryForList("select id from session where athlete_id = ? order by day", Long.class, athlete);
    }

    private static void accessible() {
        assertThat(new AxeBuilder()
                        .setLegacyMode()
                        .withTags(List.of("wcag2a", "wcag2aa"))
                        .analyze(browser)
                        .getViolations())
                .as(browser.getCurrentUrl())
                .isEmpty();
    }

    @Test
    void aCoachsQuestions() {
        List<Long> rides = threeRides(new Person(Running.ADDRESS).signUp("torvi@pemblar.example", "ride"));
        signIn("torvi@pemblar.example", "a long password");
        open(rides.get(0));
        accessible();
        selectAndKeep();
        mend();
        cut();
        look();
        compare(rides);
        list();
    }

    private void open(long session) {
        go("/a/" + athlete + "/sessions/" + session);
        see("#lanes[data-ready='1']");
    }

    private void selectAndKeep() {
        WebElement lane = see("#lane-rows canvas");
        new Actions(browser)
                .moveToElement(lane, -100, 0)
                .clickAndHold()
                .moveByOffset(150, 0)
                .release()
                .perform();
        seeText("#range", "work");
        assertThat(see("#range").getText())
                .contains("equivalent")
                .contains("per kg")
                .contains("of threshold");
        assertThat(browser.getCurrentUrl()).contains("from=").contains("to=");
        type("#range-name", "the windy part");
        click("#range form button");
        seeText(".kept-ranges", "the windy part");
        see("#lanes[data-ready='1']");
        see("#lanes").sendKeys("[");
        type("#range-from", "8:00");
        type("#range-to", "10:00");
        click("#range-form button");
        seeText("#range", "2:00");
        browser.findElement(By.cssSelector("[data-quick=until]")).click();
        seeText("#range", "8:00");
        click(".kept-ranges .step-line");
        Eventually.holds(
                Duration.ofSeconds(20),
                () -> !see("#range-from").getAttribute("value").equals("0:00"));
    }

    private void mend() {
        String before = see(".facts dd").getText();
        seeText("#proposals", "The device ran on for");
        click("#proposals form button");
        wait.until(b -> !see(".facts dd").getText().equals(before));
        assertThat(browser.findElements(By.id("proposals"))).isEmpty();
        assertThat(see("#mending .made").getText()).contains("device left running");
        click("#undo");
        seeText("#proposals", "The device ran on for");
        assertThat(see(".facts dd").getText()).isEqualTo(before);
    }

    private void cut() {
        see("#lanes[data-ready='1']");
        WebElement edge =
                browser.findElements(By.cssSelector("#lane-strip .edge")).get(2);
        int second = Integer.parseInt(edge.getAttribute("aria-valuenow"));
        edge.sendKeys(Keys.ARROW_RIGHT);
        seeText("#steps", "set by hand");
        wait.until(b -> browser.findElements(By.cssSelector("#lane-strip .edge"))
                .get(2)
                .getAttribute("aria-valuenow")
                .equals(String.valueOf(second + 1)));
        WebElement now =
                browser.findElements(By.cssSelector("#lane-strip .edge")).get(2);
        new Actions(browser)
                .moveToElement(now)
                .clickAndHold()
                .moveByOffset(-6, 0)
                .release()
                .perform();
        wait.until(b -> Integer.parseInt(browser.findElements(By.cssSelector("#lane-strip .edge"))
                        .get(2)
                        .getAttribute("aria-valuenow"))
                < second - 5);
        click("#steps .aside button");
        wait.until(b -> !see("#steps").getText().contains("set by hand"));
    }

    /** How a person likes the lanes is still so when the page is opened again. */
    private void look() {
        new Select(see("#lane-by")).selectByValue("distance");
        seeText("#lane-axis", "km");
        click(".lane-tools details summary");
        int lanes = browser.findElements(By.cssSelector("#lane-rows .lane")).size();
        click("#lane-menu input");
        wait.until(b -> browser.findElements(By.cssSelector("#lane-rows .lane")).size() == lanes - 1);
        Eventually.holds(
                Duration.ofSeconds(10),
                () -> SQL.queryForObject(
                                "select count(*) from lane_view v join account c on c.id = v.account_id where "
                                        + "c.email = 'torvi@pemblar.example' and settings ->> 'axis' = "
                                        + "'distance' and jsonb_array_length(settings -> 'hidden') > 0",
                                Integer.class)
                        == 1);
        browser.navigate().refresh();
        see("#lanes[data-ready='1']");
        assertThat(browser.findElements(By.cssSelector("#lane-rows .lane"))).hasSize(lanes - 1);
        seeText("#lane-axis", "km");
        new Select(see("#lane-by")).selectByValue("time");
    }

    private void compare(List<Long> rides) {
        open(rides.get(0));
        click("#repetitions .aside a");
        type("input[name=name]", "New wheels");
        WebElement group = browser.findElement(By.xpath("//form[.//input[@name='name']]//input[@name='group']"));
        group.clear();
        group.sendKeys("old");
        click("form .primary");
        seeText("h1", "New wheels");
        for (long other : rides.subList(1, 3)) {
            open(other);
            click("#repetitions .aside a");
            type("form:has(select) input[name=group]", "new");
            click("form:has(select) button");
            seeText(".group-means", "new");
        }
        assertThat(see("#difference").getText()).startsWith("At equal power");
        seeText("#overlay-holder", "over one another");
        wait.until(b -> b.findElements(By.cssSelector(".trace")).size() >= 15);
        wait.until(b -> b.findElements(By.cssSelector("#lines tbody tr")).size() >= 15);
        accessible();
        String before = see("#difference").getText();
        browser.findElements(By.cssSelector("#lines tbody summary")).get(0).click();
        browser.findElements(By.cssSelector("#lines tbody button[value=hide]"))
                .get(0)
                .click();
        wait.until(b ->
                !browser.findElements(By.cssSelector("#lines tr.is-ignored")).isEmpty());
        assertThat(see("#difference").getText()).isNotEqualTo(before);
        click("#undo");
        seeText(".good", "Taken back");
        assertThat(see("#difference").getText()).isEqualTo(before);
    }

    private void list() {
        go("/a/" + athlete + "/sessions");
        accessible();
        browser.findElements(By.cssSelector("input[name=chosen]")).get(0).click();
        type(".with-chosen input[name=tags]", "wheels");
        click(".with-chosen > button");
        seeText(".good", "1 session was marked");
        assertThat(see("table").getText()).contains("#wheels");
        browser.findElements(By.cssSelector("input[name=chosen]")).get(0).click();
        click("#delete-chosen");
        seeText(".good", "1 session was deleted");
        assertThat(browser.findElements(By.cssSelector("input[name=chosen]"))).hasSize(2);
        click("#undo");
        seeText(".good", "Taken back");
        assertThat(browser.findElements(By.cssSelector("input[name=chosen]"))).hasSize(3);
    }
}
