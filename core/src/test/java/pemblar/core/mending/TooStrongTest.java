package pemblar.core.mending;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import pemblar.core.recording.Series;

class TooStrongTest {
    private static final double SPIKE = 2100;

    private static double[] ride(int seconds, double watts) {
        double[] values = new double[seconds];
        Arrays.fill(values, watts);
        return values;
    }

    private static List<Proposal> of(double... watts) {
        return TooStrong.of(Series.of(watts), SPIKE);
    }

    /** A meter that counts tenfold for twelve minutes: every second possible for itself, no minute of them. */
    @Test
    void minutesThatNobodyHoldsAreOneStretch() {
        double[] watts = ride(3600, 190);
        Arrays.fill(watts, 600, 1320, 1900);
        List<Proposal> found = of(watts);
        assertEquals(1, found.size());
        Edit edit = found.get(0).edit();
        assertTrue(edit.from() >= 500 && edit.from() <= 600, "" + edit.from());
        assertTrue(
                found.get(0).seconds() >= 720 && found.get(0).seconds() < 1500,
                "" + found.get(0).seconds());
    }

    @Test
    void whatTheBestHoldIsLetStand() {
        assertTrue(of(ride(3600, 500)).isEmpty(), "an hour at 500 W");
        double[] sprint = ride(3600, 300);
        Arrays.fill(sprint, 1000, 1015, 1700);
        assertTrue(of(sprint).isEmpty(), "a sprint of 15 s");
        double[] race = ride(1800, 400);
        Arrays.fill(race, 900, 960, 950);
        assertTrue(of(race).isEmpty(), "a minute at 950 W");
    }

    @Test
    void aSpikeIsNoMinuteAndAGapIsNoPower() {
        double[] spike = ride(1800, 250);
        spike[700] = 65_534;
        assertTrue(of(spike).isEmpty());
        assertTrue(of(ride(1800, Double.NaN)).isEmpty());
        assertTrue(of(ride(30, 1900)).isEmpty(), "half a minute is a sprint");
    }

    @Test
    void anHourThatIsTooStrongIsFoundThoughNoMinuteOfItIs() {
        assertEquals(1, of(ride(4000, 540)).size());
    }
}
