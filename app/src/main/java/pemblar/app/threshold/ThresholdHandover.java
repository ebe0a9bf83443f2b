package pemblar.app.threshold;

import java.time.LocalDate;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.Handover;
import pemblar.app.frame.Viewer;
import pemblar.app.frame.Visit;
import pemblar.core.threshold.DatedValues;
import pemblar.core.threshold.Quantity;

/** Guessed values fill what the person has not set; theirs stay. */
@Component
@Order(1)
class ThresholdHandover implements Handover {
    private static final LocalDate LATEST = LocalDate.of(9999, 1, 1);
    private final ThresholdService thresholds;

    ThresholdHandover(ThresholdService thresholds) {
        this.thresholds = thresholds;
    }

    private Map<Quantity, DatedValues.Dated> missing(Athlete from, Athlete to) {
        DatedValues guessed = thresholds.of(from);
        DatedValues own = thresholds.of(to);
        Map<Quantity, DatedValues.Dated> missing = new EnumMap<>(Quantity.class);
        for (Quantity quantity : Quantity.values()) {
            Optional<DatedValues.Dated> value = guessed.latest(quantity, LATEST);
            if (value.isPresent() && own.latest(quantity, LATEST).isEmpty()) missing.put(quantity, value.get());
        }
        return missing;
    }

    @Override
    public List<String> preview(Athlete from, Athlete to) {
        Map<Quantity, DatedValues.Dated> missing = missing(from, to);
        String kept = java.util.Arrays.stream(Quantity.values())
                .filter(q -> !missing.containsKey(q)
                        && thresholds.of(from).latest(q, LATEST).isPresent())
                .map(Quantity::label)
                .collect(Collectors.joining(", "));
        List<String> said = new java.util.ArrayList<>();
        if (!missing.isEmpty())
            said.add("Values that you have not set: "
                    + missing.values().stream()
                            .map(d -> d.quantity().label() + " " + Amounts.withUnit(d.quantity(), d.value()))
                            .collect(Collectors.joining(", "))
                    + ".");
        if (!kept.isEmpty()) said.add("Your own values stay: " + kept + ".");
        return said;
    }

    @Override
    public void hand(Athlete from, Athlete to, Viewer person, boolean seasonToo) {
        missing(from, to)
                .values()
                .forEach(d -> thresholds.adopt(
                        new Visit(to.id(), person),
                        d.from(),
                        Map.of(d.quantity(), d.value()),
                        "Taken from your coach: " + d.quantity().label() + "."));
    }
}
