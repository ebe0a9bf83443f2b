package pemblar.formats.fit;

/** The 16-bit checksum of the FIT protocol (polynomial 0xA001, reflected, start value 0). */
final class Crc {
    private static final int[] TABLE = new int[256];

    static {
        for (int i = 0; i < 256; i++) {
            int crc = i;
            for (int bit = 0; bit < 8; bit++) crc = (crc & 1) == 1 ? crc >>> 1 ^ 0xA001 : crc >>> 1;
            TABLE[i] = crc;
        }
    }

    private Crc() {}

    static int of(byte[] bytes, int from, int to) {
        int crc = 0;
        for (int i = from; i < to; i++) crc = crc >>> 8 ^ TABLE[(crc ^ bytes[i]) & 0xFF];
        return crc;
    }
}
