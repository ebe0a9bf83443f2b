package pemblar.app.review.lane;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import pemblar.core.recording.Recording;
import pemblar.core.recording.Series;
import pemblar.core.sport.Sport;

@Tag("unit")
class LanesTest {
    @Test
    void differencesAddUpToTheValuesAgainOverAGap() {
        Integer[] deltas = Lanes.deltas(Series.of(100, 103, Double.NaN, 98, 98.6), 1);
        assertThat(deltas).containsExactly(100, 3, null, -5, 1);
    }

    /** Rounding each value and not each difference keeps the last one right after hours. */
    @Test
    void roundingDoesNotDriftOverTenHours() {
        double[] values = new double[36_000];
        for (int i = 0; i < values.length; i++) values[i] = 0.4 * i;
        Integer[] deltas = Lanes.deltas(Series.of(values), 1);
        long sum = 0;
        for (Integer delta : deltas) sum += delta;
        assertThat(sum).isEqualTo(Math.round(0.4 * 35_999));
    }

    @Test
    void aValueThatNoDeviceMeasuresIsAGap() {
        assertThat(Lanes.deltas(Series.of(1, 1e300, Double.NEGATIVE_INFINITY, 2), 1))
                .containsExactly(1, null, null, 1);
    }

    @Test
    void theWayKeepsItsShapeAndOneThatNeverMovesHasNone() {
        int seconds = 400;
        double[] north = new double[seconds];
        double[] east = new double[seconds];
        for (int i = 0; i < seconds; i++) {
            north[i] = 60 + 0.0001 * Math.min(i, 200);
            east[i] = 10 + 0.0002 * Math.max(0, i - 200);
        }
        List<int[]> way = Lanes.route(recording(north, east));
        int[] last = way.get(way.size() - 1);
        assertThat(way.get(0)).containsExactly(0, 0, 1000);
        assertThat(last[2]).as("as far north as it gets").isZero();
        assertThat((double) last[1])
                .as("at 60 degrees a degree east is half as long")
                .isBetween(970.0, 1000.0);
        assertThat(Lanes.route(recording(Series.of(new double[seconds]), Series.of(new double[seconds]))))
                .isEmpty();
    }

    private static Recording recording(double[] north, double[] east) {
        return recording(Series.of(north), Series.of(east));
    }

    private static Recording recording(Series north, Series east) {
        return new Recording(
                Sport.RIDE,
                Instant.EPOCH,
                north.size(),
                List.of(),
                Map.of("latitude", north, "longitude", east),
                List.of());
    }

    @Test
    void settingsOfTheLanesAreKeptAsFarAsTheyMakeSense() {
        LaneView view = LaneView.read("{\"order\":[\"power\"],\"hidden\":null,\"heights\":{\"power\":120},"
                + "\"smoothing\":100000,\"axis\":\"nonsense\",\"overlays\":{}}");
        assertThat(view.axis()).isEqualTo("time");
        assertThat(view.smoothing()).isEqualTo(300);
        assertThat(view.hidden()).isEmpty();
        assertThat(LaneView.read(view.write())).isEqualTo(view);
        assertThatThrownBy(() -> LaneView.read("[1")).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> LaneView.read("x".repeat(7000))).hasMessageContaining("too long");
    }
}
