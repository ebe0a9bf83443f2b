package pemblar.app.session;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import pemblar.core.schedule.Purpose;
import pemblar.core.sport.Sport;

/** A session as lists and the board show it; what is not known is null. */
public record Slab(
        long id,
        LocalDate day,
        Integer startMinute,
        Sport sport,
        String title,
        boolean planned,
        int scalePercent,
        Integer plannedSeconds,
        Double plannedLoad,
        String plannedSilhouette,
        Purpose purpose,
        boolean placed,
        int version,
        String changedBy,
        Long workoutId,
        boolean draft,
        boolean coached,
        boolean heavyLegs,
        Done done) {
    /** One that is no draft and no coach's. */
    public Slab(
            long id,
            LocalDate day,
            Integer startMinute,
            Sport sport,
            String title,
            boolean planned,
            int scalePercent,
            Integer plannedSeconds,
            Double plannedLoad,
            String plannedSilhouette,
            Purpose purpose,
            boolean placed,
            int version,
            String changedBy,
            Long workoutId,
            Done done) {
        this(
                id,
                day,
                startMinute,
                sport,
                title,
                planned,
                scalePercent,
                plannedSeconds,
                plannedLoad,
                plannedSilhouette,
                purpose,
                placed,
                version,
                changedBy,
                workoutId,
                false,
                false,
                false,
                done);
    }

    /** From this share of threshold on a recording without a plan counts as hard. */
    private static final double HARD_INTENSITY = 0.85;

    /** What was done; without a recording there is no silhouette, and the clock time is the planned one or noon. */
    public record Done(
            boolean recorded,
            Double effort,
            String note,
            int seconds,
            Double load,
            String loadSource,
            Double metres,
            Double equivalentWatts,
            Double meanBpm,
            Double meanSpeed,
            Double intensity,
            Double lowestReserveJoules,
            String silhouette,
            Instant startedAt,
            Instant endedAt,
            boolean targetsBeaten) {}

    /** It has a workout, or a length and a purpose. */
    public boolean hasPlan() {
        return planned || purpose != null;
    }

    /** A length and a purpose, without steps. */
    public boolean sketch() {
        return !planned && purpose != null;
    }

    /** Hard sessions keep a distance from each other: by purpose, else by what was recorded. */
    public boolean hard() {
        if (done != null && done.intensity() != null && purpose == null) return done.intensity() >= HARD_INTENSITY;
        return purpose != null && purpose.isHard();
    }

    public int longestSeconds() {
        return Math.max(plannedSeconds == null ? 0 : plannedSeconds, done == null ? 0 : done.seconds());
    }

    public static Slab of(SessionRow row) {
        RecordedRow r = row.recording;
        Done done = r == null
                ? told(row)
                : new Done(
                        true,
                        null,
                        "",
                        r.timerSeconds,
                        r.loadPoints,
                        r.loadSource,
                        r.distanceMetres,
                        r.equivalentWatts,
                        r.meanBpm,
                        r.sport.restsBetween() && r.flatSpeed != null ? r.flatSpeed : r.meanSpeed,
                        r.intensity,
                        r.lowestReserveJoules,
                        r.silhouette,
                        r.startedAt,
                        r.endedAt,
                        Boolean.TRUE.equals(r.targetsBeaten));
        return new Slab(
                row.id,
                row.day,
                row.startMinute,
                row.sport,
                row.title,
                row.isPlanned(),
                row.scalePercent,
                row.plannedSeconds,
                row.plannedLoad,
                row.plannedSilhouette,
                row.purpose,
                row.placed,
                row.version,
                row.changedBy,
                row.workoutId,
                row.draft && done == null,
                row.coached,
                Boolean.TRUE.equals(row.heavyLegs),
                done);
    }

    private static Done told(SessionRow row) {
        if (row.doneSeconds == null) return null;
        Instant start = row.day.atTime(12, 0).toInstant(ZoneOffset.UTC);
        return new Done(
                false,
                row.doneEffort,
                row.doneNote == null ? "" : row.doneNote,
                row.doneSeconds,
                row.doneLoad,
                row.doneEffort == null ? "PLAN" : "PERCEIVED_EFFORT",
                row.doneMetres,
                null,
                null,
                row.doneMetres == null ? null : row.doneMetres / row.doneSeconds,
                null,
                null,
                "",
                start,
                start.plusSeconds(row.doneSeconds),
                false);
    }
}
