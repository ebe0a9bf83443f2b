package pemblar.app.recording;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;
import pemblar.app.frame.NotFoundException;
import pemblar.core.sport.Sport;
import pemblar.core.workout.SpeedOfPower;

interface RecordingRepository extends Repository<RecordingRow, Long> {
    RecordingRow save(RecordingRow row);

    Optional<RecordingRow> findById(long id);

    /** @throws NotFoundException when the athlete has no such recording */
    default RecordingRow require(long athleteId, long id) {
        return findById(id).filter(r -> r.athleteId == athleteId).orElseThrow(() -> new NotFoundException("recording"));
    }

    Optional<RecordingRow> findByAthleteIdAndSha256(long athleteId, String sha256);

    List<RecordingRow> findByIdIn(List<Long> ids);

    @Modifying(flushAutomatically = true, clearAutomatically = true)
    @Query(
            nativeQuery = true,
            value = "update recording set deleted_at = null where athlete_id = :athleteId and id in (:ids)")
    void bringBack(long athleteId, List<Long> ids);

    /** One that lent a channel stays for the other recording. */
    String NOT_LENT = " and not exists (select 1 from recording_edit where other_recording_id = recording.id)";

    @Query(nativeQuery = true, value = "select id from recording where deleted_at < :before" + NOT_LENT)
    List<Long> deletedBefore(Instant before);

    @Query(
            nativeQuery = true,
            value = "select id from recording where athlete_id = :athleteId and sha256 = :sha256 and deleted_at "
                    + "is not null"
                    + NOT_LENT)
    List<Long> deletedOfFile(long athleteId, String sha256);

    @Modifying(flushAutomatically = true)
    @Query(nativeQuery = true, value = "delete from recording where id in (:ids)")
    void purge(List<Long> ids);

    @Modifying(flushAutomatically = true, clearAutomatically = true)
    @Query("update RecordingRow r set r.skyCelsius = :celsius where r.id = :id")
    void skyTemperature(long id, double celsius);

    @Query("select r from RecordingRow r where r.curvesVersion < :version order by r.id limit :count")
    List<RecordingRow> withOlderCurves(int version, int count);

    @Query("select r from RecordingRow r where r.doubtsVersion = 0 order by r.id limit :count")
    List<RecordingRow> withoutDoubts(int count);

    @Query("select r from RecordingRow r where r.athleteId = :athleteId and r.day >= :from and r.day < "
            + ":until order by r.day")
    List<RecordingRow> within(long athleteId, LocalDate from, LocalDate until);

    @Query("select new pemblar.core.workout.SpeedOfPower$Ride(r.meanWatts, r.meanSpeed) from RecordingRow r "
            + "where r.athleteId = :athleteId and r.sport = :sport "
            + "and r.day >= :from and r.meanWatts > 40 and r.meanSpeed > 1 and r.timerSeconds >= 1200")
    List<SpeedOfPower.Ride> rides(long athleteId, Sport sport, LocalDate from);

    @Query("select new pemblar.app.recording.DayRide(r.day, r.meanWatts, r.meanSpeed) from RecordingRow r "
            + "where r.athleteId = :athleteId and r.sport = :sport "
            + "and r.day >= :from and r.meanWatts > 40 and r.meanSpeed > 1 and r.timerSeconds >= 1200")
    List<DayRide> dayRides(long athleteId, Sport sport, LocalDate from);

    @Query("select r from RecordingRow r where r.athleteId = :athleteId and r.id <> :id and r.startedAt < "
            + ":end and r.endedAt > :start order by r.startedAt limit 4")
    List<RecordingRow> atTheSameTime(long athleteId, long id, Instant start, Instant end);

    @Query("select new pemblar.app.recording.RecordingReading$Counted(count(r), "
            + "sum(case when r.meanBpm is null then 1 else 0 end), sum(case when r.meanBpm is not null and "
            + "(:watts = true and r.meanWatts is null or :watts = false and r.meanSpeed is null) then 1 else 0 end)) "
            + "from RecordingRow r where r.athleteId = :athleteId and r.day >= :from and r.sport = :sport")
    RecordingReading.Counted counted(long athleteId, Sport sport, LocalDate from, boolean watts);

    @Query("select r.id from RecordingRow r where r.athleteId = :athleteId and r.day >= :from and r.day < "
            + ":until and r.sport in :sports and r.id > :after order by r.id")
    List<Long> idsIn(long athleteId, LocalDate from, LocalDate until, Set<Sport> sports, long after);
}
