package pemblar.app.athlete;

import java.util.List;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface CoachingRepository extends Repository<CoachingRow, CoachingRow.Key> {
    CoachingRow save(CoachingRow row);

    @Query("select c.coachAccountId from CoachingRow c, AthleteRow a where c.athleteId = a.id and a.accountId = :account")
    List<Long> coachesOf(long account);
}
