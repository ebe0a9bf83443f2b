package pemblar.core.recording;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * Irregular samples as a device wrote them, on their way to the grid. Times are clock seconds since an origin of the
 * caller's choice and must not fall from one sample to the next; a sample at the time of the one before adds to it.
 */
public final class Samples {
    private double[] seconds = new double[1024];
    private int count;
    private final Map<String, Column> columns = new HashMap<>();
    /** Those that have a value, in the order of their first. */
    private final List<Column> filled = new ArrayList<>();

    /** One channel of all samples: a reader asks for it once and puts a value of every record. */
    public final class Column {
        private final String name;
        private double[] values;

        private Column(String name) {
            this.name = name;
        }

        /** Sets the channel of the open sample; a NaN is ignored. */
        public void put(double value) {
            if (Double.isNaN(value)) return;
            if (values == null) {
                values = new double[seconds.length];
                Arrays.fill(values, Double.NaN);
                filled.add(this);
            }
            values[count - 1] = value;
        }

        private void grow(int length) {
            int before = values.length;
            values = Arrays.copyOf(values, length);
            Arrays.fill(values, before, length, Double.NaN);
        }
    }

    /** Opens a sample; false, and nothing opened, when the time is before the sample before. */
    public boolean open(double clockSeconds) {
        if (count > 0 && !(clockSeconds >= seconds[count - 1])) return false;
        if (count > 0 && clockSeconds == seconds[count - 1]) return true;
        if (count == seconds.length) grow();
        seconds[count++] = clockSeconds;
        return true;
    }

    public Column column(String channel) {
        return columns.computeIfAbsent(channel, Column::new);
    }

    /** Sets a channel of the open sample; a NaN is ignored. */
    public void put(String channel, double value) {
        if (!Double.isNaN(value)) column(channel).put(value);
    }

    /** The value of the open sample, NaN when it has none. */
    public double get(String channel) {
        Column column = columns.get(channel);
        return column == null || column.values == null ? Double.NaN : column.values[count - 1];
    }

    public int count() {
        return count;
    }

    public double secondsAt(int index) {
        return seconds[index];
    }

    /** Names of the channels that have at least one value, in the order of their first appearance. */
    public List<String> channelNames() {
        return filled.stream().map(column -> column.name).toList();
    }

    public double valueAt(String channel, int index) {
        return columns.get(channel).values[index];
    }

    /** The values of a channel that has one, by sample, at least as many as there are samples; not a copy. */
    double[] values(String channel) {
        return columns.get(channel).values;
    }

    /** Multiplies every value of a channel, as when single-leg cadence becomes steps. */
    public void multiply(String channel, double factor) {
        Column column = columns.get(channel);
        if (column != null && column.values != null) for (int i = 0; i < count; i++) column.values[i] *= factor;
    }

    private void grow() {
        seconds = Arrays.copyOf(seconds, seconds.length * 2);
        for (Column column : filled) column.grow(seconds.length);
    }
}
