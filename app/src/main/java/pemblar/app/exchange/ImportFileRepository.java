package pemblar.app.exchange;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface ImportFileRepository extends Repository<ImportFileRow, Long> {
    ImportFileRow save(ImportFileRow row);

    Optional<ImportFileRow> findById(long id);

    @Query("select new pemblar.app.exchange.ImportService$Progress(f.id, f.fileName, cast(f.state as "
            + "string), f.message, f.sessionId) "
            + "from ImportFileRow f where f.athleteId = :athleteId order by f.id desc limit :count")
    List<ImportService.Progress> latest(long athleteId, int count);

    @Query("select f from ImportFileRow f where f.athleteId in :athleteIds and f.state in "
            + "(pemblar.app.exchange.ImportFileRow.State.WAITING, pemblar.app.exchange.ImportFileRow.State.REFUSED) "
            + "order by f.id desc limit :count")
    List<ImportFileRow> notTaken(List<Long> athleteIds, int count);
}
