package pemblar.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Athletes side by side, only those whom one may see, and nameless for showing. */
class BesideTest {
    private static final Person ODA = Person.demo("oda");

    @Test
    void twoAthletesStandSideBySideWithTheirWeeks() {
        String page = Person.main(ODA.get("/roster/beside?athlete=1&athlete=3").body());
        assertThat(page)
                .contains("Jonna Thale")
                .contains("Kasper Odell")
                .contains("Week of ")
                .contains(" W/kg");
        assertThat(Pattern.compile("Chronic load this morning</th>\\s*<td>\\d+</td>\\s*<td>\\d+</td>")
                        .matcher(page)
                        .find())
                .isTrue();
    }

    @Test
    void paceAndPowerDoNotStandInOneTable() {
        assertThat(ODA.get("/roster/beside?athlete=1&athlete=2").body()).contains("measured in different ways");
    }

    @Test
    void namesCanBeHidden() {
        String page = Person.main(
                ODA.get("/roster/beside?athlete=1&athlete=3&hide=true").body());
        assertThat(page).contains("Athlete A").contains("Athlete B").doesNotContain("Jonna Thale");
    }

    @Test
    void whomOneMayNotSeeIsNotThere() {
        Person stranger = new Person(Running.ADDRESS).signUp("beside.coach@pemblar.example", "coach");
        assertThat(stranger.get("/roster/beside?athlete=1").statusCode()).isEqualTo(404);
        assertThat(stranger.get("/roster/beside").body()).doesNotContain("Jonna Thale");
        assertThat(Person.demo("sefa").get("/roster/beside?athlete=2&athlete=1").statusCode())
                .isEqualTo(404);
    }
}
