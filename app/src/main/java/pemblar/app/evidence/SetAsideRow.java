package pemblar.app.evidence;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;
import java.io.Serializable;

/** A piece of evidence that does not count, and why. */
@Entity
@Table(name = "evidence_set_aside")
@IdClass(SetAsideRow.Key.class)
class SetAsideRow {
    @Id
    Long athleteId;

    @Id
    String evidenceKey;

    String reason;

    record Key(Long athleteId, String evidenceKey) implements Serializable {}

    protected SetAsideRow() {}

    SetAsideRow(long athleteId, String evidenceKey, String reason) {
        this.athleteId = athleteId;
        this.evidenceKey = evidenceKey;
        this.reason = reason;
    }
}
