package pemblar.core.recording;

import java.time.Instant;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import pemblar.core.Sport;

/**
 * One outing on a 1 Hz grid of timer seconds: N grid points are N seconds.
 * @param start    clock time of the first grid point
 * @param seconds  number of grid points, which is the timer time in s
 * @param pauses   in the order of their index
 * @param channels by key, each of length {@code seconds}; a channel without any value is left out
 * @param laps     in order, not overlapping
 */
public record Recording(Sport sport, Instant start, int seconds, List<Pause> pauses, Map<String, Series> channels, List<Lap> laps) {
    /** Ten days: longer than any outing, short enough for memory. */
    public static final int MAX_SECONDS = 10 * 86_400;

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
                throw new IllegalArgumentException("channel " + entry.getKey() + " must have " + seconds + " values, has " + entry.getValue().size());
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

    /** The same recording under another sport. */
    public Recording as(Sport other) {
        return new Recording(other, start, seconds, pauses, channels, laps);
    }
}
