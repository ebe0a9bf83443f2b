package pemblar.app.threshold;

import java.time.LocalDate;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.AthleteService;
import pemblar.app.frame.NotFoundException;
import pemblar.app.frame.Viewer;
import pemblar.core.threshold.DatedValues;
import pemblar.core.threshold.DatedValues.Dated;
import pemblar.core.threshold.Quantity;
import pemblar.core.threshold.Sex;

/** An athlete's dated values. A change is announced with exactly the days that it touches. */
@Service
public class ThresholdService {
    private static final LocalDate EARLIEST = LocalDate.of(1950, 1, 1);
    private static final LocalDate END_OF_TIME = LocalDate.of(9999, 1, 1);
    private final DatedValueRepository values;
    private final AthleteService athletes;
    private final ApplicationEventPublisher events;

    ThresholdService(DatedValueRepository values, AthleteService athletes, ApplicationEventPublisher events) {
        this.values = values;
        this.athletes = athletes;
        this.events = events;
    }

    /** For an athlete whom the caller has already asked for. */
    @Transactional(readOnly = true)
    public DatedValues of(Athlete athlete) {
        return new DatedValues(values.findByAthleteIdOrderByValidFrom(athlete.id()).stream().map(DatedValueRow::toCore).toList(), athlete.sex());
    }

    /** @throws IllegalArgumentException with a sentence for the person when the value is impossible */
    @Transactional
    public void set(long athleteId, Viewer viewer, Quantity quantity, LocalDate from, double value) {
        Athlete athlete = athletes.require(athleteId, viewer);
        if (from.isBefore(EARLIEST) || !from.isBefore(END_OF_TIME)) throw new IllegalArgumentException("Date: choose a day after 1950.");
        Dated dated = new Dated(quantity, from, value);
        values.findByAthleteIdAndQuantityAndValidFrom(athleteId, quantity, from)
            .ifPresentOrElse(row -> row.amount = value, () -> values.save(new DatedValueRow(athleteId, dated)));
        announce(of(athlete), athleteId, quantity, from);
    }

    @Transactional
    public void remove(long athleteId, Viewer viewer, Quantity quantity, LocalDate from) {
        Athlete athlete = athletes.require(athleteId, viewer);
        DatedValues before = of(athlete);
        values.delete(values.findByAthleteIdAndQuantityAndValidFrom(athleteId, quantity, from).orElseThrow(() -> new NotFoundException("value")));
        announce(before, athleteId, quantity, from);
    }

    @Transactional
    public void setSex(long athleteId, Viewer viewer, Sex sex) {
        athletes.setSex(athleteId, viewer, sex);
        events.publishEvent(new ThresholdsChanged(athleteId, EARLIEST, END_OF_TIME));
    }

    private void announce(DatedValues dated, long athleteId, Quantity quantity, LocalDate from) {
        if (quantity == Quantity.BODY_MASS) return;        // no stored summary rests on it
        DatedValues.Span span = dated.spanOf(quantity, from);
        LocalDate begin = span.from().isBefore(EARLIEST) ? EARLIEST : span.from();
        events.publishEvent(new ThresholdsChanged(athleteId, begin, span.until().orElse(END_OF_TIME)));
    }
}
