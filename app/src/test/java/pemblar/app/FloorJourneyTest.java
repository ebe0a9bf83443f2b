package pemblar.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Map;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Dimension;
import org.springframework.jdbc.core.JdbcTemplate;

/** Strength on a phone: a session from today to its end, without a connection in the middle. */
class FloorJourneyTest {
    private static final LocalDate TODAY = LocalDate.now(ZoneId.of("Europe/Dublin"));
    private static JdbcTemplate sql;
    private static long session;

    @BeforeAll
    static void plan() throws java.io.IOException {
        sql = new JdbcTemplate(Running.APPLICATION.getBean(javax.sql.DataSource.class));
        Person person = new Person(Running.ADDRESS).signUp("phone.strength@pemblar.example", "ride");
        String base = person.get("/").uri().getPath().replaceAll("/today$", "");
        person.get(base + "/strength/maxima");
        person.post(
                base + "/strength/maxima",
                Map.of(
                        "exercise",
                        "back squat",
                        "kilograms",
                        "100",
                        "day",
                        TODAY.minusDays(3).toString()));
        person.post(
                base + "/strength",
                Map.of(
                        "title",
                        "Legs by phone",
                        "text",
                        "back squat 3 x 5 at 80%\nplank 2 x 45s",
                        "put",
                        "1",
                        "day",
                        TODAY.toString()));
        session = sql.queryForObject("select max(id) from session where title = 'Legs by phone'", Long.class);
        Browser.open();
        Browser.browser.manage().window().setSize(new Dimension(390, 844));
    }

    @AfterAll
    static void close() {
        Browser.close();
    }

    private static int logged() {
        return sql.queryForObject("select count(*) from strength_set where session_id = ?", Integer.class, session);
    }

    @Test
    void oneTouchASetWithoutAConnectionAndSentLater() {
        Browser.signIn("phone.strength@pemblar.example", "a long password");
        Browser.click("a[href$='/floor']");
        Browser.see(".set.is-next button.primary");
        Browser.click(".set.is-next button.primary");
        Eventually.holds(Duration.ofSeconds(20), () -> logged() == 1);
        Browser.see("#rest-left");

        Browser.browser.executeScript(
                "window.kept = window.fetch; window.fetch = () => Promise.reject(new Error('away'))");
        Browser.click(".set.is-next button.primary");
        Browser.seeText("#waiting", "1 set waits on this device");
        assertThat(logged()).isEqualTo(1);
        Browser.browser.executeScript("window.fetch = window.kept; window.dispatchEvent(new Event('online'))");
        Eventually.holds(Duration.ofSeconds(20), () -> logged() == 2);

        Browser.click(".set.is-next button.primary");
        Browser.click("#step-on");
        Browser.seeText(".station.is-here h2", "plank");
        Eventually.holds(Duration.ofSeconds(20), () -> logged() == 3);
        Browser.click("input[name='effort'][value='6']");
        Browser.click(".finish button.primary");
        Browser.seeText("#main", "This session is finished");
        assertThat(sql.queryForObject("select done_load from session where id = ?", Double.class, session))
                .isGreaterThan(5);
    }
}
