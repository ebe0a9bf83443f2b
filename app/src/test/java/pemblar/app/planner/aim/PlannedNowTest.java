package pemblar.app.planner.aim;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import pemblar.core.season.Aim;
import pemblar.core.season.Season.Outcome;

@Tag("unit")
class PlannedNowTest {
    private static String sentence(double chronic, double byTargets, double reached) {
        return sentence(new PlannedNow(chronic, byTargets, true), reached);
    }

    private static String sentence(PlannedNow now, double reached) {
        Aim aim = new Aim(Aim.Kind.CHRONIC_LOAD, 68);
        return now.sentence(new Outcome(aim, reached, reached, reached == 68, List.of()));
    }

    @Test
    void aSeasonThatWasPlannedOtherwiseIsPlannedAnew() {
        assertThat(sentence(new PlannedNow(49, 49, false), 66))
                .isEqualTo(" What is planned now comes to 49; plan the season anew to come nearer.");
    }

    /** Sessions count in place of their block's target: whoever plans anew would see the same figure again. */
    @Test
    void whereSessionsCountInsteadOfTheirBlocksPlanningAnewIsNoHelp() {
        assertThat(sentence(49, 66, 66))
                .isEqualTo(" What is planned now comes to 49: the sessions on the board count in place of what their"
                        + " blocks ask, with which it would be 66. To come nearer, scale them up, or put more on the"
                        + " board.");
        assertThat(sentence(75, 68, 68)).endsWith("be 68. To come nearer, scale them down, or drop some.");
    }

    @Test
    void whereBothAreInTheWayBothAreSaid() {
        assertThat(sentence(49, 49.4, 66))
                .as("sessions that follow an older plan")
                .endsWith(" comes to 49. Sessions on the board count in place of what their blocks ask: plan the season"
                        + " anew, then scale them up, or put more on the board.");
        assertThat(sentence(80, 78, 68)).endsWith("anew, then scale them down, or drop some.");
    }

    @Test
    void moreThanTheLimitsAllowIsSaidOfWhatAsksForIt() {
        assertThat(sentence(67.5, 60, 60))
                .isEqualTo(" What is planned now comes to 68, which blocks within the limits do not reach: scale or"
                        + " drop sessions, or raise a limit.");
        assertThat(sentence(67.5, 67, 60)).endsWith("do not reach: lower a target, or raise a limit.");
    }
}
