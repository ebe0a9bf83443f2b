package pemblar.core.mending;

import java.util.Optional;
import pemblar.core.recording.Pause;
import pemblar.core.recording.Recording;
import pemblar.core.recording.Series;

/** Brings a channel of another recording of the same outing to a recording's grid, by clock time. */
public final class Replacing {
    private static final double NEAR_SECONDS = 1;

    private Replacing() {}

    /**
     * Values of {@code other} at the clock time of each grid second; missing where it was not running.
     *
     * @param shiftSeconds how far the other device's clock is behind this one's, s
     * @return empty when the other has no such channel, or not one value at the same time
     */
    public static Optional<Series> series(Recording original, Recording other, String channel, double shiftSeconds) {
        Series theirs = other.channels().get(channel);
        if (theirs == null) return Optional.empty();
        double[] values = new double[original.seconds()];
        double ahead = (original.start().toEpochMilli() - other.start().toEpochMilli()) / 1000.0 - shiftSeconds;
        Clock mine = new Clock(original);
        Clock clock = new Clock(other);
        for (int i = 0; i < values.length; i++) {
            double wanted = mine.at(i) + ahead;
            while (clock.index + 1 < other.seconds() && clock.at(clock.index + 1) <= wanted + 0.5) clock.index++;
            values[i] = Math.abs(clock.at(clock.index) - wanted) <= NEAR_SECONDS ? theirs.at(clock.index) : Double.NaN;
        }
        Series found = Series.of(values);
        return found.present() == 0 ? Optional.empty() : Optional.of(found);
    }

    /** Clock seconds of grid seconds asked for in rising order, or one after the last: each pause is passed once. */
    private static final class Clock {
        private final double[] paused;
        private int index;

        Clock(Recording recording) {
            paused = new double[recording.seconds() + 1];
            for (Pause pause : recording.pauses())
                if (pause.index() < paused.length) paused[pause.index()] += pause.seconds();
            for (int i = 1; i < paused.length; i++) paused[i] += paused[i - 1];
        }

        double at(int second) {
            return second + paused[second];
        }
    }
}
