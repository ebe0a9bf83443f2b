package pemblar.app.evidence.page;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import pemblar.app.evidence.EvidenceService;
import pemblar.app.evidence.Piece;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.DatedValues;
import pemblar.core.threshold.DatedValues.Dated;
import pemblar.core.threshold.Estimate;
import pemblar.core.threshold.Evidence;
import pemblar.core.threshold.Method;
import pemblar.core.threshold.Quantity;
import pemblar.core.threshold.Sex;
import pemblar.core.threshold.Suggestion;

@Tag("unit")
class EvidenceDrawingTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 6, 1);

    private static Piece piece(Quantity quantity, double best, double low, double high, int daysAgo, String aside) {
        return new Piece(
                "kept-" + daysAgo,
                new Evidence(
                        Sport.RIDE,
                        TODAY.minusDays(daysAgo),
                        new Estimate(quantity, best, low, high),
                        Method.TWENTY_MINUTES,
                        "",
                        ""),
                null,
                aside,
                true);
    }

    private static final List<Piece> PIECES = List.of(
            piece(Quantity.THRESHOLD_POWER, 260, 255, 265, 10, null),
            piece(Quantity.CRITICAL_POWER, 262, 262, Double.POSITIVE_INFINITY, 40, null),
            piece(Quantity.THRESHOLD_POWER, 230, 225, 235, 80, "downhill"),
            piece(Quantity.W_PRIME, 20_000, 19_000, 21_000, 10, null),
            piece(Quantity.THRESHOLD_POWER, 200, 195, 205, 500, null));

    private static EvidenceDrawing drawing() {
        DatedValues adopted = new DatedValues(
                List.of(
                        new Dated(Quantity.THRESHOLD_POWER, TODAY.minusDays(400), 240),
                        new Dated(Quantity.THRESHOLD_POWER, TODAY.minusDays(100), 250),
                        new Dated(Quantity.CRITICAL_POWER, TODAY.minusDays(100), 251)),
                Sex.NOT_GIVEN);
        Map<Quantity, Suggestion> suggestions = EvidenceService.suggestions(PIECES, TODAY);
        return EvidenceDrawing.of(
                new EvidenceDrawing.Drawn(Screen.RIDE_POWER.drawn(), PIECES, suggestions),
                adopted,
                TODAY.minusDays(365),
                TODAY);
    }

    @Test
    void whatIsOnTheAxisIsMarkedAndWhatIsNotIsLeftOut() {
        EvidenceDrawing d = drawing();
        assertEquals(3, d.marks().size(), "W′ has another unit, and the oldest lies outside");
        assertTrue(d.marks().stream().anyMatch(m -> m.open() && m.kind() == 1));
        assertTrue(d.marks().stream().anyMatch(m -> m.aside()));
        d.marks()
                .forEach(m -> assertTrue(
                        m.y() > 0 && m.y() < EvidenceDrawing.HEIGHT && m.x() > 0 && m.x() < EvidenceDrawing.WIDTH));
    }

    @Test
    void aHigherValueIsDrawnHigherAndALaterOneFurtherRight() {
        EvidenceDrawing d = drawing();
        EvidenceDrawing.Mark newest = d.marks().get(0);
        EvidenceDrawing.Mark older = d.marks().get(2);
        assertTrue(newest.x() > older.x() && newest.y() < older.y());
        assertTrue(newest.highY() < newest.y() && newest.y() < newest.lowY());
    }

    @Test
    void theAdoptedValuesAreStepsAndTheirLabelsDoNotCollide() {
        EvidenceDrawing d = drawing();
        assertEquals(2, d.steps().size());
        assertTrue(
                d.steps().get(0).path().matches("M[\\d.]+ [\\d.]+H[\\d.]+V[\\d.]+H[\\d.]+"),
                d.steps().get(0).path());
        assertTrue(Math.abs(d.steps().get(0).labelY() - d.steps().get(1).labelY()) >= 16);
        assertEquals(1, d.bands().size(), "a floor alone suggests nothing");
    }

    @Test
    void aSuggestionReadsAsASentence() {
        Suggestion s = EvidenceService.suggestions(PIECES, TODAY).get(Quantity.THRESHOLD_POWER);
        assertEquals(
                "255 to 265 W, most likely 260; one piece of evidence, 10 days old",
                Words.of(Quantity.THRESHOLD_POWER, s).replaceAll("2\\d\\d to 2\\d\\d", "255 to 265"));
        assertTrue(Words.width(s).startsWith("± 2."));
    }
}
