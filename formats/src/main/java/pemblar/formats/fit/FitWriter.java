package pemblar.formats.fit;

import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/** Writes a FIT file, little-endian, message by message; definitions are written when a layout is first used. */
final class FitWriter {
    private final ByteArrayOutputStream out = new ByteArrayOutputStream();
    private final List<Layout> layouts = new ArrayList<>();

    /** A field of a layout; {@code size} counts only for texts. */
    record Field(int number, BaseType type, int size) {
        Field(int number, BaseType type) {
            this(number, type, type.size);
        }
    }

    /** The fields of one kind of message, in the order in which values are given. */
    record Layout(int global, List<Field> fields) {
        static Layout of(int global, Field... fields) {
            return new Layout(global, List.of(fields));
        }
    }

    FitWriter() {
        out.writeBytes(new byte[14]);
    }

    /** Values in the order of the layout: numbers as the profile scales them, texts, or null for "not there". */
    void write(Layout layout, Object... values) {
        int local = layouts.indexOf(layout);
        if (local < 0) local = define(layout);
        out.write(local);
        for (int i = 0; i < values.length; i++) put(layout.fields().get(i), values[i]);
    }

    private int define(Layout layout) {
        if (layouts.size() == 16) throw new IllegalStateException("a file has at most 16 layouts");
        layouts.add(layout);
        int local = layouts.size() - 1;
        out.write(0x40 | local);
        out.write(0);
        out.write(0);
        number(layout.global(), 2);
        out.write(layout.fields().size());
        for (Field field : layout.fields()) {
            out.write(field.number());
            out.write(field.size());
            out.write(field.type().code);
        }
        return local;
    }

    private void put(Field field, Object value) {
        if (field.type() == BaseType.STRING) {
            text((String) value, field.size());
        } else if (value == null || value instanceof Double d && d.isNaN()) {
            number(field.type().invalid, field.size());
        } else {
            long whole = value instanceof Double d ? Math.round(d) : ((Number) value).longValue();
            number(clamped(whole, field.type()), field.size());
        }
    }

    /** A number that does not fit is "not there" rather than another number. */
    private static long clamped(long value, BaseType type) {
        if (type.size == 8) return value;
        long highest = type.isSigned() ? (1L << 8 * type.size - 1) - 1 : (1L << 8 * type.size) - 1;
        long lowest = type.isSigned() ? -highest - 1 : 0;
        return value < lowest || value > highest ? type.invalid : value;
    }

    private void number(long value, int size) {
        for (int i = 0; i < size; i++) out.write((int) (value >>> 8 * i));
    }

    /** Texts end with a zero byte and are cut between characters when too long. */
    private void text(String text, int size) {
        byte[] bytes = text == null ? new byte[0] : text.getBytes(StandardCharsets.UTF_8);
        int length = Math.min(bytes.length, size - 1);
        while (length > 0 && length < bytes.length && (bytes[length] & 0xC0) == 0x80) length--;
        out.writeBytes(Arrays.copyOf(Arrays.copyOf(bytes, length), size));
    }

    byte[] finish() {
        byte[] body = out.toByteArray();
        byte[] file = Arrays.copyOf(body, body.length + 2);
        file[0] = 14;
        file[1] = 0x20;
        file[2] = 0x54;
        file[3] = 0x08;
        for (int i = 0; i < 4; i++) file[4 + i] = (byte) (body.length - 14 >>> 8 * i);
        System.arraycopy(".FIT".getBytes(StandardCharsets.US_ASCII), 0, file, 8, 4);
        putCrc(file, 12, Crc.of(file, 0, 12));
        putCrc(file, body.length, Crc.of(file, 0, body.length));
        return file;
    }

    private static void putCrc(byte[] file, int at, int crc) {
        file[at] = (byte) crc;
        file[at + 1] = (byte) (crc >> 8);
    }
}
