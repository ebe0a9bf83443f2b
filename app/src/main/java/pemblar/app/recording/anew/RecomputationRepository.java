package pemblar.app.recording.anew;

import java.util.Optional;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface RecomputationRepository extends Repository<RecomputationRow, Long> {
    RecomputationRow save(RecomputationRow row);

    Optional<RecomputationRow> findById(long id);

    @Query("select r from RecomputationRow r where r.athleteId = :athleteId order by r.id desc limit 1")
    Optional<RecomputationRow> latest(long athleteId);
}
