package pemblar.app;

import java.time.Duration;
import java.util.function.BooleanSupplier;

/** Waits for a condition, asking again and again, and fails when its time is over. */
final class Eventually {
    private Eventually() {}

    static void holds(Duration atMost, BooleanSupplier condition) {
        long end = System.nanoTime() + atMost.toNanos();
        while (!condition.getAsBoolean()) {
            if (System.nanoTime() > end) throw new AssertionError("did not hold within " + atMost);
            java.util.concurrent.locks.LockSupport.parkNanos(50_000_000);
        }
    }
}
