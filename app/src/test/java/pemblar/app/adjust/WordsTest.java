package pemblar.app.adjust;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import pemblar.core.adjust.Breach;
import pemblar.core.adjust.Broken;
import pemblar.core.adjust.Effect;
import pemblar.core.adjust.Proposal;
import pemblar.core.adjust.Trigger;

@Tag("unit")
class WordsTest {
    private static final LocalDate DAY = LocalDate.of(2027, 5, 12);

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
                List.of(
                        new Breach(Broken.BALANCE, Optional.of(DAY), true),
                        new Breach(Broken.HOURS, Optional.of(DAY.plusDays(2)), true),
                        new Breach(Broken.SPACING, Optional.empty(), false)),
                "");
        assertThat(Words.broken(p, Set.of(Broken.SPACING, Broken.HOURS)))
                .isEqualTo("the balance floor on Wed 12 May, "
                        + "hours a day (on Fri 14 May; the plan does so already, but elsewhere or by less), "
                        + "the distance between hard sessions (as the plan does already)");
    }
}
