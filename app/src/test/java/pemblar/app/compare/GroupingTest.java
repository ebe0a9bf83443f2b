package pemblar.app.compare;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import pemblar.app.compare.Content.Line;
import pemblar.app.session.Described;

@Tag("unit")
class GroupingTest {
    private static final Map<Long, Described> SAID = Map.of(
            1L, said("old shoes", "road", List.of("legs tired")),
            2L, said("new shoes", "road", List.of()),
            3L, said("", "road", List.of()),
            4L, said("old shoes", "road", List.of()),
            5L, said("red shoes", "road", List.of()),
            6L, said("blue shoes", "road", List.of()));

    private static Described said(String equipment, String surface, List<String> tags) {
        return new Described("", equipment, surface, "", tags, Optional.empty(), Optional.empty());
    }

    private static Content of(String... sessionsAndDays) {
        List<Line> lines = new ArrayList<>();
        for (String one : sessionsAndDays) {
            String[] parts = one.split(" ");
            lines.add(new Line(
                    0,
                    Long.parseLong(parts[0]),
                    0,
                    60,
                    "repetition",
                    "typed",
                    false,
                    Map.of(),
                    Map.of("WATTS", 250.0),
                    1,
                    parts[1],
                    "road"));
        }
        return Content.EMPTY.add(lines);
    }

    private static List<String> groups(Content content) {
        return content.lines().stream().map(Line::group).toList();
    }

    @Test
    void oneClickTellsShoesApartAndWhatNobodySaidIsAGroup() {
        Content content = of("1 2026-05-01", "2 2026-05-02", "3 2026-05-03", "4 2026-05-04");
        assertThat(groups(Grouping.EQUIPMENT.group(content, SAID)))
                .containsExactly("old shoes", "new shoes", "not said", "old shoes");
        assertThat(groups(Grouping.WORDS.group(content, SAID)))
                .containsExactly("legs tired", "not said", "not said", "not said");
    }

    @Test
    void repetitionsOfSomebodyElseKeepTheirGroup() {
        Content content = of("1 2026-05-01", "2 2026-05-02", "99 2026-05-03");
        assertThat(groups(Grouping.EQUIPMENT.group(content, SAID))).containsExactly("old shoes", "new shoes", "typed");
    }

    @Test
    void oneGroupOrTooManyAreRefusedWithTheWayOut() {
        Content two = of("1 2026-05-01", "4 2026-05-02");
        assertThatThrownBy(() -> Grouping.EQUIPMENT.group(two, SAID)).hasMessageContaining("the equipment is the same");
        assertThatThrownBy(() -> Grouping.KIND.group(two, SAID)).hasMessageContaining("Describe the sessions first");
        Content many = of("1 2026-05-01", "2 2026-05-02", "3 2026-05-03", "5 2026-05-04", "6 2026-05-05");
        assertThatThrownBy(() -> Grouping.EQUIPMENT.group(many, SAID))
                .hasMessageContaining("5 groups; 4 can be told apart");
    }

    @Test
    void datesAreDaysMonthsOrYears() {
        assertThat(groups(Grouping.DAY.group(of("1 2026-05-01", "2 2026-05-02"), SAID)))
                .containsExactly("2026-05-01", "2026-05-02");
        Content five = of("1 2026-05-01", "2 2026-05-02", "3 2026-05-03", "5 2026-06-04", "6 2026-06-05");
        assertThat(groups(Grouping.DAY.group(five, SAID)))
                .containsExactly("2026-05", "2026-05", "2026-05", "2026-06", "2026-06");
    }
}
