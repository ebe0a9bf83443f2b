package pemblar.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.regex.Pattern;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** Athletes side by side, only those whom one may see, and nameless for showing. */
@Tag("http")
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
        assertThat(Pattern.compile("Chronic load this morning, points a day</th>\\s*<td>\\d+</td>\\s*<td>\\d+</td>")
                        .matcher(page)
                        .find())
                .isTrue();
    }

    @Test
    void paceAndPowerDoNotStandInOneTable() {
        assertThat(ODA.get("/roster/beside?athlete=1&athlete=2").body()).contains("measured in different ways");
    }

    @Test
    void curvesAndRepetitionsOfASessionOfEachStandSideBySide() {
        String page = Person.main(ODA.get("/roster/beside?athlete=1&athlete=3").body());
        assertThat(page).contains("class=\"beside-line\"").contains("W/kg");
        String first = session(page, 1);
        String other = session(page, 3);
        String both = "/roster/beside?athlete=1&athlete=3&session-1=" + first + "&session-3=" + other;
        assertThat(Person.main(ODA.get(both).body())).containsPattern("(?s)<th scope=\"row\">1</th>.{0,400}\\d+ bpm");
        String stretch = Person.main(
                ODA.get(both + "&stretch-1=2:00-7:00&stretch-3=2:00-7:00").body());
        assertThat(stretch).contains("5:00").doesNotContain("<th scope=\"row\">2</th>");
        assertThat(ODA.get(both + "&stretch-1=7:00-2:00").body()).contains("Stretch: it must begin before it ends");
        assertThat(ODA.get(both + "&stretch-1=soon").body()).contains("Stretch: enter where it begins");
        // a session of somebody else cannot be slipped in
        assertThat(Person.main(ODA.get("/roster/beside?athlete=1&athlete=3&session-1=" + other)
                        .body()))
                .doesNotContain("<th scope=\"row\">1</th>");
    }

    private static String session(String page, long athlete) {
        var found = Pattern.compile("(?s)name=\"session-" + athlete + "\".*?<option value=\"(\\d+)\"")
                .matcher(page);
        assertThat(found.find()).isTrue();
        return found.group(1);
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
