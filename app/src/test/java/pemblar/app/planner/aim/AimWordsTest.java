package pemblar.app.planner.aim;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import pemblar.app.season.Held;
import pemblar.app.season.SeasonEvent;
import pemblar.app.season.SeasonSettings;
import pemblar.core.season.Aim;
import pemblar.core.season.Limit;
import pemblar.core.season.Priority;
import pemblar.core.season.Season.Outcome;

@Tag("unit")
class AimWordsTest {
    private static final LocalDate TODAY = LocalDate.of(2027, 3, 1);

    private static String sentence(Aim.Kind kind, double value, double reached, boolean met, Limit binding) {
        return AimWords.sentence(
                new Outcome(
                        new Aim(kind, value), reached, reached, met, binding == null ? List.of() : List.of(binding)),
                held(event(40)),
                TODAY);
    }

    private static SeasonEvent event(int days) {
        return new SeasonEvent(
                days,
                TODAY.plusDays(days),
                1,
                "Day " + days,
                Priority.A,
                SeasonEvent.Kind.RACE,
                null,
                null,
                null,
                List.of(),
                List.of());
    }

    private static Held held(SeasonEvent... events) {
        return new Held(1, SeasonSettings.USUAL, List.of(), List.of(events), List.of(), List.of());
    }

    /** The core aims at the last A event, and at the last day without one. */
    @Test
    void whichMorningItIsAboutIsSaid() {
        Outcome outcome = new Outcome(new Aim(Aim.Kind.CHRONIC_LOAD, 60), 60, 60, true, List.of());
        assertThat(AimWords.sentence(outcome, held(event(40), event(90)), TODAY))
                .isEqualTo("The aim of 60 chronic load on the morning of the last A event, Day 90, can be met.");
        assertThat(AimWords.sentence(outcome, held(), TODAY))
                .isEqualTo("The aim of 60 chronic load on the morning of the last day can be met.");
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
        assertThat(AimWords.sentence(
                        new Outcome(aim, 67, 67, false, List.of(Limit.HOURS, Limit.BUILD_RATE)),
                        held(event(40)),
                        TODAY))
                .endsWith("cannot be met: the hours available and the highest build rate are in the way."
                        + " The nearest possible is 67.");
    }
}
