package pemblar.app.session;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;
import pemblar.core.Sport;

interface RecordingRepository extends Repository<RecordingRow, Long> {
    RecordingRow save(RecordingRow row);

    Optional<RecordingRow> findById(long id);

    Optional<RecordingRow> findByAthleteIdAndSha256(long athleteId, String sha256);

    List<RecordingRow> findByIdIn(List<Long> ids);

    @Query("select r from RecordingRow r where r.curvesVersion < :version order by r.id limit :count")
    List<RecordingRow> withOlderCurves(int version, int count);

    @Query("select r from RecordingRow r where r.athleteId = :athleteId and r.day >= :from and r.day < :until order by r.day")
    List<RecordingRow> within(long athleteId, LocalDate from, LocalDate until);

    @Query("select r.id from RecordingRow r where r.athleteId = :athleteId and r.day >= :from and r.day < :until and r.sport in :sports and r.id > :after order by r.id")
    List<Long> idsIn(long athleteId, LocalDate from, LocalDate until, Set<Sport> sports, long after);
}
