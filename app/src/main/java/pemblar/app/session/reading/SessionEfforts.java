package pemblar.app.session.reading;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.athlete.Athlete;
import pemblar.app.effort.EffortService;
import pemblar.app.recording.mend.SetAsides;
import pemblar.app.session.TrainingSessionRepository;

/** Gives efforts the sessions that they are of: curves know only recordings. */
@Service
public class SessionEfforts {
    private final TrainingSessionRepository sessions;
    private final SetAsides setAsides;

    SessionEfforts(TrainingSessionRepository sessions, SetAsides setAsides) {
        this.sessions = sessions;
        this.setAsides = setAsides;
    }

    /** What a session is called, for points of a curve that know only its recording. */
    public record Named(long recordingId, long sessionId, LocalDate day, String title) {}

    @Transactional(readOnly = true)
    public List<Named> named(Athlete athlete, List<Long> recordingIds) {
        if (recordingIds.isEmpty()) return List.of();
        return sessions.ofRecordings(recordingIds).stream()
                .filter(s -> s.athleteId() == athlete.id())
                .map(s -> new Named(s.recording().id(), s.id(), s.day(), s.title()))
                .toList();
    }

    /**
     * A session that drove the reserve below zero: the lowest critical power that keeps it at zero, and the second at
     * which it was lowest.
     */
    public record BelowZero(
            long recordingId,
            long sessionId,
            LocalDate day,
            String title,
            double leastCriticalWatts,
            Integer second,
            List<Double> floorWatts) {}

    @Transactional(readOnly = true)
    public List<BelowZero> belowZero(Athlete athlete, LocalDate from) {
        return sessions.belowZero(athlete.id(), from).stream()
                .map(s -> new BelowZero(
                        s.recording().id(),
                        s.id(),
                        s.day(),
                        s.title(),
                        s.recording().leastCriticalWatts(),
                        s.recording().lowestReserveSecond(),
                        s.recording().floorWatts() == null
                                ? List.of()
                                : List.of(s.recording().floorWatts())))
                .toList();
    }

    /** A stretch that was set aside, with the session it is in. */
    public record Aside(long id, long sessionId, LocalDate day, String title, int from, int to, String reason) {
        public int seconds() {
            return to - from;
        }
    }

    /** Those of a deleted session wait with it. */
    @Transactional(readOnly = true)
    public List<Aside> setAsides(Athlete athlete) {
        List<EffortService.Aside> all = setAsides.all(athlete);
        Map<Long, Named> names =
                named(
                                athlete,
                                all.stream()
                                        .map(EffortService.Aside::recordingId)
                                        .distinct()
                                        .toList())
                        .stream()
                        .collect(Collectors.toMap(Named::recordingId, n -> n));
        return all.stream()
                .filter(a -> names.containsKey(a.recordingId()))
                .map(a -> aside(a, names.get(a.recordingId())))
                .toList();
    }

    private static Aside aside(EffortService.Aside a, Named of) {
        return new Aside(a.id(), of.sessionId(), of.day(), of.title(), a.from(), a.to(), a.reason());
    }
}
