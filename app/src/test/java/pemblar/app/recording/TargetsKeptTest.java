package pemblar.app.recording;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import java.time.Instant;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import pemblar.app.recording.mend.MendedRecordings;
import pemblar.core.recording.Channel;
import pemblar.core.recording.Lap;
import pemblar.core.recording.Recording;
import pemblar.core.recording.Series;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Quantity;
import pemblar.core.threshold.Thresholds;
import pemblar.core.workout.Shorthand;
import pemblar.core.zone.Zones;

/** What a recording is kept with: beaten, not beaten, or nothing to be said. */
@Tag("unit")
class TargetsKeptTest {
    private static final Zones ZONES = Zones.usual(Thresholds.NONE.with(Quantity.THRESHOLD_POWER, 250));
    private final MendedRecordings mended = mock(MendedRecordings.class);
    private final TargetsKept kept = new TargetsKept(mended);

    private static PlannedFor.Plan planned(String text) {
        return new PlannedFor.Plan(
                80.0, 1800, Shorthand.read(text, Sport.RIDE).workout().orElseThrow());
    }

    private static Recording recording(double watts) {
        double[] values = new double[1800];
        Arrays.fill(values, 0, 600, 125);
        Arrays.fill(values, 600, 1800, watts);
        return new Recording(
                Sport.RIDE,
                Instant.EPOCH,
                1800,
                List.of(),
                Map.of(Channel.POWER.key(), Series.of(values)),
                List.of(new Lap(0, 600, 0), new Lap(600, 1800, 1)));
    }

    private Boolean told(PlannedFor.Plan plan, double watts) {
        RecordingRow row = new RecordingRow(1, "hash", "a.fit", LocalDate.of(2026, 5, 4), "");
        row.id = 5L;
        when(mended.read(5)).thenReturn(recording(watts));
        kept.note(row, plan, ZONES);
        return row.targetsBeaten;
    }

    @Test
    void overTheBandIsBeatenAndInItIsNot() {
        PlannedFor.Plan plan = planned("10min 50%, 20min 95-100%");
        assertThat(told(plan, 262)).isTrue();
        assertThat(told(plan, 245)).isFalse();
    }

    @Test
    void withoutAPlanNothingIsSaid() {
        assertThat(told(null, 262)).isNull();
        assertThat(told(new PlannedFor.Plan(80.0, 1800, null), 262)).isNull();
    }

    /** What the plan says of the recording anew is not known until it was looked at. */
    @Test
    void anotherPlanForgetsIt() {
        RecordingRow row = new RecordingRow(1, "hash", "a.fit", LocalDate.of(2026, 5, 4), "");
        row.loads = "{}";
        row.targetsBeaten = true;
        row.follow(null);
        assertThat(row.targetsBeaten).isNull();
    }
}
