package pemblar.core.mending;

import java.util.Objects;
import pemblar.core.recording.Series;

/** One correction of a recording. All seconds are grid seconds of the original, [from, to). */
public sealed interface Edit {
    int from();

    int to();

    /** Changes a channel's values in place; an edit of another channel leaves them. */
    void applyTo(String channel, double[] values);

    /** Only the seconds in between are kept. */
    record Trim(int from, int to) implements Edit {
        public Trim {
            check(from, to);
        }

        @Override
        public void applyTo(String channel, double[] values) {
            // The grid is cut when all channels are done: see Mending.
        }
    }

    /** The values become missing. */
    record Hide(String channel, int from, int to) implements Edit {
        public Hide {
            Objects.requireNonNull(channel, "channel");
            check(from, to);
        }

        @Override
        public void applyTo(String key, double[] values) {
            if (key.equals(channel))
                java.util.Arrays.fill(values, Math.min(from, values.length), Math.min(to, values.length), Double.NaN);
        }
    }

    /** The values become the straight line between the present neighbours; missing when there is none on one side. */
    record Bridge(String channel, int from, int to) implements Edit {
        public Bridge {
            Objects.requireNonNull(channel, "channel");
            check(from, to);
        }

        @Override
        public void applyTo(String key, double[] values) {
            if (!key.equals(channel)) return;
            int end = Math.min(to, values.length);
            double before = from > 0 && from <= values.length ? values[from - 1] : Double.NaN;
            double after = end < values.length ? values[end] : Double.NaN;
            for (int i = from; i < end; i++) values[i] = before + (after - before) * (i - from + 1) / (end - from + 1);
        }
    }

    /** The values are those of another recording, brought to this grid: see {@link Replacing}. */
    record Replace(String channel, Series values, int from, int to) implements Edit {
        public Replace {
            Objects.requireNonNull(channel, "channel");
            check(from, to);
        }

        @Override
        public void applyTo(String key, double[] mine) {
            if (!key.equals(channel)) return;
            for (int i = from; i < Math.min(to, Math.min(mine.length, values.size())); i++) mine[i] = values.at(i);
        }
    }

    /**
     * A person has looked and says that it is right: nothing changes, and nothing of the channel is proposed in it.
     *
     * @param channel empty for the stretch itself, as of a device that is said to run on
     */
    record Keep(String channel, int from, int to) implements Edit {
        public Keep {
            Objects.requireNonNull(channel, "channel");
            check(from, to);
        }

        @Override
        public void applyTo(String key, double[] values) {
            // It counts as it was recorded.
        }
    }

    private static void check(int from, int to) {
        if (from < 0 || to <= from)
            throw new IllegalArgumentException("an edit must run forward from 0, was " + from + ".." + to);
    }
}
