package pemblar.app.recording.mend;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import pemblar.app.recording.bytes.ChannelColumn;
import pemblar.app.recording.bytes.RecordingBytes;
import pemblar.core.mending.Edit;
import pemblar.core.mending.Mending;
import pemblar.core.mending.Replacing;
import pemblar.core.recording.Recording;
import pemblar.core.recording.Series;

/** Reads recordings as they count: the stored channels with their corrections applied. */
@Component
public class MendedRecordings {
    private final RecordingBytes bytes;
    private final EditRepository edits;

    MendedRecordings(RecordingBytes bytes, EditRepository edits) {
        this.bytes = bytes;
        this.edits = edits;
    }

    /** A recording as it came and as it counts. @param trimmed seconds that were cut off its start */
    public record Both(Recording original, Recording mended, int trimmed, List<Corrections.Made> made) {
        /** One that nobody has corrected. */
        public static Both untouched(Recording recording) {
            return new Both(recording, recording, 0, List.of());
        }

        /** What a person has said is right. */
        public List<Edit.Keep> kept() {
            return Corrections.Made.kept(made);
        }
    }

    public Recording read(long recordingId) {
        return both(recordingId).mended();
    }

    public Both both(long recordingId) {
        Recording original = ChannelColumn.read(bytes.channels(recordingId));
        List<EditRow> rows = edits.findByRecordingIdOrderById(recordingId);
        List<Edit> applied = applied(rows, original, key -> true);
        return new Both(
                original,
                Mending.apply(original, applied),
                Mending.kept(original.seconds(), applied).from(),
                rows.stream().map(Corrections.Made::of).toList());
    }

    /** Reads some recordings at once, whose corrections are known then. */
    public Reader reader(List<Long> recordingIds) {
        return new Reader(edits(recordingIds));
    }

    /** Reads one of some recordings as it counts. */
    public final class Reader {
        private final Map<Long, List<EditRow>> edits;

        private Reader(Map<Long, List<EditRow>> edits) {
            this.edits = edits;
        }

        /** Only the channels wanted. @param channels as they are stored */
        public Recording read(long recordingId, byte[] channels, Predicate<String> wanted) {
            Recording original = ChannelColumn.read(channels, wanted);
            return Mending.apply(original, applied(edits.getOrDefault(recordingId, List.of()), original, wanted));
        }
    }

    private Map<Long, List<EditRow>> edits(List<Long> recordingIds) {
        return recordingIds.isEmpty()
                ? Map.of()
                : edits.findByRecordingIdInOrderById(recordingIds).stream()
                        .collect(Collectors.groupingBy(e -> e.recordingId));
    }

    /** Seconds that corrections cut off the start of each recording that has any. */
    Map<Long, Integer> trimmed(List<Long> recordingIds) {
        return edits(recordingIds).entrySet().stream()
                .collect(Collectors.toMap(
                        Map.Entry::getKey,
                        e -> e.getValue().stream()
                                .filter(r -> r.kind == EditRow.Kind.TRIM)
                                .mapToInt(r -> r.fromSecond)
                                .max()
                                .orElse(0)));
    }

    List<Edit> applied(List<EditRow> rows, Recording original, Predicate<String> wanted) {
        List<Edit> all = new ArrayList<>();
        for (EditRow row : rows)
            if (row.kind == EditRow.Kind.TRIM || wanted.test(row.channel))
                edit(row, original).ifPresent(all::add);
        return all;
    }

    private Optional<Edit> edit(EditRow row, Recording original) {
        return switch (row.kind) {
            case TRIM -> Optional.of(new Edit.Trim(row.fromSecond, row.toSecond));
            case HIDE -> Optional.of(new Edit.Hide(row.channel, row.fromSecond, row.toSecond));
            case BRIDGE -> Optional.of(new Edit.Bridge(row.channel, row.fromSecond, row.toSecond));
            case KEEP -> Optional.of(new Edit.Keep(row.channel, row.fromSecond, row.toSecond));
            case REPLACE ->
                other(row, original).map(series -> new Edit.Replace(row.channel, series, row.fromSecond, row.toSecond));
        };
    }

    /** The other recording's channel on this one's grid; empty when that recording is gone. */
    Optional<Series> other(EditRow row, Recording original) {
        if (row.otherRecordingId == null) return Optional.empty();
        return Optional.ofNullable(bytes.channels(List.of(row.otherRecordingId)).get(row.otherRecordingId))
                .flatMap(channels -> Replacing.series(
                        original, ChannelColumn.read(channels, row.channel::equals), row.channel, row.shiftSeconds));
    }
}
