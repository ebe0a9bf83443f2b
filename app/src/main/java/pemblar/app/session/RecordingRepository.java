package pemblar.app.session;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;
import pemblar.core.Sport;
import pemblar.core.workout.SpeedOfPower;

interface RecordingRepository extends Repository<RecordingRow, Long> {
    RecordingRow save(RecordingRow row);

    Optional<RecordingRow> findById(long id);

    Optional<RecordingRow> findByAthleteIdAndSha256(long athleteId, String sha256);

    List<RecordingRow> findByIdIn(List<Long> ids);

    @Query("select r from RecordingRow r where r.curvesVersion < :version order by r.id limit :count")
    List<RecordingRow> withOlderCurves(int version, int count);

    @Query("select r from RecordingRow r where r.athleteId = :athleteId and r.day >= :from and r.day < :until order by r.day")
    List<RecordingRow> within(long athleteId, LocalDate from, LocalDate until);

    @Query("select new pemblar.core.workout.SpeedOfPower$Ride(r.meanWatts, r.meanSpeed) from RecordingRow r where r.athleteId = :athleteId and r.sport = pemblar.core.Sport.RIDE "
        + "and r.day >= :from and r.meanWatts > 40 and r.meanSpeed > 1 and r.timerSeconds >= 1200")
    List<SpeedOfPower.Ride> rides(long athleteId, LocalDate from);

    @Query("select r.id from RecordingRow r where r.athleteId = :athleteId and r.day >= :from and r.day < :until and r.sport in :sports and r.id > :after order by r.id")
    List<Long> idsIn(long athleteId, LocalDate from, LocalDate until, Set<Sport> sports, long after);
}
