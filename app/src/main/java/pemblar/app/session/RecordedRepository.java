package pemblar.app.session;

import java.util.Optional;
import org.springframework.data.repository.Repository;

interface RecordedRepository extends Repository<RecordedRow, Long> {
    Optional<RecordedRow> findById(long id);
}
