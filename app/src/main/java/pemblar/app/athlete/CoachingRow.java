package pemblar.app.athlete;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;
import java.io.Serializable;
import java.time.Instant;

@Entity
@Table(name = "coaching")
@IdClass(CoachingRow.Key.class)
class CoachingRow {
    @Id
    Long athleteId;

    @Id
    Long coachAccountId;

    record Key(Long athleteId, Long coachAccountId) implements Serializable {}

    Instant askedAt;
    boolean plans;
    /** Null until the coach has accepted. */
    Instant acceptedAt;
    /** Null while it stands. */
    Instant endedAt;

    protected CoachingRow() {}
}
