package pemblar.app.template;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

@Entity
@Table(name = "template")
class TemplateRow {
    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    Long id;

    Long accountId;
    String title;

    @JdbcTypeCode(SqlTypes.JSON)
    String entries;

    Instant createdAt;

    protected TemplateRow() {}

    TemplateRow(long accountId, String title, String entries, Instant createdAt) {
        this.accountId = accountId;
        this.title = title;
        this.entries = entries;
        this.createdAt = createdAt;
    }
}
