package pemblar.app.session;

import java.util.List;

/** Sessions as they were before a change, and those that the change made: enough to take it back. */
record PlanState(List<Was> restore, List<Long> created) {
    /** One session's row; the day as text. */
    record Was(long id, String day, Integer startMinute, String sport, String title, String structure, int scalePercent,
               Integer plannedSeconds, Double plannedLoad, String silhouette, Long recordingId, Long workoutId, Integer workoutVersion) {
        static Was of(SessionRow row) {
            return new Was(row.id, row.day.toString(), row.startMinute, row.sport.name(), row.title, row.structure, row.scalePercent,
                row.plannedSeconds, row.plannedLoad, row.plannedSilhouette, row.recording == null ? null : row.recording.id, row.workoutId, row.workoutVersion);
        }
    }
}
