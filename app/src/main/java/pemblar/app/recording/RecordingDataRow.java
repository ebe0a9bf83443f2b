package pemblar.app.recording;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** The bytes of a recording: read for one session at a time, never for a list. */
@Entity
@Table(name = "recording_data")
class RecordingDataRow {
    @Id
    Long recordingId;

    byte[] original;
    byte[] channels;

    @JdbcTypeCode(SqlTypes.JSON)
    String bests;

    protected RecordingDataRow() {}

    RecordingDataRow(long recordingId, byte[] original, byte[] channels, String bests) {
        this.recordingId = recordingId;
        this.original = original;
        this.channels = channels;
        this.bests = bests;
    }
}
