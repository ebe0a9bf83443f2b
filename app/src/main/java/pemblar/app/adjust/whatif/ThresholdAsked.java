package pemblar.app.adjust.whatif;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Component;
import pemblar.app.adjust.AdjustService;
import pemblar.app.athlete.Athlete;
import pemblar.app.session.reading.AdoptionPreview;
import pemblar.app.session.reading.AdoptionPreview.PlannedChange;
import pemblar.app.threshold.Amounts;
import pemblar.app.threshold.ThresholdService;
import pemblar.core.adjust.Change;
import pemblar.core.adjust.Session;
import pemblar.core.adjust.WhatIf;
import pemblar.core.threshold.DatedValues;
import pemblar.core.threshold.DatedValues.Dated;

/** What if a threshold were another: the steps of what is planned, and what it comes to. */
@Component
class ThresholdAsked {
    private static final int LISTED = 12;
    private final AdoptionPreview preview;
    private final ThresholdService thresholds;

    ThresholdAsked(AdoptionPreview preview, ThresholdService thresholds) {
        this.preview = preview;
        this.thresholds = thresholds;
    }

    /** A threshold that the athlete has. @param value as a form has it */
    public record Known(String name, String label, String value, String unit) {}

    List<Known> known(Athlete athlete, LocalDate today) {
        DatedValues values = thresholds.of(athlete);
        List<Known> known = new ArrayList<>();
        for (var quantity : Question.ASKED_ABOUT)
            values.latest(quantity, today)
                    .ifPresent(d -> known.add(new Known(
                            quantity.name(),
                            Amounts.label(quantity),
                            Amounts.shown(quantity, d.value()),
                            Amounts.unit(quantity))));
        return known;
    }

    WhatIf answer(Question question, Athlete athlete, AdjustService.Open open) {
        LocalDate today = open.situation().today();
        List<Change.Swap> again = new ArrayList<>();
        for (PlannedChange change : ahead(question, athlete, today)) {
            if (change.loadAfter() == null) continue;
            String id = String.valueOf(change.id());
            open.situation().ahead().stream()
                    .filter(s -> s.id().equals(id))
                    .findFirst()
                    .ifPresent(s -> again.add(swap(s, change)));
        }
        return new WhatIf.Reckoned(again);
    }

    private static Change.Swap swap(Session session, PlannedChange change) {
        double hours = change.secondsAfter() == 0 ? session.hours() : change.secondsAfter() / 3600.0;
        return new Change.Swap(session.id(), change.loadAfter(), hours, session.hard(), change.title());
    }

    /** The first sessions whose steps or loads would be others; none for another kind of question. */
    List<PlannedChange> steps(Question question, Athlete athlete, LocalDate today) {
        return question.quantity() == null
                ? List.of()
                : ahead(question, athlete, today).stream().limit(LISTED).toList();
    }

    private List<PlannedChange> ahead(Question question, Athlete athlete, LocalDate today) {
        return preview.ahead(athlete, today, new Dated(question.quantity(), today, question.amount()));
    }
}
