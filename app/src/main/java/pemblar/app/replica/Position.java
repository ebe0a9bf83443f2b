package pemblar.app.replica;

import java.util.ArrayDeque;
import java.util.Deque;

/**
 * How far the copy has come in the log of the main database, in bytes, and how long ago the main one was there. The
 * copy's own clock says nothing while nobody writes; so the positions of the main one are kept with their moments. Not
 * for several threads.
 */
final class Position {
    private static final int MOST_KEPT = 1200;

    private record Seen(long millis, long bytes) {}

    private final Deque<Seen> ahead = new ArrayDeque<>();
    private long main;
    private long copy;

    /** @param millis a clock that only goes forward */
    void looked(long millis, long mainBytes, long copyBytes) {
        main = mainBytes;
        copy = copyBytes;
        if (ahead.isEmpty() || ahead.getLast().bytes() < mainBytes) ahead.addLast(new Seen(millis, mainBytes));
        while (!ahead.isEmpty() && ahead.getFirst().bytes() <= copyBytes) ahead.removeFirst();
        if (ahead.size() > MOST_KEPT) thin();
    }

    /** The oldest one that was not reached says how long it takes: it stays, others go. */
    private void thin() {
        Seen oldest = ahead.removeFirst();
        ahead.removeFirst();
        ahead.addFirst(oldest);
    }

    long copyBytes() {
        return copy;
    }

    long behindBytes() {
        return Math.max(0, main - copy);
    }

    /** Since when something of the main one is not in the copy; 0 when all is. */
    long behindMillis(long now) {
        return ahead.isEmpty() ? 0 : now - ahead.getFirst().millis();
    }
}
