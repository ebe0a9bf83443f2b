package pemblar.core.mending;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import pemblar.core.mending.Proposal.Kind;
import pemblar.core.recording.Channel;
import pemblar.core.recording.Recording;
import pemblar.core.recording.Series;

/**
 * Finds what is probably wrong in a recording: spikes of power, power that nobody holds for so long, heart rates that
 * no heart had, a device left running at the end.
 */
public final class Proposals {
    private static final double TIMES_BEST = 2.5;
    private static final double WATTS_PER_KILOGRAM = 30;
    private static final double IMPOSSIBLE_WATTS = 3000;
    private static final double IMPOSSIBLE_BPM = 250;
    private static final double JUMP_WATTS = 1000;
    private static final int JUMP_SECONDS = 3;
    private static final int STUCK_SECONDS = 180;
    private static final double STUCK_VARIATION = 0.15;
    private static final int MEAN_SECONDS = 30;
    private static final double OVER_MAXIMUM_BPM = 10;
    private static final double LIKE_CADENCE = 2;
    private static final int LIKE_CADENCE_SECONDS = 120;
    private static final int JOIN_SECONDS = 10;
    /**
     * Standing still so long at the end, or rolling so long without a pedal stroke, is no longer the session: a rule of
     * ours.
     */
    private static final int STANDING_SECONDS = 120;

    private static final int ROLLING_SECONDS = 300;
    private static final double STANDING_SPEED = 1;
    /** Faster than any runner for minutes, m/s. */
    private static final double NO_RUN_SPEED = 8;

    private static final int SHORTEST_SESSION = 60;

    private Proposals() {}

    /**
     * What is known of the athlete on the day; NaN where it is not. @param bestSecondWatts best 1 s power of the last
     * two years without this recording
     */
    public record Known(double bestSecondWatts, double bodyMassKilograms, double maximumBpm) {
        public static final Known NOTHING = new Known(Double.NaN, Double.NaN, Double.NaN);

        /** Above this a second of power is a spike; what nobody can reach is one for everybody. */
        double spikeWatts() {
            double most = Math.max(
                    Double.isNaN(bestSecondWatts) ? 0 : TIMES_BEST * bestSecondWatts,
                    Double.isNaN(bodyMassKilograms) ? 0 : WATTS_PER_KILOGRAM * bodyMassKilograms);
            return most > 0 ? Math.min(most, IMPOSSIBLE_WATTS) : IMPOSSIBLE_WATTS;
        }
    }

    /**
     * True when the athlete's best second matters: some power is above what the body mass allows, or no mass is known.
     */
    public static boolean needsBest(Recording recording, double bodyMassKilograms) {
        return recording
                .channel(Channel.POWER)
                .map(watts -> !(watts.max() <= WATTS_PER_KILOGRAM * bodyMassKilograms))
                .orElse(false);
    }

    /** In order of time. */
    public static List<Proposal> of(Recording recording, Known known) {
        List<Proposal> all = new ArrayList<>();
        recording.channel(Channel.POWER).ifPresent(watts -> {
            spikes(watts, known.spikeWatts(), all);
            all.addAll(TooStrong.of(watts, known.spikeWatts()));
        });
        recording.channel(Channel.HEART_RATE).ifPresent(bpm -> {
            stuck(recording, bpm, all);
            tooHigh(
                    bpm,
                    Double.isNaN(known.maximumBpm())
                            ? IMPOSSIBLE_BPM
                            : Math.min(IMPOSSIBLE_BPM, known.maximumBpm() + OVER_MAXIMUM_BPM),
                    all);
            recording.channel(Channel.CADENCE).ifPresent(cadence -> likeCadence(bpm, cadence, all));
        });
        leftRunning(recording).ifPresent(all::add);
        all.sort(Comparator.comparingInt(p -> p.edit().from()));
        return all;
    }

    /**
     * Those that nobody has said are right, which would be red marks for ever otherwise.
     *
     * @param trimmed seconds that lie before the recording on the grid of its original, which {@code kept} is on
     */
    public static List<Proposal> unlessKept(List<Proposal> found, int trimmed, List<Edit.Keep> kept) {
        return found.stream().filter(p -> !p.shifted(trimmed).isKept(kept)).toList();
    }

    private static void spikes(Series watts, double limit, List<Proposal> all) {
        int i = 0;
        while (i < watts.size()) {
            int end = watts.at(i) > limit ? i + 1 : fallsBack(watts, i);
            if (end < 0) {
                i++;
                continue;
            }
            while (end < watts.size() && watts.at(end) > limit) end++;
            all.add(new Proposal(Kind.SPIKE, new Edit.Bridge(Channel.POWER.key(), i, end), end - i, watts.max(i, end)));
            i = end;
        }
    }

    /**
     * The second in which a jump of more than 1000 W at {@code i} has fallen back by as much again, at most three
     * later; else -1.
     */
    private static int fallsBack(Series watts, int i) {
        if (i == 0 || !(watts.at(i) - watts.at(i - 1) > JUMP_WATTS)) return -1;
        for (int j = i + 1; j <= i + JUMP_SECONDS && j < watts.size(); j++)
            if (watts.at(j) < watts.at(i) - JUMP_WATTS) return j;
        return -1;
    }

    private static void stuck(Recording recording, Series bpm, List<Proposal> all) {
        int begin = 0;
        for (int i = 1; i <= bpm.size(); i++) {
            if (i < bpm.size() && bpm.at(i) == bpm.at(begin)) continue;
            if (i - begin > STUCK_SECONDS && workVaries(recording, begin, i))
                all.add(new Proposal(
                        Kind.STUCK_HEART_RATE,
                        new Edit.Hide(Channel.HEART_RATE.key(), begin, i),
                        i - begin,
                        bpm.at(begin)));
            begin = i;
        }
    }

    private static boolean workVaries(Recording recording, int from, int to) {
        return recording.channel(Channel.POWER).map(s -> varies(s, from, to)).orElse(false)
                || recording
                        .channel(Channel.SPEED)
                        .map(s -> varies(s, from, to))
                        .orElse(false);
    }

    private static boolean varies(Series values, int from, int to) {
        double least = Double.POSITIVE_INFINITY;
        double most = Double.NEGATIVE_INFINITY;
        double sum = 0;
        int count = 0;
        for (int i = from; i + MEAN_SECONDS <= to; i += MEAN_SECONDS) {
            double mean = values.mean(i, i + MEAN_SECONDS);
            if (Double.isNaN(mean)) continue;
            least = Math.min(least, mean);
            most = Math.max(most, mean);
            sum += mean;
            count++;
        }
        return count > 1 && (most - least) / (sum / count) > STUCK_VARIATION;
    }

    private static void tooHigh(Series bpm, double limit, List<Proposal> all) {
        int i = 0;
        while (i < bpm.size()) {
            if (!(bpm.at(i) > limit)) {
                i++;
                continue;
            }
            int end = i + 1;
            for (int j = end; j < bpm.size() && j - end < JOIN_SECONDS; j++) if (bpm.at(j) > limit) end = j + 1;
            all.add(new Proposal(
                    Kind.HEART_RATE_TOO_HIGH,
                    new Edit.Hide(Channel.HEART_RATE.key(), i, end),
                    end - i,
                    bpm.max(i, end)));
            i = end;
        }
    }

    private static void likeCadence(Series bpm, Series cadence, List<Proposal> all) {
        int begin = -1;
        for (int i = 0; i <= bpm.size(); i++) {
            boolean like = i < bpm.size() && Math.abs(bpm.at(i) - cadence.at(i)) <= LIKE_CADENCE;
            if (like && begin < 0) begin = i;
            if (like || begin < 0) continue;
            if (i - begin > LIKE_CADENCE_SECONDS)
                all.add(new Proposal(
                        Kind.HEART_RATE_IS_CADENCE,
                        new Edit.Hide(Channel.HEART_RATE.key(), begin, i),
                        i - begin,
                        bpm.mean(begin, i)));
            begin = -1;
        }
    }

    /** The end in which nobody trained: standing still, or rolling on without work. */
    static Optional<Proposal> leftRunning(Recording recording) {
        int end = recording.seconds();
        int rolled = lastWork(recording);
        int stood = lastMove(recording);
        int from = end - rolled >= ROLLING_SECONDS ? rolled : end - stood >= STANDING_SECONDS ? stood : end;
        if (from == end || from < SHORTEST_SESSION) return Optional.empty();
        return Optional.of(new Proposal(
                Kind.LEFT_RUNNING,
                new Edit.Trim(0, from),
                end - from,
                recording.channel(Channel.SPEED).map(s -> s.mean(from, end)).orElse(Double.NaN)));
    }

    /**
     * The second after the last one in which somebody may have worked: idle is only what was recorded as no power or no
     * cadence, a missing value says nothing. A run without both is idle where no runner is as fast.
     */
    private static int lastWork(Recording recording) {
        Series power = recording.channel(Channel.POWER).orElse(null);
        Series cadence = recording.channel(Channel.CADENCE).orElse(null);
        Series speed = recording.sport().countsSteps()
                ? recording.channel(Channel.SPEED).orElse(null)
                : null;
        int i = recording.seconds();
        while (i > 0 && isIdle(power, cadence, speed, i - 1)) i--;
        return i;
    }

    private static boolean isIdle(Series power, Series cadence, Series runSpeed, int i) {
        if (power == null && cadence == null) return runSpeed != null && runSpeed.at(i) > NO_RUN_SPEED;
        boolean works = power != null && power.at(i) > 0 || cadence != null && cadence.at(i) > 0;
        boolean rests = power != null && power.at(i) == 0 || cadence != null && cadence.at(i) == 0;
        return rests && !works;
    }

    private static int lastMove(Recording recording) {
        Series speed = recording.channel(Channel.SPEED).orElse(null);
        if (speed == null) return recording.seconds();
        int worked = recording.has(Channel.POWER) || recording.has(Channel.CADENCE) ? lastWork(recording) : 0;
        for (int i = recording.seconds(); i > worked; i--) if (!(speed.at(i - 1) < STANDING_SPEED)) return i;
        return worked;
    }
}
