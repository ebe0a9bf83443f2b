package pemblar.app;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.selenium.AxeBuilder;
import java.io.IOException;
import java.time.Duration;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Map;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.By;
import org.openqa.selenium.ElementNotInteractableException;
import org.openqa.selenium.Keys;
import org.openqa.selenium.StaleElementReferenceException;
import org.openqa.selenium.WebDriver;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.interactions.Actions;
import org.openqa.selenium.support.ui.ExpectedConditions;
import org.openqa.selenium.support.ui.WebDriverWait;
import org.springframework.jdbc.core.JdbcTemplate;

/**
 * A person without a plan: guided to a full board, then by hand with pointer and keys, and against somebody who was
 * quicker.
 */
@Tag("browser")
class SeasonJourneyTest extends Browser {
    private static final LocalDate TODAY = LocalDate.now(ZoneOffset.UTC);

    private static void accessible() {
        assertThat(new AxeBuilder().setLegacyMode().analyze(browser).getViolations())
                .as(browser.getCurrentUrl())
                .isEmpty();
    }

    /**
     * Tops of the blocks as they are drawn: targets that follow a drag. Where sessions are planned the forecast counts
     * just those.
     */
    private static String ahead() {
        return browser.findElements(By.cssSelector(".season-block rect.target")).stream()
                .map(r -> r.getAttribute("y"))
                .collect(java.util.stream.Collectors.joining(" "));
    }

    private static Person newcomer() {
        Person person = new Person(Running.ADDRESS).signUp("vilde@pemblar.example", "ride");
        String athlete = person.get("/").uri().getPath().replaceAll("/today$", "");
        person.post(
                athlete + "/thresholds/adopt",
                Map.of("THRESHOLD_POWER", "230", "from", TODAY.minusDays(30).toString()));
        return person;
    }

    @Test
    void fromQuestionsToAFullBoardAndOnByHand() throws IOException {
        Person person = newcomer();
        String athlete = person.get("/").uri().getPath().replaceAll("/today$", "");
        signIn("vilde@pemblar.example", "a long password");
        setUp(athlete);
        dragABar(athlete);
        dragAnEdgeAndTheEvent(athlete);
        moveADay(athlete);
        dragOnTheTape(athlete);
        conflict(athlete);
    }

    private static void setUp(String athlete) {
        go(athlete + "/season/setup");
        accessible();
        type("input[name=event]", "Heron lake loop");
        type("input[name=kilometres]", "100");
        type("input[name=time]", "3h30");
        type("input[name=presentHours]", "5");
        click("form.setup > p .primary");
        seeText("#review", "Heron lake loop");
        assertThat(browser.findElements(By.cssSelector(".review .filled li")).size())
                .isGreaterThan(6);
        accessible();
        click("#save-setup");
        seeText("#board", "Base 1");
        seeText(".foot", "sessions are on the board");
        assertThat(browser.findElements(By.cssSelector(".slab")).size()).isGreaterThan(6);
        accessible();
    }

    private static void dragABar(String athlete) {
        go(athlete + "/season");
        accessible();
        String before = ahead();
        WebElement handle = browser.findElements(By.cssSelector(".top-handle")).get(2);
        String first = handle.getAttribute("data-first");
        double load = Double.parseDouble(handle.getAttribute("data-load"));
        Actions drag = new Actions(browser);
        drag.moveToElement(handle).clickAndHold().moveByOffset(0, -30).perform();
        wait.until(b -> !ahead().equals(before));
        drag.release().perform();
        wait.until(b -> !b.findElements(By.cssSelector(".pin-mark")).isEmpty());
        seeText(".foot", "aims for");
        double raised = load(first);
        assertThat(raised).isGreaterThan(load + 20);
        // Faster than the server answers: each press goes on from what the one before made of it.
        press(".top-handle[data-first='" + first + "']", Keys.ARROW_DOWN, Keys.ARROW_DOWN);
        double lowered = lower(lower(raised));
        wait.until(b -> Math.abs(load(first) - lowered) < 1);
        click("#undo");
        wait.until(b -> load(first) > lowered + 1);
        click("#undo");
        wait.until(b -> load(first) == raised);
    }

    private static double lower(double load) {
        return Math.round((load - Math.max(5, load * 0.05)) / 5) * 5;
    }

    private static double load(String first) {
        return Double.parseDouble(attribute(".top-handle[data-first='" + first + "']", "data-load"));
    }

    /** What an element says; it may be swapped between finding and reading it. */
    private static String attribute(String css, String name) {
        return wait.until(b -> b.findElement(By.cssSelector(css)).getAttribute(name));
    }

    private static void dragAnEdgeAndTheEvent(String athlete) {
        go(athlete + "/season");
        WebElement edge = browser.findElements(By.cssSelector(".edge-handle")).get(2);
        String first = edge.getAttribute("data-first");
        int days = Integer.parseInt(edge.getAttribute("aria-valuenow"));
        WebElement foot =
                see("#foot"); // a preview swaps the drawing alone; what is saved swaps the foot with its undo too
        new Actions(browser)
                .moveToElement(edge)
                .clickAndHold()
                .moveByOffset(16, 0)
                .release()
                .perform();
        wait.until(ExpectedConditions.stalenessOf(foot));
        wait.until(b -> days(first) > days);
        click("#undo");
        wait.until(b -> days(first) == days);
        WebElement event = see(".event-handle");
        String day = event.getAttribute("data-day");
        WebElement later = see("#foot");
        new Actions(browser)
                .moveToElement(event)
                .clickAndHold()
                .moveByOffset(-24, 0)
                .release()
                .perform();
        wait.until(ExpectedConditions.stalenessOf(later));
        wait.until(b -> LocalDate.parse(attribute(".event-handle", "data-day")).isBefore(LocalDate.parse(day)));
        click("#undo");
        wait.until(b -> attribute(".event-handle", "data-day").equals(day));
    }

    private static int days(String first) {
        return Integer.parseInt(attribute(".edge-handle[data-first='" + first + "']", "aria-valuenow"));
    }

    private static void dragOnTheTape(String athlete) {
        go(athlete + "/board?from=" + TODAY.plusDays(14));
        WebElement bar = see(".tape .bar[data-id]");
        String id = bar.getAttribute("data-id");
        String before = attribute("#slab-" + id, "data-time");
        new Actions(browser)
                .moveToElement(bar)
                .clickAndHold()
                .moveByOffset(-5, 0)
                .release()
                .perform();
        wait.until(b -> !attribute("#slab-" + id, "data-time").equals(before));
        click("#undo");
        wait.until(b -> attribute("#slab-" + id, "data-time").equals(before));
    }

    /** The season may be swapped between finding the handle and pressing the key. */
    private static void press(String css, Keys... keys) {
        wait.until(b -> {
            try {
                b.findElement(By.cssSelector(css)).sendKeys(keys);
                return true;
            } catch (ElementNotInteractableException e) {
                return false;
            }
        });
    }

    private static void moveADay(String athlete) {
        go(athlete + "/board?from=" + TODAY.plusDays(14));
        WebElement day = browser.findElements(By.cssSelector(".day")).stream()
                .filter(d -> !d.findElements(By.cssSelector(".slab")).isEmpty())
                .findFirst()
                .orElseThrow();
        String date = day.getAttribute("data-day");
        String target = LocalDate.parse(date).plusDays(1).toString();
        String id = day.findElement(By.cssSelector(".slab")).getAttribute("id");
        day.findElement(By.cssSelector(".span-head")).sendKeys("x");
        seeText(".foot", "Cut");
        see(".day[data-day='" + target + "'] .span-head").sendKeys("v");
        wait.until(b -> !b.findElements(By.cssSelector(".day[data-day='" + target + "'] #" + id))
                .isEmpty());
        click("#undo");
        wait.until(b -> !b.findElements(By.cssSelector(".day[data-day='" + date + "'] #" + id))
                .isEmpty());
        new Actions(browser)
                .moveToElement(see(".day[data-day='" + date + "'] .span-head b"))
                .clickAndHold()
                .moveByOffset(12, 4)
                .moveToElement(see(".day[data-day='" + target + "'] .slabs"))
                .release()
                .perform();
        wait.until(b -> !b.findElements(By.cssSelector(".day[data-day='" + target + "'] #" + id))
                .isEmpty());
        click("#undo");
        wait.until(b -> !b.findElements(By.cssSelector(".day[data-day='" + date + "'] #" + id))
                .isEmpty());
    }

    /** The coach's own browser moves the session while this page still shows it where it was. */
    private static void conflict(String athlete) throws IOException {
        new JdbcTemplate(Running.APPLICATION.getBean(javax.sql.DataSource.class))
                .update(
                        "insert into coaching (athlete_id, coach_account_id, accepted_at) select ?, id, now() "
                                + "from account where email = 'oda@pemblar.example'",
                        Long.parseLong(athlete.replace("/a/", "")));
        String board = athlete + "/board?from=" + TODAY.plusDays(14);
        go(board);
        WebElement slab = see(".slab[data-movable='true']");
        String id = slab.getAttribute("data-id");
        LocalDate day = LocalDate.parse(slab.getAttribute("data-day"));
        WebDriver coach = start();
        try {
            moveTwoDaysOn(coach, board, id, day);
        } finally {
            coach.quit();
        }
        slab.sendKeys(Keys.chord(Keys.SHIFT, Keys.ARROW_RIGHT));
        seeText(".conflict", "was changed meanwhile by Oda Verling");
        accessible();
        assertThat(browser.findElement(By.id("slab-" + id)).getAttribute("data-day"))
                .isEqualTo(day.plusDays(2).toString());
        click(".conflict .primary");
        wait.until(b -> b.findElement(By.id("slab-" + id))
                .getAttribute("data-day")
                .equals(day.plusDays(1).toString()));
    }

    private static void moveTwoDaysOn(WebDriver coach, String board, String id, LocalDate day) {
        WebDriverWait patience = new WebDriverWait(coach, Duration.ofSeconds(30));
        coach.get(Running.ADDRESS + "/sign-in");
        coach.findElement(By.id("username")).sendKeys("oda@pemblar.example");
        coach.findElement(By.id("password")).sendKeys("pemblar-demo");
        coach.findElement(By.cssSelector("button.primary")).click();
        patience.until(b -> !b.getCurrentUrl().contains("sign-in"));
        coach.get(Running.ADDRESS + board);
        for (int i = 1; i <= 2; i++) {
            String target = day.plusDays(i).toString();
            coach.findElement(By.id("slab-" + id)).sendKeys(Keys.chord(Keys.SHIFT, Keys.ARROW_RIGHT));
            patience.ignoring(StaleElementReferenceException.class)
                    .until(b -> b.findElement(By.id("slab-" + id))
                            .getAttribute("data-day")
                            .equals(target));
        }
    }
}
