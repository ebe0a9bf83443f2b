package pemblar.core.recording;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Lays irregular samples on the 1 Hz grid of timer seconds. Between two neighbouring values of one channel at most
 * {@link #BRIDGED_SECONDS} apart the seconds are interpolated linearly; over a longer stretch they are missing. Samples
 * taken while the timer stood still are left out and counted.
 */
public final class Grid {
    /** Longest distance, s, between neighbours that is interpolated. */
    public static final double BRIDGED_SECONDS = 10;

    /**
     * Clock seconds during which the timer ran, from start up to stop; a sample at stop itself is a second of its own.
     */
    public record Running(double start, double stop) {
        public Running {
            if (!(stop >= start))
                throw new IllegalArgumentException("stop must not be before start, was " + start + ".." + stop);
        }
    }

    private final Samples samples;
    private final List<Running> running;
    private final int[] firstIndex;
    private final double[] timer;
    private final int seconds;
    private final int leftOut;

    /**
     * @param running in order, not overlapping; at least one
     * @throws IllegalArgumentException when the grid would be empty or over {@link Recording#MAX_SECONDS}
     */
    public Grid(Samples samples, List<Running> running) {
        this.samples = samples;
        this.running = List.copyOf(running);
        this.firstIndex = new int[running.size() + 1];
        this.timer = new double[samples.count()];
        long total = 0;
        int sample = 0;
        int dropped = 0;
        for (int k = 0; k < running.size(); k++) {
            Running span = running.get(k);
            firstIndex[k] = (int) total;
            boolean lastIsSample = false;
            for (; sample < samples.count() && samples.secondsAt(sample) <= span.stop(); sample++) {
                double offset = samples.secondsAt(sample) - span.start();
                timer[sample] = offset < 0 ? Double.NaN : total + offset;
                if (offset < 0) dropped++;
                lastIsSample = samples.secondsAt(sample) == span.stop();
            }
            total += wholeSeconds(span, lastIsSample);
            if (total > Recording.MAX_SECONDS)
                throw new IllegalArgumentException(
                        "recording must be at most " + Recording.MAX_SECONDS + " s long, is at least " + total + " s");
        }
        for (int i = sample; i < timer.length; i++) timer[i] = Double.NaN;
        leftOut = dropped + timer.length - sample;
        firstIndex[running.size()] = (int) total;
        seconds = (int) total;
        if (seconds == 0) throw new IllegalArgumentException("recording must have at least one second, has none");
    }

    private static long wholeSeconds(Running span, boolean lastIsSample) {
        double length = span.stop() - span.start();
        return lastIsSample ? (long) Math.floor(length) + 1 : (long) Math.ceil(length);
    }

    public int seconds() {
        return seconds;
    }

    /** Number of samples that fell outside the running timer. */
    public int leftOut() {
        return leftOut;
    }

    /** Clock seconds of the first grid point, on the samples' own origin. */
    public double startSeconds() {
        return running.get(0).start();
    }

    /**
     * The grid second at a clock time; within a pause, the first one after it; past the end, the length of the grid.
     */
    public int indexAt(double clockSeconds) {
        for (int k = 0; k < running.size(); k++) {
            if (clockSeconds < running.get(k).start()) return firstIndex[k];
            int index = firstIndex[k]
                    + (int) Math.round(clockSeconds - running.get(k).start());
            if (index < firstIndex[k + 1]) return index;
        }
        return seconds;
    }

    public List<Pause> pauses() {
        List<Pause> pauses = new ArrayList<>();
        double clock = running.get(0).start();
        for (int k = 0; k < running.size(); k++) {
            double stood = running.get(k).start() - clock;
            if (stood > 0.5 && firstIndex[k] < seconds) pauses.add(new Pause(firstIndex[k], stood));
            clock = running.get(k).start() + firstIndex[k + 1] - firstIndex[k];
        }
        return pauses;
    }

    /** All channels with at least one value on the grid. */
    public Map<String, Series> channels() {
        Map<String, Series> channels = new LinkedHashMap<>();
        for (String name : samples.channelNames()) {
            Series series = Series.of(laid(name));
            if (series.present() > 0) channels.put(name, series);
        }
        return channels;
    }

    private double[] laid(String name) {
        double[] grid = new double[seconds];
        Arrays.fill(grid, Double.NaN);
        double[] values = samples.values(name);
        double before = Double.NaN;
        double valueBefore = Double.NaN;
        for (int i = 0; i < timer.length; i++) {
            double value = values[i];
            if (Double.isNaN(value) || Double.isNaN(timer[i])) continue;
            if (timer[i] == Math.rint(timer[i]) && timer[i] < seconds) grid[(int) timer[i]] = value;
            if (timer[i] - before <= BRIDGED_SECONDS) bridge(grid, before, valueBefore, timer[i], value);
            before = timer[i];
            valueBefore = value;
        }
        return grid;
    }

    private static void bridge(double[] grid, double from, double valueFrom, double to, double valueTo) {
        for (int i = (int) Math.floor(from) + 1; i < to && i < grid.length; i++)
            grid[i] = valueFrom + (valueTo - valueFrom) * (i - from) / (to - from);
    }
}
