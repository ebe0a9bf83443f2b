package pemblar.core.load;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;
import pemblar.core.recording.Recording;
import pemblar.core.recording.Series;
import pemblar.core.sport.Sport;

class SteadyEquivalentTest {
    private static double[] constant(double value, int seconds) {
        double[] values = new double[seconds];
        Arrays.fill(values, value);
        return values;
    }

    @Test
    void aSteadyEffortIsItsOwnEquivalent() {
        assertEquals(200, SteadyEquivalent.of(Series.of(constant(200, 3600))), 1e-9);
    }

    @Test
    void twoHalvesAreTheFourthPowerMeanOfTheWindows() {
        double[] values = constant(100, 1200);
        Arrays.fill(values, 600, 1200, 300);
        double sum = 571 * Math.pow(100, 4);
        for (int k = 1; k < 30; k++) sum += Math.pow((100 * (30 - k) + 300 * k) / 30.0, 4);
        sum += 571 * Math.pow(300, 4);
        assertEquals(Math.pow(sum / 1171, 0.25), SteadyEquivalent.of(Series.of(values)), 1e-9);
    }

    @Test
    void windowsStartAnewAfterAGap() {
        double[] values = constant(200, 100);
        values[50] = Double.NaN;
        Arrays.fill(values, 51, 100, 400);
        double expected = Math.pow((21 * Math.pow(200, 4) + 20 * Math.pow(400, 4)) / 41, 0.25);
        assertEquals(expected, SteadyEquivalent.of(Series.of(values)), 1e-9);
    }

    @Test
    void withoutAWholeWindowItIsThePlainMean() {
        assertEquals(150, SteadyEquivalent.of(Series.of(100, 200)), 1e-12);
        assertTrue(Double.isNaN(SteadyEquivalent.of(Series.of(Double.NaN))));
    }

    @Property(tries = 50)
    void itIsNeverBelowTheMeanOfItsWindowsNorAboveTheHighest(
            @ForAll @Size(min = 30, max = 300) List<@DoubleRange(min = 0, max = 1500) Double> watts) {
        Series series =
                Series.of(watts.stream().mapToDouble(Double::doubleValue).toArray());
        double equivalent = SteadyEquivalent.of(series);
        assertTrue(equivalent <= series.max() + 1e-9 && equivalent >= 0);
    }

    @Test
    void theCostOfRunningFollowsThePublishedPolynomial() {
        assertEquals(3.6, SteadyEquivalent.costOfRunning(0), 1e-12);
        assertEquals(155.4e-5 - 30.4e-4 - 43.3e-3 + 46.3e-2 + 1.95 + 3.6, SteadyEquivalent.costOfRunning(0.1), 1e-12);
        assertTrue(SteadyEquivalent.costOfRunning(-0.1) < 3.6);
    }

    @Test
    void uphillCountsAsFasterByTheLineThroughFiftyMetres() {
        int n = 60;
        double[] speed = constant(3, n);
        double[] distance = new double[n];
        double[] altitude = new double[n];
        for (int i = 0; i < n; i++) {
            distance[i] = 3.0 * i;
            altitude[i] = 0.3 * i;
        }
        Recording run = new Recording(
                Sport.RUN,
                Instant.EPOCH,
                n,
                List.of(),
                Map.of("speed", Series.of(speed), "distance", Series.of(distance), "altitude", Series.of(altitude)),
                List.of());
        Series flat = SteadyEquivalent.flatSpeed(run);
        for (int i = 0; i < n; i++) assertEquals(3 * SteadyEquivalent.costOfRunning(0.1) / 3.6, flat.at(i), 1e-9);
    }

    private static Recording run(double[] speed, double[] distance, double[] altitude) {
        return new Recording(
                Sport.RUN,
                Instant.EPOCH,
                speed.length,
                List.of(),
                Map.of("speed", Series.of(speed), "distance", Series.of(distance), "altitude", Series.of(altitude)),
                List.of());
    }

    @Test
    void fewSamplesOrAShortStretchAreFlat() {
        double[] two = {3, 3};
        assertEquals(
                3,
                SteadyEquivalent.flatSpeed(run(two, new double[] {0, 24}, new double[] {0, 5}))
                        .at(0),
                1e-12);
        double[] near = constant(0.5, 30);
        double[] distance = new double[30];
        double[] altitude = new double[30];
        for (int i = 0; i < 30; i++) {
            distance[i] = 0.5 * i;
            altitude[i] = 0.1 * i;
        }
        assertEquals(
                0.5, SteadyEquivalent.flatSpeed(run(near, distance, altitude)).at(10), 1e-12, "15 m do not span 20");
    }

    @Property(tries = 40)
    void theGradientIsTheLeastSquaresLineOfAllWithin25Metres(
            @ForAll @Size(min = 40, max = 200) List<@DoubleRange(min = 0, max = 6) Double> steps) {
        int n = steps.size();
        double[] distance = new double[n];
        double[] altitude = new double[n];
        for (int i = 0; i < n; i++) {
            distance[i] = (i == 0 ? 0 : distance[i - 1]) + steps.get(i);
            altitude[i] = 100 + 8 * Math.sin(distance[i] / 40) + 0.3 * Math.sin(7.0 * i);
        }
        Gradients gradients = new Gradients(Series.of(distance), Series.of(altitude));
        for (int i = 0; i < n; i++) assertEquals(plainly(distance, altitude, distance[i]), gradients.at(i), 1e-9);
    }

    /** The definition, without any thrift. */
    private static double plainly(double[] distance, double[] altitude, double here) {
        int[] near = java.util.stream.IntStream.range(0, distance.length)
                .filter(i -> Math.abs(distance[i] - here) <= 25)
                .toArray();
        if (near.length < 3 || distance[near[near.length - 1]] - distance[near[0]] < 20) return 0;
        double x = Arrays.stream(near).mapToDouble(i -> distance[i]).average().orElseThrow();
        double y = Arrays.stream(near).mapToDouble(i -> altitude[i]).average().orElseThrow();
        double squares = Arrays.stream(near)
                .mapToDouble(i -> Math.pow(distance[i] - x, 2))
                .sum();
        double products = Arrays.stream(near)
                .mapToDouble(i -> (distance[i] - x) * (altitude[i] - y))
                .sum();
        return Math.max(-0.45, Math.min(0.45, products / squares));
    }

    @Test
    void restAtTheWallIsNoSwimming() {
        double[] speed = constant(1.2, 100);
        Arrays.fill(speed, 40, 70, 0);
        speed[5] = Double.NaN;
        Recording swim =
                new Recording(Sport.SWIM, Instant.EPOCH, 100, List.of(), Map.of("speed", Series.of(speed)), List.of());
        assertEquals(1.2, SteadyEquivalent.ofSpeed(swim, 0, 100), 1e-12);
        assertTrue(Double.isNaN(SteadyEquivalent.ofSpeed(swim, 45, 60)), "nothing but rest");
    }
}
