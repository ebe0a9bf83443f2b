package pemblar.app.session;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.LocalDate;

@Entity
@Table(name = "recomputation")
class RecomputationRow {
    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    Long id;
    Long athleteId;
    LocalDate fromDay;
    LocalDate untilDay;
    int total;
    int done;
    long lastRecordingId;

    protected RecomputationRow() {}

    RecomputationRow(long athleteId, LocalDate fromDay, LocalDate untilDay, int total) {
        this.athleteId = athleteId;
        this.fromDay = fromDay;
        this.untilDay = untilDay;
        this.total = total;
    }
}
