package pemblar.app;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Random;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.interactions.Actions;
import pemblar.benchunit.Body;
import pemblar.benchunit.Faults;
import pemblar.benchunit.HeadUnit;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Quantity;
import pemblar.core.threshold.Thresholds;
import pemblar.core.workout.Shorthand;
import pemblar.formats.fit.FitWorkouts;

/** From an uploaded test to new zones and watts, and back, as a person does it in the browser. */
@Tag("browser")
class ThresholdJourneyTest extends Browser {
    private static final LocalDate TODAY = LocalDate.now(ZoneOffset.UTC);

    @TempDir
    static Path folder;

    /** Twenty minutes all-out by somebody who can hold 270 W for long, after a warm-up of ten. */
    private static byte[] test() {
        Thresholds known = Thresholds.NONE.with(Quantity.THRESHOLD_POWER, 250);
        byte[] workout = FitWorkouts.of(
                        "Test",
                        Shorthand.read("10min 50%, 20min 115%, 5min 40%", Sport.RIDE)
                                .workout()
                                .orElseThrow(),
                        known)
                .write(1, java.time.Instant.EPOCH.plusSeconds(1_700_000_000));
        return HeadUnit.follow(
                workout,
                new Body(Sport.RIDE, 270, 21_000, 4, 48, 188, 70),
                TODAY.atTime(6, 0).toInstant(ZoneOffset.UTC),
                new Random(5),
                Faults.NONE);
    }

    @Test
    void fromAnUploadedTestToNewWattsAndBack() throws IOException {
        Person person = new Person(Running.ADDRESS).signUp("vera@pemblar.example", "ride");
        String athlete = person.get("/").uri().getPath().replaceAll("/today$", "");
        person.post(
                athlete + "/thresholds/adopt",
                java.util.Map.of(
                        "THRESHOLD_POWER", "250", "from", TODAY.minusDays(60).toString()));
        person.get(athlete + "/workouts/design");
        person.post(
                athlete + "/workouts",
                java.util.Map.of(
                        "title",
                        "Fours",
                        "text",
                        "10min 50%, 4 x (4min 108%, 4min 50%)",
                        "sport",
                        "RIDE",
                        "basis",
                        "POWER"));
        String workout = person.get(athlete + "/board")
                .body()
                .replaceAll("(?s).*name=\"workout\".*?<option value=\"(\\d+)\".*", "$1");
        person.post(
                athlete + "/sessions",
                java.util.Map.of("workout", workout, "day", TODAY.plusDays(2).toString()));

        signIn("vera@pemblar.example", "a long password");
        go(athlete + "/sessions");
        browser.findElement(By.id("files"))
                .sendKeys(Files.write(folder.resolve("test.fit"), test()).toString());
        click(".upload button");
        click("#uploads a[href*='/sessions/']");
        see("#lanes[data-ready='1']");
        type("#range-from", "10:00");
        type("#range-to", "30:00");
        click("#range-form button");
        seeText("#range", "from 10:00");
        click("#as-evidence");
        seeText(".answer h2", "Threshold power");
        String suggested = see(".answer .big").getText();
        int watts = Integer.parseInt(suggested.replace(" W", ""));
        assertTrue(watts > 260 && watts < 280, suggested);
        click(".answer ~ form button.primary");
        seeText(".suggested", "most likely " + watts);

        click(".suggested a.button");
        see("#effect");
        browser.executeScript("const d = document.querySelector('#adopt input[name=from]'); d.value = '"
                + TODAY.minusDays(1) + "'; d.dispatchEvent(new Event('change', {bubbles: true}))");
        wait.until(b ->
                b.findElement(By.cssSelector("#effect .facts dd")).getText().equals("1"));
        String before = text("#effect tbody td:nth-child(3)");
        String after = text("#effect tbody td:nth-child(4)");
        assertEquals("4min at 257 to 284 W", before);
        assertNotEquals(before, after);
        assertEquals(
                "4min at " + Math.round(watts * 1.08 * 0.95) + " to " + Math.round(watts * 1.08 * 1.05) + " W", after);
        click("#adopt button.primary");
        seeText("#foot", "Threshold power is now " + watts + " W");
        seeText("#progress", "1 session was recomputed");
        seeText("#THRESHOLD_POWER .now", String.valueOf(watts));
        seeText("#zones", Math.round(watts * 0.55) + "–" + Math.round(watts * 0.75) + " W");
        click("#undo");
        seeText("#THRESHOLD_POWER .now", "250");
    }

    @Test
    void aBoundaryIsDraggedAndMovedByKeyAndNeverCrossesItsNeighbour() {
        signIn("kasper@pemblar.example", "pemblar-demo");
        go("/a/3/thresholds/zones?sport=RIDE&measure=POWER&scheme=0");
        WebElement handle = see(".handle[data-index='1']");
        answered(() -> new Actions(browser)
                .moveToElement(handle)
                .clickAndHold()
                .moveByOffset(600, 0)
                .release()
                .perform());
        assertEquals("89", see("input[name=boundary1]").getAttribute("value"));
        answered(() -> see(".handle[data-index='1']").sendKeys(Keys.ARROW_RIGHT));
        assertEquals("89", see("input[name=boundary1]").getAttribute("value"));
        answered(() -> see(".handle[data-index='1']").sendKeys(Keys.ARROW_LEFT, Keys.ARROW_LEFT, Keys.ARROW_LEFT));
        assertEquals("86", see("input[name=boundary1]").getAttribute("value"));
        answered(() -> see("input[name=boundary0]").sendKeys(Keys.chord(Keys.CONTROL, "a"), "60", Keys.TAB));
        assertEquals("60.0", see(".handle[data-index='0']").getAttribute("aria-valuenow"));
    }

    /** Does something and waits until the server has put the editor anew. */
    private static void answered(Runnable action) {
        browser.executeScript("document.getElementById('editor').dataset.old = '1'");
        action.run();
        wait.until(b -> b.findElements(By.cssSelector("#editor:not([data-old]):not(.htmx-settling)"))
                        .size()
                == 1);
    }
}
