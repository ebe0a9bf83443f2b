package pemblar.app.recording.bytes;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Predicate;
import java.util.zip.Deflater;
import java.util.zip.DeflaterOutputStream;
import java.util.zip.InflaterInputStream;
import pemblar.core.recording.Lap;
import pemblar.core.recording.Pause;
import pemblar.core.recording.Recording;
import pemblar.core.recording.Series;
import pemblar.core.sport.Sport;

/**
 * A recording as one compressed binary column. Each channel is a run of differences of scaled whole numbers; the scale
 * is the smallest power of ten that keeps every value, so that what a device wrote comes back exactly; a position, and
 * what was interpolated, to seven digits after the point.
 */
public final class ChannelColumn {
    private static final int VERSION = 1;
    private static final long MISSING = Long.MIN_VALUE;
    private static final double FINEST = 1e7;
    private static final double EXACT = 1e-6;

    private ChannelColumn() {}

    public static byte[] write(Recording recording) {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream(recording.seconds() * 8);
        Deflater fast = new Deflater(Deflater.BEST_SPEED);
        try (DataOutputStream out = new DataOutputStream(
                new java.io.BufferedOutputStream(new DeflaterOutputStream(bytes, fast), 1 << 16))) {
            out.writeByte(VERSION);
            out.writeUTF(recording.sport().key());
            out.writeLong(recording.start().toEpochMilli());
            out.writeInt(recording.seconds());
            out.writeInt(recording.pauses().size());
            for (Pause pause : recording.pauses()) {
                out.writeInt(pause.index());
                out.writeDouble(pause.seconds());
            }
            out.writeInt(recording.laps().size());
            for (Lap lap : recording.laps()) {
                out.writeInt(lap.from());
                out.writeInt(lap.to());
                out.writeInt(lap.stepIndex());
            }
            out.writeInt(recording.channels().size());
            for (var entry : recording.channels().entrySet()) {
                out.writeUTF(entry.getKey());
                write(out, entry.getValue());
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } finally {
            fast.end();
        }
        return bytes.toByteArray();
    }

    private static void write(DataOutputStream out, Series series) throws IOException {
        double scale = scale(series);
        out.writeDouble(scale);
        long before = 0;
        for (int i = 0; i < series.size(); i++) {
            if (!series.isPresent(i)) {
                number(out, MISSING);
                continue;
            }
            long now = Math.round(series.at(i) * scale);
            number(out, now - before);
            before = now;
        }
    }

    private static double scale(Series series) {
        double scale = 1;
        for (int i = 0; i < series.size() && scale < FINEST; i++)
            while (scale < FINEST && Math.abs(series.at(i) * scale - Math.rint(series.at(i) * scale)) > EXACT)
                scale *= 10;
        return scale;
    }

    /**
     * Zigzag in groups of seven bits; MISSING is the one value that zigzag cannot shorten, so it gets code 0 and all
     * else moves up.
     */
    private static void number(DataOutputStream out, long value) throws IOException {
        long code = value == MISSING ? 0 : (value << 1 ^ value >> 63) + 1;
        while ((code & ~0x7FL) != 0) {
            out.write((int) (code & 0x7F | 0x80));
            code >>>= 7;
        }
        out.write((int) code);
    }

    public static Recording read(byte[] bytes) {
        return read(bytes, key -> true);
    }

    /** Only the channels wanted: the rest is passed over without keeping it. */
    public static Recording read(byte[] bytes, Predicate<String> wanted) {
        try (DataInputStream in = new DataInputStream(
                new java.io.BufferedInputStream(new InflaterInputStream(new ByteArrayInputStream(bytes)), 1 << 16))) {
            int version = in.readByte();
            if (version != VERSION)
                throw new IOException("channel column of version " + version + ", expected " + VERSION);
            Sport sport = Sport.ofKey(in.readUTF());
            Instant start = Instant.ofEpochMilli(in.readLong());
            int seconds = in.readInt();
            List<Pause> pauses = new ArrayList<>();
            for (int i = in.readInt(); i > 0; i--) pauses.add(new Pause(in.readInt(), in.readDouble()));
            List<Lap> laps = new ArrayList<>();
            for (int i = in.readInt(); i > 0; i--) laps.add(new Lap(in.readInt(), in.readInt(), in.readInt()));
            Map<String, Series> channels = new LinkedHashMap<>();
            for (int i = in.readInt(); i > 0; i--) {
                String key = in.readUTF();
                if (wanted.test(key)) channels.put(key, series(in, seconds));
                else pass(in, seconds);
            }
            return new Recording(sport, start, seconds, pauses, channels, laps);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static Series series(DataInputStream in, int seconds) throws IOException {
        double scale = in.readDouble();
        double[] values = new double[seconds];
        long before = 0;
        for (int i = 0; i < seconds; i++) {
            long code = code(in);
            if (code == 0) {
                values[i] = Double.NaN;
                continue;
            }
            long zigzag = code - 1;
            before += zigzag >>> 1 ^ -(zigzag & 1);
            values[i] = before / scale;
        }
        return Series.of(values);
    }

    private static void pass(DataInputStream in, int seconds) throws IOException {
        in.readDouble();
        for (int i = 0; i < seconds; i++) code(in);
    }

    private static long code(DataInputStream in) throws IOException {
        long code = 0;
        for (int shift = 0; shift < 64; shift += 7) {
            int group = in.read();
            if (group < 0) throw new IOException("the channel column ends early");
            code |= (long) (group & 0x7F) << shift;
            if (group < 0x80) return code;
        }
        throw new IOException("a number of the channel column is too long");
    }
}
