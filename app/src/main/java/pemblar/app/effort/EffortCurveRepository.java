package pemblar.app.effort;

import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;
import pemblar.core.sport.Measure;
import pemblar.core.sport.Sport;

interface EffortCurveRepository extends Repository<EffortCurveRow, EffortCurveRow.Key> {
    /** What the combining of curves needs of each session. */
    record Curve(long recordingId, LocalDate day, byte[] means) {}

    EffortCurveRow save(EffortCurveRow row);

    @Modifying(flushAutomatically = true, clearAutomatically = false)
    @Query("delete from EffortCurveRow c where c.recordingId = :recordingId")
    void deleteByRecordingId(long recordingId);

    @Query("select new pemblar.app.effort.EffortCurveRepository$Curve(c.recordingId, c.day, c.means) from "
            + "EffortCurveRow c "
            + "where c.athleteId = :athleteId and c.sport = :sport and c.measure = :measure and c.day "
            + "between :from and :to")
    List<Curve> between(long athleteId, Sport sport, Measure measure, LocalDate from, LocalDate to);

    @Query("select new pemblar.app.effort.EffortCurveRepository$Curve(c.recordingId, c.day, c.means) from "
            + "EffortCurveRow c "
            + "where c.athleteId = :athleteId and c.sport = :sport and c.measure = :measure and c.day in :days")
    List<Curve> onDays(long athleteId, Sport sport, Measure measure, Collection<LocalDate> days);
}
