package pemblar.app.threshold;

import java.time.Instant;
import java.util.Optional;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface ValueChangeRepository extends Repository<ValueChangeRow, Long> {
    ValueChangeRow save(ValueChangeRow row);

    void delete(ValueChangeRow row);

    @Query("select c from ValueChangeRow c where c.athleteId = :athleteId and c.accountId = :accountId and "
            + "c.createdAt > :after order by c.id desc limit 1")
    Optional<ValueChangeRow> latest(long athleteId, long accountId, Instant after);
}
