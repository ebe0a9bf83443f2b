package pemblar.core.schedule;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import pemblar.core.schedule.RollingLoad.Spell;

class RollingLoadTest {
    private static final Instant EVENING = Instant.parse("2025-05-06T18:00:00Z");

    @Test
    void anEveningAndTheNextMorningAreOneEffort() {
        Spell evening = new Spell(EVENING, EVENING.plus(Duration.ofHours(2)), 100);
        Spell morning = new Spell(EVENING.plus(Duration.ofHours(14)), EVENING.plus(Duration.ofHours(16)), 80);
        assertEquals(180, RollingLoad.at(List.of(evening, morning), morning.end(), 24), 1e-9);
    }

    /** The highest at a bend is the highest of all: as high as any of a window at each minute, on 200 seeded weeks. */
    @Test
    void nothingIsHigherThanTheHighestBend() {
        for (int seed = 0; seed < 200; seed++) {
            Random random = new Random(seed);
            List<Spell> spells = new ArrayList<>();
            for (int i = 0; i < 9; i++) {
                Instant start = EVENING.plusSeconds(random.nextInt(7 * 86_400));
                spells.add(new Spell(start, start.plusSeconds(600 + random.nextInt(14_400)), 20 + random.nextInt(150)));
            }
            Instant end = EVENING.plus(Duration.ofDays(7));
            double highest = RollingLoad.bends(spells, EVENING, end, 24).stream()
                    .mapToDouble(t -> RollingLoad.at(spells, t, 24))
                    .max()
                    .orElse(0);
            double byMinute = 0;
            for (Instant now = EVENING; now.isBefore(end); now = now.plusSeconds(60))
                byMinute = Math.max(byMinute, RollingLoad.at(spells, now, 24));
            assertTrue(highest >= byMinute - 1e-9, "seed " + seed + ": " + highest + " against " + byMinute);
            assertEquals(byMinute, highest, 5, "seed " + seed);
        }
    }

    @Test
    void aSessionCountsByThePartInsideTheWindow() {
        Spell two = new Spell(EVENING, EVENING.plus(Duration.ofHours(2)), 100);
        assertEquals(25, RollingLoad.at(List.of(two), EVENING.plus(Duration.ofMinutes(30)), 24), 1e-9);
        assertEquals(50, RollingLoad.at(List.of(two), EVENING.plus(Duration.ofHours(25)), 24), 1e-9);
        assertEquals(0, RollingLoad.at(List.of(two), EVENING.plus(Duration.ofHours(26)), 24), 1e-9);
    }
}
