package pemblar.app.frame;

import java.util.concurrent.Semaphore;
import java.util.function.Supplier;
import org.springframework.stereotype.Component;

/** Only few files are held whole in memory at once, however many arrive: the others wait their turn. */
@Component
public class WholeFiles {
    private static final int AT_ONCE = 2;
    private final Semaphore places = new Semaphore(AT_ONCE, true);

    public <T> T with(Supplier<T> work) {
        places.acquireUninterruptibly();
        try {
            return work.get();
        } finally {
            places.release();
        }
    }
}
