package pemblar.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Map;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Dimension;
import org.openqa.selenium.support.ui.Select;
import org.springframework.jdbc.core.JdbcTemplate;

/** Strength on a phone: a session from today to its end, without a connection in the middle. */
@Tag("browser")
class FloorJourneyTest {
    private static final LocalDate TODAY = LocalDate.now(ZoneId.of("Europe/Dublin"));
    private static JdbcTemplate sql;
    private static Person person;
    private static String base;
    private static long session;

    @BeforeAll
    static void plan() throws java.io.IOException {
        sql = new JdbcTemplate(Running.APPLICATION.getBean(javax.sql.DataSource.class));
        person = new Person(Running.ADDRESS).signUp("phone.strength@pemblar.example", "ride");
        base = person.get("/").uri().getPath().replaceAll("/today$", "");
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
        session = put("Legs by phone", "back squat 3 x 5 at 80%\nplank 2 x 45s", TODAY);
        Browser.open();
        Browser.browser.manage().window().setSize(new Dimension(390, 844));
    }

    @AfterAll
    static void close() {
        Browser.close();
    }

    private static long put(String title, String text, LocalDate day) {
        person.post(base + "/strength", Map.of("title", title, "text", text, "put", "1", "day", day.toString()));
        return sql.queryForObject("select max(id) from session where title = ?", Long.class, title);
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

    /** A swap, a set more, and a set that raises the maximum: what it changes ahead is said before it is taken. */
    @Test
    void aSwapASetMoreAndAMaximumThatRises() {
        session = put("Test by phone", "bench press 1 x 8 at 60%\nback squat as many as possible at 85% -> max", TODAY);
        put("Legs to come", "back squat 3 x 5 at 80%", TODAY.plusDays(5));
        Browser.signIn("phone.strength@pemblar.example", "a long password");
        Browser.go(base + "/sessions/" + session + "/floor");
        Browser.click(".station.is-here .more summary");
        new Select(Browser.see(".station.is-here select[name='with']")).selectByValue("incline bench press");
        Browser.click(".station.is-here form[action$='/swap'] button");
        Browser.seeText(".station.is-here h2", "incline bench press");

        Browser.click(".station.is-here .more summary");
        Browser.type(".station.is-here .more input[name='load']", "40");
        Browser.type(".station.is-here .more input[name='repetitions']", "6");
        Browser.click(".station.is-here .more form[action$='/set'] button");
        Browser.seeText(".station.is-here", "40 × 6");
        assertThat(logged()).isEqualTo(1);

        Browser.click("#step-on");
        Browser.seeText(".station.is-here h2", "back squat");
        Browser.click(".station.is-here .set .set-head");
        Browser.type(".station.is-here .set input[name='repetitions']", "10");
        Browser.click(".station.is-here .set button.primary");
        Browser.seeText(".would", "It changes 1 session ahead");
        Browser.click(".would button.primary");
        Browser.seeText("#main", "The maximum of back squat is 113.3 kg");

        Browser.go(base + "/sessions/" + session);
        Browser.seeText("#main", "The maximum of back squat became 113.3 kg by 85 kg × 10");
        assertThat(person.get(base + "/strength/maxima").body()).contains("113.3 kg");
    }
}
