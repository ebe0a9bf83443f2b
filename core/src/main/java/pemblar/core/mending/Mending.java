package pemblar.core.mending;

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

/** Applies edits to a recording in their order; a trim cuts the grid when all channels are done. */
public final class Mending {
    private Mending() {}

    /**
     * The recording as it counts. A channel of which nothing is left is left out; without edits it is the original
     * itself.
     */
    public static Recording apply(Recording original, List<Edit> edits) {
        if (edits.isEmpty()) return original;
        Map<String, Series> channels = new LinkedHashMap<>();
        original.channels().forEach((key, series) -> channels.put(key, edited(key, series, edits)));
        for (Edit edit : edits)
            if (edit instanceof Edit.Replace added && !channels.containsKey(added.channel()))
                channels.put(added.channel(), edited(added.channel(), missing(original.seconds()), edits));
        channels.values().removeIf(series -> series.present() == 0);
        Kept kept = kept(original.seconds(), edits);
        return cut(
                new Recording(
                        original.sport(),
                        original.start(),
                        original.seconds(),
                        original.pauses(),
                        channels,
                        original.laps()),
                kept);
    }

    /** Grid seconds of the original that are left. */
    public record Kept(int from, int to) {}

    /** What the trims leave; at least one second. */
    public static Kept kept(int seconds, List<Edit> edits) {
        int from = 0;
        int to = seconds;
        for (Edit edit : edits) {
            if (!(edit instanceof Edit.Trim)) continue;
            from = Math.max(from, Math.min(edit.from(), seconds - 1));
            to = Math.min(to, edit.to());
        }
        return new Kept(from, Math.max(from + 1, to));
    }

    private static Series edited(String key, Series series, List<Edit> edits) {
        double[] values = new double[series.size()];
        for (int i = 0; i < values.length; i++) values[i] = series.at(i);
        for (Edit edit : edits) edit.applyTo(key, values);
        return Series.of(values);
    }

    private static Series missing(int seconds) {
        double[] values = new double[seconds];
        Arrays.fill(values, Double.NaN);
        return Series.of(values);
    }

    private static Recording cut(Recording all, Kept kept) {
        int from = kept.from();
        int to = kept.to();
        if (from == 0 && to == all.seconds()) return all;
        Map<String, Series> channels = new LinkedHashMap<>();
        all.channels()
                .forEach((key, series) -> channels.put(
                        key, key.equals(Channel.DISTANCE.key()) ? rebased(series, from, to) : series.slice(from, to)));
        channels.values().removeIf(series -> series.present() == 0);
        List<Pause> pauses = all.pauses().stream()
                .filter(p -> p.index() > from && p.index() < to)
                .map(p -> new Pause(p.index() - from, p.seconds()))
                .toList();
        return new Recording(
                all.sport(),
                all.start().plusMillis(Math.round(all.clockSecondsAt(from) * 1000)),
                to - from,
                pauses,
                channels,
                laps(all.laps(), from, to));
    }

    private static List<Lap> laps(List<Lap> laps, int from, int to) {
        List<Lap> left = new ArrayList<>();
        for (Lap lap : laps)
            if (lap.to() > from && lap.from() < to)
                left.add(new Lap(Math.max(lap.from(), from) - from, Math.min(lap.to(), to) - from, lap.stepIndex()));
        return left;
    }

    /** Distance since the new start. */
    private static Series rebased(Series distance, int from, int to) {
        double before = from == 0 ? 0 : distance.lastBefore(from);
        double[] values = new double[to - from];
        for (int i = from; i < to; i++) values[i - from] = distance.at(i) - (Double.isNaN(before) ? 0 : before);
        return Series.of(values);
    }
}
