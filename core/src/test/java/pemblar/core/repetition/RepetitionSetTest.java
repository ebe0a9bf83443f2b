package pemblar.core.repetition;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import pemblar.core.recording.Channel;
import pemblar.core.recording.Recording;
import pemblar.core.recording.Series;
import pemblar.core.repetition.RepetitionSet.Quantity;
import pemblar.core.sport.Sport;

class RepetitionSetTest {
    /** Ten minutes at 150 W, then efforts of 240 s with 180 s between, with noise. */
    private static Series ride(int efforts, double watts, double fall, double noise, Random random) {
        double[] values = new double[600 + efforts * 420 + 300];
        for (int i = 0; i < values.length; i++) {
            int inside = i - 600;
            boolean hard = inside >= 0 && inside / 420 < efforts && inside % 420 < 240;
            values[i] = Math.max(0, (hard ? watts * (1 - fall * (inside / 420)) : 150) + noise * random.nextGaussian());
        }
        return Series.of(values);
    }

    @Test
    void effortsAreFoundToTheSecondWithoutNoise() {
        assertThat(FoundEfforts.of(ride(4, 300, 0, 0, new Random(1)), 200))
                .containsExactly(new Span(600, 840), new Span(1020, 1260), new Span(1440, 1680), new Span(1860, 2100));
    }

    @Test
    void aSteadyRideHasNoEfforts() {
        Random random = new Random(3);
        double[] values = new double[3600];
        for (int i = 0; i < values.length; i++) values[i] = 200 + 15 * random.nextGaussian();
        assertThat(FoundEfforts.of(Series.of(values), 190)).isEmpty();
    }

    @Test
    void aShortDipDoesNotPartAnEffort() {
        double[] values = new double[1200];
        Arrays.fill(values, 120);
        Arrays.fill(values, 300, 700, 280);
        Arrays.fill(values, 500, 503, 200);
        assertThat(FoundEfforts.of(Series.of(values), Double.NaN)).containsExactly(new Span(300, 700));
    }

    /** By hand: 300, 297, 294 fall by 3 each without any rest. */
    @Test
    void aStraightFallIsItsSlope() {
        Slope slope = Slope.of(new double[] {300, 297, 294, 291});
        assertThat(slope.perRepetition()).isCloseTo(-3, within(1e-9));
        assertThat(slope.isTrend()).isTrue();
        assertThat(slope.relative()).isCloseTo(-3 / 295.5, within(1e-9));
    }

    @Test
    void twoValuesAreNoTrend() {
        assertThat(Slope.of(new double[] {300, 290}).isTrend()).isFalse();
        assertThat(Slope.of(new double[] {300, Double.NaN, Double.NaN}).count()).isEqualTo(1);
    }

    @Test
    void flatSeriesSeldomLookLikeATrend() {
        Random random = new Random(7);
        int alarms = 0;
        for (int run = 0; run < 2000; run++) {
            double[] values = new double[3 + run % 8];
            for (int i = 0; i < values.length; i++) values[i] = 300 + 4 * random.nextGaussian();
            if (Slope.of(values).isTrend()) alarms++;
        }
        assertThat(alarms).isLessThan(2000 * 6 / 100);
    }

    @Test
    void theLargestGroupOfAlikeEffortsIsTheExercise() {
        List<Span> spans = List.of(
                new Span(0, 30), new Span(100, 340), new Span(500, 742), new Span(900, 1135), new Span(1300, 1900));
        assertThat(RepetitionSet.alike(spans))
                .containsExactly(new Span(100, 340), new Span(500, 742), new Span(900, 1135));
        assertThat(RepetitionSet.alike(List.of(new Span(0, 30)))).isEmpty();
    }

    /** Eight repetitions of 100 s with 80 s between, of a run whose form holds or fades from the fifth on. */
    private static RepetitionSet run(boolean fading, Random random) {
        int size = 8 * 180;
        Map<Channel, double[]> channels = new EnumMap<>(Channel.class);
        for (Channel channel : new Channel[] {
            Channel.SPEED, Channel.CADENCE, Channel.STEP_LENGTH, Channel.GROUND_CONTACT_TIME, Channel.HEART_RATE
        }) channels.put(channel, new double[size]);
        List<Span> spans = new ArrayList<>();
        for (int r = 0; r < 8; r++) {
            spans.add(new Span(r * 180, r * 180 + 100));
            double tired = fading && r >= 4 ? 1 + 0.5 * (r - 4) : 0;
            double ofDay = 0.4 * random.nextGaussian();
            for (int i = 0; i < 180; i++) {
                double speed = i < 100 ? 5 + 0.1 * random.nextGaussian() : 2.5;
                double steps = 180 + ofDay + 2.2 * tired + 1.5 * random.nextGaussian();
                channels.get(Channel.SPEED)[r * 180 + i] = speed;
                channels.get(Channel.CADENCE)[r * 180 + i] = steps;
                channels.get(Channel.STEP_LENGTH)[r * 180 + i] = speed * 60 / steps;
                channels.get(Channel.GROUND_CONTACT_TIME)[r * 180 + i] =
                        0.2 + 0.006 * tired + 0.004 * random.nextGaussian() + 0.0004 * ofDay;
                channels.get(Channel.HEART_RATE)[r * 180 + i] = i < 100 ? (r == 0 ? 150 : 170) : 125;
            }
        }
        Map<String, Series> series = new java.util.LinkedHashMap<>();
        channels.forEach((channel, values) -> series.put(channel.key(), Series.of(values)));
        return RepetitionSet.of(new Recording(Sport.RUN, Instant.EPOCH, size, List.of(), series, List.of()), spans)
                .orElseThrow();
    }

    @Test
    void fadingIsReportedWhenItIsThere() {
        int reported = 0;
        int placed = 0;
        for (int seed = 0; seed < 500; seed++) {
            RepetitionSet set = run(true, new Random(seed));
            if (set.fading().isPresent()) reported++;
            if (set.fading().filter(f -> f.from() >= 5 && f.from() <= 7).isPresent()) placed++;
        }
        assertThat(reported).isGreaterThan(475);
        assertThat(placed).isGreaterThan(450);
    }

    @Test
    void fadingIsNotReportedWhenItIsNotThere() {
        int alarms = 0;
        for (int seed = 0; seed < 500; seed++)
            if (run(false, new Random(10_000 + seed)).fading().isPresent()) alarms++;
        assertThat(alarms).isLessThan(25);
    }

    @Test
    void aFirstPeakFarBelowTheOthersPointsAtTheWarmUp() {
        RepetitionSet set = run(false, new Random(1));
        assertThat(set.coldStart()).isTrue();
        assertThat(set.repetitions().get(0).valleyBpm()).isEqualTo(125);
        assertThat(set.repetitions().get(7).valleyBpm()).isNaN();
        assertThat(set.slopes().get(Quantity.VALLEY_HEART_RATE).isTrend()).isFalse();
    }

    private static Recording recording(int size, Map<Channel, double[]> channels) {
        Map<String, Series> series = new java.util.LinkedHashMap<>();
        channels.forEach((channel, values) -> series.put(channel.key(), Series.of(values)));
        return new Recording(Sport.RIDE, Instant.EPOCH, size, List.of(), series, List.of());
    }

    /**
     * Four of a minute at 300 W with a minute between, at 120 or at 240 W; heart rate 160 in them, 118 falling to 110.
     */
    private static RepetitionSet minutes(double between, double first) {
        int size = 8 * 60;
        double[] watts = new double[size];
        double[] bpm = new double[size];
        double[] metres = new double[size];
        double[] altitude = new double[size];
        List<Span> spans = new ArrayList<>();
        for (int i = 0; i < size; i++) {
            boolean hard = i / 60 % 2 == 0;
            watts[i] = hard ? (i < 60 ? first : 300) : between;
            bpm[i] = hard ? (i < 60 ? 140 : 160) : i % 60 < 50 ? 118 - (i % 60) * 0.16 : 116;
            metres[i] = 5 * i;
            altitude[i] = hard ? 100 + 0.4 * (i % 60) : 100;
            if (hard && i % 60 == 0) spans.add(new Span(i, i + 60));
        }
        Map<Channel, double[]> channels = new EnumMap<>(Channel.class);
        channels.put(Channel.POWER, watts);
        channels.put(Channel.HEART_RATE, bpm);
        channels.put(Channel.DISTANCE, metres);
        channels.put(Channel.ALTITUDE, altitude);
        return RepetitionSet.of(recording(size, channels), spans, spans, 0.75 * 270)
                .orElseThrow();
    }

    @Test
    void theLowestAndTheEndOfARecoveryAreTwoFigures() {
        RepetitionSet set = minutes(120, 300);
        assertThat(set.repetitions().get(1).valleyBpm()).isCloseTo(110.16, within(0.01));
        assertThat(set.repetitions().get(1).endBpm()).isCloseTo(116, within(1e-9));
        assertThat(set.repetitions().get(1).gradient()).isCloseTo(0.08, within(1e-9));
        assertThat(set.repetitions().get(3).endBpm()).isNaN();
    }

    @Test
    void whatIsRiddenOverThreeQuartersOfThresholdIsNoRecovery() {
        assertThat(minutes(240, 300).repetitions())
                .allSatisfy(r -> assertThat(r.valleyBpm()).isNaN());
    }

    /** A first repetition at 260 W has a reason of its own for a heart rate of 140. */
    @Test
    void anEasierFirstOneSaysNothingOfTheWarmUp() {
        assertThat(minutes(120, 300).coldStart()).isTrue();
        assertThat(minutes(120, 260).coldStart()).isFalse();
    }

    @Test
    void aSureButTinySlopeIsNoTrend() {
        assertThat(Slope.of(new double[] {300, 300.5, 301, 301.5}).isTrend()).isFalse();
        assertThat(Slope.of(new double[] {300, 301, 302, 303}).isTrend()).isTrue();
    }
}
