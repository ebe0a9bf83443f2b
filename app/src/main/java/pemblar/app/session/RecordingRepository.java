package pemblar.app.session;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface RecordingRepository extends Repository<RecordingRow, Long> {
    RecordingRow save(RecordingRow row);

    Optional<RecordingRow> findById(long id);

    Optional<RecordingRow> findByAthleteIdAndSha256(long athleteId, String sha256);

    @Query("select r.id from RecordingRow r where r.athleteId = :athleteId and r.day >= :from and r.day < :until and r.id > :after order by r.id")
    List<Long> idsIn(long athleteId, LocalDate from, LocalDate until, long after);
}
