package pemblar.app.recording;

import java.util.List;
import org.springframework.stereotype.Component;
import pemblar.app.recording.mend.MendedRecordings;
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

    /** @param plan null without one @param sound the recording as it counts */
    void note(RecordingRow row, PlannedFor.Plan plan, Recording sound, Zones zones) {
        row.targetsBeaten = plan == null || plan.workout() == null ? null : (Boolean) beaten(plan, sound, zones);
    }

    /** The same, reading the recording where there is something to be told. */
    void note(RecordingRow row, PlannedFor.Plan plan, Zones zones) {
        if (plan == null || plan.workout() == null) row.targetsBeaten = null;
        else note(row, plan, mended.read(row.id).sound(), zones);
    }

    private static boolean beaten(PlannedFor.Plan planned, Recording sound, Zones zones) {
        try {
            List<PlannedStep> plan = Plan.resolve(planned.workout(), zones);
            return TargetsBeaten.of(StepMatching.match(plan, sound).steps(), sound);
        } catch (IllegalArgumentException e) {
            return false; // a threshold is missing, so nothing was asked in watts or pace
        }
    }
}
