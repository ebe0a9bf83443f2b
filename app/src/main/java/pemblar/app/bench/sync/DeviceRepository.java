package pemblar.app.bench.sync;

import java.util.List;
import java.util.Optional;
import org.springframework.data.repository.Repository;

interface DeviceRepository extends Repository<DeviceRow, Long> {
    DeviceRow save(DeviceRow row);

    Optional<DeviceRow> findByTokenSha256(String hash);

    Optional<DeviceRow> findByIdAndAthleteId(long id, long athleteId);

    List<DeviceRow> findByAthleteIdOrderByName(long athleteId);
}
