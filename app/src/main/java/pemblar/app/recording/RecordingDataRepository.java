package pemblar.app.recording;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface RecordingDataRepository extends Repository<RecordingDataRow, Long> {
    RecordingDataRow save(RecordingDataRow row);

    Optional<RecordingDataRow> findById(long recordingId);

    /** The channels without the original file. */
    record Channels(long recordingId, byte[] channels) {}

    @Query("select new pemblar.app.recording.RecordingDataRepository$Channels(d.recordingId, d.channels) from "
            + "RecordingDataRow d where d.recordingId in :recordingIds")
    List<Channels> channels(List<Long> recordingIds);
}
