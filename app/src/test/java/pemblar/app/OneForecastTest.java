package pemblar.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * The price of a proposal begins from the forecast that the season shows: two pages that differed by two points had
 * counted an event beside the race that was planned on its day.
 */
@Tag("http")
class OneForecastTest {
    private static final Pattern PROMISED =
            Pattern.compile("chronic <b>(\\d+)</b>, balance <b>([+−]?\\d+)</b>(?!.*chronic <b>)", Pattern.DOTALL);
    private static final Pattern LEFT = Pattern.compile(
            "As it is</th> ?<td class=\"num\">([0-9.]+)</td> ?<td class=\"num\">([+−]?\\d+)</td>", Pattern.DOTALL);

    @ParameterizedTest
    @CsvSource({"jonna, 1", "sefa, 2", "kasper, 3"})
    void thePlanAsItIsComesToWhatTheSeasonPromises(String name, long athlete) {
        Person person = Person.demo(name);
        LocalDate last = LocalDate.now(ZoneOffset.UTC).plusDays(9);
        String asked = person.get("/a/" + athlete + "/what-if?kind=SHARE&amount=80&last=" + last)
                .body()
                .replaceAll("\\s+", " ");
        String season = person.get("/a/" + athlete + "/season").body().replaceAll("\\s+", " ");
        Matcher left = LEFT.matcher(asked);
        Matcher promised = PROMISED.matcher(season);
        assertThat(left.find()).as("the line of the plan as it is").isTrue();
        assertThat(promised.find()).as("the figures of the last event").isTrue();
        assertThat(number(left, 1)).isCloseTo(number(promised, 1), within(0.551)); // shown in tenths and in ones
        assertThat(number(left, 2)).isEqualTo(number(promised, 2));
    }

    private static double number(Matcher matcher, int group) {
        return Double.parseDouble(matcher.group(group).replace("−", "-").replace("+", ""));
    }
}
