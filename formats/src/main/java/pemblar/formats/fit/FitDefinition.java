package pemblar.formats.fit;

import java.util.Arrays;

/** The layout of the data messages that follow under one local number. */
final class FitDefinition {
    record Field(int number, int size, BaseType type, int offset) {}

    record DeveloperField(int number, int size, int developerIndex, int offset) {}

    final int global;
    final boolean bigEndian;
    final Field[] fields;
    final DeveloperField[] developerFields;
    final int size;
    private final int[] byNumber = new int[256];

    FitDefinition(int global, boolean bigEndian, Field[] fields, DeveloperField[] developerFields, int size) {
        this.global = global;
        this.bigEndian = bigEndian;
        this.fields = fields;
        this.developerFields = developerFields;
        this.size = size;
        Arrays.fill(byNumber, -1);
        for (int i = fields.length - 1; i >= 0; i--) byNumber[fields[i].number()] = i;
    }

    /** The field of a number, or null. */
    Field field(int number) {
        int index = byNumber[number];
        return index < 0 ? null : fields[index];
    }
}
