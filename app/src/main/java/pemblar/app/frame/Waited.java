package pemblar.app.frame;

import java.util.function.Supplier;

/**
 * A request that has waited for a database that is away does not wait a second time: a sign-in that could not be kept
 * when the answer began is kept once more when the request ends, which took the page that says so twice as long.
 */
public final class Waited {
    private static final ThreadLocal<Waited> REQUEST = new ThreadLocal<>();
    private RuntimeException away;

    private Waited() {}

    static void begin() {
        REQUEST.set(new Waited());
    }

    static void end() {
        REQUEST.remove();
    }

    /**
     * Asks the database for what a request must know of a sign-in.
     *
     * @throws RuntimeException the one met before, at once, when the database was away in the same request
     */
    public static <T> T once(Supplier<T> asking) {
        Waited request = REQUEST.get();
        if (request == null) return asking.get();
        if (request.away != null) throw request.away;
        try {
            return asking.get();
        } catch (RuntimeException e) {
            if (DatabaseAway.isAway(e)) request.away = e;
            throw e;
        }
    }
}
