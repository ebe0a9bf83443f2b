package pemblar.app.replica;

import java.util.function.Supplier;

/** Whether what this thread asks goes to the copy of the database. */
public final class Elsewhere {
    private static final ThreadLocal<Boolean> ON = new ThreadLocal<>();

    private Elsewhere() {}

    static boolean isOn() {
        return ON.get() != null;
    }

    static void begin() {
        ON.set(true);
    }

    static void end() {
        ON.remove();
    }

    /** What has to be written while a page is read, or must be no older than now. Outside of any transaction. */
    public static <T> T atMain(Supplier<T> work) {
        if (!isOn()) return work.get();
        end();
        try {
            return work.get();
        } finally {
            begin();
        }
    }

    /** The same for what only is written. */
    public static void writtenAtMain(Runnable work) {
        atMain(() -> {
            work.run();
            return null;
        });
    }
}
