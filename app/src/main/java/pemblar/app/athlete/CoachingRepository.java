package pemblar.app.athlete;

import java.util.List;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface CoachingRepository extends Repository<CoachingRow, CoachingRow.Key> {
    @Query("select c.coachAccountId from CoachingRow c, AthleteRow a where c.athleteId = a.id and "
            + "a.accountId = :account and c.acceptedAt is not null and c.endedAt is null")
    List<Long> coachesOf(long account);
}
