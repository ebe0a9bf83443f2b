package pemblar.app.evidence.profile;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import pemblar.app.frame.page.Shown;
import pemblar.core.profile.PaceProfile.Rung;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Sex;

@Tag("unit")
class PaceRowsTest {
    private static boolean tested(boolean near, boolean doubtable) {
        List<Rung> rungs = List.of(new Rung(10_000, OptionalDouble.of(2400), 0.65, near));
        return new PaceRows(Sport.RUN, Sex.MALE, doubtable, new Shown())
                .of(rungs, rungs)
                .get(0)
                .tested();
    }

    @Test
    void untestedIsSaidOnlyWhereAThresholdTellsIt() {
        assertEquals(false, tested(false, true));
        assertEquals(true, tested(true, true));
        assertEquals(true, tested(false, false), "without a threshold nobody can tell");
    }
}
