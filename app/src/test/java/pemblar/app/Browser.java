package pemblar.app;

import java.io.IOException;
import java.nio.file.Files;
import java.time.Duration;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.openqa.selenium.By;
import org.openqa.selenium.StaleElementReferenceException;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.chrome.ChromeDriver;
import org.openqa.selenium.chrome.ChromeOptions;
import org.openqa.selenium.support.ui.ExpectedConditions;
import org.openqa.selenium.support.ui.WebDriverWait;

/** A real browser on the running application, and what a person does in it. */
abstract class Browser {
    static ChromeDriver browser;
    static WebDriverWait wait;

    @BeforeAll
    static void open() throws IOException {
        browser = start();
        wait = new WebDriverWait(browser, Duration.ofSeconds(90));
        wait.ignoring(StaleElementReferenceException.class); // a part may be swapped between finding and reading it
    }

    /** A browser of one's own, with nothing in it. */
    static ChromeDriver start() throws IOException {
        System.setProperty("webdriver.chrome.driver", "/usr/bin/chromedriver");
        ChromeOptions options = new ChromeOptions();
        options.setBinary("/usr/bin/chromium");
        options.addArguments(
                "--headless",
                "--no-sandbox",
                "--disable-gpu",
                "--disable-quic",
                "--no-first-run",
                "--disable-background-networking",
                "--disable-component-update",
                "--disable-sync",
                "--disable-dev-shm-usage",
                "--window-size=1280,800",
                "--user-data-dir=" + Files.createTempDirectory("pemblar-browser"));
        return new ChromeDriver(options);
    }

    @AfterAll
    static void close() {
        browser.quit();
    }

    static void go(String path) {
        browser.get(Running.ADDRESS + path);
    }

    static WebElement see(String css) {
        return wait.until(ExpectedConditions.visibilityOfElementLocated(By.cssSelector(css)));
    }

    /** What it says now; it may be swapped between finding and reading it. */
    static String text(String css) {
        return wait.until(b -> shown(css));
    }

    /** Read in one step in the page, so that no swap comes between finding and reading; null when it is not there. */
    private static String shown(String css) {
        return (String) browser.executeScript(
                "const e = document.querySelector(arguments[0]); return e ? (e.innerText ?? "
                        + "e.textContent).trim() : null",
                css);
    }

    /** Clicks what is there now; it may be swapped between finding and clicking it. */
    static void click(String css) {
        see(css);
        wait.until(b -> {
            b.findElement(By.cssSelector(css)).click();
            return true;
        });
    }

    static void seeText(String css, String text) {
        wait.until(b -> {
            String shown = shown(css);
            return shown != null && shown.contains(text);
        });
    }

    static void type(String css, String text) {
        WebElement field = see(css);
        field.clear();
        field.sendKeys(text);
    }

    static void signIn(String email, String password) {
        browser.manage().deleteAllCookies();
        go("/sign-in");
        type("#username", email);
        type("#password", password);
        see("button.primary").click();
        wait.until(ExpectedConditions.not(
                ExpectedConditions.urlContains("/sign-in"))); // the form's own page has a heading too
        see("h1");
    }

    static String athlete() {
        String path = browser.getCurrentUrl().substring(Running.ADDRESS.length());
        return path.substring(0, path.indexOf('/', 3));
    }

    static void setValue(String quantity, String value) {
        type("#" + quantity + " input.value", value);
        see("#" + quantity + " td form button").click();
        seeText("#" + quantity + " .now", value);
    }
}
