package pemblar.app.recording.bytes;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import org.hibernate.annotations.DynamicUpdate;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** The bytes of a recording: read for one session at a time, never for a list. */
@Entity
@Table(name = "recording_data")
@DynamicUpdate // bytes that are being moved are not written back with the bests
class RecordingDataRow {
    @Id
    Long recordingId;

    /** Where the bytes lie. */
    @Enumerated(EnumType.STRING)
    Place place = Place.DATABASE;

    /** Null when they are objects of a store; then their hashes say what they are. */
    byte[] original;

    byte[] channels;
    String originalSha256;
    String channelsSha256;

    @JdbcTypeCode(SqlTypes.JSON)
    String bests;

    enum Place {
        DATABASE,
        OBJECTS
    }

    protected RecordingDataRow() {}

    RecordingDataRow(long recordingId, byte[] original, byte[] channels, String bests) {
        this.recordingId = recordingId;
        this.original = original;
        this.channels = channels;
        this.bests = bests;
    }
}
