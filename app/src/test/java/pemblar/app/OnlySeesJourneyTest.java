package pemblar.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Map;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.interactions.Actions;
import org.openqa.selenium.support.ui.ExpectedConditions;
import org.springframework.jdbc.core.JdbcTemplate;
import pemblar.app.athlete.CoachingService;

/** A coach who sees and does not plan moves nothing on the board, by pointer or key; one who plans does. */
@Tag("browser")
class OnlySeesJourneyTest {
    private static final LocalDate DAY = LocalDate.now(ZoneOffset.UTC).plusDays(2);
    private static JdbcTemplate sql;
    private static String base;
    private static long athlete;
    private static long coach;

    @BeforeAll
    static void people() throws IOException {
        sql = new JdbcTemplate(Running.APPLICATION.getBean(javax.sql.DataSource.class));
        Person person = new Person(Running.ADDRESS).signUp("seen.rider@pemblar.example", "ride");
        new Person(Running.ADDRESS).signUp("only.sees@pemblar.example", "coach");
        base = person.get("/").uri().getPath().replaceAll("/today$", "");
        athlete = Long.parseLong(base.replaceAll("\\D", ""));
        coach = sql.queryForObject("select id from account where email = 'only.sees@pemblar.example'", Long.class);
        person.get(base + "/board");
        person.post(
                base + "/sketch",
                Map.of("day", DAY.toString(), "sport", "RIDE", "purpose", "EASY", "length", "1h", "title", "Spin"));
        Browser.open();
        Browser.signIn("only.sees@pemblar.example", "a long password");
    }

    @AfterAll
    static void close() {
        Browser.close();
    }

    private static LocalDate planned() {
        return sql.queryForObject("select day from session where athlete_id = ?", LocalDate.class, athlete);
    }

    private static WebElement open(boolean plans) {
        Running.APPLICATION.getBean(CoachingService.class).begin(athlete, coach, plans);
        Browser.go(base + "/board");
        return Browser.see(".slab[data-movable=true]");
    }

    private static long shown(String css) {
        return Browser.browser.findElements(By.cssSelector(css)).stream()
                .filter(WebElement::isDisplayed)
                .count();
    }

    private static String dayOnThePage() {
        return (String) Browser.browser.executeScript(
                "return document.querySelector('.slab[data-movable=true]').closest('.slabs').dataset.day");
    }

    @Test
    void nothingSeemsToMoveThatTheServerWouldRefuse() {
        WebElement slab = open(false);
        WebElement next = Browser.browser.findElement(By.cssSelector(".slabs[data-day='" + DAY.plusDays(1) + "']"));
        new Actions(Browser.browser)
                .moveToElement(slab, 20, 0)
                .clickAndHold()
                .moveByOffset(12, 4)
                .moveToElement(next)
                .release()
                .perform();
        assertThat(dayOnThePage()).isEqualTo(DAY.toString());
        slab.sendKeys(Keys.chord(Keys.SHIFT, Keys.ARROW_RIGHT));
        assertThat(Browser.browser.findElements(By.cssSelector(".htmx-request")))
                .isEmpty();
        assertThat(shown("#add-session, [data-open='fill'], form[data-path], #board form[hx-post]"))
                .as("no way to a change")
                .isZero();
        slab.sendKeys("n");
        assertThat(shown("dialog")).isZero();
        Browser.click("[data-open='day']");
        assertThat(shown("#day form[action$='/notes']"))
                .as("a note is theirs to write")
                .isEqualTo(1);
        assertThat(shown("#day form[data-path]")).isZero();
        slab = open(true);
        assertThat(shown("#add-session")).isEqualTo(1);
        assertThat(planned()).as("neither by pointer nor by key").isEqualTo(DAY);
        slab.sendKeys(Keys.chord(Keys.SHIFT, Keys.ARROW_RIGHT));
        Browser.wait.until(ExpectedConditions.presenceOfElementLocated(
                By.cssSelector(".slabs[data-day='" + DAY.plusDays(1) + "'] .slab")));
        assertThat(planned()).isEqualTo(DAY.plusDays(1));
    }
}
