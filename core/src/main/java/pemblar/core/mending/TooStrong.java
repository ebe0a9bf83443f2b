package pemblar.core.mending;

import java.util.ArrayList;
import java.util.List;
import pemblar.core.mending.Proposal.Kind;
import pemblar.core.recording.Channel;
import pemblar.core.recording.Series;
import pemblar.core.threshold.HumanLimit;

/** Power held for longer than anybody can: a meter that counts wrongly, whose single seconds look possible. */
final class TooStrong {
    private static final int[] SECONDS = {60, 300, 1200, 3600};

    private TooStrong() {}

    /**
     * Stretches of a minute and more, each to be hidden. Missing seconds count as nothing held, and so do those above
     * {@code spikeWatts}, which are proposed for themselves.
     */
    static List<Proposal> of(Series watts, double spikeWatts) {
        boolean[] wrong = new boolean[watts.size()];
        for (int seconds : SECONDS) mark(watts, spikeWatts, seconds, wrong);
        List<Proposal> all = new ArrayList<>();
        int from = -1;
        for (int i = 0; i <= wrong.length; i++) {
            boolean is = i < wrong.length && wrong[i];
            if (is && from < 0) from = i;
            if (is || from < 0) continue;
            all.add(new Proposal(
                    Kind.POWER_TOO_LONG, new Edit.Hide(Channel.POWER.key(), from, i), i - from, watts.mean(from, i)));
            from = -1;
        }
        return all;
    }

    /** What shorter stretches found already does not make a longer one too strong. */
    private static void mark(Series watts, double spikeWatts, int seconds, boolean[] wrong) {
        double[] held = new double[watts.size()];
        for (int i = 0; i < held.length; i++) held[i] = !wrong[i] && watts.at(i) <= spikeWatts ? watts.at(i) : 0;
        double limit = HumanLimit.watts(seconds) * seconds;
        double sum = 0;
        int marked = 0;
        for (int end = 1; end <= held.length; end++) {
            sum += held[end - 1];
            if (end > seconds) sum -= held[end - 1 - seconds];
            if (end < seconds || !(sum > limit)) continue;
            for (int i = Math.max(marked, end - seconds); i < end; i++) wrong[i] = true;
            marked = end;
        }
    }
}
