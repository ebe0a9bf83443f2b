package pemblar.app.session;

import java.time.Duration;
import java.time.InstantSource;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.AthleteService;
import pemblar.app.frame.Secret;
import pemblar.app.threshold.ThresholdService;
import pemblar.core.load.SessionSummary;
import pemblar.core.load.SessionSummary.Part;
import pemblar.core.recording.Recording;
import pemblar.core.sport.Sport;
import pemblar.core.zone.DatedZones;
import pemblar.core.zone.Zones;
import pemblar.formats.Reading;
import pemblar.formats.RecordingFiles;

/** Takes recordings in: reads, summarises, stores, and finds the planned session they belong to. */
@Service
public class RecordingService {
    private static final int PROBLEMS_LENGTH = 4000;
    private static final int BATCH = 20;
    /** Clocks of devices and time zones differ by so much. */
    private static final Duration LATEST = Duration.ofHours(26);

    private final InstantSource clock;
    private final RecordingRepository recordings;
    private final RecordingDataRepository data;
    private final TrainingSessionRepository sessions;
    private final TargetsKept targets;
    private final ThresholdService thresholds;
    private final EffortService efforts;
    private final MendedRecordings mended;
    private final AthleteService athletes;
    private final Doubts doubts;

    RecordingService(
            RecordingRepository recordings,
            RecordingDataRepository data,
            TrainingSessionRepository sessions,
            TargetsKept targets,
            ThresholdService thresholds,
            EffortService efforts,
            MendedRecordings mended,
            AthleteService athletes,
            Doubts doubts,
            InstantSource clock) {
        this.targets = targets;
        this.doubts = doubts;
        this.clock = clock;
        this.recordings = recordings;
        this.data = data;
        this.sessions = sessions;
        this.thresholds = thresholds;
        this.efforts = efforts;
        this.mended = mended;
        this.athletes = athletes;
    }

    /** What became of a file. */
    public enum Outcome {
        DONE,
        KNOWN,
        REFUSED
    }

    /** @param message what to tell the person; the session is null when the file was refused */
    public record Taken(Outcome outcome, Long sessionId, String message) {}

    /**
     * Reads a file and stores its recording, all or nothing. The same bytes twice give the session of the first time.
     *
     * @param wantedSession the planned session it belongs to; empty looks for one on its day
     */
    @Transactional
    public Taken take(Athlete athlete, String fileName, byte[] bytes, Optional<Long> wantedSession) {
        String hash = Secret.hash(bytes);
        Optional<RecordingRow> known = recordings.findByAthleteIdAndSha256(athlete.id(), hash);
        if (known.isPresent())
            return new Taken(
                    Outcome.KNOWN,
                    sessions.idOfRecording(known.get().id).orElse(null),
                    "This file is already here, from " + known.get().day + ". Nothing was changed.");
        sessions.purgeOfFile(athlete.id(), hash);
        recordings.purgeFile(athlete.id(), hash);
        Reading reading = read(bytes, athlete);
        String problems =
                reading.problems().stream().map(Reading.Problem::toString).collect(Collectors.joining("\n"));
        if (reading.recording().isEmpty()) return new Taken(Outcome.REFUSED, null, problems);
        Recording stored = reading.recording().get();
        if (stored.start().isAfter(clock.instant().plus(LATEST)))
            return new Taken(
                    Outcome.REFUSED,
                    null,
                    "The file says that it begins on " + athlete.dayOf(stored.start())
                            + ", which is still to come. Set the device's clock and export it again.");
        Recording recording = stored.sound();
        LocalDate day = athlete.dayOf(recording.start());
        Zones zones = thresholds.zonesOf(athlete).on(day);
        SessionSummary summary = SessionSummary.of(recording, zones);
        RecordingRow row = new RecordingRow(
                athlete.id(),
                hash,
                fileName,
                day,
                problems.length() > PROBLEMS_LENGTH ? problems.substring(0, PROBLEMS_LENGTH) : problems);
        row.fill(recording, summary, Silhouettes.done(recording, zones.thresholds()));
        recordings.save(row);
        data.save(new RecordingDataRow(row.id, bytes, ChannelColumn.write(stored), SummaryJson.bests(summary.bests())));
        efforts.store(row, recording);
        doubts.note(athlete, row, stored, zones);
        SessionRow session = place(athlete, row, wantedSession, reading.name());
        targets.note(row, session, recording, zones);
        return new Taken(Outcome.DONE, session.id, problems);
    }

    /** A file that does not name its sport is read as the athlete's own, when the athlete has one. */
    private static Reading read(byte[] bytes, Athlete athlete) {
        Reading reading = RecordingFiles.read(bytes, Optional.empty());
        boolean unnamed = reading.recording().isPresent()
                && !reading.recording().get().sport().isNamed();
        return unnamed && athlete.sports().size() == 1
                ? RecordingFiles.read(bytes, Optional.of(athlete.first()))
                : reading;
    }

    private SessionRow place(Athlete athlete, RecordingRow recording, Optional<Long> wanted, String name) {
        Optional<SessionRow> planned = wanted.flatMap(id -> sessions.find(id, athlete.id()))
                .filter(s -> s.recording == null)
                .or(() -> sessions.open(athlete.id(), recording.day, recording.sport).stream()
                        .min(Comparator.comparingInt(s ->
                                Math.abs((s.plannedSeconds == null ? 0 : s.plannedSeconds) - recording.timerSeconds))));
        SessionRow session = planned.orElseGet(() -> unplanned(athlete, recording, name));
        session.recording = recording;
        session.draft = false;
        recording.follow(session);
        forgetTold(session);
        return sessions.save(session);
    }

    /** What was told by hand gives way to the recording. */
    private static void forgetTold(SessionRow session) {
        session.doneSeconds = null;
        session.doneMetres = null;
        session.doneLoad = null;
    }

    /** @param name what the file calls it; empty makes one of the time of day */
    private static SessionRow unplanned(Athlete athlete, RecordingRow recording, String name) {
        return name.isEmpty()
                ? unplanned(athlete, recording)
                : new SessionRow(athlete.id(), recording.day, recording.sport, name);
    }

    static SessionRow unplanned(Athlete athlete, RecordingRow recording) {
        int hour = athlete.local(recording.startedAt).getHour();
        String time =
                hour < 5 ? "Night" : hour < 11 ? "Morning" : hour < 14 ? "Midday" : hour < 18 ? "Afternoon" : "Evening";
        String what = recording.sport.isNamed() ? " " + recording.sport.key() : " session";
        return new SessionRow(athlete.id(), recording.day, recording.sport, time + what);
    }

    /**
     * Computes the named parts of some recordings' summaries anew, with the values of each one's day, reading only the
     * channels they need.
     */
    @Transactional
    public void recompute(Athlete athlete, List<Long> recordingIds, Set<Part> parts) {
        DatedZones zones = thresholds.zonesOf(athlete);
        Map<Long, byte[]> stored = new HashMap<>();
        for (RecordingDataRepository.Channels column : data.channels(recordingIds))
            stored.put(column.recordingId(), column.channels());
        Map<Long, List<EditRow>> edits = mended.edits(recordingIds);
        for (RecordingRow row : recordings.findByIdIn(recordingIds))
            recompute(
                    row,
                    wanted -> mended.read(stored.get(row.id), edits.getOrDefault(row.id, List.of()), wanted),
                    zones.on(row.day),
                    parts);
    }

    private static void recompute(
            RecordingRow row, Function<Predicate<String>, Recording> reading, Zones day, Set<Part> parts) {
        Optional<Part> silhouette =
                Silhouettes.source(row::has, day.thresholds().forSport(row.sport));
        boolean redrawn = Silhouettes.changes(silhouette, parts);
        Set<String> channels = parts.stream().map(part -> part.channel().key()).collect(Collectors.toSet());
        if (redrawn) silhouette.ifPresent(part -> channels.add(part.channel().key()));
        Recording recording = reading.apply(channels::contains).sound();
        row.valued(row.summary().again(recording, day, parts));
        if (row.floorWatts == null) row.floor(recording);
        if (redrawn) row.silhouette = Silhouettes.done(recording, day.thresholds());
    }

    /** Computes everything of a recording anew, as after a correction. */
    @Transactional
    void refresh(Athlete athlete, RecordingRow row) {
        RecordingDataRow stored = data.findById(row.id).orElseThrow();
        MendedRecordings.Both both = mended.both(row.id, stored.channels);
        Zones zones = thresholds.zonesOf(athlete).on(row.day);
        Recording sound = both.mended().sound();
        SessionSummary summary = SessionSummary.of(sound, zones);
        row.fill(sound, summary, Silhouettes.done(sound, zones.thresholds()));
        SessionRow session =
                sessions.ofRecordings(List.of(row.id)).stream().findFirst().orElse(null);
        row.follow(session);
        targets.note(row, session, sound, zones);
        stored.bests = SummaryJson.bests(summary.bests());
        efforts.store(row, sound);
        doubts.note(athlete, row, both.mended(), zones);
    }

    /** Looks at recordings that were taken in before doubts were kept; false when none is left. */
    @Transactional
    public boolean noteNextDoubts() {
        List<RecordingRow> rows = recordings.withoutDoubts(BATCH);
        for (RecordingRow row : rows) {
            Athlete athlete = athletes.forJob(row.athleteId);
            doubts.note(
                    athlete,
                    row,
                    mended.read(row.id),
                    thresholds.zonesOf(athlete).on(row.day));
        }
        return !rows.isEmpty();
    }

    /** Stores the curves of recordings that were taken in before curves were kept; false when none is left. */
    @Transactional
    public boolean storeNextCurves() {
        List<RecordingRow> rows = recordings.withOlderCurves(EffortService.CURVES_VERSION, BATCH);
        for (RecordingRow row : rows) efforts.store(row, mended.read(row.id).sound());
        return !rows.isEmpty();
    }

    /** Gives planned sessions of an earlier version their purpose. @return the last id that was looked at, or -1 */
    @Transactional
    public long storeNextPurposes(long after) {
        List<SessionRow> rows = sessions.withoutPurpose(after, BATCH);
        for (SessionRow row : rows)
            SessionDesk.forecast(
                    row, thresholds.zonesOf(athletes.forJob(row.athleteId)).on(row.day));
        return rows.isEmpty() ? -1 : rows.get(rows.size() - 1).id;
    }

    @Transactional(readOnly = true)
    public List<Long> idsIn(long athleteId, LocalDate from, LocalDate until, Set<Sport> sports, long after) {
        return recordings.idsIn(athleteId, from, until, sports, after);
    }
}
