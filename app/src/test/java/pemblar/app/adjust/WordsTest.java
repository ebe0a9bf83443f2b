package pemblar.app.adjust;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import pemblar.core.adjust.Broken;
import pemblar.core.adjust.Effect;
import pemblar.core.adjust.Proposal;
import pemblar.core.adjust.Trigger;

class WordsTest {
    private static Effect effect(double chronic, double lowest) {
        return new Effect(chronic, 10, lowest, 3);
    }

    private static String price(Effect effect, Effect leave) {
        return Words.price(effect, leave, "then");
    }

    @Test
    void aDifferenceIsSaidInWholePoints() {
        assertThat(price(effect(47.2, -16.4), effect(48.7, -14.6)))
                .isEqualTo("Chronic load 47 instead of 49 then, lowest balance on the way −16 instead of −15.");
        assertThat(price(effect(49.2, 0.2), effect(48.7, -0.3)))
                .isEqualTo("Chronic load stays 49 then, lowest balance on the way stays 0.");
    }

    @Test
    void whatRoundingAloneTellsApartIsNoPoint() {
        assertThat(price(effect(48.48, -14.4), effect(48.7, -14.6)))
                .isEqualTo("Chronic load stays about 49 then, lowest balance on the way stays about −15.");
    }

    @Test
    void whatIsBrokenSaysWhetherThePlanDoesSoAlreadyAndAsMuch() {
        Proposal p = new Proposal(
                Trigger.Kind.BODY,
                List.of(),
                effect(50, -10),
                Set.of(Broken.SPACING, Broken.BALANCE, Broken.HOURS),
                Set.of(Broken.BALANCE, Broken.HOURS),
                "");
        assertThat(Words.broken(p, Set.of(Broken.SPACING, Broken.HOURS)))
                .isEqualTo("the balance floor, hours a day (more than the plan does already), "
                        + "the distance between hard sessions (as the plan does already)");
    }
}
