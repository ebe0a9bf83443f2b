package pemblar.app.session;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;
import pemblar.core.Sport;

interface TrainingSessionRepository extends Repository<SessionRow, Long> {
    SessionRow save(SessionRow row);

    void delete(SessionRow row);

    void flush();

    @Query("select s from SessionRow s left join fetch s.recording where s.id = :id and s.athleteId = :athleteId")
    Optional<SessionRow> find(long id, long athleteId);

    @Query("select s from SessionRow s left join fetch s.recording r where s.athleteId = :athleteId and s.day between :from and :to "
        + "order by s.day, coalesce(s.startMinute, 9999), s.id")
    List<SessionRow> between(long athleteId, LocalDate from, LocalDate to);

    @Query("select s from SessionRow s left join fetch s.recording r where s.athleteId = :athleteId and r is not null order by r.startedAt desc limit :count")
    List<SessionRow> lastDone(long athleteId, int count);

    @Query("select new pemblar.app.session.DayLoad(s.athleteId, s.day, coalesce(sum(s.plannedLoad), 0), coalesce(sum(r.loadPoints), 0), "
        + "coalesce(sum(case when r.id is null then s.plannedLoad else 0 end), 0), coalesce(sum(s.plannedSeconds), 0), coalesce(sum(r.timerSeconds), 0), "
        + "sum(case when r.id is not null and r.loadPoints is null then 1 else 0 end)) "
        + "from SessionRow s left join s.recording r where s.athleteId in :athleteIds group by s.athleteId, s.day order by s.day")
    List<DayLoad> dayLoads(List<Long> athleteIds);

    @Query("select s from SessionRow s where s.athleteId = :athleteId and s.day = :day and s.structure is not null and s.recording is null and (s.sport = :sport or :sport = pemblar.core.Sport.OTHER)")
    List<SessionRow> open(long athleteId, LocalDate day, Sport sport);

    @Query("select s from SessionRow s where s.athleteId = :athleteId and s.day >= :from and s.day < :until and s.structure is not null and s.recording is null")
    List<SessionRow> plannedIn(long athleteId, LocalDate from, LocalDate until);

    @Query("select s from SessionRow s join fetch s.recording r where r.id in :recordingIds")
    List<SessionRow> ofRecordings(List<Long> recordingIds);

    @Query("select s from SessionRow s join fetch s.recording r where r.athleteId = :athleteId and r.leastCriticalWatts is not null and r.day >= :from order by r.day")
    List<SessionRow> belowZero(long athleteId, LocalDate from);

    @Query("select s.id from SessionRow s where s.recording.id = :recordingId")
    Optional<Long> idOfRecording(long recordingId);

    @Modifying(flushAutomatically = true, clearAutomatically = true)
    @Query(nativeQuery = true, value = "insert into session (id, athlete_id, day, start_minute, sport, title, structure, scale_percent, planned_seconds, planned_load, planned_silhouette, recording_id, workout_id, workout_version) "
        + "values (:id, :athleteId, :day, :startMinute, :sport, :title, cast(:structure as jsonb), :scalePercent, :plannedSeconds, :plannedLoad, :silhouette, :recordingId, :workoutId, :workoutVersion)")
    void insert(long id, long athleteId, LocalDate day, Integer startMinute, String sport, String title, String structure, int scalePercent,
                Integer plannedSeconds, Double plannedLoad, String silhouette, Long recordingId, Long workoutId, Integer workoutVersion);
}
