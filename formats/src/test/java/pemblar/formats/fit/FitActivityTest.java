package pemblar.formats.fit;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Instant;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import pemblar.core.recording.Channel;
import pemblar.core.recording.Lap;
import pemblar.core.recording.Pause;
import pemblar.core.recording.Recording;
import pemblar.core.recording.Series;
import pemblar.core.sport.Sport;
import pemblar.formats.Reading;
import pemblar.formats.RecordingFiles;

class FitActivityTest {
    private static final long T = 1_100_000_000L;
    private static final int TIME = 0x86;

    static Recording ride(int seconds) {
        Random random = new Random(3);
        Map<String, double[]> values = new LinkedHashMap<>();
        for (String name : List.of("power", "heartRate", "cadence", "speed", "distance", "altitude"))
            values.put(name, new double[seconds]);
        double metres = 0;
        for (int i = 0; i < seconds; i++) {
            values.get("power")[i] = 180 + random.nextInt(60);
            values.get("heartRate")[i] = i % 50 == 7 ? Double.NaN : 130 + random.nextInt(9);
            values.get("cadence")[i] = 88 + random.nextInt(4);
            values.get("speed")[i] = (8000 + random.nextInt(900)) / 1000.0;
            metres += values.get("speed")[i];
            values.get("distance")[i] = Math.rint(metres * 100) / 100;
            values.get("altitude")[i] = (500 + random.nextInt(200)) / 5.0;
        }
        Map<String, Series> channels = new LinkedHashMap<>();
        values.forEach((name, array) -> channels.put(name, Series.of(array)));
        return new Recording(
                Sport.RIDE,
                Instant.ofEpochSecond(1_750_000_000L),
                seconds,
                List.of(),
                channels,
                List.of(new Lap(0, seconds / 2, 0), new Lap(seconds / 2, seconds, 3)));
    }

    private static Recording read(byte[] bytes) {
        Reading reading = RecordingFiles.read(bytes, Optional.empty());
        return reading.recording()
                .orElseThrow(() -> new AssertionError(reading.problems().toString()));
    }

    @Test
    void whatIsWrittenIsReadBackExactly() {
        Recording ride = ride(400);
        Reading reading = RecordingFiles.read(FitActivityWriter.write(ride, 1), Optional.empty());
        assertEquals(List.of(), reading.problems());
        Recording back = reading.recording().orElseThrow();
        assertEquals(ride.start(), back.start());
        assertEquals(400, back.seconds());
        assertEquals(ride.laps(), back.laps());
        for (String name : List.of("power", "cadence", "speed", "distance", "altitude"))
            assertClose(ride.channels().get(name), back.channels().get(name));
        assertEquals(400, back.channels().get("heartRate").present());
    }

    private static void assertClose(Series expected, Series actual) {
        for (int i = 0; i < expected.size(); i++) assertEquals(expected.at(i), actual.at(i), 1e-9);
    }

    @Test
    void pausesAndRunningChannelsSurviveTheRoundTrip() {
        double[] steps = new double[100];
        Arrays.fill(steps, 172);
        Recording run = new Recording(
                Sport.RUN,
                Instant.ofEpochSecond(1_750_000_000L),
                100,
                List.of(new Pause(40, 300)),
                Map.of(
                        "cadence",
                        Series.of(steps),
                        "stepLength",
                        Series.of(new double[100]).slice(0, 100)),
                List.of());
        Recording back = read(FitActivityWriter.write(run, 1));
        assertEquals(Sport.RUN, back.sport());
        assertEquals(List.of(new Pause(40, 300)), back.pauses());
        assertEquals(172, back.channel(Channel.CADENCE).orElseThrow().mean(), 1e-9);
        assertEquals(400, back.elapsedSeconds(), 1e-9);
    }

    @ParameterizedTest
    @ValueSource(booleans = {true, false})
    void bothByteOrdersAndEveryWidthAreRead(boolean bigEndian) {
        FitFiles file = new FitFiles()
                .define(
                        0, 20, bigEndian, 253, 4, TIME, 7, 2, 0x84, 3, 1, 2, 73, 4, TIME, 13, 1, 1, 39, 2, 0x84, 41, 8,
                        0x8F, 85, 4, 0x88);
        for (int i = 0; i < 5; i++)
            file.header(0)
                    .number(T + i, 4, bigEndian)
                    .number(300 + i, 2, bigEndian)
                    .number(150, 1, bigEndian)
                    .number(8500, 4, bigEndian)
                    .number(-4, 1, bigEndian)
                    .number(800, 2, bigEndian)
                    .number(2300, 8, bigEndian)
                    .number(Float.floatToIntBits(12_000f), 4, bigEndian);
        Recording back = read(file.file());
        assertEquals(302, back.channels().get("power").at(2));
        assertEquals(8.5, back.channels().get("speed").at(2), 1e-9);
        assertEquals(-4, back.channels().get("temperature").at(0));
        assertEquals(0.08, back.channels().get("verticalOscillation").at(0), 1e-9);
        assertEquals(0.23, back.channels().get("groundContactTime").at(0), 1e-9);
        assertEquals(1.2, back.channels().get("stepLength").at(0), 1e-9);
    }

    @Test
    void compressedTimestampsCountOnAndRollOver() {
        FitFiles file =
                new FitFiles().define(0, 20, false, 253, 4, TIME, 7, 2, 0x84).define(1, 20, false, 7, 2, 0x84);
        file.header(0).number(T, 4, false).number(100, 2, false);
        for (int i = 1; i <= 70; i++)
            file.header(0x80 | 1 << 5 | (int) ((T + i) & 0x1F)).number(100 + i, 2, false);
        Recording back = read(file.file());
        assertEquals(71, back.seconds());
        assertEquals(170, back.channels().get("power").at(70));
    }

    @Test
    void developerFieldsBecomeChannelsUnderTheirNames() {
        FitFiles file = new FitFiles().define(0, 206, false, 0, 1, 2, 1, 1, 2, 2, 1, 2, 3, 12, 7, 6, 1, 2);
        file.header(0)
                .number(0, 1, false)
                .number(4, 1, false)
                .number(0x84, 1, false)
                .text("Core temp", 12)
                .number(100, 1, false);
        file.header(0)
                .number(0, 1, false)
                .number(5, 1, false)
                .number(0x84, 1, false)
                .text("Power", 12)
                .number(1, 1, false);
        file.defineWithDeveloper(1, 20, new int[] {253, 4, TIME, 7, 2, 0x84}, 4, 2, 0, 5, 2, 0);
        for (int i = 0; i < 3; i++)
            file.header(1)
                    .number(T + i, 4, false)
                    .number(200, 2, false)
                    .number(3720, 2, false)
                    .number(210, 2, false);
        Recording back = read(file.file());
        assertEquals(37.2, back.channels().get("Core temp").at(1), 1e-9);
        assertEquals(210, back.channels().get("Power 5").at(1), 1e-9);
        assertEquals(200, back.channels().get("power").at(1), 1e-9);
    }

    @Test
    void chainedFilesAreOneRecordingWithAPauseBetween() {
        Recording ride = ride(60);
        byte[] first = FitActivityWriter.write(ride, 1);
        Recording later =
                new Recording(Sport.RIDE, ride.start().plusSeconds(600), 60, List.of(), ride.channels(), List.of());
        Recording back = read(FitActivityWriter.chain(List.of(first, FitActivityWriter.write(later, 1))));
        assertEquals(120, back.seconds());
        assertEquals(List.of(new Pause(60, 540)), back.pauses());
    }

    @Test
    void aFileCutAtAnyByteIsReadUpToThereOrRefusedWithAReason() {
        byte[] whole = FitActivityWriter.write(ride(40), 1);
        int before = 0;
        for (int length = 1; length < whole.length; length++) {
            Reading reading = RecordingFiles.read(Arrays.copyOf(whole, length), Optional.empty());
            assertTrue(reading.isDamaged(), "cut at " + length);
            int seconds = reading.recording().map(Recording::seconds).orElse(0);
            assertTrue(seconds >= before && seconds <= 40, "cut at " + length);
            before = seconds;
        }
        assertEquals(40, before);
    }

    @Test
    void anyFlippedByteIsNoticedAndNeverFails() {
        byte[] whole = FitActivityWriter.write(ride(12), 1);
        for (int at = 0; at < whole.length; at++) {
            byte[] damaged = whole.clone();
            damaged[at] ^= 0x5A;
            assertTrue(
                    RecordingFiles.read(damaged, Optional.empty()).isDamaged() || at == 1 || at == 2 || at == 3,
                    "byte " + at);
        }
    }

    @Test
    void noiseIsAnsweredNotThrown() {
        Random random = new Random(5);
        byte[] head = Arrays.copyOf(FitActivityWriter.write(ride(5), 1), 14);
        for (int round = 0; round < 2000; round++) {
            byte[] noise = new byte[200 + random.nextInt(300)];
            random.nextBytes(noise);
            System.arraycopy(head, 0, noise, 0, 14);
            assertTrue(RecordingFiles.read(noise, Optional.empty()).isDamaged());
        }
    }

    @Test
    void hostileSizesTakeNoMemory() {
        byte[] file = FitActivityWriter.write(ride(5), 1);
        for (int i = 4; i < 8; i++) file[i] = (byte) 0xFF;
        assertEquals(
                5,
                RecordingFiles.read(file, Optional.empty())
                        .recording()
                        .orElseThrow()
                        .seconds());
        FitFiles years = new FitFiles().define(0, 20, false, 253, 4, TIME, 7, 2, 0x84);
        years.header(0)
                .number(T, 4, false)
                .number(100, 2, false)
                .header(0)
                .number(T + 1, 4, false)
                .number(100, 2, false)
                .header(0)
                .number(T + 900_000_000L, 4, false)
                .number(100, 2, false);
        Reading reading = RecordingFiles.read(years.file(), Optional.empty());
        assertEquals(2, reading.recording().orElseThrow().seconds());
        assertTrue(reading.problems().toString().contains("clock"));
    }

    @Test
    void recordsThatGoBackInTimeAreLeftOutAndSaid() {
        FitFiles file = new FitFiles().define(0, 20, false, 253, 4, TIME, 7, 2, 0x84);
        for (long t : new long[] {0, 1, 2, 1, 3})
            file.header(0).number(T + t, 4, false).number(100 + t, 2, false);
        Reading reading = RecordingFiles.read(file.file(), Optional.empty());
        assertEquals(4, reading.recording().orElseThrow().seconds());
        assertTrue(reading.problems().get(0).toString().contains("back in time"));
    }

    @Test
    void anActivityWithoutRecordsAndOtherFilesAreRefused() {
        byte[] empty = new FitFiles()
                .define(0, 0, false, 0, 1, 0)
                .header(0)
                .number(4, 1, false)
                .file();
        assertTrue(RecordingFiles.read(empty, Optional.empty()).recording().isEmpty());
        assertFalse(RecordingFiles.read("hello".getBytes(), Optional.empty())
                .problems()
                .isEmpty());
        assertTrue(RecordingFiles.read(new byte[0], Optional.empty())
                .problems()
                .get(0)
                .text()
                .contains("empty"));
    }
}
