package pemblar.app.program;

import java.time.LocalDate;

/** What a value of a kind looks like, for who sent another. */
final class Kinds {
    private Kinds() {}

    static String of(Class<?> kind) {
        if (kind == LocalDate.class) return "Send a day as 2026-05-04.";
        if (kind != null && (kind.isPrimitive() || Number.class.isAssignableFrom(kind))) return "Send a number.";
        return "Look at the description for what it can be.";
    }
}
