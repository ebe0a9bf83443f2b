package pemblar.app.session.reading;

import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.AthleteService;
import pemblar.app.frame.Visit;
import pemblar.app.recording.RecordingReading;
import pemblar.app.session.SessionRow;
import pemblar.app.session.TrainingSessionRepository;
import pemblar.core.recording.Recording;
import pemblar.formats.csv.ChannelsCsv;
import pemblar.formats.gpx.GpxTrack;
import pemblar.formats.json.RecordingJson;

/**
 * Hands recordings out: the original file as it came; CSV, GPX and JSON as the recording counts, with its corrections.
 */
@Service
public class ExportService {
    private static final int MOST_FILES = 200;
    private final TrainingSessionRepository sessions;
    private final RecordingReading recordings;
    private final AthleteService athletes;

    ExportService(TrainingSessionRepository sessions, RecordingReading recordings, AthleteService athletes) {
        this.sessions = sessions;
        this.recordings = recordings;
        this.athletes = athletes;
    }

    /** What a recording is written as. */
    public enum As {
        ORIGINAL,
        CSV,
        GPX,
        JSON
    }

    /** A session with a recording, ready to be written. */
    public record Item(long recordingId, String name, String originalName) {}

    /** Those of the sessions that have a recording. @throws IllegalArgumentException when there is none, or too many */
    @Transactional(readOnly = true)
    public List<Item> items(Visit visit, List<Long> ids) {
        athletes.require(visit);
        List<SessionRow> rows = ids == null || ids.isEmpty()
                ? List.of()
                : sessions.all(visit.athleteId(), ids).stream()
                        .filter(s -> s.recording() != null)
                        .toList();
        if (rows.isEmpty()) throw new IllegalArgumentException("Choose at least one session with a recording.");
        if (rows.size() > MOST_FILES)
            throw new IllegalArgumentException("At most " + MOST_FILES + " recordings at once; " + rows.size()
                    + " were chosen. Export them in parts.");
        return rows.stream()
                .map(s -> new Item(
                        s.recording().id(),
                        s.day() + " " + s.title().replaceAll("[^\\p{L}\\p{N} ,-]", "_") + " " + s.id(),
                        plain(s.recording().fileName())))
                .toList();
    }

    /** All recordings of an athlete whom the caller has already asked for. */
    @Transactional(readOnly = true)
    public List<Item> originals(Athlete athlete) {
        return recordings.files(athlete).stream()
                .map(f -> new Item(f.recordingId(), f.day().toString(), plain(f.name())))
                .toList();
    }

    private static String plain(String fileName) {
        return fileName.replaceAll("[\\\\/:*?\"<>|]", "_");
    }

    @Transactional(readOnly = true)
    public byte[] original(Item item) {
        return recordings.original(item.recordingId());
    }

    /**
     * All in one archive, one file after the other, so that memory holds one. A recording without positions gets a text
     * that says so instead of a GPX file.
     */
    @Transactional(readOnly = true)
    public void zip(List<Item> items, As as, OutputStream out) throws IOException {
        ZipOutputStream zip = new ZipOutputStream(out);
        for (Item item : items) {
            boolean written = as != As.GPX || hasPositions(item);
            zip.putNextEntry(new ZipEntry(written ? fileName(item, as, true) : item.name() + ", no positions.txt"));
            if (written) write(item, as, new Unclosed(zip));
            else
                zip.write("This recording has no positions, so there is no GPX file of it."
                        .getBytes(StandardCharsets.UTF_8));
            zip.closeEntry();
        }
        zip.finish();
    }

    public static String fileName(Item item, As as, boolean amongOthers) {
        return as == As.ORIGINAL
                ? (amongOthers ? item.recordingId() + " " : "") + item.originalName()
                : item.name() + "." + as.name().toLowerCase(java.util.Locale.ROOT);
    }

    public boolean hasPositions(Item item) {
        return recordings.mended(item.recordingId()).has(pemblar.core.recording.Channel.LATITUDE);
    }

    @Transactional(readOnly = true)
    public void write(Item item, As as, OutputStream out) throws IOException {
        if (as == As.ORIGINAL) {
            out.write(recordings.original(item.recordingId()));
            return;
        }
        Recording recording = recordings.mended(item.recordingId());
        if (as == As.JSON) RecordingJson.write(recording, out);
        else if (as == As.GPX) GpxTrack.write(recording, item.name(), out);
        else {
            OutputStreamWriter text = new OutputStreamWriter(out, StandardCharsets.UTF_8);
            ChannelsCsv.write(recording, text);
            text.flush();
        }
    }

    /** A writer that closes its stream must not close the archive. */
    private static final class Unclosed extends java.io.FilterOutputStream {
        Unclosed(OutputStream out) {
            super(out);
        }

        @Override
        public void write(byte[] bytes, int from, int length) throws IOException {
            out.write(bytes, from, length);
        }

        @Override
        public void close() throws IOException {
            flush();
        }
    }
}
