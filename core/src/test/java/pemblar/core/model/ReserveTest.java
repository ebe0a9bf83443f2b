package pemblar.core.model;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import pemblar.core.recording.Pause;
import pemblar.core.recording.Series;

class ReserveTest {
    private static final Reserve MODEL = new Reserve(250, 20_000);

    private static Series constant(double watts, int seconds) {
        double[] values = new double[seconds];
        Arrays.fill(values, watts);
        return Series.of(values);
    }

    @Test
    void aboveCriticalPowerItFallsByTheWorkAboveIt() {
        assertEquals(
                20_000 - 100 * 120, MODEL.lowest(constant(350, 120), List.of()).joules(), 1e-6);
        assertEquals(80, MODEL.secondsToExhaustion(8000, 350), 1e-9);
    }

    @Test
    void belowItTheMissingPartShrinksExponentially() {
        double missing = 10_000 * Math.exp(-100.0 / 20_000 * 300);
        assertEquals(20_000 - missing, MODEL.after(10_000, 150, 300), 1e-9);
    }

    @Test
    void oneSecondAtATimeOrAllAtOnceIsTheSame() {
        double reserve = 5000;
        for (int i = 0; i < 300; i++) reserve = MODEL.after(reserve, 180, 1);
        assertEquals(MODEL.after(5000, 180, 300), reserve, 1e-6);
    }

    @Test
    void itGoesBelowZeroRatherThanStopThere() {
        assertEquals(-10_000, MODEL.lowest(constant(350, 300), List.of()).joules(), 1e-6);
    }

    @Test
    void aPauseRecoversAsAtNoPowerAndMissingSecondsChangeNothing() {
        Series paused = MODEL.over(Series.of(450, 450), List.of(new Pause(1, 600)));
        assertEquals(MODEL.after(MODEL.after(19_800, 0, 600), 450, 1), paused.at(1), 1e-9);
        Series gap = MODEL.over(Series.of(450, Double.NaN, Double.NaN), List.of());
        assertEquals(19_800, gap.at(2), 1e-9);
    }

    @Test
    void impossibleModelsAreRefusedByName() {
        var refused = assertThrows(IllegalArgumentException.class, () -> new Reserve(Double.NaN, 20_000));
        assertTrue(refused.getMessage().contains("criticalPowerWatts"));
    }
}
