package pemblar.app.effort;

import java.util.List;
import java.util.Optional;
import org.springframework.data.repository.Repository;

interface EffortSetAsideRepository extends Repository<EffortSetAsideRow, Long> {
    EffortSetAsideRow save(EffortSetAsideRow row);

    void delete(EffortSetAsideRow row);

    void flush();

    Optional<EffortSetAsideRow> findByIdAndAthleteId(long id, long athleteId);

    List<EffortSetAsideRow> findByRecordingId(long recordingId);

    List<EffortSetAsideRow> findByAthleteIdOrderByIdDesc(long athleteId);
}
