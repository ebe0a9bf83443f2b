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
import org.springframework.jdbc.core.JdbcTemplate;

/** A phone in a changing room: today and the session to come are there, and a check-in waits until it can be sent. */
@Tag("browser")
class OfflineJourneyTest {
    private static final LocalDate TODAY = LocalDate.now(ZoneId.of("Europe/Dublin"));
    private static final Duration SOON = Duration.ofSeconds(40);
    private static JdbcTemplate sql;
    private static Wire wire;
    private static long athlete;

    @BeforeAll
    static void plan() throws java.io.IOException {
        sql = new JdbcTemplate(Running.APPLICATION.getBean(javax.sql.DataSource.class));
        Person person = new Person(Running.ADDRESS).signUp("cellar@pemblar.example", "ride");
        String base = person.get("/").uri().getPath().replaceAll("/today$", "");
        athlete = Long.parseLong(base.replaceAll("\\D", ""));
        person.get(base + "/board");
        person.post(
                base + "/sketch",
                Map.of(
                        "day",
                        TODAY.toString(),
                        "sport",
                        "RIDE",
                        "purpose",
                        "EASY",
                        "length",
                        "1h",
                        "title",
                        "Along the canal"));
        wire = new Wire(Running.PORT);
        Browser.open();
        Browser.browser.manage().window().setSize(new Dimension(390, 844));
    }

    @AfterAll
    static void close() {
        Browser.close();
        wire.close();
    }

    private static boolean is(String script) {
        return Boolean.TRUE.equals(Browser.browser.executeScript("return " + script));
    }

    @Test
    void todayAndTheSessionAreThereAndTheCheckInIsSentOnceLater() {
        Browser.browser.get(wire.address() + "/sign-in");
        Browser.see("#username").sendKeys("cellar@pemblar.example");
        Browser.see("#password").sendKeys("a long password");
        Browser.click("form.card button.primary");
        Browser.seeText("h1", "Today");
        Eventually.holds(SOON, () -> is("document.documentElement.dataset.kept >= 2"));

        wire.cut();
        Browser.browser.get(wire.address() + "/");
        Browser.seeText("#offline", "No connection to Pemblar: this is what was fetched on");
        Browser.see("input[name=restingHeartRate]").clear();
        Browser.see("input[name=restingHeartRate]").sendKeys("51");
        Browser.click(".checkin-form button.primary");
        Browser.seeText("#offline", "1 check-in waits on this device");
        Browser.click(".big-slab h2 a");
        Browser.seeText("h1", "Along the canal");
        Browser.seeText("#offline", "No connection");
        assertThat(sent()).isZero();

        wire.mend();
        Browser.browser.get(wire.address() + "/a/" + athlete + "/board");
        Eventually.holds(SOON, () -> sent() == 1);
        Browser.browser.get(wire.address() + "/a/" + athlete + "/today");
        assertThat(Browser.browser.findElements(org.openqa.selenium.By.id("offline")))
                .isEmpty();
        assertThat(sql.queryForObject(
                        "select resting_heart_rate from checkin where athlete_id = ? and day = ?",
                        Double.class,
                        athlete,
                        TODAY))
                .isEqualTo(51.0);
        Browser.browser.get(wire.address() + "/a/" + athlete + "/board");
        assertThat(sent()).isEqualTo(1);

        Browser.click("form[action='/sign-out'] button");
        Browser.see("#username");
        wire.cut();
        Browser.browser.get(wire.address() + "/");
        Browser.seeText("h1", "No connection");
        assertThat(is("!document.body.innerText.includes('Along the canal')"))
                .as("nothing of the last person stays")
                .isTrue();
    }

    private static int sent() {
        return sql.queryForObject("select count(*) from checkin where athlete_id = ?", Integer.class, athlete);
    }
}
