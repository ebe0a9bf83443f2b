package pemblar.app.athlete;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface AthleteRepository extends Repository<AthleteRow, Long> {
    String SEEN = "(a.accountId = :account or exists (select 1 from AthleteRow o where o.id = a.keptBy and "
            + "o.accountId = :account) or exists (select 1 from CoachingRow c where c.athleteId = "
            + "coalesce(a.keptBy, a.id) and c.coachAccountId = :account and c.acceptedAt is not null and "
            + "c.endedAt is null))";

    AthleteRow save(AthleteRow row);

    void delete(AthleteRow row);

    Optional<AthleteRow> findById(long id);

    @Query("select a from AthleteRow a where a.id = :id and " + SEEN)
    Optional<AthleteRow> findSeen(long id, long account);

    /** An athlete, and whether the person who asks plans for them; null for the athlete. */
    record Seen(AthleteRow athlete, Boolean plans) {
        Athlete toAthlete() {
            return athlete.toAthlete(Boolean.TRUE.equals(plans));
        }
    }

    /** Who is kept for an athlete is seen by whom that athlete is seen by. */
    String WITH_ROLE = "select new pemblar.app.athlete.AthleteRepository$Seen(a, c.plans) from AthleteRow a left join "
            + "AthleteRow o on o.id = a.keptBy left join CoachingRow c on c.athleteId = coalesce(a.keptBy, a.id) and "
            + "c.coachAccountId = :account and c.acceptedAt is not null and c.endedAt is null and "
            + "(coalesce(o.accountId, a.accountId) is null or coalesce(o.accountId, a.accountId) <> :account) "
            + "where (a.accountId = :account or o.accountId = :account or c.plans is not null) ";

    @Query(WITH_ROLE + "and a.id = :id")
    Optional<Seen> findWithRole(long id, long account);

    @Query(WITH_ROLE + "and a.keptBy is null order by a.name")
    List<Seen> findAllWithRole(long account);

    @Query("select a from AthleteRow a where a.keptBy = :athlete order by a.name, a.id")
    List<AthleteRow> findKeptBy(long athlete);

    @Query("select a.id from AthleteRow a where a.accountId = :account")
    Optional<Long> findOwn(long account);
}
