package pemblar.formats.fit;

import java.lang.invoke.MethodHandles;
import java.lang.invoke.VarHandle;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;

/** A data message being read; the same object moves on from one message to the next. */
final class FitMessage {
    static final int TIMESTAMP = 253;
    private static final VarHandle SHORT_LITTLE = view(short[].class, ByteOrder.LITTLE_ENDIAN);
    private static final VarHandle SHORT_BIG = view(short[].class, ByteOrder.BIG_ENDIAN);
    private static final VarHandle INT_LITTLE = view(int[].class, ByteOrder.LITTLE_ENDIAN);
    private static final VarHandle INT_BIG = view(int[].class, ByteOrder.BIG_ENDIAN);
    private static final VarHandle LONG_LITTLE = view(long[].class, ByteOrder.LITTLE_ENDIAN);
    private static final VarHandle LONG_BIG = view(long[].class, ByteOrder.BIG_ENDIAN);
    private final byte[] bytes;
    private FitDefinition definition;
    private int at;
    private long timestamp;

    private static VarHandle view(Class<?> array, ByteOrder order) {
        return MethodHandles.byteArrayViewVarHandle(array, order);
    }

    FitMessage(byte[] bytes) {
        this.bytes = bytes;
    }

    void move(FitDefinition definition, int at, long timestamp) {
        this.definition = definition;
        this.at = at;
        this.timestamp = timestamp;
    }

    int global() {
        return definition.global;
    }

    /** Where the message's data begin in the file. */
    int place() {
        return at;
    }

    /** Seconds since the protocol's epoch, from the field or the compressed header; -1 when neither is there. */
    long timestamp() {
        return timestamp;
    }

    FitDefinition.DeveloperField[] developerFields() {
        return definition.developerFields;
    }

    /** A field's first value as written, unscaled; NaN when absent or invalid. */
    double number(int field) {
        FitDefinition.Field found = definition.field(field);
        return found == null ? Double.NaN : value(found.offset(), found.size(), found.type());
    }

    /** A field's value in its unit. */
    double number(int field, double scale, double offset) {
        return number(field) / scale - offset;
    }

    /** A field as a whole number; -1 when absent or invalid. */
    long whole(int field) {
        double value = number(field);
        return Double.isNaN(value) ? -1 : (long) value;
    }

    double developer(FitDefinition.DeveloperField field, BaseType type) {
        return value(field.offset(), field.size(), type);
    }

    /** Text up to the first zero byte; empty when absent. */
    String text(int field) {
        FitDefinition.Field found = definition.field(field);
        if (found == null) return "";
        int start = at + found.offset();
        int end = start;
        while (end < start + found.size() && bytes[end] != 0) end++;
        return new String(bytes, start, end - start, StandardCharsets.UTF_8);
    }

    private double value(int offset, int size, BaseType type) {
        if (type == BaseType.STRING || size < type.size) return Double.NaN;
        long raw = raw(at + offset, type.size);
        if (raw == type.invalid) return Double.NaN;
        if (type == BaseType.FLOAT32) return finite(Float.intBitsToFloat((int) raw));
        if (type == BaseType.FLOAT64) return finite(Double.longBitsToDouble(raw));
        if (type.isSigned()) return raw << 64 - 8 * type.size >> 64 - 8 * type.size;
        return type.size == 8 && raw < 0 ? raw + 0x1p64 : raw;
    }

    private static double finite(double value) {
        return Double.isFinite(value) ? value : Double.NaN;
    }

    private long raw(int from, int size) {
        return switch (size) {
            case 1 -> bytes[from] & 0xFF;
            case 2 -> definition.bigEndian ? (short) SHORT_BIG.get(bytes, from) & 0xFFFF : littleShort(from);
            case 4 ->
                (definition.bigEndian ? (int) INT_BIG.get(bytes, from) : (int) INT_LITTLE.get(bytes, from))
                        & 0xFFFFFFFFL;
            default -> definition.bigEndian ? (long) LONG_BIG.get(bytes, from) : (long) LONG_LITTLE.get(bytes, from);
        };
    }

    private int littleShort(int from) {
        return (short) SHORT_LITTLE.get(bytes, from) & 0xFFFF;
    }
}
