package pemblar.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Map;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Dimension;
import org.openqa.selenium.Keys;
import org.openqa.selenium.interactions.Actions;
import org.springframework.jdbc.core.JdbcTemplate;
import pemblar.app.athlete.CoachingService;

/** From a coach's first draft to the athlete's phone: planned, shared by the line, moved by keys, told and seen. */
@Tag("browser")
class DraftJourneyTest {
    private static final LocalDate TODAY = LocalDate.now(ZoneOffset.UTC);
    private static final Duration SOON = Duration.ofSeconds(30);
    private static JdbcTemplate sql;
    private static long athlete;
    private static String base;

    @BeforeAll
    static void people() throws java.io.IOException {
        sql = new JdbcTemplate(Running.APPLICATION.getBean(javax.sql.DataSource.class));
        Person person = new Person(Running.ADDRESS).signUp("journey.rider@pemblar.example", "ride");
        Person coach = new Person(Running.ADDRESS).signUp("journey.coach@pemblar.example", "coach");
        base = person.get("/").uri().getPath().replaceAll("/today$", "");
        athlete = Long.parseLong(base.replaceAll("\\D", ""));
        Running.APPLICATION
                .getBean(CoachingService.class)
                .begin(
                        athlete,
                        sql.queryForObject(
                                "select id from account where email = 'journey.coach@pemblar.example'", Long.class),
                        true);
        coach.get(base + "/board");
        for (int day = 2; day <= 4; day += 2)
            coach.post(
                    base + "/sketch",
                    Map.of(
                            "day",
                            TODAY.plusDays(day).toString(),
                            "sport",
                            "RIDE",
                            "purpose",
                            "EASY",
                            "length",
                            "1h",
                            "title",
                            "Plan of day " + day));
        Browser.open();
    }

    @AfterAll
    static void close() {
        Browser.close();
    }

    private static int drafts() {
        return sql.queryForObject(
                "select count(*) from session where athlete_id = ? and draft", Integer.class, athlete);
    }

    private static void shareUpTo(LocalDate day) {
        Browser.browser.executeScript(
                "document.querySelector('.sharing input[name=until]').value = arguments[0]", day.toString());
        Browser.click(".sharing button");
    }

    @Test
    void aDraftIsSharedByTheLineAndTheAthleteIsTold() {
        Browser.signIn("journey.coach@pemblar.example", "a long password");
        Browser.go(base + "/board");
        Browser.seeText(".slab.is-draft", "draft");
        assertThat(drafts()).isEqualTo(2);

        shareUpTo(TODAY.plusDays(3));
        Browser.see(".shared-handle");
        Eventually.holds(SOON, () -> drafts() == 1);

        Browser.see(".shared-handle").sendKeys(Keys.ARROW_RIGHT);
        Eventually.holds(SOON, () -> drafts() == 0);
        Eventually.holds(
                SOON,
                () -> Browser.browser
                        .findElements(org.openqa.selenium.By.cssSelector(".is-draft"))
                        .isEmpty());

        var handle = Browser.see(".shared-handle");
        var back = Browser.see(".day[data-day='" + TODAY.plusDays(3) + "']");
        new Actions(Browser.browser)
                .moveToElement(handle)
                .clickAndHold()
                .moveToElement(back)
                .release()
                .perform();
        Eventually.holds(SOON, () -> drafts() == 1);

        Browser.click("form[action='/sign-out'] button");
        Browser.browser.manage().window().setSize(new Dimension(390, 844));
        Browser.signIn("journey.rider@pemblar.example", "a long password");
        Browser.seeText(".plan-news", "The plan is shared up to");
        Browser.go(base + "/board");
        Browser.seeText("#board", "Plan of day 2");
        assertThat(Browser.text("#board")).doesNotContain("Plan of day 4");
        Browser.go(base + "/today");
        Browser.click(".plan-news button");
        Eventually.holds(
                SOON,
                () -> Browser.browser
                        .findElements(org.openqa.selenium.By.cssSelector(".plan-news"))
                        .isEmpty());
    }
}
