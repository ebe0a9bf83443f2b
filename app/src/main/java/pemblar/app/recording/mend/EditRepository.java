package pemblar.app.recording.mend;

import java.util.List;
import java.util.Optional;
import org.springframework.data.repository.Repository;

interface EditRepository extends Repository<EditRow, Long> {
    EditRow save(EditRow row);

    void delete(EditRow row);

    void deleteAll(Iterable<EditRow> rows);

    void flush();

    Optional<EditRow> findByIdAndRecordingId(long id, long recordingId);

    List<EditRow> findByRecordingIdOrderById(long recordingId);

    List<EditRow> findByRecordingIdInOrderById(List<Long> recordingIds);
}
