package pemblar.formats.fit;

/** The base types of the FIT protocol with their size in bytes and the value that means "not there". */
enum BaseType {
    ENUM(0x00, 1, 0xFF),
    SINT8(0x01, 1, 0x7F),
    UINT8(0x02, 1, 0xFF),
    SINT16(0x83, 2, 0x7FFF),
    UINT16(0x84, 2, 0xFFFF),
    SINT32(0x85, 4, 0x7FFFFFFF),
    UINT32(0x86, 4, 0xFFFFFFFFL),
    STRING(0x07, 1, 0),
    FLOAT32(0x88, 4, 0xFFFFFFFFL),
    FLOAT64(0x89, 8, -1L),
    UINT8Z(0x0A, 1, 0),
    UINT16Z(0x8B, 2, 0),
    UINT32Z(0x8C, 4, 0),
    BYTE(0x0D, 1, 0xFF),
    SINT64(0x8E, 8, 0x7FFFFFFFFFFFFFFFL),
    UINT64(0x8F, 8, -1L),
    UINT64Z(0x90, 8, 0);

    final int code;
    final int size;
    final long invalid;

    BaseType(int code, int size, long invalid) {
        this.code = code;
        this.size = size;
        this.invalid = invalid;
    }

    private static final BaseType[] BY_NUMBER = new BaseType[32];

    static {
        for (BaseType type : values()) BY_NUMBER[type.code & 0x1F] = type;
    }

    /** The type of a code; an unknown code is read as bytes, so that the rest of the message stays in place. */
    static BaseType ofCode(int code) {
        BaseType type = BY_NUMBER[code & 0x1F];
        return type == null ? BYTE : type;
    }

    /** True for types whose numbers can be below zero. */
    boolean isSigned() {
        return this == SINT8 || this == SINT16 || this == SINT32 || this == SINT64;
    }
}
