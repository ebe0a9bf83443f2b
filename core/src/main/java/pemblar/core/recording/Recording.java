package pemblar.core.recording;

import java.time.Instant;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import pemblar.core.sport.Sport;

/**
 * One outing on a 1 Hz grid of timer seconds: N grid points are N seconds.
 *
 * @param start clock time of the first grid point
 * @param seconds number of grid points, which is the timer time in s
 * @param pauses in the order of their index
 * @param channels by key, each of length {@code seconds}; a channel without any value is left out
 * @param laps in order, not overlapping
 */
public record Recording(
        Sport sport, Instant start, int seconds, List<Pause> pauses, Map<String, Series> channels, List<Lap> laps) {
    /** Ten days: longer than any outing, short enough for memory. */
    public static final int MAX_SECONDS = 10 * 86_400;

    private static final Map<Channel, Double> MOST =
            Map.of(Channel.POWER, 3000.0, Channel.HEART_RATE, 250.0, Channel.SPEED, 40.0);

    public Recording {
        Objects.requireNonNull(sport, "sport");
        Objects.requireNonNull(start, "start");
        if (seconds < 1 || seconds > MAX_SECONDS)
            throw new IllegalArgumentException("seconds must be in 1.." + MAX_SECONDS + ", was " + seconds);
        pauses = List.copyOf(pauses);
        laps = List.copyOf(laps);
        channels = Collections.unmodifiableMap(new LinkedHashMap<>(channels));
        for (var entry : channels.entrySet())
            if (entry.getValue().size() != seconds)
                throw new IllegalArgumentException("channel " + entry.getKey() + " must have " + seconds
                        + " values, has " + entry.getValue().size());
    }

    public Optional<Series> channel(Channel channel) {
        return Optional.ofNullable(channels.get(channel.key()));
    }

    public boolean has(Channel channel) {
        return channels.containsKey(channel.key());
    }

    /** Clock seconds from the start to a grid point; {@code index == seconds} gives the end of the last one. */
    public double clockSecondsAt(int index) {
        double paused = 0;
        for (Pause pause : pauses) if (pause.index() <= index) paused += pause.seconds();
        return index + paused;
    }

    /** Clock time from the first second to the end of the last, s, pauses included. */
    public double elapsedSeconds() {
        return clockSecondsAt(seconds);
    }

    public Instant end() {
        return start.plusMillis(Math.round(elapsedSeconds() * 1000));
    }

    /** Distance covered, m: the last value of the distance channel. Empty without one. */
    public Optional<Double> distanceMetres() {
        return channel(Channel.DISTANCE).map(distance -> distance.lastBefore(seconds));
    }

    /**
     * The same with samples that no person can reach as missing: power over 3000 W, heart rate over 250, speed over 40
     * m/s (in water over 3 m/s: a device left on for the drive home), and below zero. They stay in what is stored, and
     * are proposed for mending.
     */
    public Recording sound() {
        Map<String, Series> sound = new LinkedHashMap<>(channels);
        for (var limit : MOST.entrySet())
            channel(limit.getKey())
                    .ifPresent(series -> sound.put(limit.getKey().key(), sound(series, most(limit.getKey()))));
        return new Recording(sport, start, seconds, pauses, sound, laps);
    }

    private double most(Channel channel) {
        return channel == Channel.SPEED
                ? Math.min(MOST.get(channel), sport.fastestMetresPerSecond())
                : MOST.get(channel);
    }

    private static Series sound(Series series, double most) {
        boolean sound = true;
        for (int i = 0; i < series.size() && sound; i++) sound = !(series.at(i) > most || series.at(i) < 0);
        if (sound) return series;
        double[] values = new double[series.size()];
        for (int i = 0; i < values.length; i++)
            values[i] = series.at(i) > most || series.at(i) < 0 ? Double.NaN : series.at(i);
        return Series.of(values);
    }

    /** True when a sample is beyond what any person can reach. */
    public static boolean isImpossible(Channel channel, double value) {
        Double most = MOST.get(channel);
        return most != null && (value > most || value < 0);
    }

    /** The same recording under another sport. */
    public Recording as(Sport other) {
        return new Recording(other, start, seconds, pauses, channels, laps);
    }
}
