package pemblar.app.frame.page;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

@Tag("unit")
class PlacesTest {
    private final Places places = new Places("/s/abc");

    @Test
    void everySheetAndScriptIsThere() {
        Matcher address =
                Pattern.compile("(?:href|src)=\"/s/abc/([^\"]+)\"").matcher(places.sheets() + places.scripts());
        int found = 0;
        while (address.find()) {
            String file = address.group(1);
            String folder = file.startsWith("webjars/") ? "/META-INF/resources/" : "/static/";
            assertThat(getClass().getResource(folder + file)).as(file).isNotNull();
            found++;
        }
        assertThat(found).isEqualTo(19);
    }

    @Test
    void thePageThatIsShownIsMarkedAndNoOther() {
        String links = places.of(4, "checkins");
        assertThat(links).contains("<a href=\"/a/4/checkins\" aria-current=\"page\">Check-ins</a>");
        assertThat(links).contains("<a href=\"/a/4/today\">Today</a>");
        assertThat(links.split("aria-current", -1)).hasSize(2);
        assertThat(places.of(4, null)).doesNotContain("aria-current");
    }
}
