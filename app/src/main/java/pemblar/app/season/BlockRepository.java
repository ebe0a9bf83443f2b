package pemblar.app.season;

import java.util.List;
import org.springframework.data.repository.Repository;

interface BlockRepository extends Repository<BlockRow, Long> {
    BlockRow save(BlockRow row);

    List<BlockRow> findByAthleteIdOrderByFirstDay(long athleteId);
}
