package pemblar.core.effort;

import java.util.List;
import pemblar.core.recording.Series;

/**
 * A stretch of a recording, from..to (exclusive) grid seconds, that does not count as a best effort. Up to three
 * seconds are bridged between their neighbours, so that a spike does not hide the effort around it; more is taken as
 * missing.
 */
public record SetAside(int from, int to) {
    private static final int BRIDGED_SECONDS = 3;

    public SetAside {
        if (from < 0 || to <= from)
            throw new IllegalArgumentException("from must be at least 0 and to after it, were " + from + ", " + to);
    }

    /** The values without the stretches; the given series is not changed. */
    public static Series without(Series values, List<SetAside> stretches) {
        double[] left = new double[values.size()];
        for (int i = 0; i < left.length; i++) left[i] = values.at(i);
        for (SetAside stretch : stretches) {
            int end = Math.min(stretch.to(), left.length);
            for (int i = stretch.from(); i < end; i++) left[i] = stretch.bridged(values, i);
        }
        return Series.of(left);
    }

    private double bridged(Series values, int index) {
        if (to - from > BRIDGED_SECONDS) return Double.NaN;
        double before = from == 0 ? Double.NaN : values.at(from - 1);
        double after = to >= values.size() ? Double.NaN : values.at(to);
        return before + (after - before) * (index - from + 1) / (to - from + 1);
    }

    /** The window of so many seconds with the highest mean; null when every window has a gap. */
    public static SetAside best(Series values, int seconds) {
        double sum = 0;
        double best = Double.NEGATIVE_INFINITY;
        int at = -1;
        int run = 0;
        for (int i = 0; i < values.size(); i++) {
            if (!values.isPresent(i)) {
                sum = 0;
                run = 0;
                continue;
            }
            sum += values.at(i);
            if (++run > seconds) sum -= values.at(i - seconds);
            if (run >= seconds && sum > best) {
                best = sum;
                at = i - seconds + 1;
            }
        }
        return at < 0 ? null : new SetAside(at, at + seconds);
    }
}
