package pemblar.app.session;

import java.util.List;
import org.springframework.stereotype.Component;
import pemblar.core.matching.StepMatching;
import pemblar.core.matching.TargetsBeaten;
import pemblar.core.recording.Recording;
import pemblar.core.workout.Plan;
import pemblar.core.workout.PlannedStep;
import pemblar.core.zone.Zones;

/** Keeps with a recording whether it beat the targets of its session, so that no page has to look at its seconds. */
@Component
class TargetsKept {
    private final MendedRecordings mended;

    TargetsKept(MendedRecordings mended) {
        this.mended = mended;
    }

    /** @param session that it is the recording of; null without one @param sound the recording as it counts */
    void note(RecordingRow row, SessionRow session, Recording sound, Zones zones) {
        row.targetsBeaten = session == null || !session.isPlanned() ? null : (Boolean) beaten(session, sound, zones);
    }

    /** The same, reading the recording. */
    void note(RecordingRow row, SessionRow session, Zones zones) {
        note(row, session, mended.read(row.id).sound(), zones);
    }

    private static boolean beaten(SessionRow session, Recording sound, Zones zones) {
        try {
            List<PlannedStep> plan = Plan.resolve(session.workout(), zones);
            return TargetsBeaten.of(StepMatching.match(plan, sound).steps(), sound);
        } catch (IllegalArgumentException e) {
            return false; // a threshold is missing, so nothing was asked in watts or pace
        }
    }
}
