package pemblar.app.recording.bytes;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface RecordingDataRepository extends Repository<RecordingDataRow, Long> {
    RecordingDataRow save(RecordingDataRow row);

    Optional<RecordingDataRow> findById(long recordingId);

    /** The channels without the original file; null with their hash where they are objects of a store. */
    record Channels(long recordingId, byte[] channels, String sha256) {}

    @Query("select new pemblar.app.recording.bytes.RecordingDataRepository$Channels(d.recordingId, d.channels, "
            + "d.channelsSha256) from RecordingDataRow d where d.recordingId in :recordingIds")
    List<Channels> channels(List<Long> recordingIds);
}
