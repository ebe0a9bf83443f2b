package pemblar.app.recording;

import java.time.LocalDate;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.athlete.Athlete;
import pemblar.app.recording.bytes.RecordingBytes;
import pemblar.app.recording.mend.MendedRecordings;
import pemblar.core.load.LoadChoice;
import pemblar.core.load.SessionLoad.Source;
import pemblar.core.load.SessionSummary;
import pemblar.core.load.SessionSummary.Part;
import pemblar.core.recording.Channel;
import pemblar.core.recording.Recording;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.DatedValues.Span;
import pemblar.core.zone.DatedZones;

/** What other thresholds would make of the loads of recordings, computed before anything is saved. */
@Component
public class LoadsAnew {
    private static final int BATCH = 40;
    private static final LocalDate LAST = LocalDate.of(9999, 1, 1);
    private final RecordingRepository recordings;
    private final RecordingBytes bytes;
    private final MendedRecordings mended;

    LoadsAnew(RecordingRepository recordings, RecordingBytes bytes, MendedRecordings mended) {
        this.recordings = recordings;
        this.bytes = bytes;
        this.mended = mended;
    }

    /**
     * @param count recordings whose summaries would be computed anew
     * @param lost more of them, whose data are lost: they keep their load
     * @param changes points by day that they differ
     */
    public record Changes(int count, int lost, Map<LocalDate, Double> changes) {}

    /**
     * For an athlete whom the caller has already asked for.
     *
     * @param spans days on which these parts no longer hold @param served sports that the new values are for
     */
    @Transactional(readOnly = true)
    public Changes of(Athlete athlete, DatedZones then, Map<Span, Set<Part>> spans, Predicate<Sport> served) {
        Map<LocalDate, Double> changes = new HashMap<>();
        Set<Long> recomputed = new HashSet<>();
        Set<Long> lost = new HashSet<>();
        spans.forEach((span, parts) -> {
            List<RecordingRow> rows = recordings
                    .within(athlete.id(), span.from(), span.until().orElse(LAST))
                    .stream()
                    .filter(row -> served.test(row.sport))
                    .toList();
            rows.forEach(row -> recomputed.add(row.id));
            for (int i = 0; i < rows.size(); i += BATCH)
                lost.addAll(loads(rows.subList(i, Math.min(rows.size(), i + BATCH)), then, parts, changes));
        });
        return new Changes(recomputed.size() - lost.size(), lost.size(), changes);
    }

    /**
     * Adds up how much each day's load would change; reads heart rate only where it may count.
     *
     * @return those whose heart rate is lost
     */
    private Set<Long> loads(List<RecordingRow> rows, DatedZones then, Set<Part> parts, Map<LocalDate, Double> changes) {
        Set<Long> byHeart = parts.contains(Part.HEART_RATE)
                ? rows.stream()
                        .filter(LoadsAnew::mayCountByHeart)
                        .map(r -> r.id)
                        .collect(Collectors.toSet())
                : Set.of();
        Map<Long, byte[]> stored = bytes.channelsThatAreThere(List.copyOf(byHeart));
        MendedRecordings.Reader reader = mended.reader(List.copyOf(byHeart));
        for (RecordingRow row : rows) {
            boolean read = byHeart.contains(row.id);
            if (read && !stored.containsKey(row.id)) continue;
            Recording recording = read
                    ? reader.read(row.id, stored.get(row.id), Channel.HEART_RATE.key()::equals)
                    : new Recording(row.sport, row.startedAt, row.timerSeconds, List.of(), Map.of(), List.of());
            changes.merge(row.day, change(row, recording, then, read), Double::sum);
        }
        return byHeart.stream().filter(id -> !stored.containsKey(id)).collect(Collectors.toSet());
    }

    private static boolean mayCountByHeart(RecordingRow row) {
        return row.counting(Map.of(Source.HEART_RATE, 1.0)).orElseThrow().source() == Source.HEART_RATE
                && !Set.of("POWER", "SPEED").contains(String.valueOf(row.loadSource));
    }

    private static double change(RecordingRow row, Recording recording, DatedZones then, boolean heart) {
        SessionSummary after = row.summary()
                .again(recording, then.on(row.day), heart ? EnumSet.of(Part.HEART_RATE) : EnumSet.noneOf(Part.class));
        return row.counting(after.loads()).map(LoadChoice.Counting::points).orElse(0.0)
                - (row.loadPoints == null ? 0 : row.loadPoints);
    }
}
