package pemblar.app.review;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import pemblar.app.session.reading.SessionService.Opened;
import pemblar.core.matching.StepMatching.Method;
import pemblar.core.matching.Stretches;
import pemblar.core.matching.Stretches.One;
import pemblar.core.recording.Lap;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Thresholds;

/** What a session is cut by: a person's hand before the plan, the plan before the laps. */
@Tag("unit")
class CutsTest {
    private static final String PLAN = "1min 50%, 2 x (1min 100%, 1min 50%)";

    private static Openings ride() {
        return Openings.of(Sport.RIDE, 300)
                .with("power", 100)
                .but("power", 60, 120, 200)
                .but("power", 180, 240, 200);
    }

    private static One plain(int from, int to) {
        return new One(from, to, Stretches.NO_STEP, false);
    }

    @Test
    void aPlanThatFitsGivesItsSteps() {
        Cuts cuts = Cuts.of(ride().laps(60, 120, 180, 240, 300).planned(PLAN).open());
        assertThat(cuts.where()).isEqualTo(Method.LAPS_IN_ORDER);
        assertThat(cuts.stretches().all()).extracting(One::step).containsExactly(0, 1, 2, 3, 4);
        assertThat(cuts.matched().steps()).hasSize(5);
        assertThat(cuts.matched().steps().get(3).step().flat().repetition()).isEqualTo(2);
    }

    @Test
    void withoutAPlanTheLapsAreTheStretches() {
        Cuts cuts = Cuts.of(ride().laps(100, 300).open());
        assertThat(cuts.where()).isEqualTo(Method.NONE);
        assertThat(cuts.stretches().all()).containsExactly(plain(0, 100), plain(100, 300));
        assertThat(cuts.matched().steps()).isEmpty();
    }

    @Test
    void aPlanWhoseThresholdIsMissingLeavesTheLapsAlone() {
        Cuts cuts = Cuts.of(ride().laps(60, 120, 180, 240, 300)
                .planned(PLAN)
                .knowing(Thresholds.NONE)
                .open());
        assertThat(cuts.plan()).isEmpty();
        assertThat(cuts.stretches().all()).hasSize(5);
    }

    @Test
    void lapsThatLieOverOneAnotherGiveWay() {
        Cuts cuts = Cuts.of(ride().laps(List.of(
                        new Lap(0, 200, Lap.NO_STEP),
                        new Lap(100, 250, Lap.NO_STEP),
                        new Lap(249, 251, Lap.NO_STEP),
                        new Lap(250, 4000, Lap.NO_STEP)))
                .open());
        assertThat(cuts.stretches().all()).containsExactly(plain(0, 200), plain(200, 250), plain(250, 300));
    }

    @Test
    void whatWasCutByHandCountsAndAnIgnoredStretchDoesNot() {
        Opened opened = ride().laps(60, 120, 180, 240, 300)
                .planned(PLAN)
                .byHand(new One(60, 120, 1, false), new One(180, 240, 3, true))
                .open();
        Cuts cuts = Cuts.of(opened);
        assertThat(cuts.where()).isEqualTo(Method.BY_HAND);
        assertThat(cuts.stretches().all()).hasSize(2);
        assertThat(cuts.matched().steps()).hasSize(1);
    }

    /** Kept in seconds of the original: 40 were cut off the start, and what lay there is gone. */
    @Test
    void stretchesOfTheOriginalAreShownOnWhatIsLeftAndStoredAsTheyWere() {
        Opened opened = ride().byHand(plain(5, 30), plain(30, 100), plain(100, 160))
                .trimmed(40)
                .open();
        Stretches shown = Cuts.of(opened).stretches();
        assertThat(shown.all()).containsExactly(plain(0, 60), plain(60, 120));
        assertThat(Cuts.stored(shown, opened)).isEqualTo(new Stretches(340, List.of(plain(40, 100), plain(100, 160))));
    }

    @Test
    void aStepThatThePlanNoLongerHasIsNone() {
        Cuts cuts = Cuts.of(
                ride().planned("1min 50%").byHand(new One(60, 120, 4, false)).open());
        assertThat(cuts.stretches().all()).containsExactly(plain(60, 120));
    }
}
