package pemblar.app.threshold;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.springframework.data.repository.Repository;
import pemblar.core.sport.Measure;
import pemblar.core.sport.Sport;

interface ZoneSetRepository extends Repository<ZoneSetRow, Long> {
    ZoneSetRow save(ZoneSetRow row);

    void delete(ZoneSetRow row);

    List<ZoneSetRow> findByAthleteIdOrderByValidFrom(long athleteId);

    List<ZoneSetRow> findByAthleteIdInOrderByValidFrom(List<Long> athleteIds);

    List<ZoneSetRow> findBySchemeIdOrderByAthleteIdAscValidFromAsc(long schemeId);

    Optional<ZoneSetRow> findByAthleteIdAndSportAndMeasureAndValidFrom(
            long athleteId, Sport sport, Measure measure, LocalDate validFrom);
}
