package pemblar.app.threshold;

import java.util.List;
import java.util.Optional;
import org.springframework.data.repository.Repository;

interface ZoneSchemeRepository extends Repository<ZoneSchemeRow, Long> {
    ZoneSchemeRow save(ZoneSchemeRow row);

    void delete(ZoneSchemeRow row);

    List<ZoneSchemeRow> findByAccountIdOrderByName(long accountId);

    Optional<ZoneSchemeRow> findByIdAndAccountId(long id, long accountId);

    Optional<ZoneSchemeRow> findByAccountIdAndName(long accountId, String name);
}
