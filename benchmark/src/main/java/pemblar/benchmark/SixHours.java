package pemblar.benchmark;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import pemblar.core.recording.Recording;
import pemblar.core.recording.Series;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Quantity;
import pemblar.core.threshold.Thresholds;
import pemblar.formats.fit.FitActivityWriter;

/** The file that the benchmarks read: six hours at 1 Hz with a time and eight fields. {@code main} writes it. */
public final class SixHours {
    static final int SECONDS = 6 * 3600;
    static final Thresholds VALUES = Thresholds.NONE
            .with(Quantity.THRESHOLD_POWER, 250)
            .with(Quantity.CRITICAL_POWER, 258)
            .with(Quantity.W_PRIME, 19_000)
            .with(Quantity.THRESHOLD_HEART_RATE, 168)
            .with(Quantity.MAXIMUM_HEART_RATE, 186)
            .with(Quantity.RESTING_HEART_RATE, 48);

    private SixHours() {}

    static byte[] file() {
        return file(SECONDS, Instant.ofEpochSecond(1_750_000_000L), 6);
    }

    /** A ride of so long, of the same kind. */
    static byte[] file(int seconds, Instant start, long seed) {
        Random random = new Random(seed);
        String[] names = {"power", "heartRate", "cadence", "speed", "distance", "altitude", "latitude", "longitude"};
        double[][] columns = new double[names.length][seconds];
        double watts = 180;
        double metres = 0;
        for (int i = 0; i < seconds; i++) {
            watts = Math.max(0, Math.min(900, watts + random.nextGaussian() * 25 + (190 - watts) * 0.05));
            double speed = 7 + watts / 90;
            metres += speed;
            double[] row = {
                Math.rint(watts),
                Math.rint(110 + watts / 6),
                Math.rint(84 + random.nextGaussian() * 4),
                speed,
                metres,
                300 + 80 * Math.sin(metres / 3000),
                50 + metres / 9e6,
                7 + metres / 2e7
            };
            for (int c = 0; c < names.length; c++) columns[c][i] = row[c];
        }
        Map<String, Series> channels = new LinkedHashMap<>();
        for (int c = 0; c < names.length; c++) channels.put(names[c], Series.of(columns[c]));
        return FitActivityWriter.write(new Recording(Sport.RIDE, start, seconds, List.of(), channels, List.of()), 1);
    }

    public static void main(String[] arguments) throws IOException {
        Files.write(Path.of(arguments[0]), file());
    }
}
