package pemblar.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.time.Duration;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.By;
import org.openqa.selenium.Dimension;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;
import org.springframework.jdbc.core.JdbcTemplate;
import pemblar.app.athlete.CoachingService;

/** The plan answers, as a person sees it: an illness, a missed session, a coach's morning, a question. */
@Tag("browser")
class AnswersJourneyTest {
    private static final LocalDate TODAY = LocalDate.now(ZoneOffset.UTC);
    private static final Duration SOON = Duration.ofSeconds(30);
    private static final String PASSWORD = "a long password";
    private static JdbcTemplate sql;

    @BeforeAll
    static void open() throws IOException {
        sql = new JdbcTemplate(Running.APPLICATION.getBean(javax.sql.DataSource.class));
        Browser.open();
    }

    @AfterAll
    static void close() {
        Browser.close();
    }

    /** An athlete of three weeks of training who goes on: every other day easy, every fourth day hard. */
    private static long athlete(String name, int firstPlanned) {
        Person person = new Person(Running.ADDRESS).signUp(name + "@pemblar.example", "ride");
        String base = person.get("/").uri().getPath().replaceAll("/today$", "");
        long id = Long.parseLong(base.replaceAll("\\D", ""));
        sql.update("update athlete set start_chronic = 45 where id = ?", id);
        person.get(base + "/thresholds");
        person.post(
                base + "/thresholds/adopt",
                Map.of("THRESHOLD_POWER", "250", "from", TODAY.minusDays(60).toString()));
        person.get(base + "/board");
        for (int day = firstPlanned; day < 24; day += 2)
            person.post(
                    base + "/sketch",
                    Map.of(
                            "day",
                            TODAY.plusDays(day).toString(),
                            "sport",
                            "RIDE",
                            "purpose",
                            day % 4 == 0 ? "INTERVALS" : "EASY",
                            "length",
                            "1h30",
                            "title",
                            (day % 4 == 0 ? "Hills of " : "Lake of ") + day));
        return id;
    }

    private static double load(long athlete, LocalDate day) {
        return sql.queryForObject(
                "select coalesce(sum(planned_load), 0) from session where athlete_id = ? and day = ? and deleted_at is"
                        + " null",
                Double.class,
                athlete,
                day);
    }

    private static void setDay(String css, LocalDate day) {
        Browser.see(css);
        Browser.browser.executeScript("document.querySelector(arguments[0]).value = arguments[1]", css, day.toString());
    }

    @Test
    void anIllnessIsMarkedAsARangeAndTheReturnIsEased() {
        long id = athlete("journey.flu", 0);
        String base = "/a/" + id;
        Browser.signIn("journey.flu@pemblar.example", PASSWORD);
        double before = load(id, TODAY.plusDays(8));
        Browser.go(base + "/proposals");
        String away = "form[action$='/proposals/away'] ";
        setDay(away + "input[name=first]", TODAY);
        setDay(away + "input[name=last]", TODAY.plusDays(6));
        Browser.see(away + "select[name=kind] option[value=ILLNESS]").click();
        Browser.click(away + "button");
        Browser.seeText(".good", "What falls into it is answered below.");
        Browser.seeText(".happened", "(illness)");
        assertThat(Browser.text("h1")).contains("Drop 4 sessions").doesNotContain("more");
        assertThat(Browser.text("main")).contains("Chronic load").contains("Leave it");

        Browser.go(base + "/board");
        Browser.seeText(".day[data-day='" + TODAY.plusDays(4) + "'] .touched", "proposed");
        Browser.click(".day[data-day='" + TODAY.plusDays(4) + "'] .touched a");
        Browser.click("#take");
        Browser.seeText(".good", "Taken");
        for (int day = 0; day <= 6; day += 2)
            assertThat(load(id, TODAY.plusDays(day))).as("day " + day).isZero();
        assertThat(load(id, TODAY.plusDays(8)))
                .as("the first hard day after it")
                .isLessThan(before);
        Browser.go(base + "/board");
        Browser.see(".day[data-day='" + TODAY.plusDays(8) + "'] .slab");
        assertThat(Browser.browser.findElements(
                        By.cssSelector(".day[data-day='" + TODAY.plusDays(4) + "'] .slab:not(.is-away)")))
                .isEmpty();

        Browser.go(base + "/proposals");
        Browser.click("#undo");
        Browser.seeText(".good", "Taken back");
        assertThat(load(id, TODAY.plusDays(4))).isPositive();
    }

    @Test
    void aMissedKeySessionIsAnsweredOnTodayWithOneTouch() {
        long id = athlete("journey.missed", 2);
        String base = "/a/" + id;
        sql.update(
                "update session set day = ? where athlete_id = ? and day = ?",
                TODAY.minusDays(1),
                id,
                TODAY.plusDays(4));
        Browser.browser.manage().window().setSize(new Dimension(390, 844));
        try {
            Browser.signIn("journey.missed@pemblar.example", PASSWORD);
            Browser.go(base + "/today");
            Browser.seeText(".proposal-line", "Move “Hills of 4”");
            assertThat((Long) Browser.browser.executeScript("return document.documentElement.scrollWidth"))
                    .isLessThanOrEqualTo(390);
            Browser.click(".proposal-line button.primary");
            Browser.seeText(".good", "Move “Hills of 4”");
            LocalDate moved = sql.queryForObject(
                    "select day from session where athlete_id = ? and title = 'Hills of 4'", LocalDate.class, id);
            assertThat(moved).isBetween(TODAY, TODAY.plusDays(3));
            Browser.click(".good button");
            Browser.seeText(".proposal-line", "Move “Hills of 4”");
        } finally {
            Browser.browser.manage().window().setSize(new Dimension(1280, 800));
        }
    }

    @Test
    void aCoachAnswersThreeProposalsInAMorning() {
        new Person(Running.ADDRESS).signUp("journey.morning@pemblar.example", "coach");
        long coach = sql.queryForObject(
                "select id from account where email = 'journey.morning@pemblar.example'", Long.class);
        List<Long> ids = new ArrayList<>();
        for (String name : List.of("journey.ada", "journey.ben", "journey.cim")) {
            long id = athlete(name, 2);
            ids.add(id);
            sql.update(
                    "update session set day = ? where athlete_id = ? and day = ?",
                    TODAY.minusDays(1),
                    id,
                    TODAY.plusDays(4));
            Running.APPLICATION.getBean(CoachingService.class).begin(id, coach, true);
        }
        Browser.signIn("journey.morning@pemblar.example", PASSWORD);
        Browser.go("/roster");
        Browser.seeText("h1", "3 athletes need you");
        takeWithKeys(ids.get(0));
        Eventually.holds(SOON, () -> isMoved(ids.get(0)));
        Browser.seeText("h1", "need");
        openStrand(ids.get(1));
        Browser.click(".strand[data-athlete='" + ids.get(1) + "'] button.take");
        Eventually.holds(SOON, () -> isMoved(ids.get(1)));
        Browser.seeText("h1", "need");
        openStrand(ids.get(2));
        Browser.click(".strand[data-athlete='" + ids.get(2) + "'] button.leave");
        Eventually.holds(
                SOON,
                () -> sql.queryForObject(
                                "select count(*) from proposal_answer where athlete_id = ? and answer = 'LEFT'",
                                Integer.class,
                                ids.get(2))
                        == 1);
        assertThat(isMoved(ids.get(2))).isFalse();
        Browser.go("/roster");
        assertThat(Browser.text("main")).doesNotContain("a proposal waits");
    }

    private static void openStrand(long id) {
        Browser.click(".strand[data-athlete='" + id + "'] button.open");
        Browser.see(".strand[data-athlete='" + id + "'] .short-proposal");
    }

    private static void takeWithKeys(long id) {
        openStrand(id);
        WebElement strand = Browser.see(".strand[data-athlete='" + id + "']");
        Browser.browser.executeScript("arguments[0].focus()", strand);
        strand.sendKeys("t");
    }

    private static boolean isMoved(long athlete) {
        return !sql.queryForObject(
                        "select day from session where athlete_id = ? and title = 'Hills of 4'",
                        LocalDate.class,
                        athlete)
                .isBefore(TODAY);
    }

    @Test
    void aQuestionIsAskedKeptAndLaidBesideAnother() {
        long id = athlete("journey.asks", 0);
        String base = "/a/" + id;
        Browser.signIn("journey.asks@pemblar.example", PASSWORD);
        double before = load(id, TODAY.plusDays(4));
        Browser.go(base + "/what-if");
        setDay("form.stacked input[name=first]", TODAY.plusDays(2));
        setDay("form.stacked input[name=last]", TODAY.plusDays(8));
        Browser.click("form.stacked button");
        Browser.seeText("h1", "7 days off");
        Browser.type("input[name=name]", "A week at the sea");
        Browser.see("input[name=name]").sendKeys(Keys.ENTER);
        Browser.seeText("table", "A week at the sea");

        Browser.type("input[name=amount][value='80']", "70");
        Browser.see("input[name=amount][value='80']").sendKeys(Keys.ENTER);
        Browser.seeText("h1", "70 %");
        String table = Browser.text("table");
        assertThat(table).contains("A week at the sea").contains("70 %").contains("As it is");
        assertThat(load(id, TODAY.plusDays(4))).as("nothing changes").isEqualTo(before);
    }
}
