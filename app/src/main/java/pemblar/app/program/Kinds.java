package pemblar.app.program;

import java.time.LocalDate;
import java.util.Arrays;
import java.util.Locale;
import java.util.stream.Collectors;

/** What a value of a kind looks like, for who sent another. */
public final class Kinds {
    private Kinds() {}

    /**
     * A word in lower case as one of an enumeration. @throws IllegalArgumentException naming the field and its words
     */
    public static <E extends Enum<E>> E word(String field, Class<E> of, String word) {
        for (E one : of.getEnumConstants()) if (key(one).equals(word)) return one;
        throw new IllegalArgumentException(field + ": send one of "
                + Arrays.stream(of.getEnumConstants()).map(Kinds::key).collect(Collectors.joining(", ")) + ".");
    }

    public static String key(Enum<?> one) {
        return one.name().toLowerCase(Locale.ROOT);
    }

    /** As one would write it: 3, not 3.0. */
    public static String number(double value) {
        return value == Math.rint(value) ? String.valueOf((long) value) : String.valueOf(value);
    }

    static String of(Class<?> kind) {
        if (kind == LocalDate.class) return "Send a day as 2026-05-04.";
        if (kind != null && (kind.isPrimitive() || Number.class.isAssignableFrom(kind))) return "Send a number.";
        return "Look at the description for what it can be.";
    }
}
