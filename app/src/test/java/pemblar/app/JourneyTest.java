package pemblar.app;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.deque.html.axecore.results.Rule;
import com.deque.html.axecore.selenium.AxeBuilder;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebDriverException;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.interactions.Actions;
import org.openqa.selenium.support.ui.ExpectedConditions;
import pemblar.formats.RecordingFiles;

/** From a threshold to an adjusted plan, as a person does it in the browser. */
@Tag("browser")
class JourneyTest extends Browser {
    @TempDir
    static Path folder;

    private static String dayOf(String slabTitle) {
        return browser.findElements(By.cssSelector(".slab")).stream()
                .filter(s -> s.getText().contains(slabTitle))
                .map(s -> s.getAttribute("data-day"))
                .findFirst()
                .orElse("none");
    }

    private static void untilDay(String slabTitle, LocalDate day) {
        wait.until(b -> {
            try {
                return dayOf(slabTitle).equals(day.toString());
            } catch (org.openqa.selenium.StaleElementReferenceException e) {
                return false;
            }
        });
    }

    @Test
    void fromAThresholdToAnAdjustedPlan() throws IOException {
        go("/sign-up");
        type("#name", "Nila Torven");
        type("#email", "nila@pemblar.example");
        type("#password", "a long password");
        type("#zone", "UTC");
        click("button.primary");
        seeText("h1", "Today");
        String athlete = athlete();
        LocalDate today = LocalDate.now(ZoneOffset.UTC);

        go(athlete + "/thresholds");
        setValue("THRESHOLD_POWER", "240");
        setValue("CRITICAL_POWER", "248");
        setValue("W_PRIME", "18.0");
        setValue("THRESHOLD_HEART_RATE", "168");
        setValue("MAXIMUM_HEART_RATE", "186");
        setValue("RESTING_HEART_RATE", "50");
        setValue("BODY_MASS", "64.0");
        seeText("#zones", "180–216 W");
        seeText("#zones", "136–150 bpm");

        go(athlete + "/workouts/design");
        type("#title", "Four by three");
        type("#text", "10min 45>65%, 4 x (3min 110%, 3min 500%)");
        seeText("#forecast", "Line 1, column 36");
        type("#text", "10min 45>65%, 4 x (3min 110%, 3min 50%)");
        seeText("#forecast .facts", "34:00");
        assertTrue(browser.findElements(By.cssSelector("#forecast polygon")).size() == 9);
        seeText("#forecast .facts", "kJ");
        click("form#design button.primary");
        seeText(".shelf", "Four by three");

        go(athlete + "/board");
        click("#add-session");
        click("#add-form button.primary");
        untilDay("Four by three", today);
        see(".slab").sendKeys(Keys.chord(Keys.SHIFT, Keys.ARROW_RIGHT));
        untilDay("Four by three", today.plusDays(1));
        click("#undo");
        untilDay("Four by three", today);
        see(".slab").sendKeys("c");
        wait.until(ExpectedConditions.numberOfElementsToBe(By.cssSelector(".slab"), 2));
        dragToDay(today.plusDays(1), today.plusDays(3));
        wait.until(ExpectedConditions.presenceOfElementLocated(
                By.cssSelector(".slab[data-day='" + today.plusDays(3) + "']")));
        browser.findElement(By.cssSelector(".slab[data-day='" + today.plusDays(3) + "']"))
                .sendKeys(Keys.DELETE);
        wait.until(ExpectedConditions.numberOfElementsToBe(By.cssSelector(".slab"), 1));
        click("#undo");
        wait.until(ExpectedConditions.numberOfElementsToBe(By.cssSelector(".slab"), 2));

        see(".slab[data-day='" + today + "'] a.title").click();
        click(".page-head .actions button.primary");
        see("#lanes[data-ready='1']");
        seeText(".facts", "34:00");
        assertEquals(9, browser.findElements(By.cssSelector("#steps tbody tr")).size());
        assertTrue(browser.findElements(By.cssSelector("#lanes .lane")).size() >= 5);
        type("#range-from", "10:00");
        type("#range-to", "13:00");
        click("#range-form button");
        seeText("#range", "from 10:00");
        seeText("#range", "3:00");
        reviewTheMatch();
        download(athlete, today);
        adjust(athlete);
    }

    private static void dragToDay(LocalDate from, LocalDate to) {
        WebElement slab = browser.findElement(By.cssSelector(".slab[data-day='" + from + "'] .figures"));
        WebElement target = browser.findElement(By.cssSelector(".day[data-day='" + to + "']"));
        new Actions(browser)
                .moveToElement(slab)
                .clickAndHold()
                .moveByOffset(12, 4)
                .moveToElement(target, 0, -10)
                .moveByOffset(2, 2)
                .release()
                .perform();
    }

    private static void reviewTheMatch() {
        browser.executeScript("window.matched = true"); // the page before has lanes that are ready, too
        browser.findElements(By.cssSelector(".page-head .actions button"))
                .get(0)
                .click();
        wait.until(b -> isAnewWithLanes());
        click("aside form button");
        see("#steps");
    }

    private static boolean isAnewWithLanes() {
        try {
            return Boolean.TRUE.equals(browser.executeScript(
                    "return !window.matched && document.querySelector(\"#lanes[data-ready='1']\") !== null"));
        } catch (WebDriverException e) {
            return false; // between the two pages there is none
        }
    }

    /**
     * The original comes back byte for byte, and uploading it again is recognised; a damaged file does not stop a sound
     * one.
     */
    private void download(String athlete, LocalDate today) throws IOException {
        String session =
                browser.getCurrentUrl().substring(Running.ADDRESS.length()).replaceAll("\\?.*", "");
        Person nila = new Person(Running.ADDRESS).signIn("nila@pemblar.example", "a long password");
        byte[] original = nila.bytes(session + "/original");
        assertEquals(
                2040,
                RecordingFiles.read(original, Optional.empty())
                        .recording()
                        .orElseThrow()
                        .seconds());
        Path same = Files.write(folder.resolve("same.fit"), original);
        Path broken = Files.writeString(folder.resolve("broken.fit"), "not a recording");
        Path cut = Files.write(folder.resolve("cut.fit"), java.util.Arrays.copyOf(original, original.length / 2));
        go(athlete + "/sessions");
        browser.findElement(By.id("files")).sendKeys(same + "\n" + broken + "\n" + cut);
        click(".upload button");
        seeText("#uploads", "already here");
        seeText("#uploads", "neither a FIT nor a GPX file");
        seeText("#uploads", "the file ends early");
        assertArrayEquals(original, nila.bytes(session + "/original"));
    }

    private static void adjust(String athlete) {
        go(athlete + "/progress");
        String before = see("#ahead tbody tr td:nth-child(4)").getText();
        String forecast = lastChronic();
        type("#ahead input[name=percent]", "50");
        click("#ahead form button");
        seeText("#foot", "50 % of its design");
        assertNotEquals(before, see("#ahead tbody tr td:nth-child(4)").getText());
        assertNotEquals(forecast, lastChronic());
        click("#undo");
        seeText("#foot", "Taken back");
        assertEquals(before, see("#ahead tbody tr td:nth-child(4)").getText());
        assertEquals(forecast, lastChronic());
    }

    private static String lastChronic() {
        return browser.findElement(By.cssSelector(".trend path.chronic.ahead")).getAttribute("d");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "/sign-in",
                "/sign-up",
                "/a/1/today",
                "/a/1/board",
                "/a/1/workouts",
                "/a/1/workouts/design",
                "/a/1/workouts/-16/sheet",
                "/a/1/bench",
                "/a/1/templates",
                "/a/1/sessions",
                "/a/1/session",
                "/a/1/progress",
                "/a/1/thresholds",
                "/a/1/thresholds/evidence",
                "/a/1/thresholds/evidence/try",
                "/a/1/thresholds/curve",
                "/a/1/thresholds/profile",
                "/a/1/thresholds/zones",
                "/a/1/thresholds/adopt?THRESHOLD_POWER=270"
            })
    void aPageHasNoBarrierThatAxeFinds(String path) {
        boolean signedIn = browser.getCurrentUrl().contains("/a/1/");
        if (!path.startsWith("/a/")) browser.manage().deleteAllCookies();
        else if (!signedIn) signIn("jonna@pemblar.example", "pemblar-demo");
        go(path.endsWith("/session") ? PagesTest.lastRide() : path);
        see("main");
        List<Rule> violations = new AxeBuilder()
                .setLegacyMode()
                .withTags(List.of("wcag2a", "wcag2aa"))
                .analyze(browser)
                .getViolations();
        assertEquals(
                List.of(),
                violations.stream()
                        .map(v -> v.getId() + " " + v.getNodes().get(0).getTarget() + " "
                                + v.getNodes().get(0).getHtml() + " "
                                + v.getNodes().get(0).getAny().stream()
                                        .map(c -> c.getMessage())
                                        .toList())
                        .toList());
    }
}
