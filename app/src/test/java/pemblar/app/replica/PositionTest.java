package pemblar.app.replica;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

@Tag("unit")
class PositionTest {
    private static final int LOOK = 250;

    @Test
    void whileNobodyWritesACopyIsNotBehindHoweverLong() {
        Position position = new Position();
        for (long t = 0; t < 600_000; t += LOOK) position.looked(t, 5000, 5000);
        assertThat(position.behindMillis(600_000)).isZero();
        assertThat(position.behindBytes()).isZero();
    }

    @Test
    void aCopyThatStandsStillFallsBehindByTheClock() {
        Position position = new Position();
        position.looked(0, 1000, 1000);
        for (long t = LOOK; t <= 3_600_000; t += LOOK) position.looked(t, 1000 + t, 1000);
        assertThat(position.behindMillis(3_600_000)).isEqualTo(3_600_000 - LOOK);
        assertThat(position.behindBytes()).isEqualTo(3_600_000);
    }

    /** Against a list of all moments: the first at which the main one had what the copy has not. */
    @Test
    void isAsFarBehindAsTheOldestThatItLacks() {
        for (int seed = 0; seed < 500; seed++) {
            Random random = new Random(seed);
            Position position = new Position();
            List<long[]> all = new ArrayList<>();
            long main = 0;
            long copy = 0;
            for (int look = 0; look < 400; look++) {
                long now = (long) look * LOOK;
                if (random.nextInt(3) > 0) main += random.nextInt(10_000);
                if (random.nextInt(4) > 0) copy = Math.max(copy, main - random.nextInt(30_000));
                copy = Math.max(0, Math.min(copy, main));
                all.add(new long[] {now, main});
                position.looked(now, main, copy);
                long reached = copy;
                long since = all.stream()
                        .filter(seen -> seen[1] > reached)
                        .mapToLong(seen -> seen[0])
                        .min()
                        .orElse(now);
                assertThat(position.behindMillis(now))
                        .as("seed %d look %d", seed, look)
                        .isEqualTo(now - since);
            }
        }
    }
}
