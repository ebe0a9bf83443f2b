package pemblar.core.selection;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import pemblar.core.recording.Channel;
import pemblar.core.recording.Derived;
import pemblar.core.recording.Pause;
import pemblar.core.recording.Recording;
import pemblar.core.recording.Series;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Quantity;
import pemblar.core.threshold.Thresholds;

class StretchTest {
    private static final int SECONDS = 3600;

    /**
     * An hour at 200 W and 10 m/s over flat road, with a climb of 5 % from 1000 s to 1600 s; heart rate rises from 140
     * to 147 at half time.
     */
    private static Recording hour() {
        double[] watts = new double[SECONDS];
        double[] bpm = new double[SECONDS];
        double[] metres = new double[SECONDS];
        double[] altitude = new double[SECONDS];
        for (int i = 0; i < SECONDS; i++) {
            watts[i] = 200;
            bpm[i] = i < SECONDS / 2 ? 140 : 147;
            metres[i] = 10.0 * (i + 1);
            double up = 0.5 * Math.max(0, Math.min(i, 1600) - 1000);
            altitude[i] = 100 + up + (i % 2 == 0 ? 0.2 : -0.2);
        }
        Map<String, Series> channels = new LinkedHashMap<>();
        channels.put(Channel.POWER.key(), Series.of(watts));
        channels.put(Channel.HEART_RATE.key(), Series.of(bpm));
        channels.put(Channel.DISTANCE.key(), Series.of(metres));
        channels.put(Channel.ALTITUDE.key(), Series.of(altitude));
        return new Recording(Sport.RIDE, Instant.EPOCH, SECONDS, List.of(new Pause(1200, 60)), channels, List.of());
    }

    @Test
    void figuresOfAStretchAreWhatAHandWouldWorkOut() {
        Stretch s = Stretch.of(
                hour(), Thresholds.NONE.with(Quantity.THRESHOLD_POWER, 250).with(Quantity.BODY_MASS, 80), 1000, 1600);
        assertThat(s.watts()).isEqualTo(200);
        assertThat(s.wattsPerKilogram()).isEqualTo(2.5);
        assertThat(s.intensity()).isCloseTo(0.8, within(1e-9));
        assertThat(s.load()).isCloseTo(600 / 3600.0 * 64, within(1e-9));
        assertThat(s.metres()).isEqualTo(6000);
        assertThat(s.joules()).isEqualTo(120_000);
        assertThat(s.joulesSoFar()).isEqualTo(320_000);
        assertThat(s.climb()).isCloseTo(300, within(1.0));
        assertThat(s.climbRate()).isCloseTo(1800, within(6.0));
        assertThat(s.gradient()).isCloseTo(0.05, within(0.001));
        assertThat(s.clockSeconds()).isEqualTo(660);
    }

    @Test
    void driftComparesTheHalvesAndNeedsTenMinutes() {
        assertThat(Stretch.of(hour(), Thresholds.NONE, 0, SECONDS).drift()).isCloseTo(147.0 / 140 - 1, within(1e-9));
        assertThat(Stretch.of(hour(), Thresholds.NONE, 0, 599).drift()).isNaN();
    }

    @Test
    void aSelectionOutsideIsBroughtInAndMissingThingsAreNotNumbers() {
        Stretch s = Stretch.of(hour(), Thresholds.NONE, -50, 99_999);
        assertThat(new int[] {s.from(), s.to()}).containsExactly(0, SECONDS);
        assertThat(s.wattsPerKilogram()).isNaN();
        assertThat(s.intensity()).isNaN();
        assertThat(s.cadence()).isNaN();
        assertThat(Stretch.of(hour(), Thresholds.NONE, 99_999, 5).seconds()).isEqualTo(1);
    }

    @Test
    void onlyRisesMakeTheClimbAndAGapIsBridged() {
        assertThat(Climbs.risen(Series.of(100, 110, 105, Double.NaN, 112, 90), 0, 6))
                .isEqualTo(17);
        assertThat(Climbs.risen(Series.of(100, 110, 105), 1, 3)).isZero();
        assertThat(Climbs.risen(Series.of(Double.NaN, Double.NaN), 0, 2)).isZero();
    }

    @Test
    void theTremorOfABarometerIsNoClimb() {
        assertThat(Climbs.risen(hour().channel(Channel.ALTITUDE).orElseThrow(), 0, 1000))
                .isZero();
    }

    @Test
    void theOneClimbIsFoundWhereItIs() {
        List<Climbs.Climb> climbs = Climbs.of(hour());
        assertThat(climbs).hasSize(1);
        assertThat(climbs.get(0).from()).isBetween(990, 1010);
        assertThat(climbs.get(0).to()).isBetween(1590, 1610);
        assertThat(climbs.get(0).rise()).isCloseTo(300, within(3.0));
    }

    @Test
    void aDipOfAFewMetresDoesNotCutAClimbAndARealDescentDoes() {
        assertThat(Climbs.of(road(8))).hasSize(1);
        assertThat(Climbs.of(road(40))).hasSize(2);
    }

    /** 80 m up, down by {@code dip}, 80 m up; 6 % throughout. */
    private static Recording road(double dip) {
        int down = (int) Math.round(dip / 0.6);
        int up = 133;
        double[] altitude = new double[2 * up + down];
        double[] metres = new double[altitude.length];
        for (int i = 0; i < altitude.length; i++) {
            metres[i] = 10.0 * (i + 1);
            altitude[i] = (i == 0 ? 0 : altitude[i - 1]) + (i >= up && i < up + down ? -0.6 : 0.6);
        }
        return new Recording(
                Sport.RIDE,
                Instant.EPOCH,
                altitude.length,
                List.of(),
                Map.of("distance", Series.of(metres), "altitude", Series.of(altitude)),
                List.of());
    }

    @Test
    void aDerivedChannelIsMissingWhereEitherIsAndWhereItWouldDivideByZero() {
        Series quotient =
                Derived.of(Series.of(10, 8, Double.NaN, 6), Derived.Operation.OVER, Series.of(5, 0, 2, Double.NaN));
        assertThat(quotient.at(0)).isEqualTo(2);
        assertThat(quotient.present()).isEqualTo(1);
        assertThat(Derived.of(Series.of(10), Derived.Operation.MINUS, Series.of(4))
                        .at(0))
                .isEqualTo(6);
    }
}
