package pemblar.app.recording;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import pemblar.app.recording.bytes.SummaryJson;
import pemblar.core.load.SessionLoad.Source;
import pemblar.core.sport.Measure;

/** The stored summary of a recording; what cannot be computed is null. */
public record RecordingFacts(
        Instant startedAt,
        int timerSeconds,
        double elapsedSeconds,
        Double distanceMetres,
        Double meanWatts,
        Double equivalentWatts,
        Double steadiness,
        Double intensity,
        Double meanBpm,
        Double maxBpm,
        Double meanCadence,
        Double meanSpeed,
        Double flatSpeed,
        Double lowestReserveJoules,
        Double skyCelsius,
        Double load,
        Map<Source, Double> loads,
        Map<Measure, List<Integer>> zones,
        String lowData,
        String problems,
        String fileName,
        long recordingId,
        int revision,
        Weighed weighed) {
    /** Which load counts and why. @param chosen and set are null when the order of preference decides */
    public record Weighed(
            String source, Source chosen, Double set, String reason, String by, Instant at, Double perceivedEffort) {}

    static RecordingFacts of(RecordingRow r) {
        return new RecordingFacts(
                r.startedAt,
                r.timerSeconds,
                r.elapsedSeconds,
                r.distanceMetres,
                r.meanWatts,
                r.equivalentWatts,
                r.steadiness,
                r.intensity,
                r.meanBpm,
                r.maxBpm,
                r.meanCadence,
                r.meanSpeed,
                r.flatSpeed,
                r.lowestReserveJoules,
                r.skyCelsius,
                r.loadPoints,
                r.allLoads(SummaryJson.loads(r.loads)),
                SummaryJson.zones(r.zones),
                r.lowData,
                r.problems,
                r.fileName,
                r.id,
                r.revision,
                new Weighed(
                        r.loadSource, r.chosenSource, r.setLoad, r.loadReason, r.loadBy, r.loadAt, r.perceivedEffort));
    }
}
