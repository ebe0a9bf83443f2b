package pemblar.core.threshold;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import pemblar.core.threshold.DatedValues.Dated;

class DatedValuesTest {
    private static final LocalDate MAY = LocalDate.of(2025, 5, 4);
    private static final LocalDate JULY = LocalDate.of(2025, 7, 1);
    private static final DatedValues VALUES = new DatedValues(
            List.of(new Dated(Quantity.THRESHOLD_POWER, JULY, 270), new Dated(Quantity.THRESHOLD_POWER, MAY, 262)),
            Sex.NOT_GIVEN);

    @Test
    void aValueHoldsFromItsDayUntilTheNext() {
        assertEquals(262, VALUES.on(JULY.minusDays(1)).require(Quantity.THRESHOLD_POWER));
        assertEquals(270, VALUES.on(JULY).require(Quantity.THRESHOLD_POWER));
    }

    @Test
    void daysBeforeTheFirstValueTakeTheNearestKnown() {
        assertEquals(262, VALUES.on(MAY.minusYears(1)).require(Quantity.THRESHOLD_POWER));
    }

    @Test
    void aChangeTouchesExactlyItsSpan() {
        assertEquals(
                new DatedValues.Span(LocalDate.of(1, 1, 1), Optional.of(JULY)),
                VALUES.spanOf(Quantity.THRESHOLD_POWER, MAY));
        assertEquals(new DatedValues.Span(JULY, Optional.empty()), VALUES.spanOf(Quantity.THRESHOLD_POWER, JULY));
        assertEquals(
                new DatedValues.Span(MAY.plusDays(3), Optional.of(JULY)),
                VALUES.spanOf(Quantity.THRESHOLD_POWER, MAY.plusDays(3)));
    }

    @Test
    void impossibleValuesAreRefused() {
        assertThrows(IllegalArgumentException.class, () -> new Dated(Quantity.BODY_MASS, MAY, 300));
        assertThrows(IllegalArgumentException.class, () -> new Dated(Quantity.BODY_MASS, MAY, Double.NaN));
    }
}
