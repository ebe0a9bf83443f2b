package pemblar.benchunit;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import pemblar.core.recording.Channel;
import pemblar.core.recording.Lap;
import pemblar.core.recording.Pause;
import pemblar.core.recording.Recording;
import pemblar.core.recording.Series;
import pemblar.core.sport.Sport;

/** What a device has written down so far, one sample a timer second. */
final class Track {
    private static final int FIRST_CAPACITY = 4096;
    private final Map<Channel, double[]> columns = new LinkedHashMap<>();
    private final List<Lap> laps = new ArrayList<>();
    private final List<Pause> pauses = new ArrayList<>();
    private int seconds;

    int seconds() {
        return seconds;
    }

    void sample(SimulatedAthlete.Sensed s) {
        put(Channel.POWER, s.watts());
        put(Channel.HEART_RATE, s.bpm());
        put(Channel.CADENCE, s.cadence());
        put(Channel.SPEED, s.speed());
        put(Channel.DISTANCE, s.metres());
        put(Channel.ALTITUDE, s.altitude());
        put(Channel.STEP_LENGTH, s.stepLength());
        put(Channel.GROUND_CONTACT_TIME, s.contactSeconds());
        put(Channel.VERTICAL_OSCILLATION, s.oscillationMetres());
        seconds++;
    }

    private void put(Channel channel, double value) {
        double[] column = columns.computeIfAbsent(channel, c -> {
            double[] fresh = new double[FIRST_CAPACITY];
            Arrays.fill(fresh, Double.NaN);
            return fresh;
        });
        if (seconds == column.length) {
            column = Arrays.copyOf(column, 2 * seconds);
            Arrays.fill(column, seconds, column.length, Double.NaN);
            columns.put(channel, column);
        }
        column[seconds] = value;
    }

    /** Ends a lap that began at a second; an empty one is not kept. */
    void lap(int from, int stepIndex) {
        if (seconds > from) laps.add(new Lap(from, seconds, stepIndex));
    }

    void pause(double clockSeconds) {
        if (clockSeconds > 0 && seconds > 0) pauses.add(new Pause(seconds, clockSeconds));
    }

    int lastLapEnd() {
        return laps.isEmpty() ? 0 : laps.get(laps.size() - 1).to();
    }

    /** Repeats one value over a stretch of heart rate, or blanks it with NaN. */
    void fillHeartRate(int from, int to, double value) {
        double[] bpm = columns.get(Channel.HEART_RATE);
        Arrays.fill(bpm, from, Math.min(seconds, to), value);
    }

    double heartRateAt(int second) {
        return columns.get(Channel.HEART_RATE)[second];
    }

    /** Mean of the last present samples of a channel; NaN without any. */
    double latest(Channel channel, int over) {
        double[] column = columns.get(channel);
        double sum = 0;
        int count = 0;
        for (int i = Math.max(0, seconds - over); column != null && i < seconds; i++)
            if (!Double.isNaN(column[i])) {
                sum += column[i];
                count++;
            }
        return count == 0 ? Double.NaN : sum / count;
    }

    /** @throws IllegalArgumentException when nothing was recorded */
    Recording recording(Sport sport, Instant start) {
        if (seconds == 0) throw new IllegalArgumentException("the workout was over before it began");
        Map<String, Series> channels = new LinkedHashMap<>();
        columns.forEach((channel, values) -> {
            Series series = Series.of(Arrays.copyOf(values, seconds));
            if (series.present() > 0) channels.put(channel.key(), series);
        });
        return new Recording(
                sport,
                start,
                seconds,
                pauses.stream().filter(p -> p.index() < seconds).toList(),
                channels,
                laps);
    }
}
