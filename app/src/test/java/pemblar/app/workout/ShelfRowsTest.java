package pemblar.app.workout;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import pemblar.app.frame.page.Shown;
import pemblar.core.sport.Sport;
import pemblar.core.workout.Shorthand;
import pemblar.core.workout.Workout;

@Tag("unit")
class ShelfRowsTest {
    private static final Workout WORKOUT =
            Shorthand.read("1h 60%", Sport.RIDE).workout().orElseThrow();

    private static String drawn(String title, Integer seconds, Double load) {
        Shelved kept = new Shelved(-3, title, WORKOUT, "Base", List.of(), Shelved.Origin.SHIPPED, false, false, 1);
        Shelf shelf = new Shelf(kept, seconds, load, "<path d=\"M0 60\" class=\"z2\"/>", Set.of(), Set.of());
        return new ShelfRows("Ships · Base", List.of(shelf)).drawn(4, new Shown());
    }

    @Test
    void aWorkoutHasItsDrawingItsNameAndWhatItTakes() {
        assertThat(drawn("Easy spin", 3600, 49.6))
                .contains("href=\"/a/4/workouts/design?id=-3\"", "<path d=\"M0 60\" class=\"z2\"/></svg>")
                .contains("<strong>Easy spin</strong> <span>ride · 1 h 00 · load 50 points</span>")
                .contains("data-put=\"-3\" data-title=\"Easy spin\"", "aria-label=\"Put Easy spin on a day\"");
    }

    @Test
    void whatCannotBeWorkedOutSaysSoAndHasNoFigure() {
        assertThat(drawn("Easy spin", null, null))
                .contains("<span>set the threshold it refers to for its figures</span>")
                .doesNotContain("load", "points");
        assertThat(drawn("Easy spin", 3600, null)).contains("<span>ride · 1 h 00</span>");
    }

    @Test
    void aNameThatSomebodyWroteStaysText() {
        assertThat(drawn("<b>\"Hills\" & more</b>", 3600, null))
                .contains("<strong>&lt;b&gt;&quot;Hills&quot; &amp; more&lt;/b&gt;</strong>")
                .contains("data-title=\"&lt;b&gt;&quot;Hills&quot; &amp; more&lt;/b&gt;\"")
                .doesNotContain("<b>");
    }
}
