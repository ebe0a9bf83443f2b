package pemblar.core.threshold;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import pemblar.core.sport.Sport;
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
    void whatWasFoundBeforeAnotherValueTookItsPlaceIsOfTheOneBefore() {
        LocalDate first = LocalDate.of(2026, 3, 1);
        LocalDate second = LocalDate.of(2026, 5, 10);
        Set<Quantity.Kind> power = Set.of(Quantity.Kind.THRESHOLD_POWER);
        DatedValues values = new DatedValues(
                List.of(
                        new DatedValues.Dated(Quantity.THRESHOLD_POWER, first, 240),
                        new DatedValues.Dated(Quantity.THRESHOLD_POWER, second, 255)),
                Sex.FEMALE);
        assertTrue(values.replacedSince(second.minusDays(1), second, Sport.RIDE, power));
        assertFalse(values.replacedSince(second, second.plusDays(9), Sport.RIDE, power), "it holds that day");
        assertFalse(values.replacedSince(second.minusDays(3), second.minusDays(1), Sport.RIDE, power), "not yet");
        assertFalse(values.replacedSince(first.minusDays(5), first, Sport.RIDE, power), "the first serves those days");
        assertFalse(values.replacedSince(second.minusDays(1), second, Sport.RUN, power), "another sport");
        assertFalse(
                values.replacedSince(second.minusDays(1), second, Sport.RIDE, Set.of(Quantity.Kind.W_PRIME)),
                "another kind");
    }

    @Test
    void impossibleValuesAreRefused() {
        assertThrows(IllegalArgumentException.class, () -> new Dated(Quantity.BODY_MASS, MAY, 300));
        assertThrows(IllegalArgumentException.class, () -> new Dated(Quantity.BODY_MASS, MAY, Double.NaN));
    }
}
