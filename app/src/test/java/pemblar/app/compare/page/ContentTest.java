package pemblar.app.compare.page;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import pemblar.app.compare.Content;
import pemblar.app.compare.Content.Derivation;
import pemblar.app.compare.Content.Line;
import tools.jackson.databind.json.JsonMapper;

@Tag("unit")
class ContentTest {
    private static Line line(String group, double watts, double bpm, String day, String surface) {
        return new Line(
                0,
                day.hashCode(),
                0,
                60,
                "rep",
                group,
                false,
                Map.of(),
                Map.of("WATTS", watts, "HEART_RATE", bpm),
                1,
                day,
                surface);
    }

    /** Two groups whose heart rates are five apart at any power, and three days of each. */
    private static Content twoGroups() {
        List<Line> lines = new ArrayList<>();
        for (int i = 0; i < 6; i++) {
            double watts = 250 + 7 * i;
            lines.add(line("old", watts, 100 + 0.2 * watts, "2026-05-0" + (i / 2 + 1), "road"));
            lines.add(line("new", watts + 10, 105 + 0.2 * (watts + 10), "2026-06-0" + (i / 2 + 1), "road"));
        }
        return Content.EMPTY.add(lines);
    }

    @Test
    void everyRepetitionGetsANumberOfItsOwnThatIsNeverGivenTwice() {
        Content content = twoGroups();
        Content again = content.remove(12).add(List.of(line("old", 1, 1, "2026-05-09", "")));
        assertThat(again.lines()).extracting(Line::id).doesNotHaveDuplicates().contains(13);
    }

    @Test
    void whatIsEnteredByHandWinsAndCanBeTakenBack() {
        Content content = twoGroups().change(1, l -> l.with("HEART_RATE", 177.0));
        assertThat(content.lines().get(0).value("HEART_RATE")).isEqualTo(177);
        assertThat(content.change(1, l -> l.with("HEART_RATE", null))
                        .lines()
                        .get(0)
                        .value("HEART_RATE"))
                .isEqualTo(150);
        assertThat(content.lines().get(0).value("CADENCE")).isNaN();
    }

    @Test
    void aDerivedColumnFollowsWhatWasEnteredAndGoesWithItsAxis() {
        Content content = twoGroups()
                .derive(new Derivation("per beat", "WATTS", "OVER", "HEART_RATE"))
                .axes("WATTS", "per beat")
                .change(1, l -> l.with("HEART_RATE", 125.0));
        assertThat(content.value(content.lines().get(0), "per beat")).isEqualTo(2);
        Content dropped = content.dropDerived("per beat");
        assertThat(dropped.columns()).doesNotContain("per beat");
        assertThat(dropped.y()).isEqualTo("HEART_RATE");
        assertThatThrownBy(() -> content.derive(new Derivation("per beat", "WATTS", "OVER", "HEART_RATE")))
                .hasMessageContaining("already");
        assertThatThrownBy(() -> content.derive(new Derivation("x", "WATTS", "OVER", "MOON")))
                .hasMessageContaining("two quantities");
        assertThatThrownBy(() -> content.axes("MOON", "WATTS")).hasMessageContaining("Axes");
        assertThatThrownBy(() -> content.columns(List.of("MOON"))).hasMessageContaining("at least one");
        assertThatThrownBy(() -> content.change(99, l -> l)).hasMessageContaining("no longer");
    }

    @Test
    void itComesBackFromItsJsonAsItWas() {
        Content content = twoGroups()
                .derive(new Derivation("per beat", "WATTS", "OVER", "HEART_RATE"))
                .change(2, l -> l.shown(false));
        JsonMapper json = JsonMapper.shared();
        assertThat(json.readValue(json.writeValueAsString(content), Content.class))
                .isEqualTo(content);
    }

    @Test
    void groupsThatHardlyOverlapAreNoProof() {
        assertThat(ComparisonView.of(twoGroups(), "", false).difference()).doesNotContain("hardly overlap");
        List<Line> lines = new ArrayList<>();
        for (int i = 0; i < 6; i++) {
            double watts = 268 + i;
            lines.add(line("old", watts, 100 + 0.2 * watts, "2026-05-0" + (i / 2 + 1), "road"));
            lines.add(line("new", watts + 9, 103 + 0.2 * watts, "2026-06-0" + (i / 2 + 1), "road"));
        }
        assertThat(ComparisonView.of(Content.EMPTY.add(lines), "", false).difference())
                .startsWith("At equal power")
                .doesNotContain("chance")
                .contains("would be")
                .endsWith("But the two hardly overlap in power: this rests on how one follows the other within the"
                        + " sessions, not on like repetitions, and is no proof.");
    }

    @Test
    void thePageSaysHowFarTheGroupsAreApartAndAHiddenOneDoesNotCount() {
        ComparisonView view = ComparisonView.of(twoGroups(), "", false);
        assertThat(view.difference())
                .startsWith("At equal power, heart rate is 5.0 bpm higher with “new” than with “old”");
        assertThat(view.difference()).as("three days of each").contains("over 3 and 3 sessions");
        assertThat(view.scatter().marks()).hasSize(12);
        assertThat(view.scatter().lines()).hasSize(2);
        assertThat(view.groups()).extracting(ComparisonView.Group::count).containsExactly(6, 6);
        Content hidden = twoGroups().changeAll(l -> l.shown(!l.group().equals("new")));
        assertThat(ComparisonView.of(hidden, "", false).difference()).isEmpty();
        assertThat(ComparisonView.of(hidden, "", false).scatter().marks()).hasSize(6);
    }

    /** Sessions of one day share its heat and its legs: what is counted is days. */
    @Test
    void twoSessionsOfOneDayAreOneDay() {
        List<Line> lines = new ArrayList<>();
        for (int day = 1; day <= 2; day++)
            for (int i = 0; i < 4; i++) {
                boolean evening = i >= 2;
                double watts = 250 + 7 * (i % 2);
                double bpm = (evening ? 105 : 100) + 0.2 * watts + day + 0.1 * i;
                lines.add(new Line(
                        0,
                        10 * day + (evening ? 1 : 0),
                        100 * i,
                        100 * i + 60,
                        "rep",
                        evening ? "new" : "old",
                        false,
                        Map.of(),
                        Map.of("WATTS", watts, "HEART_RATE", bpm),
                        1,
                        "2026-05-0" + day,
                        "road"));
            }
        assertThat(ComparisonView.of(Content.EMPTY.add(lines), "", false).difference())
                .contains("within 2 days that hold both")
                .doesNotContain("session");
        List<Line> one = lines.subList(0, 4);
        assertThat(ComparisonView.of(Content.EMPTY.add(one), "", false).difference())
                .endsWith("All on one day and not in turn: order and group can't be told apart.");
    }

    @Test
    void rowsAreSortedByAColumnAndUnlikeSurfacesHaveTheirOwnTrend() {
        List<Double> falling = ComparisonView.of(twoGroups(), "WATTS", true).rows().stream()
                .map(r -> r.line().value("WATTS"))
                .toList();
        assertThat(falling).isSortedAccordingTo(java.util.Comparator.reverseOrder());
        assertThat(ComparisonView.of(twoGroups(), "", false).trends())
                .hasSize(1)
                .first()
                .asString()
                .contains("over 6 sessions");
        Content mixed = twoGroups()
                .changeAll(l -> new Line(
                        l.id(),
                        l.session(),
                        l.from(),
                        l.to(),
                        l.label(),
                        l.group(),
                        l.hidden(),
                        l.entered(),
                        l.figures(),
                        l.revision(),
                        l.day(),
                        l.group().equals("new") ? "gravel" : "road"));
        assertThat(ComparisonView.of(mixed, "", false).trends())
                .hasSize(2)
                .anySatisfy(t -> assertThat(t).startsWith("Gravel: "));
    }

    /** Little from one session to the next, and much over twenty: it is not noise, and is not called so. */
    @Test
    void aSmallChangeThatGoesOnIsMoreThanNoise() {
        List<Line> lines = new ArrayList<>();
        for (int i = 0; i < 20; i++) lines.add(line("all", 250, 150 - 0.4 * i + 0.3 * (i % 3 - 1), day(i), "road"));
        assertThat(ComparisonView.of(Content.EMPTY.add(lines), "", false).trends())
                .containsExactly("heart rate as measured, over 20 sessions: −0.398 bpm per session, more than noise.");
    }

    private static String day(int number) {
        return java.time.LocalDate.of(2026, 5, 1).plusDays(number).toString();
    }

    @Test
    void nothingToCompareIsNoError() {
        ComparisonView empty = ComparisonView.of(Content.EMPTY, "WATTS", true);
        assertThat(empty.rows()).isEmpty();
        assertThat(empty.difference()).isEmpty();
        assertThat(ComparisonView.text("WATTS", Double.NaN)).isEqualTo("–");
        assertThat(ComparisonView.text("DRIFT", -3.977)).isEqualTo("−3.98");
    }
}
