package pemblar.app.frame.page;

import java.io.IOException;
import java.io.OutputStream;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;

/**
 * A page as bytes of UTF-8 while it is drawn. Nearly all of it is ASCII, of which short pieces go over letter by letter
 * and long ones at once; one letter beyond Latin would make the whole page twice as wide in a builder of strings.
 */
final class PageBytes extends Writer {
    private static final int ROOM = 64 * 1024;
    private static final int ASCII = 0x80;
    /** A letter of a string has three bytes at most. */
    private static final int MOST = 3;
    /** From so many letters on a piece is encoded at once, which the machine does by the word. */
    private static final int LONG = 48;

    private byte[] bytes = new byte[ROOM];
    private int length;
    /** Half of a pair whose other half is still to come; 0 for none. */
    private char half;

    private void room(int letters) {
        long wanted = length + (long) MOST * (letters + 1);
        if (wanted <= bytes.length) return;
        bytes = Arrays.copyOf(bytes, Math.toIntExact(Math.max(wanted, 2L * bytes.length)));
    }

    @Override
    public void write(int letter) {
        write(String.valueOf((char) letter), 0, 1);
    }

    @Override
    public void write(char[] letters, int from, int count) {
        write(new String(letters, from, count), 0, count);
    }

    @Override
    public void write(String letters, int from, int count) {
        room(count);
        int end = from + count;
        if (count >= LONG && half == 0 && !Character.isHighSurrogate(letters.charAt(end - 1))) {
            put(letters.substring(from, end).getBytes(StandardCharsets.UTF_8));
            return;
        }
        for (int at = from; at < end; ) {
            int start = half == 0 ? ascii(letters, at, end) : at;
            int next = half == 0 ? start : start + 1;
            while (next < end && letters.charAt(next) >= ASCII) next++;
            if (next > start) beyond(letters.substring(start, next));
            at = next;
        }
    }

    /** @return where the first letter is that is none of ASCII */
    private int ascii(String letters, int from, int end) {
        byte[] to = bytes;
        int next = length;
        int at = from;
        for (; at < end; at++) {
            char letter = letters.charAt(at);
            if (letter >= ASCII) break;
            to[next++] = (byte) letter;
        }
        length = next;
        return at;
    }

    private void beyond(String letters) {
        String all = half == 0 ? letters : half + letters;
        int last = all.length() - 1;
        half = Character.isHighSurrogate(all.charAt(last)) ? all.charAt(last) : 0;
        put(all.substring(0, half == 0 ? last + 1 : last).getBytes(StandardCharsets.UTF_8));
    }

    private void put(byte[] encoded) {
        System.arraycopy(encoded, 0, bytes, length, encoded.length);
        length += encoded.length;
    }

    void writeTo(OutputStream out) throws IOException {
        out.write(bytes, 0, length);
        if (half != 0) out.write('?');
    }

    @Override
    public void flush() {
        // it goes out as a whole
    }

    @Override
    public void close() {
        // nothing is held
    }
}
