package pemblar.app.recording;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import pemblar.app.recording.bytes.SummaryJson;
import pemblar.core.load.SessionLoad.Source;
import pemblar.core.load.SessionSummary;
import pemblar.core.recording.Recording;
import pemblar.core.recording.Series;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Quantity;
import pemblar.core.threshold.Thresholds;

/** Which load of a recording counts: an hour at 200 W with a threshold of 200 W is 100 points. */
@Tag("unit")
class RecordingRowTest {
    private static final Thresholds VALUES = Thresholds.NONE.with(Quantity.THRESHOLD_POWER, 200);

    private static RecordingRow row(String channel, double value) {
        double[] values = new double[3600];
        Arrays.fill(values, value);
        Map<String, Series> channels = new LinkedHashMap<>();
        channels.put(channel, Series.of(values));
        Recording recording = new Recording(Sport.RIDE, Instant.EPOCH, 3600, List.of(), channels, List.of());
        RecordingRow row = new RecordingRow(3, "hash", "ride.fit", LocalDate.of(2026, 5, 4), "");
        row.fill(recording, SessionSummary.of(recording, VALUES), "");
        return row;
    }

    private static PlannedFor.Plan planned(Integer seconds, Double load) {
        return new PlannedFor.Plan(load, seconds, null);
    }

    @Test
    void powerCountsBeforeEffortAndPlan() {
        RecordingRow row = row("power", 200);
        row.perceivedEffort = 3.0;
        row.follow(planned(3600, 60.0));
        assertThat(row.loadPoints).isCloseTo(100, within(1e-6));
        assertThat(row.loadSource).isEqualTo("POWER");
        assertThat(row.allLoads(SummaryJson.loads(row.loads)).keySet())
                .containsExactly(Source.POWER, Source.PERCEIVED_EFFORT, Source.PLAN);
    }

    /** Half of the planned two hours was ridden, so half of the planned load counts; more than all is all. */
    @Test
    void withoutAnythingMeasuredThePlanCountsForWhatWasDoneOfIt() {
        RecordingRow row = row("cadence", 90);
        assertThat(row.loadPoints).isNull();
        row.follow(planned(7200, 120.0));
        assertThat(row.loadPoints).isCloseTo(60, within(1e-9));
        assertThat(row.loadSource).isEqualTo("PLAN");
        row.follow(planned(1800, 40.0));
        assertThat(row.loadPoints).isCloseTo(40, within(1e-9));
        row.follow(planned(null, 40.0));
        assertThat(row.loadPoints).isNull();
        row.follow(null);
        assertThat(row.loadPoints).isNull();
    }

    /** 7 of 10 is the effort of an hour at threshold: 100 points. */
    @Test
    void aPerceivedEffortCountsBeforeThePlan() {
        RecordingRow row = row("cadence", 90);
        row.perceivedEffort = 7.0;
        row.follow(planned(3600, 40.0));
        assertThat(row.loadPoints).isCloseTo(100, within(1e-9));
        assertThat(row.loadSource).isEqualTo("PERCEIVED_EFFORT");
    }

    @Test
    void whatAPersonChoseOrSetStaysWhenTheRecordingIsComputedAnew() {
        RecordingRow row = row("power", 200);
        row.setLoad = 130.0;
        row.count();
        assertThat(row.loadPoints).isEqualTo(130);
        double[] watts = new double[3600];
        Arrays.fill(watts, 100);
        Recording mended =
                new Recording(Sport.RIDE, Instant.EPOCH, 3600, List.of(), Map.of("power", Series.of(watts)), List.of());
        row.fill(mended, SessionSummary.of(mended, VALUES), "");
        assertThat(row.loadPoints).isEqualTo(130);
        row.setLoad = null;
        row.chosenSource = Source.PLAN;
        row.follow(planned(3600, 55.0));
        assertThat(row.loadPoints).isCloseTo(55, within(1e-9));
        row.follow(null);
        assertThat(row.loadPoints).as("a source that is gone gives way").isCloseTo(25, within(1e-6));
    }

    @Test
    void everyFillingIsANewRevisionSoThatComparisonsMeasureAnew() {
        RecordingRow row = row("power", 200);
        int before = row.revision;
        row.count();
        assertThat(row.revision)
                .as("another choice changes no figure of the recording")
                .isEqualTo(before);
        Recording recording = new Recording(
                Sport.RIDE, Instant.EPOCH, 10, List.of(), Map.of("power", Series.of(new double[10])), List.of());
        row.fill(recording, SessionSummary.of(recording, VALUES), "");
        assertThat(row.revision).isEqualTo(before + 1);
    }
}
