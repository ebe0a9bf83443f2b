package pemblar.app.session;

import java.util.List;

/** Sessions as they were before a change, and those that the change made: enough to take it back. */
public record PlanState(List<Was> restore, List<Long> created, String who) {
    public PlanState(List<Was> restore, List<Long> created) {
        this(restore, created, null);
    }

    /** The same with the person who made the change: what somebody else changed since is not written over. */
    public PlanState by(String name) {
        return new PlanState(restore, created, name);
    }

    /** One session's row; the day as text. */
    public record Was(
            long id,
            String day,
            Integer startMinute,
            String sport,
            String title,
            String structure,
            int scalePercent,
            Integer plannedSeconds,
            Double plannedLoad,
            String silhouette,
            Long recordingId,
            Long workoutId,
            Integer workoutVersion,
            String purpose,
            Integer doneSeconds,
            Double doneMetres,
            Double doneEffort,
            String doneNote,
            Double doneLoad,
            boolean placed,
            String kind,
            String equipment,
            String surface,
            String weather,
            String tags,
            String stretches,
            String verdict,
            String strength,
            Boolean draft,
            Boolean coached) {
        /** It was planned, still to be done, and seen by the athlete. */
        boolean wasSharedPlan() {
            return !Boolean.TRUE.equals(draft)
                    && recordingId == null
                    && doneSeconds == null
                    && (structure != null || purpose != null);
        }

        public static Was of(SessionRow row) {
            return new Was(
                    row.id,
                    row.day.toString(),
                    row.startMinute,
                    row.sport.name(),
                    row.title,
                    row.structure,
                    row.scalePercent,
                    row.plannedSeconds,
                    row.plannedLoad,
                    row.plannedSilhouette,
                    row.recording == null ? null : row.recording.id,
                    row.workoutId,
                    row.workoutVersion,
                    row.purpose == null ? null : row.purpose.name(),
                    row.doneSeconds,
                    row.doneMetres,
                    row.doneEffort,
                    row.doneNote,
                    row.doneLoad,
                    row.placed,
                    row.kind,
                    row.equipment,
                    row.surface,
                    row.weather,
                    row.tags,
                    row.stretches,
                    row.verdict,
                    row.strength,
                    row.draft,
                    row.coached);
        }
    }

    public static PlanState changing(List<SessionRow> rows) {
        return new PlanState(rows.stream().map(Was::of).toList(), List.of());
    }

    public static PlanState changing(SessionRow row) {
        return changing(List.of(row));
    }

    public static PlanState making(List<Long> created) {
        return new PlanState(List.of(), created);
    }
}
