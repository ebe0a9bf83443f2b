package pemblar.formats;

import java.nio.charset.StandardCharsets;
import java.time.DateTimeException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import pemblar.core.recording.Channel;
import pemblar.core.recording.Recording;
import pemblar.core.recording.Series;
import pemblar.core.sport.Sport;
import pemblar.formats.fit.FitActivity;
import pemblar.formats.fit.FitDecoder;
import pemblar.formats.gpx.GpxRecording;

/** Reads a recording of any format we know; the bytes decide which, not the name. */
public final class RecordingFiles {
    /** Largest file that is read: a FIT file of several days is far below. */
    public static final int MAX_BYTES = 64 << 20;

    private static final Instant EARLIEST = Instant.parse("1990-01-01T00:00:00Z");
    /** Values of all channels together: 32 MB. */
    private static final int MOST_VALUES = 4_000_000;

    private static final int FEWEST_CHANNELS = 5;

    private RecordingFiles() {}

    /** @param sport what the file is to be read as; empty takes what it says itself */
    public static Reading read(byte[] bytes, Optional<Sport> sport) {
        if (bytes.length == 0) return Reading.refused("", "the file is empty: copy it from the device again");
        if (bytes.length > MAX_BYTES)
            return Reading.refused(
                    "", "the file has " + (bytes.length >> 20) + " MB, at most " + (MAX_BYTES >> 20) + " MB are read");
        try {
            if (FitDecoder.looksLikeFit(bytes)) return bounded(FitActivity.read(bytes, sport));
            if (looksLikeXml(bytes)) return bounded(GpxRecording.read(bytes, sport));
        } catch (DateTimeException | ArithmeticException | IllegalArgumentException | IndexOutOfBoundsException e) {
            return Reading.refused(
                    "",
                    "something in the file is out of every range (" + e.getMessage()
                            + "): export it from the device again");
        }
        return Reading.refused("byte 0", "this is neither a FIT nor a GPX file: export the recording as one of these");
    }

    /** A start before any device kept one is a wrong clock; channels of very long recordings are held within memory. */
    private static Reading bounded(Reading reading) {
        if (reading.recording().isEmpty()) return reading;
        Recording recording = reading.recording().get();
        if (recording.start().isBefore(EARLIEST))
            return Reading.refused(
                    "",
                    "the file begins on " + recording.start().toString().substring(0, 10)
                            + ", before 1990: set the device's clock and export it again");
        List<String> keys = new ArrayList<>(recording.channels().keySet());
        int kept = (int) Math.max(FEWEST_CHANNELS, MOST_VALUES / recording.seconds());
        if (keys.size() <= kept) return reading;
        keys.sort(Comparator.comparingInt(RecordingFiles::rank));
        Map<String, Series> channels = new LinkedHashMap<>();
        for (String key : recording.channels().keySet())
            if (keys.indexOf(key) < kept) channels.put(key, recording.channels().get(key));
        List<Reading.Problem> problems = new ArrayList<>(reading.problems());
        problems.add(new Reading.Problem(
                "",
                "a recording of " + recording.seconds() / 3600 + " h can keep " + kept + " channels; left out: "
                        + String.join(", ", keys.subList(kept, Math.min(keys.size(), kept + 8)))
                        + (keys.size() > kept + 8 ? " and others" : ""),
                false));
        return new Reading(
                Optional.of(new Recording(
                        recording.sport(),
                        recording.start(),
                        recording.seconds(),
                        recording.pauses(),
                        channels,
                        recording.laps())),
                reading.name(),
                problems);
    }

    /** Native channels in their order, then a device's own. */
    private static int rank(String key) {
        return Channel.ofKey(key).map(Enum::ordinal).orElse(Integer.MAX_VALUE);
    }

    private static boolean looksLikeXml(byte[] bytes) {
        String head = new String(bytes, 0, Math.min(bytes.length, 512), StandardCharsets.UTF_8).replace("\0", "");
        return head.replace("\uFEFF", "").stripLeading().startsWith("<") || head.contains("<?xml");
    }
}
