package pemblar.app;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.interactions.Actions;
import org.openqa.selenium.support.ui.ExpectedConditions;

/**
 * From a line of text to a matched recording: designed by text and by hand, planned, done on the bench unit with a
 * warning on the way.
 */
@Tag("browser")
class DesignJourneyTest extends Browser {
    private static final LocalDate TODAY = LocalDate.now(ZoneOffset.UTC);

    private static void textBecomes(String text) {
        wait.until(ExpectedConditions.attributeToBe(By.id("text"), "value", text));
    }

    /** A part of the page that is still being put in place hears no key. */
    private static WebElement drawn(int index) {
        wait.until(ExpectedConditions.numberOfElementsToBe(
                By.cssSelector(".htmx-request, .htmx-swapping, .htmx-settling"), 0));
        return browser.findElements(By.cssSelector(".drawn")).get(index);
    }

    @Test
    void fromALineOfTextToAMatchedRecording() {
        Person person = new Person(Running.ADDRESS).signUp("tove@pemblar.example", "ride");
        String athlete = person.get("/").uri().getPath().replaceAll("/today$", "");
        for (Map.Entry<String, String> value : Map.of(
                        "THRESHOLD_POWER",
                        "250",
                        "CRITICAL_POWER",
                        "255",
                        "W_PRIME",
                        "19",
                        "THRESHOLD_HEART_RATE",
                        "168",
                        "MAXIMUM_HEART_RATE",
                        "186",
                        "RESTING_HEART_RATE",
                        "50")
                .entrySet())
            person.post(
                    athlete + "/thresholds/adopt",
                    Map.of(
                            value.getKey(),
                            value.getValue(),
                            "from",
                            TODAY.minusDays(30).toString()));
        signIn("tove@pemblar.example", "a long password");

        go(athlete + "/workouts/design");
        type("#title", "Short and sharp");
        type("#text", "4min 60%, 3 x (1min 140%, 30s 50%), 3min 50%");
        wait.until(ExpectedConditions.numberOfElementsToBe(By.cssSelector(".drawn"), 8));
        drawn(1).click();
        new Actions(browser)
                .moveToElement(see(".knob[data-knob='raise']"))
                .clickAndHold()
                .moveByOffset(0, 30)
                .release()
                .perform();
        wait.until(b -> !b.findElement(By.id("text")).getAttribute("value").contains("140%"));
        int lowered = Integer.parseInt(see("#text").getAttribute("value").replaceAll(".*1min (\\d+)%.*", "$1"));
        assertTrue(lowered < 135 && lowered > 90, "lowered to " + lowered + " %");
        drawn(0).sendKeys(Keys.ARROW_RIGHT);
        textBecomes("4min15s 60%, 3 x (1min " + lowered + "%, 30s 50%), 3min 50%");
        drawn(0).sendKeys("d");
        textBecomes("4min15s 60%, 4min15s 60%, 3 x (1min " + lowered + "%, 30s 50%), 3min 50%");
        wait.until(ExpectedConditions.numberOfElementsToBe(By.cssSelector(".drawn"), 9));
        click("[data-tool='undo']");
        textBecomes("4min15s 60%, 3 x (1min " + lowered + "%, 30s 50%), 3min 50%");
        click("[data-tool='redo']");
        textBecomes("4min15s 60%, 4min15s 60%, 3 x (1min " + lowered + "%, 30s 50%), 3min 50%");
        wait.until(ExpectedConditions.numberOfElementsToBe(By.cssSelector(".drawn"), 9));
        drawn(1).sendKeys(Keys.DELETE);
        textBecomes("4min15s 60%, 3 x (1min " + lowered + "%, 30s 50%), 3min 50%");
        new Actions(browser)
                .moveToElement(drawn(7), 0, 5)
                .clickAndHold()
                .moveByOffset(-30, 0)
                .moveToElement(drawn(0), 0, 5)
                .release()
                .perform();
        textBecomes("3min 50%, 4min15s 60%, 3 x (1min " + lowered + "%, 30s 50%)");
        new Actions(browser)
                .moveToElement(drawn(2), 0, 20)
                .clickAndHold()
                .moveByOffset(-30, 0)
                .moveToElement(drawn(1), 0, 5)
                .release()
                .perform();
        textBecomes("3min 50%, 3 x (1min " + lowered + "%, 30s 50%), 4min15s 60%");
        click("form#design button.primary");
        seeText(".shelf", "Short and sharp");

        go(athlete + "/board");
        click("#add-session");
        click("#add-form button.primary");
        wait.until(ExpectedConditions.presenceOfElementLocated(By.cssSelector(".slab[data-day='" + TODAY + "']")));

        go(athlete + "/bench");
        click(".page-head button");
        seeText(".device-workout", "Short and sharp");
        click(".device-workout button.primary");
        see("#unit");
        for (int i = 0; i < 15; i++)
            new Actions(browser).sendKeys(Keys.ARROW_UP).perform();
        browser.executeScript(
                "const s = document.getElementById('u-speed'); s.value = '20'; s.dispatchEvent(new Event('change'))");
        wait.until(ExpectedConditions.textToBePresentInElementLocated(By.id("u-warning"), "Above the target"));
        assertTrue(see("#u-driver").getText().startsWith("you drive"));
        new Actions(browser).sendKeys("a").perform();
        browser.executeScript(
                "const s = document.getElementById('u-speed'); s.value = '60'; s.dispatchEvent(new Event('change'))");
        wait.until(b -> b.getCurrentUrl().matches(".*/sessions/\\d+"));
        wait.until(b -> {
            if (!b.findElements(By.cssSelector("#lanes[data-ready='1']")).isEmpty()) return true;
            b.navigate().refresh();
            return false;
        });
        List<WebElement> steps = browser.findElements(By.cssSelector("#steps tbody tr"));
        assertEquals(8, steps.size(), "every lap found its step");
    }

    @Test
    void twoHundredStepsCanBeDraggedWithoutALag() {
        signIn("jonna@pemblar.example", "pemblar-demo");
        go("/a/1/workouts/design");
        type("#text", "10min 50%, 99 x (30s 110%, 30s 50%)");
        wait.until(ExpectedConditions.numberOfElementsToBe(By.cssSelector(".drawn"), 199));
        drawn(0).click();
        see(".knob[data-knob='length']");
        Object moved = browser.executeScript(
                "const k = document.querySelector('.knob[data-knob=length]'); const b = k.getBoundingClientRect();"
                        + "k.dispatchEvent(new PointerEvent('pointerdown', {bubbles: true, clientX: b.x + 4, "
                        + "clientY: b.y + 4}));"
                        + "for (let i = 0; i < 100; i++) k.dispatchEvent(new PointerEvent('pointermove', "
                        + "{bubbles: true, clientX: b.x + 4 + i / 4, clientY: b.y + 4}));"
                        + "return document.querySelector('.drawn polygon').getAttribute('points')");
        assertTrue(moved.toString().contains(","), "the step follows the pointer");
        browser.executeScript("document.dispatchEvent(new PointerEvent('pointerup', {bubbles: true}))");
        wait.until(b -> !b.findElement(By.id("text")).getAttribute("value").startsWith("10min 50%"));
    }
}
