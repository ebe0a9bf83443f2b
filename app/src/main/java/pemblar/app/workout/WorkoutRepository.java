package pemblar.app.workout;

import java.util.List;
import java.util.Optional;
import org.springframework.data.repository.Repository;

interface WorkoutRepository extends Repository<WorkoutRow, Long> {
    WorkoutRow save(WorkoutRow row);

    void delete(WorkoutRow row);

    Optional<WorkoutRow> findByIdAndAccountId(long id, long accountId);

    List<WorkoutRow> findByAccountIdOrderByTitle(long accountId);
}
