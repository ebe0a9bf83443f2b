package pemblar.formats.fit;

import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;

/** Builds FIT files byte by byte, apart from the code under test, with what real devices do and ours does not. */
final class FitFiles {
    private final ByteArrayOutputStream body = new ByteArrayOutputStream();

    FitFiles define(int local, int global, boolean bigEndian, int... numberSizeType) {
        body.write(0x40 | local);
        return layout(global, bigEndian, numberSizeType);
    }

    FitFiles defineWithDeveloper(int local, int global, int[] numberSizeType, int... developer) {
        body.write(0x60 | local);
        layout(global, false, numberSizeType);
        body.write(developer.length / 3);
        for (int b : developer) body.write(b);
        return this;
    }

    private FitFiles layout(int global, boolean bigEndian, int... numberSizeType) {
        body.write(0);
        body.write(bigEndian ? 1 : 0);
        number(global, 2, bigEndian);
        body.write(numberSizeType.length / 3);
        for (int b : numberSizeType) body.write(b);
        return this;
    }

    FitFiles header(int header) {
        body.write(header);
        return this;
    }

    FitFiles number(long value, int size, boolean bigEndian) {
        for (int i = 0; i < size; i++) body.write((int) (value >>> 8 * (bigEndian ? size - 1 - i : i)));
        return this;
    }

    FitFiles text(String text, int size) {
        byte[] bytes = new byte[size];
        byte[] from = text.getBytes(StandardCharsets.UTF_8);
        System.arraycopy(from, 0, bytes, 0, from.length);
        body.writeBytes(bytes);
        return this;
    }

    byte[] file() {
        byte[] data = body.toByteArray();
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        out.write(14);
        out.write(0x10);
        out.write(0);
        out.write(0);
        for (int i = 0; i < 4; i++) out.write(data.length >>> 8 * i);
        out.writeBytes(".FIT".getBytes(StandardCharsets.US_ASCII));
        twoBytes(out, crc(out.toByteArray()));
        out.writeBytes(data);
        twoBytes(out, crc(out.toByteArray()));
        return out.toByteArray();
    }

    private static void twoBytes(ByteArrayOutputStream out, int value) {
        out.write(value);
        out.write(value >> 8);
    }

    /** The protocol's checksum, bit by bit. */
    private static int crc(byte[] bytes) {
        int crc = 0;
        for (byte b : bytes) {
            crc ^= b & 0xFF;
            for (int bit = 0; bit < 8; bit++) crc = (crc & 1) != 0 ? crc >> 1 ^ 0xA001 : crc >> 1;
        }
        return crc;
    }
}
