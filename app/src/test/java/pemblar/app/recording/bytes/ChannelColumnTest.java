package pemblar.app.recording.bytes;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import pemblar.core.recording.Lap;
import pemblar.core.recording.Pause;
import pemblar.core.recording.Recording;
import pemblar.core.recording.Series;
import pemblar.core.sport.Sport;

@Tag("unit")
class ChannelColumnTest {
    @Test
    void whatADeviceWroteComesBackExactlyWithItsGapsPausesAndLaps() {
        Random random = new Random(1);
        int seconds = 5000;
        double[] power = new double[seconds];
        double[] speed = new double[seconds];
        double[] latitude = new double[seconds];
        for (int i = 0; i < seconds; i++) {
            power[i] = i % 97 == 0 ? Double.NaN : random.nextInt(900);
            speed[i] = random.nextInt(15_000) / 1000.0;
            latitude[i] = (500_000_000 + random.nextInt(1_000_000)) / 1e7;
        }
        Map<String, Series> channels = new LinkedHashMap<>();
        channels.put("power", Series.of(power));
        channels.put("speed", Series.of(speed));
        channels.put("latitude", Series.of(latitude));
        Recording recording = new Recording(
                Sport.RUN,
                Instant.ofEpochMilli(1_750_000_000_123L),
                seconds,
                List.of(new Pause(70, 12.5)),
                channels,
                List.of(new Lap(0, 10, 3), new Lap(10, 5000, Lap.NO_STEP)));
        byte[] column = ChannelColumn.write(recording);
        Recording back = ChannelColumn.read(column);
        assertEquals(recording, back);
        assertTrue(column.length < seconds * 10);
    }
}
