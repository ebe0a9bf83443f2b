package pemblar.app.planner;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import pemblar.core.season.Aim;
import pemblar.core.season.Limit;
import pemblar.core.season.Season.Outcome;

@Tag("unit")
class SeasonSentenceTest {
    private static String sentence(Aim.Kind kind, double value, double reached, boolean met, Limit binding) {
        return SeasonPlanner.sentence(new Outcome(
                new Aim(kind, value), reached, reached, met, binding == null ? List.of() : List.of(binding)));
    }

    @Test
    void anAimThatIsMetIsSaidInItsUnit() {
        assertThat(sentence(Aim.Kind.WEEKLY_HOURS, 9.5, 9.5, true, null))
                .isEqualTo("The aim of 9.5 hours a week can be met.");
        assertThat(sentence(Aim.Kind.WEEKLY_LOAD, 450, 450, true, null))
                .isEqualTo("The aim of 450 load a week can be met.");
    }

    @Test
    void whatIsInTheWayIsNamedWithTheNearestPossible() {
        assertThat(sentence(Aim.Kind.CHRONIC_LOAD, 90, 71.4, false, Limit.BUILD_RATE))
                .isEqualTo("The aim of 90 chronic load on the morning of the A event cannot be met: the highest "
                        + "build rate is in the way. The nearest possible is 71.");
        assertThat(sentence(Aim.Kind.WEEKLY_HOURS, 20, 12, false, Limit.HOURS))
                .contains("the hours available are in the way")
                .endsWith("The nearest possible is 12.");
        assertThat(sentence(Aim.Kind.WEEKLY_HOURS, 20, 12.3, false, Limit.PINS))
                .contains("pinned blocks are in the way")
                .endsWith("12.3.");
        assertThat(sentence(Aim.Kind.WEEKLY_LOAD, 600, 420, false, Limit.EASY))
                .contains("the easy blocks are in the way");
    }

    @Test
    void severalThingsInTheWayAreOneSentence() {
        Aim aim = new Aim(Aim.Kind.CHRONIC_LOAD, 68);
        assertThat(SeasonPlanner.sentence(new Outcome(aim, 67, 67, false, List.of(Limit.HOURS, Limit.BUILD_RATE))))
                .endsWith("cannot be met: the hours available and the highest build rate are in the way."
                        + " The nearest possible is 67.");
    }
}
