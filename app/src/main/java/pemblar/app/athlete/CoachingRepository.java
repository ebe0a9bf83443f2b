package pemblar.app.athlete;

import org.springframework.data.repository.Repository;

interface CoachingRepository extends Repository<CoachingRow, CoachingRow.Key> {
    CoachingRow save(CoachingRow row);
}
