package pemblar.core.comparison;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import pemblar.core.recording.Recording;
import pemblar.core.recording.Series;
import pemblar.core.selection.Stretch;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Quantity;
import pemblar.core.threshold.Thresholds;

/**
 * A run uphill, worked out by hand: 4 m/s, 160 steps a minute of 1.5 m, 5 % up, 280 W, 150 bpm, from second 100 to 400.
 */
class FigureTest {
    private static final int SECONDS = 500;
    private static final Thresholds VALUES =
            Thresholds.NONE.with(Quantity.THRESHOLD_POWER, 350).with(Quantity.BODY_MASS, 70);
    private static final Recording HILL = hill();
    private static final Stretch CHOSEN = Stretch.of(HILL, VALUES, 100, 400);

    private static Recording hill() {
        Map<String, Series> channels = new LinkedHashMap<>();
        channels.put("power", constant(280));
        channels.put("heartRate", constant(150));
        channels.put("cadence", constant(160));
        channels.put("speed", constant(4));
        channels.put("stepLength", constant(1.5));
        channels.put("groundContactTime", constant(0.24));
        channels.put("temperature", constant(21));
        channels.put("distance", rising(4));
        channels.put("altitude", rising(0.2));
        return new Recording(Sport.RUN, Instant.EPOCH, SECONDS, List.of(), channels, List.of());
    }

    private static Series constant(double value) {
        double[] values = new double[SECONDS];
        Arrays.fill(values, value);
        return Series.of(values);
    }

    private static Series rising(double perSecond) {
        double[] values = new double[SECONDS];
        for (int i = 0; i < SECONDS; i++) values[i] = perSecond * (i + 1);
        return Series.of(values);
    }

    private static double value(Figure figure) {
        return figure.of(HILL, CHOSEN);
    }

    @Test
    void everyFigureIsInTheUnitInWhichPeopleReadIt() {
        assertThat(value(Figure.SECONDS)).isEqualTo(300);
        assertThat(value(Figure.METRES)).isCloseTo(1200, within(1e-9));
        assertThat(value(Figure.WATTS)).isCloseTo(280, within(1e-9));
        assertThat(value(Figure.EQUIVALENT)).isCloseTo(280, within(1e-6));
        assertThat(value(Figure.WATTS_PER_KILOGRAM)).isCloseTo(4, within(1e-9));
        assertThat(value(Figure.INTENSITY)).as("percent").isCloseTo(80, within(1e-6));
        assertThat(value(Figure.SPEED)).as("km/h").isCloseTo(14.4, within(1e-9));
        assertThat(value(Figure.HEART_RATE)).isCloseTo(150, within(1e-9));
        assertThat(value(Figure.CADENCE)).isCloseTo(160, within(1e-9));
        assertThat(value(Figure.STEP_LENGTH)).isCloseTo(1.5, within(1e-9));
        assertThat(value(Figure.CONTACT_TIME)).as("milliseconds").isCloseTo(240, within(1e-9));
        assertThat(value(Figure.TEMPERATURE)).isCloseTo(21, within(1e-9));
        assertThat(value(Figure.CLIMB)).isCloseTo(0.2 * 299, within(1e-6));
        assertThat(value(Figure.GRADIENT)).as("percent").isCloseTo(5, within(0.05));
        assertThat(value(Figure.WORK_BEFORE)).as("kJ in the 100 s before").isCloseTo(28, within(1e-9));
    }

    @Test
    void whatTheRecordingDoesNotSayIsNotANumber() {
        Recording bare = new Recording(
                Sport.RIDE, Instant.EPOCH, SECONDS, List.of(), Map.of("heartRate", constant(130)), List.of());
        Stretch stretch = Stretch.of(bare, Thresholds.NONE, 0, 60);
        for (Figure figure : Figure.values()) {
            if (List.of(Figure.SECONDS, Figure.HEART_RATE, Figure.PEAK_HEART_RATE)
                    .contains(figure)) continue;
            assertThat(figure.of(bare, stretch)).as(figure.word()).isNaN();
        }
        assertThat(Figure.SECONDS.of(bare, stretch)).isEqualTo(60);
    }

    @Test
    void aFlatEquivalentSpeedIsNoPower() {
        Recording run =
                new Recording(Sport.RUN, Instant.EPOCH, SECONDS, List.of(), Map.of("speed", constant(4)), List.of());
        assertThat(Figure.EQUIVALENT.of(run, Stretch.of(run, VALUES, 0, 300))).isNaN();
    }

    @Test
    void figuresAreFoundByTheirNamesAndOthersAreNot() {
        for (Figure figure : Figure.values())
            assertThat(Figure.named(figure.name())).contains(figure);
        assertThat(Figure.named("watts")).isEmpty();
        assertThat(Figure.named("")).isEmpty();
    }
}
