package pemblar.app.session.reading;

import java.time.InstantSource;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.AthleteService;
import pemblar.app.frame.NotFoundException;
import pemblar.app.frame.Once;
import pemblar.app.frame.Visit;
import pemblar.app.recording.RecordingFacts;
import pemblar.app.recording.RecordingReading;
import pemblar.app.recording.bytes.SummaryJson;
import pemblar.app.recording.mend.Corrections;
import pemblar.app.session.Described;
import pemblar.app.session.SessionRow;
import pemblar.app.session.Slab;
import pemblar.app.session.TrainingSessionRepository;
import pemblar.app.session.done.SpentHours;
import pemblar.app.threshold.ThresholdService;
import pemblar.core.design.Design;
import pemblar.core.recording.Recording;
import pemblar.core.season.LoadPerHour;
import pemblar.core.sport.Measure;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Thresholds;
import pemblar.core.workout.Workout;
import pemblar.core.zone.Zones;

/** Reads sessions: lists from stored summaries, one session with its channels. */
@Service
public class SessionService {
    private final TrainingSessionRepository sessions;
    private final SpentHours spent;
    private final RecordingReading recordings;
    private final AthleteService athletes;
    private final ThresholdService thresholds;
    private final InstantSource clock;

    SessionService(
            TrainingSessionRepository sessions,
            SpentHours spent,
            RecordingReading recordings,
            AthleteService athletes,
            ThresholdService thresholds,
            InstantSource clock) {
        this.clock = clock;
        this.sessions = sessions;
        this.spent = spent;
        this.recordings = recordings;
        this.athletes = athletes;
        this.thresholds = thresholds;
    }

    /** For an athlete whom the caller has already asked for. */
    @Transactional(readOnly = true)
    public List<Slab> between(Athlete athlete, LocalDate from, LocalDate to) {
        return Once.of(
                "slabs",
                List.of(athlete, from, to),
                () -> sessions.between(athlete.id(), from, to).stream()
                        .filter(row -> row.isSeenBy(athlete))
                        .map(Slab::of)
                        .toList());
    }

    @Transactional(readOnly = true)
    public List<Slab> lastDone(Athlete athlete, int count) {
        return sessions.lastDone(athlete.id(), count).stream().map(Slab::of).toList();
    }

    /** The latest of several athletes together, by athlete. */
    @Transactional(readOnly = true)
    public Map<Long, List<Slab>> lastDone(List<Athlete> athletes, int count) {
        if (athletes.isEmpty()) return Map.of();
        return sessions.lastDoneOf(athletes.stream().map(Athlete::id).toList(), count).stream()
                .collect(Collectors.groupingBy(
                        row -> row.athleteId(), Collectors.mapping(Slab::of, Collectors.toList())));
    }

    @Transactional(readOnly = true)
    public Slab slab(Visit visit, long sessionId) {
        return Slab.of(seen(athletes.require(visit), sessionId));
    }

    /** A session with its design, as it stands on its day; empty for a sketch and for what was only done. */
    public record Planned(Slab slab, Optional<Design> design) {}

    @Transactional(readOnly = true)
    public Planned planned(Visit visit, long sessionId) {
        SessionRow row = seen(athletes.require(visit), sessionId);
        return new Planned(Slab.of(row), row.design());
    }

    /**
     * How often the recording of each session changed what it says; without those that have none. For an athlete whom
     * the caller has already asked for.
     */
    @Transactional(readOnly = true)
    public Map<Long, Integer> revisions(long athleteId, List<Long> sessionIds) {
        return sessionIds.isEmpty()
                ? Map.of()
                : sessions.all(athleteId, sessionIds).stream()
                        .filter(s -> s.recording() != null)
                        .collect(java.util.stream.Collectors.toMap(
                                s -> s.id(), s -> s.recording().revision()));
    }

    /**
     * Recorded sessions that were planned as the same workout: of the library, else of the same title; in order of
     * their days. For an athlete whom the caller has already asked for.
     */
    @Transactional(readOnly = true)
    public List<Long> ofWorkout(long athleteId, Long workoutId, String title) {
        return sessions.ofWorkout(athleteId, workoutId == null ? -1 : workoutId, title).stream()
                .map(s -> s.id())
                .toList();
    }

    /**
     * A session with what lists leave out.
     *
     * @param design empty for a sketch and for what was only done
     * @param zones seconds in zones of its recording; empty without one
     * @param effort as it was felt, 0 to 10; null when nobody said
     */
    public record Whole(
            Slab slab, Optional<Design> design, Map<Measure, List<Integer>> zones, Described described, Double effort) {
        /** Its steps; empty without. */
        public Optional<Workout> workout() {
            return design.flatMap(Design::steps);
        }
    }

    @Transactional(readOnly = true)
    public List<Whole> wholeBetween(Athlete athlete, LocalDate from, LocalDate to) {
        return sessions.between(athlete.id(), from, to).stream()
                .filter(s -> s.isSeenBy(athlete))
                .map(s -> new Whole(
                        Slab.of(s),
                        s.design(),
                        s.recording() == null
                                ? Map.of()
                                : SummaryJson.zones(s.recording().zones()),
                        Described.of(s),
                        s.recording() == null ? s.doneEffort() : s.recording().perceivedEffort()))
                .toList();
    }

    /** Hours and load of each sport from a day on, of what is done and has a load. */
    @Transactional(readOnly = true)
    public Map<Sport, LoadPerHour.Spent> spent(Athlete athlete, LocalDate from) {
        return Once.of("spent", List.of(athlete.id(), from), () -> spent.from(athlete.id(), from));
    }

    /**
     * One session whole. Workout and recording are empty when it has none; the recording is as it counts, with its
     * corrections.
     *
     * @param trimmed seconds cut off the start of the original, whose seconds are stored with stretches, named ranges
     *     and notes
     */
    public record Opened(
            Athlete athlete,
            Slab slab,
            Optional<Design> design,
            Zones zones,
            Optional<Recording> recording,
            Optional<Stored> stored,
            Long workoutId,
            Integer workoutVersion,
            int trimmed,
            int originalSeconds,
            Described described,
            List<Corrections.Made> corrections) {
        /** Its steps; empty for strength, a sketch and what was not planned. */
        public Optional<Workout> workout() {
            return design.flatMap(Design::steps);
        }

        /** The values of the day as they count for the session's sport. */
        public Thresholds thresholds() {
            return zones.thresholds().forSport(slab.sport());
        }
    }

    /** What is stored of a recording beside its channels. */
    public record Stored(RecordingFacts facts, java.util.TreeMap<Integer, Double> bests) {}

    @Transactional(readOnly = true)
    public Opened open(Visit visit, long sessionId) {
        Athlete athlete = athletes.require(visit);
        SessionRow row = seen(athlete, sessionId);
        Optional<RecordingReading.Whole> whole =
                Optional.ofNullable(row.recording()).map(r -> recordings.whole(r.id()));
        return new Opened(
                athlete,
                Slab.of(row),
                row.design(),
                thresholds.zonesOf(athlete).on(row.day()),
                whole.map(RecordingReading.Whole::recording),
                whole.map(w -> new Stored(w.facts(), w.bests())),
                row.workoutId(),
                row.workoutVersion(),
                whole.map(RecordingReading.Whole::trimmed).orElse(0),
                whole.map(RecordingReading.Whole::originalSeconds).orElse(0),
                Described.of(row),
                whole.map(RecordingReading.Whole::corrections).orElse(List.of()));
    }

    /** A draft is no session for who does not see it. */
    private SessionRow seen(Athlete athlete, long sessionId) {
        return sessions.find(sessionId, athlete.id())
                .filter(row -> row.isSeenBy(athlete))
                .orElseThrow(() -> new NotFoundException("session"));
    }

    /** The original file as it came. */
    public record Original(String fileName, byte[] bytes) {}

    @Transactional(readOnly = true)
    public Original original(Visit visit, long sessionId) {
        athletes.require(visit);
        SessionRow row = sessions.find(sessionId, visit.athleteId())
                .filter(s -> s.recording() != null)
                .orElseThrow(() -> new NotFoundException("recording"));
        return new Original(
                row.recording().fileName(), recordings.original(row.recording().id()));
    }
}
