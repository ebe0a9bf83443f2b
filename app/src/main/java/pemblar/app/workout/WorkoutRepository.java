package pemblar.app.workout;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface WorkoutRepository extends Repository<WorkoutRow, Long> {
    WorkoutRow save(WorkoutRow row);

    Optional<WorkoutRow> findByIdAndAccountId(long id, long accountId);

    @Query("select w from WorkoutRow w where w.accountId = :account or (w.shared = true and w.archived = "
            + "false and w.accountId in :coaches) order by w.title, w.id")
    List<WorkoutRow> seenBy(long account, List<Long> coaches);

    @Query("select w from WorkoutRow w where w.id = :id and (w.accountId = :account or (w.shared = true and "
            + "w.accountId in :coaches))")
    Optional<WorkoutRow> seen(long id, long account, List<Long> coaches);
}
