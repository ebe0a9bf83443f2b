package pemblar.app.athlete;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface AthleteRepository extends Repository<AthleteRow, Long> {
    String SEEN = "(a.accountId = :account or exists (select 1 from CoachingRow c where c.athleteId = a.id and "
            + "c.coachAccountId = :account and c.acceptedAt is not null and c.endedAt is null))";

    AthleteRow save(AthleteRow row);

    Optional<AthleteRow> findById(long id);

    @Query("select a from AthleteRow a where a.id = :id and " + SEEN)
    Optional<AthleteRow> findSeen(long id, long account);

    @Query("select a from AthleteRow a where " + SEEN + " order by a.name")
    List<AthleteRow> findAllSeen(long account);

    @Query("select a.id from AthleteRow a where a.accountId = :account")
    Optional<Long> findOwn(long account);
}
