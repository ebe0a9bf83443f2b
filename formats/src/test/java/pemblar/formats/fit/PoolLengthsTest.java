package pemblar.formats.fit;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import pemblar.core.recording.Channel;
import pemblar.core.recording.Recording;
import pemblar.core.recording.Series;
import pemblar.core.sport.Sport;
import pemblar.formats.fit.FitWriter.Field;
import pemblar.formats.fit.FitWriter.Layout;

class PoolLengthsTest {
    private static final Instant START = Instant.parse("2026-03-02T06:45:00Z");

    /** Twice 100 m in a pool of 25 m at 1 m/s with 20 s at the wall between. */
    private static Recording swim() {
        double[] speed = new double[220];
        double[] distance = new double[220];
        double[] strokes = new double[220];
        for (int i = 0; i < 220; i++) {
            boolean swims = i < 100 || i >= 120;
            speed[i] = swims ? 1 : 0;
            distance[i] = (i == 0 ? 0 : distance[i - 1]) + speed[i];
            strokes[i] = swims ? 30 : 0;
        }
        Map<String, Series> channels = new LinkedHashMap<>();
        channels.put("speed", Series.of(speed));
        channels.put("distance", Series.of(distance));
        channels.put("cadence", Series.of(strokes));
        return new Recording(Sport.SWIM, START, 220, List.of(), channels, List.of());
    }

    private static Recording read(byte[] bytes) {
        return FitActivity.read(bytes, Optional.empty()).recording().orElseThrow();
    }

    @Test
    void lengthsBecomeDistanceStrokesAndRest() {
        Recording back = read(FitActivityWriter.write(swim(), 7, 25));
        assertEquals(Sport.SWIM, back.sport());
        assertEquals(200, back.distanceMetres().orElseThrow(), 1e-6);
        assertEquals(1, back.channel(Channel.SPEED).orElseThrow().at(50), 1e-9);
        assertEquals(0, back.channel(Channel.SPEED).orElseThrow().at(110), 1e-9, "at the wall");
        assertEquals(100, back.channel(Channel.DISTANCE).orElseThrow().at(110), 1e-9);
        assertEquals(30, back.channel(Channel.CADENCE).orElseThrow().at(150), 3, "12 or 13 whole strokes in 25 s");
    }

    @Test
    void aFileOfLengthsAloneIsARecordingToo() {
        FitWriter out = new FitWriter();
        long start = Profile.seconds(START);
        out.write(
                Layout.of(Profile.FILE_ID, new Field(0, BaseType.ENUM), new Field(4, BaseType.UINT32)),
                Profile.TYPE_ACTIVITY,
                start);
        Layout length = Layout.of(
                Profile.LENGTH,
                new Field(253, BaseType.UINT32),
                new Field(2, BaseType.UINT32),
                new Field(3, BaseType.UINT32),
                new Field(5, BaseType.UINT16),
                new Field(12, BaseType.ENUM));
        for (int i = 0; i < 4; i++) out.write(length, start + 25 * (i + 1), start + 25 * i, 25_000, 12, 1);
        out.write(length, start + 120, start + 100, 20_000, null, 0);
        out.write(length, start + 150, start + 120, 30_000, 14, 1);
        out.write(
                Layout.of(
                        Profile.SESSION,
                        new Field(253, BaseType.UINT32),
                        new Field(5, BaseType.ENUM),
                        new Field(44, BaseType.UINT16)),
                start + 150,
                5,
                5000);
        Recording back = read(out.finish());
        assertEquals(Sport.SWIM, back.sport());
        assertEquals(250, back.distanceMetres().orElseThrow(), 1e-6, "five lengths of 50 m");
        assertEquals(2, back.channel(Channel.SPEED).orElseThrow().at(10), 1e-9);
        assertEquals(0, back.channel(Channel.SPEED).orElseThrow().at(110), 1e-9);
        assertTrue(back.seconds() >= 150 && back.seconds() <= 151);
    }

    @Test
    void withoutThePoolsLengthNothingIsMadeUp() {
        FitWriter out = new FitWriter();
        long start = Profile.seconds(START);
        out.write(
                Layout.of(Profile.FILE_ID, new Field(0, BaseType.ENUM), new Field(4, BaseType.UINT32)),
                Profile.TYPE_ACTIVITY,
                start);
        Layout length = Layout.of(
                Profile.LENGTH,
                new Field(253, BaseType.UINT32),
                new Field(2, BaseType.UINT32),
                new Field(3, BaseType.UINT32),
                new Field(12, BaseType.ENUM));
        for (int i = 0; i < 4; i++) out.write(length, start + 25 * (i + 1), start + 25 * i, 25_000, 1);
        out.write(
                Layout.of(Profile.SESSION, new Field(253, BaseType.UINT32), new Field(5, BaseType.ENUM)),
                start + 100,
                5);
        assertFalse(read(out.finish()).has(Channel.DISTANCE));
    }

    @Test
    void everySportGoesIntoAFileAndBack() {
        for (Sport sport : Sport.values())
            assertEquals(sport, Profile.sport(Profile.sportNumber(sport), Profile.subSportNumber(sport)), sport.name());
    }
}
