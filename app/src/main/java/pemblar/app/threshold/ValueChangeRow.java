package pemblar.app.threshold;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

@Entity
@Table(name = "value_change")
class ValueChangeRow {
    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    Long id;

    Long athleteId;
    Long accountId;
    String label;

    @JdbcTypeCode(SqlTypes.JSON)
    String beforeState;

    Instant createdAt;

    protected ValueChangeRow() {}

    ValueChangeRow(long athleteId, long accountId, String label, String beforeState, Instant createdAt) {
        this.athleteId = athleteId;
        this.accountId = accountId;
        this.label = label.length() > 300 ? label.substring(0, 300) : label;
        this.beforeState = beforeState;
        this.createdAt = createdAt;
    }
}
