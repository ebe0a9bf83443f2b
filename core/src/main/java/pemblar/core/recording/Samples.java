package pemblar.core.recording;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Irregular samples as a device wrote them, on their way to the grid. Times are clock seconds since an origin of the
 * caller's choice and must not fall from one sample to the next; a sample at the time of the one before adds to it.
 */
public final class Samples {
    private double[] seconds = new double[1024];
    private int count;
    private final Map<String, double[]> channels = new LinkedHashMap<>();

    /** Opens a sample; false, and nothing opened, when the time is before the sample before. */
    public boolean open(double clockSeconds) {
        if (count > 0 && !(clockSeconds >= seconds[count - 1])) return false;
        if (count > 0 && clockSeconds == seconds[count - 1]) return true;
        if (count == seconds.length) grow();
        seconds[count++] = clockSeconds;
        return true;
    }

    /** Sets a channel of the open sample; a NaN is ignored. */
    public void put(String channel, double value) {
        if (Double.isNaN(value)) return;
        column(channel)[count - 1] = value;
    }

    /** The value of the open sample, NaN when it has none. */
    public double get(String channel) {
        double[] column = channels.get(channel);
        return column == null ? Double.NaN : column[count - 1];
    }

    public int count() {
        return count;
    }

    public double secondsAt(int index) {
        return seconds[index];
    }

    /** Names of the channels that have at least one value, in the order of their first appearance. */
    public List<String> channelNames() {
        return new ArrayList<>(channels.keySet());
    }

    public double valueAt(String channel, int index) {
        return channels.get(channel)[index];
    }

    /** Multiplies every value of a channel, as when single-leg cadence becomes steps. */
    public void multiply(String channel, double factor) {
        double[] column = channels.get(channel);
        if (column != null) for (int i = 0; i < count; i++) column[i] *= factor;
    }

    private double[] column(String channel) {
        double[] column = channels.get(channel);
        if (column == null) {
            column = new double[seconds.length];
            Arrays.fill(column, Double.NaN);
            channels.put(channel, column);
        }
        return column;
    }

    private void grow() {
        int length = seconds.length * 2;
        seconds = Arrays.copyOf(seconds, length);
        channels.replaceAll((name, column) -> {
            double[] longer = Arrays.copyOf(column, length);
            Arrays.fill(longer, column.length, length, Double.NaN);
            return longer;
        });
    }
}
