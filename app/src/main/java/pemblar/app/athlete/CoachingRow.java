package pemblar.app.athlete;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;
import java.io.Serializable;

@Entity
@Table(name = "coaching")
@IdClass(CoachingRow.Key.class)
class CoachingRow {
    @Id
    Long athleteId;
    @Id
    Long coachAccountId;

    record Key(Long athleteId, Long coachAccountId) implements Serializable {}

    protected CoachingRow() {}

    CoachingRow(Long athleteId, Long coachAccountId) {
        this.athleteId = athleteId;
        this.coachAccountId = coachAccountId;
    }
}
