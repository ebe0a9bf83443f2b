package pemblar.app.threshold;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import pemblar.core.threshold.Quantity;

@Tag("unit")
class AmountsTest {
    @ParameterizedTest
    @CsvSource({
        "THRESHOLD_POWER, 262, 262",
        "THRESHOLD_POWER, ' 262,5 ', 263",
        "W_PRIME, 19.4, 19.4",
        "THRESHOLD_SPEED, 4:10, 4:10",
        "BODY_MASS, '66,5', 66.5",
        "MAXIMUM_HEART_RATE, 187, 187"
    })
    void whatIsTypedIsShownTheSame(Quantity quantity, String typed, String shown) {
        assertEquals(shown, Amounts.shown(quantity, Amounts.parsed(quantity, typed)));
    }

    @Test
    void unitsAreKeptApartInside() {
        assertEquals(19_400, Amounts.parsed(Quantity.W_PRIME, "19.4"), 1e-9);
        assertEquals(4, Amounts.parsed(Quantity.THRESHOLD_SPEED, "4:10"), 1e-9);
        assertEquals("4:15 to 4:05 /km", Amounts.range(Quantity.THRESHOLD_SPEED, 1000.0 / 255, 1000.0 / 245));
    }

    @Test
    void aRefusalNamesFieldReasonAndWayOut() {
        NumberFormatException noNumber =
                assertThrows(NumberFormatException.class, () -> Amounts.parsed(Quantity.THRESHOLD_SPEED, "4.10"));
        assertTrue(Amounts.problem(Quantity.THRESHOLD_SPEED, "4.10", noNumber)
                .contains("Threshold pace: “4.10” is not a pace such as 4:10"));
        assertEquals(
                "Body mass: “720” cannot be right; accepted is 25.0 to 250.0 kg.",
                Amounts.problem(Quantity.BODY_MASS, "720", new IllegalArgumentException("720")));
        assertTrue(Amounts.problem(Quantity.THRESHOLD_SPEED, "1:00", new IllegalArgumentException("x"))
                .contains("2:05 to 16:40 /km"));
    }
}
