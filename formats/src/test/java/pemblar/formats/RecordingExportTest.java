package pemblar.formats;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import org.junit.jupiter.api.Test;
import pemblar.core.recording.Channel;
import pemblar.core.recording.Lap;
import pemblar.core.recording.Pause;
import pemblar.core.recording.Recording;
import pemblar.core.recording.Series;
import pemblar.core.sport.Sport;
import pemblar.formats.csv.ChannelsCsv;
import pemblar.formats.gpx.GpxTrack;
import pemblar.formats.json.RecordingJson;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** What is handed out, read back by a reader that is not its writer. */
class RecordingExportTest {
    private static final Instant START = Instant.parse("2026-05-01T08:00:00Z");

    private static Recording recording() {
        double[] watts = new double[60];
        double[] latitude = new double[60];
        double[] longitude = new double[60];
        for (int i = 0; i < 60; i++) {
            watts[i] = i == 7 ? Double.NaN : 200.5 + i;
            latitude[i] = 50 + i * 0.00005;
            longitude[i] = 7;
        }
        Map<String, Series> channels = new LinkedHashMap<>();
        channels.put("power", Series.of(watts));
        channels.put("latitude", Series.of(latitude));
        channels.put("longitude", Series.of(longitude));
        channels.put("=own field", Series.of(watts));
        return new Recording(
                Sport.RIDE,
                START,
                60,
                List.of(new Pause(30, 100)),
                channels,
                List.of(new Lap(0, 30, 2), new Lap(30, 60, Lap.NO_STEP)));
    }

    @Test
    void csvHasARowForEachSecondWithClockTimeOverThePauseAndGapsEmpty() throws IOException {
        StringBuilder text = new StringBuilder();
        ChannelsCsv.write(recording(), text);
        List<CSVRecord> rows = CSVFormat.RFC4180
                .parse(new java.io.StringReader(text.toString()))
                .getRecords();
        assertThat(rows).hasSize(61);
        assertThat(rows.get(0).values())
                .containsExactly("second", "time", "power [W]", "latitude [°]", "longitude [°]", "'=own field");
        assertThat(rows.get(1).get(2)).isEqualTo("200.5");
        assertThat(rows.get(8).get(2)).isEmpty();
        assertThat(rows.get(31).get(1)).isEqualTo("2026-05-01T08:02:10Z");
    }

    @Test
    void gpxIsReadBackWithItsPauseAsASecondSegment() throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        assertThat(GpxTrack.write(recording(), "Round <the> lake", out)).isTrue();
        Recording back = RecordingFiles.read(out.toByteArray(), Optional.of(Sport.RIDE))
                .recording()
                .orElseThrow();
        assertThat(back.start()).isEqualTo(START);
        assertThat(back.channel(Channel.LATITUDE).orElseThrow().at(5)).isEqualTo(50.00025);
        assertThat(back.elapsedSeconds()).isEqualTo(160);
        Recording indoors = new Recording(
                Sport.RIDE,
                START,
                60,
                List.of(),
                Map.of("power", recording().channels().get("power")),
                List.of());
        assertThat(GpxTrack.write(indoors, "x", out)).isFalse();
    }

    @Test
    void jsonHasEveryChannelWithItsUnitAndGapsAreNull() {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try {
            RecordingJson.write(recording(), out);
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
        JsonNode root = JsonMapper.shared().readTree(out.toString(StandardCharsets.UTF_8));
        assertThat(root.get("seconds").asInt()).isEqualTo(60);
        assertThat(root.get("pauses").get(0).get("second").asInt()).isEqualTo(30);
        assertThat(root.get("laps").get(0).get("step").asInt()).isEqualTo(2);
        assertThat(root.get("laps").get(1).has("step")).isFalse();
        JsonNode power = root.get("channels").get(0);
        assertThat(power.get("unit").asString()).isEqualTo("W");
        assertThat(power.get("values").size()).isEqualTo(60);
        assertThat(power.get("values").get(7).isNull()).isTrue();
        assertThat(power.get("values").get(8).asDouble()).isEqualTo(208.5);
    }
}
