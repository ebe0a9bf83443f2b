package pemblar.formats;

import java.nio.charset.StandardCharsets;
import java.util.Optional;
import pemblar.core.Sport;
import pemblar.formats.fit.FitActivity;
import pemblar.formats.fit.FitDecoder;
import pemblar.formats.gpx.GpxRecording;

/** Reads a recording of any format we know; the bytes decide which, not the name. */
public final class RecordingFiles {
    /** Largest file that is read: a FIT file of several days is far below. */
    public static final int MAX_BYTES = 64 << 20;

    private RecordingFiles() {}

    /** @param sport what the file is to be read as; empty takes what it says itself */
    public static Reading read(byte[] bytes, Optional<Sport> sport) {
        if (bytes.length == 0) return Reading.refused("", "the file is empty: copy it from the device again");
        if (bytes.length > MAX_BYTES)
            return Reading.refused("", "the file has " + (bytes.length >> 20) + " MB, at most " + (MAX_BYTES >> 20) + " MB are read");
        if (FitDecoder.looksLikeFit(bytes)) return FitActivity.read(bytes, sport);
        if (looksLikeXml(bytes)) return GpxRecording.read(bytes, sport);
        return Reading.refused("byte 0", "this is neither a FIT nor a GPX file: export the recording as one of these");
    }

    private static boolean looksLikeXml(byte[] bytes) {
        String head = new String(bytes, 0, Math.min(bytes.length, 512), StandardCharsets.UTF_8).replace("\0", "");
        return head.replace("\uFEFF", "").stripLeading().startsWith("<") || head.contains("<?xml");
    }
}
