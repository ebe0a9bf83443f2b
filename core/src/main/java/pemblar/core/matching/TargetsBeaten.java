package pemblar.core.matching;

import java.util.List;
import pemblar.core.matching.StepMatching.Matched;
import pemblar.core.recording.Recording;
import pemblar.core.recording.Series;
import pemblar.core.workout.Basis;

/**
 * Whether the hard steps of a session were all done over their targets (computation, section 12, ready): every one of
 * them, by power or pace, and together long enough to say something. Rules of ours.
 */
public final class TargetsBeaten {
    /** Steps from this share of threshold on are what a key session is about. */
    private static final double HARD = 0.85;

    /** Sprints are beaten on a good day without any threshold having moved. */
    private static final double SPRINT = 1.5;

    private static final int LEAST_SECONDS = 600;

    private TargetsBeaten() {}

    /** False as well where nothing hard was asked, a step is missing, or the recording lacks the quantity. */
    public static boolean of(List<Matched> steps, Recording recording) {
        int seconds = 0;
        for (Matched m : steps) {
            if (!isHard(m)) continue;
            if (!isOver(m, recording)) return false;
            seconds += m.to() - m.from();
        }
        return seconds >= LEAST_SECONDS;
    }

    private static boolean isHard(Matched m) {
        Basis basis = m.step().basis();
        return (basis == Basis.POWER || basis == Basis.PACE)
                && m.step().intensity() >= HARD
                && m.step().intensity() < SPRINT;
    }

    /** Its mean lies over the upper end of its band. A gap counts for nothing; all gaps are not over. */
    private static boolean isOver(Matched m, Recording recording) {
        Series values = StepMatching.channelOf(m.step().basis(), recording)
                .flatMap(recording::channel)
                .orElse(null);
        return values != null
                && m.to() > m.from()
                && values.mean(m.from(), m.to()) > m.step().highAt(0.5);
    }
}
