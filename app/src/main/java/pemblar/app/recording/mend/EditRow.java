package pemblar.app.recording.mend;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;

/** One correction of a recording; seconds are those of the original. */
@Entity
@Table(name = "recording_edit")
class EditRow {
    /** What a correction does. */
    enum Kind {
        TRIM,
        HIDE,
        BRIDGE,
        REPLACE,
        KEEP
    }

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    Long id;

    Long recordingId;

    @Enumerated(EnumType.STRING)
    Kind kind;

    String channel;
    int fromSecond;
    int toSecond;
    Long otherRecordingId;
    double shiftSeconds;
    String reason;
    String madeBy;
    Instant madeAt;

    protected EditRow() {}

    /** The same correction of the same stretch, whoever made it. */
    boolean isSameAs(EditRow other) {
        return kind == other.kind
                && channel.equals(other.channel)
                && fromSecond == other.fromSecond
                && toSecond == other.toSecond
                && java.util.Objects.equals(otherRecordingId, other.otherRecordingId)
                && shiftSeconds == other.shiftSeconds;
    }

    EditRow(long recordingId, Kind kind, String channel, int fromSecond, int toSecond) {
        this.recordingId = recordingId;
        this.kind = kind;
        this.channel = channel;
        this.fromSecond = fromSecond;
        this.toSecond = toSecond;
    }
}
