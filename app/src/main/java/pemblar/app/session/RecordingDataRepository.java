package pemblar.app.session;

import java.util.Optional;
import org.springframework.data.repository.Repository;

interface RecordingDataRepository extends Repository<RecordingDataRow, Long> {
    RecordingDataRow save(RecordingDataRow row);

    Optional<RecordingDataRow> findById(long recordingId);
}
