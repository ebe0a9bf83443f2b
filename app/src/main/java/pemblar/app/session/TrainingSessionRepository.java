package pemblar.app.session;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;
import pemblar.core.sport.Sport;

public interface TrainingSessionRepository extends Repository<SessionRow, Long> {
    SessionRow save(SessionRow row);

    void delete(SessionRow row);

    void flush();

    @Query("select s from SessionRow s left join fetch s.recording where s.id = :id and s.athleteId = :athleteId")
    Optional<SessionRow> find(long id, long athleteId);

    @Query("select s from SessionRow s left join fetch s.recording r where s.athleteId = :athleteId and "
            + "s.day between :from and :to "
            + "order by s.day, coalesce(s.startMinute, 9999), s.id")
    List<SessionRow> between(long athleteId, LocalDate from, LocalDate to);

    @Query("select s from SessionRow s left join fetch s.recording r where s.athleteId = :athleteId and (r "
            + "is not null or s.doneSeconds is not null) order by s.day desc, r.startedAt desc, s.id desc limit :count")
    List<SessionRow> lastDone(long athleteId, int count);

    @Query("select s from SessionRow s left join fetch s.recording r where s.athleteId in :athleteIds and (r "
            + "is not null or s.doneSeconds is not null) order by s.day desc, s.id desc limit :count")
    List<SessionRow> lastDoneOf(List<Long> athleteIds, int count);

    @Query("select s from SessionRow s where s.athleteId = :athleteId and s.day = :day and (s.structure is "
            + "not null or s.purpose is not null) and s.recording is null and s.draft = false and (s.sport = :sport or "
            + ":sport = pemblar.core.sport.Sport.OTHER)")
    List<SessionRow> open(long athleteId, LocalDate day, Sport sport);

    @Query("select s from SessionRow s where s.athleteId = :athleteId and s.day >= :from and s.day < :until "
            + "and s.structure is not null and s.recording is null")
    List<SessionRow> plannedIn(long athleteId, LocalDate from, LocalDate until);

    /** Without a recording and not told to be done, from a day on. */
    @Query("select s from SessionRow s where s.athleteId = :athleteId and s.day >= :from and s.recording is "
            + "null and s.doneSeconds is null order by s.day, s.id")
    List<SessionRow> openFrom(long athleteId, LocalDate from);

    @Query("select s from SessionRow s where s.structure is not null and s.purpose is null and s.recording "
            + "is null and s.plannedSeconds is not null and s.id > :after order by s.id limit :count")
    List<SessionRow> withoutPurpose(long after, int count);

    @Query("select s from SessionRow s where s.strength is not null and s.heavyLegs is null order by s.id limit :count")
    List<SessionRow> withoutLegs(int count);

    @Query("select s from SessionRow s join fetch s.recording r where r.id in :recordingIds")
    List<SessionRow> ofRecordings(List<Long> recordingIds);

    @Query("select s from SessionRow s join fetch s.recording r where r.athleteId = :athleteId and "
            + "r.leastCriticalWatts is not null and r.day >= :from order by r.day")
    List<SessionRow> belowZero(long athleteId, LocalDate from);

    @Query("select s from SessionRow s join fetch s.recording r where s.athleteId = :athleteId and r.athleteId = "
            + ":athleteId and r.doubts > 0 and r.day >= :from order by r.day desc limit :most")
    List<SessionRow> doubted(long athleteId, LocalDate from, int most);

    @Query("select s.id from SessionRow s where s.recording.id = :recordingId")
    Optional<Long> idOfRecording(long recordingId);

    @Query("select s from SessionRow s left join fetch s.recording where s.athleteId = :athleteId and s.id "
            + "in :ids order by s.day, s.id")
    List<SessionRow> all(long athleteId, List<Long> ids);

    @Query("select s from SessionRow s join fetch s.recording r where s.athleteId = :athleteId and "
            + "s.structure is not null and (s.workoutId = :workoutId or s.workoutId is null and "
            + "s.title = :title) order by s.day, s.id")
    List<SessionRow> ofWorkout(long athleteId, long workoutId, String title);

    @Modifying(flushAutomatically = true, clearAutomatically = true)
    @Query(
            nativeQuery = true,
            value = "update session set deleted_at = null where athlete_id = :athleteId and id in (:ids)")
    void bringBack(long athleteId, List<Long> ids);

    @Modifying(flushAutomatically = true)
    @Query(nativeQuery = true, value = "delete from session where deleted_at < :before")
    void purge(Instant before);

    @Query(
            nativeQuery = true,
            value = "select recording_id from session where id in (:ids) and recording_id is not null")
    List<Long> recordingsOf(List<Long> ids);

    @Modifying(flushAutomatically = true)
    @Query(
            nativeQuery = true,
            value = "delete from session where deleted_at is not null and recording_id in (:recordingIds)")
    void purgeOfRecordings(List<Long> recordingIds);

    @Modifying(flushAutomatically = true)
    @Query(nativeQuery = true, value = "update session set recording_id = null where recording_id in (:recordingIds)")
    void partFrom(List<Long> recordingIds);

    /** Where a recording was made, in a person's word; empty when nobody said. */
    record Where(long recordingId, long sessionId, String surface) {}

    @Query("select new pemblar.app.session.TrainingSessionRepository$Where(s.recording.id, s.id, s.surface) from "
            + "SessionRow s where s.athleteId = :athleteId and s.day >= :from and s.recording is not null")
    List<Where> where(long athleteId, LocalDate from);

    @Modifying(flushAutomatically = true, clearAutomatically = true)
    @Query(
            nativeQuery = true,
            value = "insert into session (id, athlete_id, day, sport, title) values (:id, :athleteId, :day, "
                    + ":sport, :title) on conflict (id) do nothing")
    void insert(long id, long athleteId, LocalDate day, String sport, String title);
}
