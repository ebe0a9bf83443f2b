package pemblar.app.evidence;

import java.util.List;
import java.util.Optional;
import org.springframework.data.repository.Repository;

interface EvidenceRepository extends Repository<EvidenceRow, Long> {
    EvidenceRow save(EvidenceRow row);

    void delete(EvidenceRow row);

    Optional<EvidenceRow> findByIdAndAthleteId(long id, long athleteId);

    List<EvidenceRow> findByAthleteIdOrderByDayDesc(long athleteId);
}
