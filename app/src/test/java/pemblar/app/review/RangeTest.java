package pemblar.app.review;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import pemblar.core.sport.Sport;

/** The figures of a selection as people read them: 200 W threshold, 60 kg. */
@Tag("unit")
class RangeTest {
    private static Map<String, String> figures(Openings made, int from, int to) {
        var opened = made.open();
        return Range.of(opened.recording().orElseThrow(), opened.thresholds(), from, to).stream()
                .collect(Collectors.toMap(Range.Figure::name, Range.Figure::value));
    }

    @Test
    void aRideIsReadInWattsAndKilometresAnHour() {
        Map<String, String> found = figures(
                Openings.of(Sport.RIDE, 1200)
                        .with("power", 180)
                        .but("power", 900, 901, 400)
                        .with("speed", 10)
                        .with("heartRate", 140)
                        .with("cadence", 88),
                0,
                1200);
        assertThat(found)
                .containsEntry("from 0:00", "20:00")
                .containsEntry("mean", "180 W, peak 400")
                .containsEntry("speed", "36.0 km/h")
                .containsEntry("per kg", "3.00 W/kg");
        assertThat(found)
                .containsEntry("heart rate", "140, peak 140")
                .containsEntry("cadence", "88")
                .containsEntry("work", "216 kJ, so far 216")
                .containsEntry("of threshold", "90 %");
        assertThat(found).containsEntry("drift", "−0.2 %").doesNotContainKeys("pace", "distance", "climb");
    }

    @Test
    void aRunIsReadInMinutesAKilometre() {
        Map<String, String> found =
                figures(Openings.of(Sport.RUN, 1200).with("speed", 4).with("heartRate", 150), 300, 600);
        assertThat(found)
                .containsEntry("from 5:00", "5:00")
                .containsEntry("pace", "4:10 /km")
                .containsEntry("flat-equivalent pace", "4:10 /km")
                .containsEntry("of threshold", "100 %")
                .doesNotContainKeys("speed", "mean");
    }

    @Test
    void driftIsNotReadFromSpeedOnWheels() {
        assertThat(figures(Openings.of(Sport.RIDE, 1200).with("speed", 8).with("heartRate", 140), 0, 1200))
                .doesNotContainKey("drift");
        assertThat(figures(
                        Openings.of(Sport.RUN, 1200)
                                .with("speed", 3)
                                .but("speed", 600, 1200, 2.7)
                                .with("heartRate", 140),
                        0,
                        1200))
                .containsEntry("drift", "+11.1 %");
    }

    @Test
    void fallsHaveAMinusAndMissingSecondsAreSaid() {
        Openings down = Openings.of(Sport.RIDE, 100)
                .with("power", 100)
                .but("power", 0, 30, Double.NaN)
                .with("altitude", 500)
                .with("distance", 0);
        for (int i = 0; i < 100; i++)
            down.but("altitude", i, i + 1, 500 - 0.5 * i).but("distance", i, i + 1, 10.0 * (i + 1));
        Map<String, String> found = figures(down, 0, 100);
        assertThat(found.get("gradient")).startsWith("−").isIn("−4.9 %", "−5.0 %");
        assertThat(found)
                .containsEntry("values present", "70 %")
                .containsEntry("climb", "0 m")
                .containsEntry("distance", "1.00 km");
    }

    @Test
    void aSelectionBeyondTheEndIsBroughtInside() {
        assertThat(figures(Openings.of(Sport.RIDE, 100).with("power", 100), 90, 5000))
                .containsEntry("from 1:30", "0:10");
        assertThat(figures(Openings.of(Sport.RIDE, 100).with("power", 100), -50, -10))
                .containsEntry("from 0:00", "0:01");
    }
}
