package pemblar.app.recording;

import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.athlete.Athlete;
import pemblar.app.effort.AerobicStore;
import pemblar.app.effort.EffortService;
import pemblar.app.effort.EffortSource;
import pemblar.app.recording.bytes.RecordingBytes;
import pemblar.app.recording.bytes.SummaryJson;
import pemblar.app.recording.mend.MendedRecordings;
import pemblar.app.recording.outline.Silhouettes;
import pemblar.app.threshold.ThresholdService;
import pemblar.core.aerobic.Pieces;
import pemblar.core.load.LoadChoice;
import pemblar.core.load.SessionLoad.Source;
import pemblar.core.load.SessionSummary;
import pemblar.core.recording.Recording;
import pemblar.core.zone.Zones;

/** What is kept of a recording beside its channels, each part computed whole: summary, plan, curves, doubts. */
@Component
public class Summaries {
    static final int CURVES_VERSION = 4;
    private final RecordingRepository recordings;
    private final RecordingBytes bytes;
    private final MendedRecordings mended;
    private final ThresholdService thresholds;
    private final EffortService efforts;
    private final AerobicStore pieces;
    private final Doubts doubts;
    private final PlannedFor planned;
    private final TargetsKept targets;

    Summaries(
            RecordingRepository recordings,
            RecordingBytes bytes,
            MendedRecordings mended,
            ThresholdService thresholds,
            EffortService efforts,
            AerobicStore pieces,
            Doubts doubts,
            PlannedFor planned,
            TargetsKept targets) {
        this.recordings = recordings;
        this.bytes = bytes;
        this.mended = mended;
        this.thresholds = thresholds;
        this.efforts = efforts;
        this.pieces = pieces;
        this.doubts = doubts;
        this.planned = planned;
        this.targets = targets;
    }

    /** Whose it is. @throws NotFoundException when the athlete has no such recording */
    @Transactional(readOnly = true)
    public EffortSource require(long athleteId, long recordingId) {
        return recordings.require(athleteId, recordingId).source();
    }

    /** Whether the athlete has such a recording. */
    @Transactional(readOnly = true)
    public boolean has(long athleteId, long recordingId) {
        return recordings
                .findById(recordingId)
                .filter(r -> r.athleteId == athleteId)
                .isPresent();
    }

    /** What would count of a recording if its own channels gave these loads. */
    @Transactional(readOnly = true)
    public Optional<LoadChoice.Counting> counting(long recordingId, Map<Source, Double> computed) {
        return recordings.findById(recordingId).orElseThrow().counting(computed);
    }

    /** Everything anew, as after a correction; for an athlete whose recording it is. */
    @Transactional
    public void refresh(Athlete athlete, long recordingId) {
        refresh(athlete, recordings.require(athlete.id(), recordingId));
    }

    /** Curves anew of what counts now. */
    @Transactional
    public void curves(long recordingId, EffortService.Counted counted) {
        curves(recordings.findById(recordingId).orElseThrow(), counted.recording(), counted.trimmed());
    }

    void refresh(Athlete athlete, RecordingRow row) {
        MendedRecordings.Both both = mended.both(row.id);
        Zones zones = thresholds.zonesOf(athlete).on(row.day);
        Recording sound = both.mended().sound();
        SessionSummary summary = SessionSummary.of(sound, zones);
        row.fill(sound, summary, Silhouettes.done(sound, zones.thresholds()));
        follow(row, sound, zones);
        bytes.keepBests(row.id, SummaryJson.bests(summary.bests()));
        curves(row, sound, both.trimmed());
        doubts.note(athlete, row, both, zones);
    }

    /** @param sound the recording as it counts; null reads it where there is something to be told */
    void follow(RecordingRow row, Recording sound, Zones zones) {
        PlannedFor.Plan plan = planned.recording(row.id).orElse(null);
        row.follow(plan);
        if (sound == null) targets.note(row, plan, zones);
        else targets.note(row, plan, sound, zones);
    }

    /** @param trimmed seconds that corrections cut off the start */
    void curves(RecordingRow row, Recording sound, int trimmed) {
        if (row.curvesVersion > 0) efforts.forget(row.id);
        efforts.store(new EffortService.Counted(row.source(), sound, trimmed));
        pieces.store(row.source(), row.skyCelsius, Pieces.of(sound));
        row.floor(sound);
        row.curvesVersion = CURVES_VERSION;
    }

    /** @param both as it counts; what nobody can reach is still in it */
    void doubt(Athlete athlete, RecordingRow row, MendedRecordings.Both both, Zones zones) {
        doubts.note(athlete, row, both, zones);
    }
}
