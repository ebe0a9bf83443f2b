package pemblar.app.undo;

import java.time.Instant;
import java.util.Optional;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface UndoRepository extends Repository<UndoRow, Long> {
    UndoRow save(UndoRow row);

    void delete(UndoRow row);

    @Query("select u from UndoRow u where u.athleteId = :athleteId and u.accountId = :accountId and "
            + "u.createdAt > :after order by u.id desc limit 1")
    Optional<UndoRow> latest(long athleteId, long accountId, Instant after);
}
