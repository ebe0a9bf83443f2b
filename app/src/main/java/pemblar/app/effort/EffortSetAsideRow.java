package pemblar.app.effort;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import pemblar.core.sport.Measure;

/** A stretch of a recording that does not count as a best effort. */
@Entity
@Table(name = "effort_set_aside")
class EffortSetAsideRow {
    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    Long id;

    Long recordingId;
    Long athleteId;

    @Enumerated(EnumType.STRING)
    Measure measure;

    int fromSecond;
    int toSecond;
    String reason;
    Long accountId;
    Instant createdAt;

    protected EffortSetAsideRow() {}

    EffortSetAsideRow(
            EffortSource source,
            Measure measure,
            int fromSecond,
            int toSecond,
            String reason,
            long accountId,
            Instant createdAt) {
        this.recordingId = source.recordingId();
        this.athleteId = source.athleteId();
        this.measure = measure;
        this.fromSecond = fromSecond;
        this.toSecond = toSecond;
        this.reason = reason;
        this.accountId = accountId;
        this.createdAt = createdAt;
    }
}
