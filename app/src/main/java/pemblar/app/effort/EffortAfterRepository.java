package pemblar.app.effort;

import java.time.LocalDate;
import java.util.List;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;
import pemblar.core.sport.Measure;
import pemblar.core.sport.Sport;

interface EffortAfterRepository extends Repository<EffortAfterRow, EffortCurveRow.Key> {
    EffortAfterRow save(EffortAfterRow row);

    @Modifying(flushAutomatically = true, clearAutomatically = false)
    @Query("delete from EffortAfterRow c where c.recordingId = :recordingId")
    void deleteByRecordingId(long recordingId);

    @Query("select new pemblar.app.effort.EffortCurveRepository$Curve(c.recordingId, c.day, c.means) from "
            + "EffortAfterRow c "
            + "where c.athleteId = :athleteId and c.sport = :sport and c.measure = :measure and c.day "
            + "between :from and :to")
    List<EffortCurveRepository.Curve> between(
            long athleteId, Sport sport, Measure measure, LocalDate from, LocalDate to);
}
