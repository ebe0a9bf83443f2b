package pemblar.core.effort;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import org.junit.jupiter.api.Test;

class DurabilityTest {
    @Test
    void whatIsLeftIsAShareOfFreshAndNeverMoreThanAll() {
        assertEquals(0.9, new Durability(300, 270).share(), 1e-12);
        assertEquals(1, new Durability(300, 310).share(), 0);
        assertTrue(new Durability(300, 270).isTried());
    }

    @Test
    void anEasyHourAfterWorkSaysNothingAboutWhatIsThere() {
        assertFalse(new Durability(300, 200).isTried());
        assertFalse(new Durability(280, 224).isTried(), "a steady ride at 80 % is no test");
        assertFalse(new Durability(300, Double.NaN).isTried());
        assertFalse(new Durability(Double.NaN, 200).isTried());
    }
}
