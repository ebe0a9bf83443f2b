package pemblar.app.exchange;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;

@Entity
@Table(name = "import_file")
class ImportFileRow {
    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    Long id;

    Long athleteId;
    Long accountId;
    String fileName;
    /** Kept until the file is read; then the recording holds it. */
    byte[] content;

    @Enumerated(EnumType.STRING)
    State state = State.WAITING;

    String message = "";
    Long sessionId;
    Instant createdAt;

    enum State {
        WAITING,
        DONE,
        KNOWN,
        REFUSED
    }

    protected ImportFileRow() {}

    ImportFileRow(long athleteId, long accountId, String fileName, byte[] content, Instant createdAt) {
        this.athleteId = athleteId;
        this.accountId = accountId;
        this.fileName = fileName;
        this.content = content;
        this.createdAt = createdAt;
    }
}
