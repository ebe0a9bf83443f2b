package pemblar.app.recording;

import java.time.Duration;
import java.time.Instant;
import java.time.InstantSource;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.AthleteService;
import pemblar.app.effort.EffortService;
import pemblar.app.frame.Secret;
import pemblar.app.recording.bytes.ChannelColumn;
import pemblar.app.recording.bytes.RecordingBytes;
import pemblar.app.recording.bytes.SummaryJson;
import pemblar.app.recording.mend.MendedRecordings;
import pemblar.app.recording.outline.Silhouettes;
import pemblar.app.threshold.ThresholdService;
import pemblar.core.load.SessionSummary;
import pemblar.core.load.SessionSummary.Part;
import pemblar.core.recording.Recording;
import pemblar.core.sport.Sport;
import pemblar.core.zone.DatedZones;
import pemblar.core.zone.Zones;
import pemblar.formats.Reading;
import pemblar.formats.RecordingFiles;

/** Takes recordings in, reads, summarises and stores them; computes them anew; and lets them go. */
@Service
public class RecordingService {
    private static final int PROBLEMS_LENGTH = 4000;
    private static final String LEFT =
            "This recording could not be computed anew when a threshold changed: its load and"
                    + " its zones are still those by the values of before.";
    private static final int LONGEST_PROBLEMS = 4000;
    private static final int BATCH = 20;
    /** Clocks of devices and time zones differ by so much. */
    private static final Duration LATEST = Duration.ofHours(26);

    private final InstantSource clock;
    private final RecordingRepository recordings;
    private final RecordingBytes bytes;
    private final Summaries summaries;
    private final ThresholdService thresholds;
    private final EffortService efforts;
    private final MendedRecordings mended;
    private final AthleteService athletes;
    private final ApplicationEventPublisher events;

    RecordingService(
            RecordingRepository recordings,
            RecordingBytes bytes,
            Summaries summaries,
            ThresholdService thresholds,
            EffortService efforts,
            MendedRecordings mended,
            AthleteService athletes,
            ApplicationEventPublisher events,
            InstantSource clock) {
        this.summaries = summaries;
        this.events = events;
        this.clock = clock;
        this.recordings = recordings;
        this.bytes = bytes;
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

    /**
     * A file that was read.
     *
     * @param recordingId null when it was refused
     * @param sound the recording as it counts; null unless it is new
     * @param name what the file calls it; empty when it does not
     * @param message what to tell the person
     */
    public record Read(Outcome outcome, Long recordingId, Recording sound, String name, String message) {
        private static Read refused(String why) {
            return new Read(Outcome.REFUSED, null, null, "", why);
        }
    }

    /** Reads a file and stores its recording, all or nothing. The same bytes twice give the recording of before. */
    @Transactional
    public Read take(Athlete athlete, String fileName, byte[] bytes) {
        String hash = Secret.hash(bytes);
        Optional<RecordingRow> known = recordings.findByAthleteIdAndSha256(athlete.id(), hash);
        if (known.isPresent())
            return new Read(
                    Outcome.KNOWN,
                    known.get().id,
                    null,
                    "",
                    "This file is already here, from " + known.get().day + ". Nothing was changed.");
        purge(recordings.deletedOfFile(athlete.id(), hash));
        Reading reading = read(bytes, athlete);
        String problems =
                reading.problems().stream().map(Reading.Problem::toString).collect(Collectors.joining("\n"));
        if (reading.recording().isEmpty()) return Read.refused(problems);
        Recording stored = reading.recording().get();
        if (stored.start().isAfter(clock.instant().plus(LATEST)))
            return Read.refused("The file says that it begins on " + athlete.dayOf(stored.start())
                    + ", which is still to come. Set the device's clock and export it again.");
        RecordingRow row = new RecordingRow(
                athlete.id(),
                hash,
                fileName,
                athlete.dayOf(stored.start()),
                problems.length() > PROBLEMS_LENGTH ? problems.substring(0, PROBLEMS_LENGTH) : problems);
        Recording sound = keep(athlete, row, stored, bytes);
        return new Read(Outcome.DONE, row.id, sound, reading.name(), problems);
    }

    private Recording keep(Athlete athlete, RecordingRow row, Recording stored, byte[] bytes) {
        Recording sound = stored.sound();
        Zones zones = thresholds.zonesOf(athlete).on(row.day);
        SessionSummary summary = SessionSummary.of(sound, zones);
        row.fill(sound, summary, Silhouettes.done(sound, zones.thresholds()));
        recordings.save(row);
        this.bytes.keep(row.id, bytes, ChannelColumn.write(stored), SummaryJson.bests(summary.bests()));
        summaries.curves(row, sound, 0);
        summaries.doubt(athlete, row, MendedRecordings.Both.untouched(stored), zones);
        return sound;
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

    /** Takes over what is planned for a recording, which was matched, parted or put back. */
    @Transactional
    public void follow(Athlete athlete, long recordingId) {
        RecordingRow row = recordings.require(athlete.id(), recordingId);
        summaries.follow(row, null, thresholds.zonesOf(athlete).on(row.day));
    }

    /** The same of one that was just read. @param sound the recording as it counts */
    @Transactional
    public void follow(Athlete athlete, long recordingId, Recording sound) {
        RecordingRow row = recordings.require(athlete.id(), recordingId);
        summaries.follow(row, sound, thresholds.zonesOf(athlete).on(row.day));
    }

    /** Computes everything of a recording anew. */
    @Transactional
    public void refresh(Athlete athlete, long recordingId) {
        summaries.refresh(athlete, recordings.require(athlete.id(), recordingId));
    }

    /**
     * Computes the named parts of some recordings' summaries anew, with the values of each one's day, reading only the
     * channels they need.
     */
    @Transactional
    public void recompute(Athlete athlete, List<Long> recordingIds, Set<Part> parts) {
        DatedZones zones = thresholds.zonesOf(athlete);
        Map<Long, byte[]> stored = bytes.channels(recordingIds);
        MendedRecordings.Reader reader = mended.reader(recordingIds);
        for (RecordingRow row : recordings.findByIdIn(recordingIds)) {
            recompute(row, wanted -> reader.read(row.id, stored.get(row.id), wanted), zones.on(row.day), parts);
            if (row.targetsBeaten != null) summaries.follow(row, null, zones.on(row.day));
            if (Doubts.restOn(row, parts)) summaries.doubt(athlete, row, mended.both(row.id), zones.on(row.day));
        }
    }

    /** It could not be computed anew: until it can, the page of the session says by what it still counts. */
    @Transactional
    public void leftAsItWas(long recordingId) {
        recordings.findById(recordingId).ifPresent(row -> {
            String all = (LEFT + "\n" + withoutLeft(row.problems)).strip();
            row.problems = all.substring(0, Math.min(all.length(), LONGEST_PROBLEMS));
        });
    }

    private static String withoutLeft(String problems) {
        return problems.startsWith(LEFT) ? problems.substring(LEFT.length()).strip() : problems;
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
        row.problems = withoutLeft(row.problems);
        if (row.floorWatts == null) row.floor(recording);
        if (redrawn) row.silhouette = Silhouettes.done(recording, day.thresholds());
    }

    /** Looks at recordings that were taken in before doubts were kept; false when none is left. */
    @Transactional
    public boolean noteNextDoubts() {
        List<RecordingRow> rows = recordings.withoutDoubts(BATCH);
        for (RecordingRow row : rows) {
            Athlete athlete = athletes.forJob(row.athleteId);
            summaries.doubt(
                    athlete,
                    row,
                    mended.both(row.id),
                    thresholds.zonesOf(athlete).on(row.day));
        }
        return !rows.isEmpty();
    }

    /** Stores the curves of recordings that were taken in before curves were kept; false when none is left. */
    @Transactional
    public boolean storeNextCurves() {
        List<RecordingRow> rows = recordings.withOlderCurves(Summaries.CURVES_VERSION, BATCH);
        for (RecordingRow row : rows) {
            MendedRecordings.Both both = mended.both(row.id);
            summaries.curves(row, both.mended().sound(), both.trimmed());
        }
        return !rows.isEmpty();
    }

    @Transactional(readOnly = true)
    public List<Long> idsIn(long athleteId, LocalDate from, LocalDate until, Set<Sport> sports, long after) {
        return recordings.idsIn(athleteId, from, until, sports, after);
    }

    /** Takes recordings out of every page and figure; until they are purged they can be brought back. */
    @Transactional
    public void delete(List<Long> recordingIds, Instant at) {
        if (recordingIds.isEmpty()) return;
        for (RecordingRow row : recordings.findByIdIn(recordingIds)) {
            row.deletedAt = at;
            efforts.forget(row.id);
        }
    }

    @Transactional
    public void bringBack(Athlete athlete, List<Long> recordingIds) {
        if (recordingIds.isEmpty()) return;
        recordings.bringBack(athlete.id(), recordingIds);
        for (RecordingRow row : recordings.findByIdIn(recordingIds)) summaries.refresh(athlete, row);
    }

    /** Lets recordings go for good that were deleted before an instant. */
    @Transactional
    public void purgeDeleted(Instant before) {
        purge(recordings.deletedBefore(before));
    }

    private void purge(List<Long> ids) {
        if (ids.isEmpty()) return;
        events.publishEvent(new RecordingsGoing(ids));
        recordings.purge(ids);
    }
}
