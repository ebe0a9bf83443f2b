package pemblar.app.recording;

import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import pemblar.app.athlete.Athlete;
import pemblar.app.effort.EffortService;
import pemblar.app.effort.EffortSource;
import pemblar.app.recording.mend.MendedRecordings.Both;
import pemblar.core.load.SessionSummary;
import pemblar.core.load.SessionSummary.Part;
import pemblar.core.mending.Mending;
import pemblar.core.mending.Proposal;
import pemblar.core.mending.Proposals;
import pemblar.core.range.DayRange;
import pemblar.core.recording.Channel;
import pemblar.core.recording.Recording;
import pemblar.core.threshold.Quantity;
import pemblar.core.threshold.Thresholds;
import pemblar.core.zone.Zones;

/** Looks once whether a recording is probably wrong somewhere, and keeps what mending it would do to its load. */
@Component
public class Doubts {
    static final int VERSION = 1;
    private static final int YEARS_OF_BESTS = 2;
    private final EffortService efforts;

    Doubts(EffortService efforts) {
        this.efforts = efforts;
    }

    /**
     * What mending would do to a load follows every value; what is thought wrong in a heart rate follows its maximum.
     */
    static boolean restOn(RecordingRow row, Set<Part> parts) {
        return row.doubts > 0 || parts.contains(Part.HEART_RATE) && row.has(Channel.HEART_RATE);
    }

    /** @param both as it counts, with its corrections; what nobody can reach is still in it */
    void note(Athlete athlete, RecordingRow row, Both both, Zones zones) {
        Recording recording = both.mended();
        List<Proposal> found = Proposals.unlessKept(
                Proposals.of(recording, known(athlete, row.source(), recording, zones)), both.trimmed(), both.kept());
        row.doubtsVersion = VERSION;
        row.doubts = found.size();
        row.doubtWords = words(found);
        row.mendedLoad = found.isEmpty()
                ? null
                : row.counting(SessionSummary.of(
                                        Mending.apply(
                                                        recording,
                                                        found.stream()
                                                                .map(Proposal::edit)
                                                                .toList())
                                                .sound(),
                                        zones)
                                .loads())
                        .map(choice -> choice.points())
                        .orElse(null);
    }

    /** What else is known when a recording is looked at: the best of two years and the body. */
    public Proposals.Known known(Athlete athlete, EffortSource of, Recording recording, Zones zones) {
        Thresholds values = zones.thresholds().forSport(of.sport());
        double kilograms = values.get(Quantity.BODY_MASS).orElse(Double.NaN);
        double best = Proposals.needsBest(recording, kilograms)
                ? efforts.bestSecondBefore(
                        athlete,
                        of.sport(),
                        new DayRange(of.day().minusYears(YEARS_OF_BESTS), of.day()),
                        of.recordingId())
                : Double.NaN;
        return new Proposals.Known(
                best, kilograms, values.get(Quantity.MAXIMUM_HEART_RATE).orElse(Double.NaN));
    }

    private static String words(List<Proposal> found) {
        return found.stream()
                .map(Proposal::kind)
                .distinct()
                .map(Proposal.Kind::words)
                .collect(Collectors.joining(", "));
    }
}
