package pemblar.core.schedule;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
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

    @Test
    void aSessionCountsByThePartInsideTheWindow() {
        Spell two = new Spell(EVENING, EVENING.plus(Duration.ofHours(2)), 100);
        assertEquals(25, RollingLoad.at(List.of(two), EVENING.plus(Duration.ofMinutes(30)), 24), 1e-9);
        assertEquals(50, RollingLoad.at(List.of(two), EVENING.plus(Duration.ofHours(25)), 24), 1e-9);
        assertEquals(0, RollingLoad.at(List.of(two), EVENING.plus(Duration.ofHours(26)), 24), 1e-9);
    }
}
