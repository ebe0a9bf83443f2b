package pemblar.app.threshold;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.springframework.data.repository.Repository;
import pemblar.core.threshold.Quantity;

interface DatedValueRepository extends Repository<DatedValueRow, Long> {
    DatedValueRow save(DatedValueRow row);

    void delete(DatedValueRow row);

    List<DatedValueRow> findByAthleteIdOrderByValidFrom(long athleteId);

    List<DatedValueRow> findByAthleteIdInOrderByValidFrom(List<Long> athleteIds);

    Optional<DatedValueRow> findByAthleteIdAndQuantityAndValidFrom(
            long athleteId, Quantity quantity, LocalDate validFrom);
}
