package pemblar.app.workout;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

@Entity
@Table(name = "workout")
class WorkoutRow {
    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    Long id;

    Long accountId;
    String title;

    @JdbcTypeCode(SqlTypes.JSON)
    String structure;

    String folder = "";
    String tags = "";
    boolean shared;
    boolean archived;
    int version = 1;
    Instant createdAt;

    protected WorkoutRow() {}

    WorkoutRow(long accountId, Instant createdAt) {
        this.accountId = accountId;
        this.createdAt = createdAt;
    }
}
