package pemblar.app.effort;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;
import java.time.LocalDate;
import pemblar.core.recording.Series;
import pemblar.core.sport.Measure;
import pemblar.core.sport.Sport;

/** Best means of one recording after prior work or time, in the order of {@link pemblar.core.effort.AfterWork}. */
@Entity
@Table(name = "effort_after")
@IdClass(EffortCurveRow.Key.class)
class EffortAfterRow {
    @Id
    Long recordingId;

    @Id
    @Enumerated(EnumType.STRING)
    Measure measure;

    Long athleteId;

    @Enumerated(EnumType.STRING)
    Sport sport;

    LocalDate day;
    byte[] means;

    protected EffortAfterRow() {}

    EffortAfterRow(EffortSource source, Measure measure, Series onGrid) {
        this.recordingId = source.recordingId();
        this.measure = measure;
        this.athleteId = source.athleteId();
        this.sport = source.sport();
        this.day = source.day();
        this.means = EffortCurveRow.bytes(onGrid);
    }
}
