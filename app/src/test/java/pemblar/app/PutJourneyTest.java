package pemblar.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.interactions.Actions;
import org.springframework.jdbc.core.JdbcTemplate;

/** A workout comes from its tile or its page onto a day: dragged, by its button and by key; each can be taken back. */
@Tag("browser")
class PutJourneyTest {
    private static JdbcTemplate sql;
    private static String base;
    private static long athlete;

    @BeforeAll
    static void rider() throws IOException {
        sql = new JdbcTemplate(Running.APPLICATION.getBean(javax.sql.DataSource.class));
        Person person = new Person(Running.ADDRESS).signUp("put.rider@pemblar.example", "ride");
        base = person.get("/").uri().getPath().replaceAll("/today$", "");
        athlete = Long.parseLong(base.replaceAll("\\D", ""));
        Browser.open();
        Browser.signIn("put.rider@pemblar.example", "a long password");
    }

    @AfterAll
    static void close() {
        Browser.close();
    }

    private static List<LocalDate> planned() {
        return sql.queryForList(
                "select day from session where athlete_id = ? and deleted_at is null order by id",
                LocalDate.class,
                athlete);
    }

    private static LocalDate day(int index) {
        return LocalDate.parse(days().get(index).getDomAttribute("value"));
    }

    private static List<WebElement> days() {
        return Browser.browser.findElements(By.cssSelector(".put-day"));
    }

    @Test
    void ontoADayInThreeWays() {
        Browser.go(base + "/workouts");
        WebElement tile = Browser.see(".shelf li a");
        new Actions(Browser.browser)
                .moveToElement(tile)
                .clickAndHold()
                .moveByOffset(12, 12)
                .perform();
        Browser.see(".put-day");
        LocalDate third = day(2);
        new Actions(Browser.browser).moveToElement(days().get(2)).release().perform();
        Browser.see(".put-said form.good");
        assertThat(planned()).containsExactly(third);
        Browser.click(".put-said button");
        Browser.see(".put-said p.good");
        assertThat(planned()).isEmpty();

        Browser.see(".shelf li a").sendKeys("d");
        Browser.see(".put-day:focus").sendKeys(Keys.ARROW_RIGHT);
        LocalDate second = day(1);
        Browser.see(".put-days li:nth-child(2) .put-day:focus").sendKeys(Keys.ENTER);
        Browser.see(".put-said form.good");
        assertThat(planned()).containsExactly(second);

        Browser.see(".shelf li a").click();
        Browser.click(".put-open");
        Browser.see(".put-day:focus").sendKeys(Keys.ESCAPE);
        assertThat(days()).isEmpty();
        Browser.click(".put-open");
        LocalDate today = LocalDate.parse(Browser.see(".put-day:focus").getDomAttribute("value"));
        Browser.click(".put-day");
        Browser.see(".put-said form.good");
        assertThat(Browser.browser.getCurrentUrl()).contains("/workouts/design?id=");
        assertThat(planned()).containsExactly(second, today);
    }
}
