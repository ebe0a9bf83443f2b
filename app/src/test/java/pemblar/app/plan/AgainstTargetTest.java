package pemblar.app.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Random;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

@Tag("unit")
class AgainstTargetTest {
    private static String words(double target, double done, double ahead, int missed, boolean over) {
        return new AgainstTarget(target, done, ahead, missed, 0, over).words();
    }

    /** Planned were 576 of 580; two of the sessions were not done, and nobody can do them any more. */
    @Test
    void whatWasMissedDoesNotMeetATarget() {
        assertThat(words(580, 243, 186, 2, false)).isEqualTo("151 short of it with what is still planned");
        assertThat(words(580, 429, 0, 2, true)).isEqualTo("151 short of it");
    }

    @Test
    void aPlanAheadIsHeldAgainstIt() {
        assertThat(words(700, 0, 705, 0, false)).isEqualTo("the plan meets it");
        assertThat(words(700, 0, 500, 0, false)).isEqualTo("200 still to plan");
        assertThat(words(700, 300, 480, 0, false)).isEqualTo("the plan is 80 above it");
    }

    @Test
    void whatIsOverWasMetOrNot() {
        assertThat(words(500, 480, 0, 0, true)).isEqualTo("met");
        assertThat(words(500, 590, 0, 1, true)).isEqualTo("90 above it");
    }

    /** Neither met nor short can be told of it. */
    @Test
    void aLoadThatNobodyKnowsLeavesOnlyTheLeast() {
        for (double done : new double[] {300, 500, 700})
            assertThat(new AgainstTarget(500, done, 0, 0, 1, true).words())
                    .isEqualTo("at least " + Math.round(done) + "; the load of a session is not known");
        assertThat(new AgainstTarget(500, 300, 100, 1, 2, false).words())
                .isEqualTo("at least 400; the load of 2 sessions is not known");
    }

    @Test
    void metIsSaidOnlyOfWhatIsNear() {
        Random random = new Random(8);
        for (int i = 0; i < 5000; i++) {
            double target = 50 + 900 * random.nextDouble();
            double done = 900 * random.nextDouble();
            boolean over = random.nextBoolean();
            double ahead = over ? 0 : 900 * random.nextDouble();
            int missed = random.nextInt(3);
            String words = words(target, done, ahead, missed, over);
            boolean near = Math.abs(target - done - ahead) <= 0.05 * target;
            assertThat(words.equals("met") || words.equals("the plan meets it"))
                    .as("%s of %s, %s ahead: %s", done, target, ahead, words)
                    .isEqualTo(near);
        }
    }
}
