package pemblar.formats.fit;

import java.util.ArrayList;
import java.util.List;
import pemblar.formats.Reading.Problem;

/**
 * Walks through the messages of a FIT file or a chain of them. Reads up to the damage where there is any and says where
 * it is; memory is bounded by the file itself, since nothing is kept but sixteen definitions.
 */
public final class FitDecoder {
    private static final int LOCALS = 16;
    private final byte[] bytes;
    private final Sink sink;
    private final boolean checksSums;
    private final List<Problem> problems = new ArrayList<>();
    private final FitMessage message;
    private final FitDefinition[] definitions = new FitDefinition[LOCALS];
    private long lastTimestamp;

    /** Takes the messages in order; a new file of the chain is announced. */
    interface Sink {
        void message(FitMessage message);

        default void fileEnds() {}
    }

    private FitDecoder(byte[] bytes, Sink sink, boolean checksSums) {
        this.checksSums = checksSums;
        this.bytes = bytes;
        this.sink = sink;
        this.message = new FitMessage(bytes);
    }

    public static boolean looksLikeFit(byte[] bytes) {
        return isHeader(bytes, 0);
    }

    static List<Problem> decode(byte[] bytes, Sink sink) {
        FitDecoder decoder = new FitDecoder(bytes, sink, true);
        decoder.chain();
        return decoder.problems;
    }

    /** Walks through without a word on damage, for one who will decode the same bytes. */
    static void glance(byte[] bytes, Sink sink) {
        new FitDecoder(bytes, sink, false).chain();
    }

    private static boolean isHeader(byte[] bytes, int at) {
        return bytes.length - at >= 12
                && (bytes[at] & 0xFF) >= 12
                && bytes[at + 8] == '.'
                && bytes[at + 9] == 'F'
                && bytes[at + 10] == 'I'
                && bytes[at + 11] == 'T';
    }

    private void chain() {
        int at = 0;
        while (at < bytes.length) {
            if (!isHeader(bytes, at)) {
                damage(at, (bytes.length - at) + " bytes after the end are not FIT and were left out");
                return;
            }
            at = file(at);
        }
    }

    /** Reads one file of the chain and returns where the next begins. */
    private int file(int start) {
        int headerSize = bytes[start] & 0xFF;
        long dataSize = unsigned(start + 4, 4, false);
        long end = start + headerSize + dataSize;
        boolean unfinished = dataSize == 0 && bytes.length > start + headerSize + 2;
        boolean whole = !unfinished && end + 2 <= bytes.length;
        if (checksSums) checkSums(start, headerSize, (int) Math.min(end, bytes.length), whole);
        if (unfinished) damage(start, "the header was never finished; all that follows was read");
        else if (!whole)
            damage(
                    bytes.length,
                    "the file ends early: " + (end + 2 - bytes.length) + " of " + (end + 2 - start)
                            + " bytes are missing; it was read up to there");
        int stop = whole ? (int) end : (int) Math.min(bytes.length, unfinished ? bytes.length : end);
        java.util.Arrays.fill(definitions, null);
        lastTimestamp = -1;
        messages(Math.min(start + headerSize, stop), stop, unfinished);
        sink.fileEnds();
        return whole ? (int) end + 2 : bytes.length;
    }

    private void checkSums(int start, int headerSize, int end, boolean whole) {
        if (headerSize >= 14 && start + 14 <= bytes.length) {
            long stored = unsigned(start + 12, 2, false);
            if (stored != 0 && stored != Crc.of(bytes, start, start + 12))
                damage(start + 12, "the header's checksum does not match");
        }
        if (whole && unsigned(end, 2, false) != Crc.of(bytes, start, end))
            damage(end, "the checksum does not match: some values may be wrong");
    }

    private void messages(int from, int stop, boolean unfinished) {
        int at = from;
        while (at < stop) {
            int header = bytes[at] & 0xFF;
            int next = header >= 0x80 || (header & 0x40) == 0 ? data(at, header, stop) : definition(at, header, stop);
            if (next < 0) {
                if (!(unfinished && stop - at <= 2))
                    damage(at, "a message is cut or makes no sense; the file was read up to there");
                return;
            }
            at = next;
        }
    }

    /** Returns where the next message begins, or -1 when this one cannot be read. */
    private int definition(int at, int header, int stop) {
        if (at + 6 > stop) return -1;
        boolean bigEndian = bytes[at + 2] == 1;
        int global = (int) unsigned(at + 3, 2, bigEndian);
        int count = bytes[at + 5] & 0xFF;
        int place = at + 6;
        if (place + 3 * count > stop) return -1;
        FitDefinition.Field[] fields = new FitDefinition.Field[count];
        int offset = 0;
        for (int i = 0; i < count; i++, place += 3) {
            int size = bytes[place + 1] & 0xFF;
            fields[i] = new FitDefinition.Field(
                    bytes[place] & 0xFF, size, BaseType.ofCode(bytes[place + 2] & 0xFF), offset);
            offset += size;
        }
        boolean developer = (header & 0x20) != 0;
        if (developer && place >= stop) return -1;
        FitDefinition.DeveloperField[] more = new FitDefinition.DeveloperField[developer ? bytes[place++] & 0xFF : 0];
        if (place + 3 * more.length > stop) return -1;
        for (int i = 0; i < more.length; i++, place += 3) {
            int size = bytes[place + 1] & 0xFF;
            more[i] = new FitDefinition.DeveloperField(bytes[place] & 0xFF, size, bytes[place + 2] & 0xFF, offset);
            offset += size;
        }
        definitions[header & 0x0F] = new FitDefinition(global, bigEndian, fields, more, offset);
        return place;
    }

    private int data(int at, int header, int stop) {
        boolean compressed = header >= 0x80;
        FitDefinition definition = definitions[compressed ? header >> 5 & 3 : header & 0x0F];
        if (definition == null || at + 1 + definition.size > stop) return -1;
        message.move(definition, at + 1, -1);
        if (compressed && lastTimestamp >= 0) {
            int offset = header & 0x1F;
            lastTimestamp += offset - (lastTimestamp & 0x1F) & 0x1F;
        }
        long own = message.whole(FitMessage.TIMESTAMP);
        if (own >= 0) lastTimestamp = own;
        message.move(definition, at + 1, own >= 0 || compressed ? lastTimestamp : -1);
        sink.message(message);
        return at + 1 + definition.size;
    }

    private long unsigned(int at, int size, boolean bigEndian) {
        long value = 0;
        for (int i = 0; i < size; i++) value |= (long) (bytes[at + (bigEndian ? size - 1 - i : i)] & 0xFF) << 8 * i;
        return value;
    }

    private void damage(int place, String text) {
        problems.add(new Problem("byte " + place, text, true));
    }
}
