package pemblar.app.session;

import java.time.Instant;
import java.time.LocalDate;
import pemblar.core.Sport;

/** A session as lists and the board show it; what is not known is null. */
public record Slab(long id, LocalDate day, Integer startMinute, Sport sport, String title, boolean planned, int scalePercent,
                   Integer plannedSeconds, Double plannedLoad, String plannedSilhouette, Done done) {
    /** The recorded side. */
    public record Done(int seconds, Double load, String loadSource, Double metres, Double equivalentWatts, Double meanBpm, Double meanSpeed,
                       Double intensity, String silhouette, Instant startedAt, Instant endedAt) {}

    public int longestSeconds() {
        return Math.max(plannedSeconds == null ? 0 : plannedSeconds, done == null ? 0 : done.seconds());
    }

    static Slab of(SessionRow row) {
        RecordingRow r = row.recording;
        Done done = r == null ? null : new Done(r.timerSeconds, r.loadPoints, r.loadSource, r.distanceMetres, r.equivalentWatts, r.meanBpm, r.meanSpeed,
            r.intensity, r.silhouette, r.startedAt, r.endedAt);
        return new Slab(row.id, row.day, row.startMinute, row.sport, row.title, row.isPlanned(), row.scalePercent, row.plannedSeconds, row.plannedLoad, row.plannedSilhouette, done);
    }
}
