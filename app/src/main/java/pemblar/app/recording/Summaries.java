package pemblar.app.recording;

import org.springframework.stereotype.Component;
import pemblar.app.athlete.Athlete;
import pemblar.app.effort.AerobicStore;
import pemblar.app.effort.EffortService;
import pemblar.app.threshold.ThresholdService;
import pemblar.core.aerobic.Pieces;
import pemblar.core.load.SessionSummary;
import pemblar.core.recording.Recording;
import pemblar.core.zone.Zones;

/** What is kept of a recording beside its channels, each part computed whole: summary, plan, curves, doubts. */
@Component
class Summaries {
    static final int CURVES_VERSION = 4;
    private final RecordingDataRepository data;
    private final RecordingBytes bytes;
    private final MendedRecordings mended;
    private final ThresholdService thresholds;
    private final EffortService efforts;
    private final AerobicStore pieces;
    private final Doubts doubts;
    private final PlannedFor planned;
    private final TargetsKept targets;

    Summaries(
            RecordingDataRepository data,
            RecordingBytes bytes,
            MendedRecordings mended,
            ThresholdService thresholds,
            EffortService efforts,
            AerobicStore pieces,
            Doubts doubts,
            PlannedFor planned,
            TargetsKept targets) {
        this.data = data;
        this.bytes = bytes;
        this.mended = mended;
        this.thresholds = thresholds;
        this.efforts = efforts;
        this.pieces = pieces;
        this.doubts = doubts;
        this.planned = planned;
        this.targets = targets;
    }

    /** Everything anew, as after a correction. */
    void refresh(Athlete athlete, RecordingRow row) {
        RecordingDataRow stored = data.findById(row.id).orElseThrow();
        MendedRecordings.Both both = mended.both(row.id, bytes.channels(stored));
        Zones zones = thresholds.zonesOf(athlete).on(row.day);
        Recording sound = both.mended().sound();
        SessionSummary summary = SessionSummary.of(sound, zones);
        row.fill(sound, summary, Silhouettes.done(sound, zones.thresholds()));
        follow(row, sound, zones);
        stored.bests = SummaryJson.bests(summary.bests());
        curves(row, sound, both.trimmed());
        doubts.note(athlete, row, both.mended(), zones);
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

    /** @param recording as it counts; what nobody can reach is still in it */
    void doubt(Athlete athlete, RecordingRow row, Recording recording, Zones zones) {
        doubts.note(athlete, row, recording, zones);
    }
}
