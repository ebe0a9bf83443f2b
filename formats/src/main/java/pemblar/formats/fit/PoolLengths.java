package pemblar.formats.fit;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import pemblar.core.recording.Channel;
import pemblar.core.recording.Grid;
import pemblar.core.recording.Samples;
import pemblar.core.recording.Series;

/**
 * The lengths of a pool that an activity holds, each swum or rested. They say what happened better than the records
 * between: distance grows by one length at a time, speed is a length over its time, cadence is strokes per minute, and
 * rest is a speed of zero.
 */
final class PoolLengths {
    private static final int ACTIVE = 1;
    private static final int MOST = 20_000;
    private final List<Swum> lengths = new ArrayList<>();
    private double poolMetres = Double.NaN;

    /** @param strokesPerMinute NaN when not counted; {@code metresPerSecond} the file's own, NaN when there is none */
    private record Swum(double start, double end, boolean active, double strokesPerMinute, double metresPerSecond) {}

    boolean isEmpty() {
        return lengths.stream().noneMatch(Swum::active);
    }

    /** @param metres NaN is ignored */
    void pool(double metres) {
        if (metres >= 5 && metres <= 200) poolMetres = metres;
    }

    void add(FitMessage m, long origin) {
        double seconds = m.number(3, 1000, 0);
        if (Double.isNaN(seconds)) seconds = m.number(4, 1000, 0);
        long start = m.whole(2);
        if (start < 0 || !(seconds > 0 && seconds < 3600) || lengths.size() >= MOST) return;
        boolean active = m.whole(12) == ACTIVE;
        double strokes = m.number(5);
        double cadence = m.number(9);
        lengths.add(new Swum(
                start - origin,
                start - origin + seconds,
                active,
                Double.isNaN(cadence) ? strokes * 60 / seconds : cadence,
                m.number(6, 1000, 0)));
    }

    /** Gives the clock of the lengths to a file that has no records of its own. */
    void mark(Samples samples) {
        for (Swum length : lengths) {
            if (samples.open(length.start())) samples.put(Channel.SPEED.key(), 0);
            if (samples.open(length.end())) samples.put(Channel.SPEED.key(), 0);
        }
    }

    /**
     * The channels with distance, speed and cadence as the lengths tell them; the seconds between two lengths are rest.
     */
    Map<String, Series> over(Map<String, Series> channels, Grid grid) {
        double[] speed = new double[grid.seconds()];
        double[] distance = new double[grid.seconds()];
        double[] cadence = new double[grid.seconds()];
        Arrays.fill(distance, Double.NaN);
        double metres = 0;
        int done = 0;
        for (Swum length : lengths) {
            int from = Math.max(done, grid.indexAt(length.start()));
            int to = Math.max(from, grid.indexAt(length.end()));
            Arrays.fill(distance, done, from, metres);
            double swum = length.active() ? metresOf(length) : 0;
            for (int i = from; i < to; i++) {
                distance[i] = metres + swum * (i + 1 - from) / (to - from);
                speed[i] = swum / (length.end() - length.start());
                cadence[i] =
                        length.active() && !Double.isNaN(length.strokesPerMinute()) ? length.strokesPerMinute() : 0;
            }
            metres += swum;
            done = to;
        }
        Arrays.fill(distance, done, distance.length, metres);
        Map<String, Series> told = new LinkedHashMap<>(channels);
        told.put(Channel.SPEED.key(), Series.of(speed));
        told.put(Channel.DISTANCE.key(), Series.of(distance));
        if (lengths.stream().anyMatch(l -> l.strokesPerMinute() > 0))
            told.put(Channel.CADENCE.key(), Series.of(cadence));
        return told;
    }

    private double metresOf(Swum length) {
        return Double.isNaN(poolMetres) ? length.metresPerSecond() * (length.end() - length.start()) : poolMetres;
    }

    /** True when what was swum can be told. */
    boolean tellsDistance() {
        return !isEmpty()
                && lengths.stream()
                        .filter(Swum::active)
                        .allMatch(l -> Double.isFinite(metresOf(l)) && metresOf(l) < 1000);
    }
}
