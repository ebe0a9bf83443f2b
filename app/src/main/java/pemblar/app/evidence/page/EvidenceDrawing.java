package pemblar.app.evidence.page;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Stream;
import pemblar.app.evidence.EvidenceService;
import pemblar.app.evidence.Piece;
import pemblar.app.frame.page.Shown;
import pemblar.app.threshold.Amounts;
import pemblar.core.threshold.DatedValues;
import pemblar.core.threshold.DatedValues.Dated;
import pemblar.core.threshold.Estimate;
import pemblar.core.threshold.Quantity;
import pemblar.core.threshold.Suggestion;

/**
 * All evidence on one dated axis: a mark with its range for each piece, the adopted values as stepped lines, the
 * suggestions as bands. In a box of {@link #WIDTH} by {@link #HEIGHT}.
 */
public record EvidenceDrawing(
        List<Mark> marks, List<Step> steps, List<Band> bands, List<Tick> values, List<Tick> days, double todayX) {
    static final double WIDTH = 1232;
    static final double HEIGHT = 330;
    private static final double LEFT = 54;
    private static final double RIGHT = 150;
    private static final double TOP = 22;
    private static final double FLOOR = 300;
    private static final int MOST_TICKS = 7;
    private static final double[] STEPS = {0.02, 0.05, 0.1, 0.2, 0.5, 1, 2, 5, 10, 20, 25, 50, 100};
    private static final double APART = 17;

    /**
     * A piece: its middle, the ends of its range, and whether it is open above; {@code kind} 0 is drawn round, 1
     * square.
     */
    public record Mark(
            double x,
            double y,
            double lowY,
            double highY,
            boolean open,
            int kind,
            boolean aside,
            String title,
            String key) {}

    public record Step(String path, int kind, double labelY, String label) {}

    public record Band(double x, double width, double y, double height, int kind, double labelY, String label) {}

    public record Tick(double at, String text) {}

    /** What is drawn of the quantities of a screen. */
    record Drawn(List<Quantity> quantities, List<Piece> pieces, Map<Quantity, Suggestion> suggestions) {}

    static EvidenceDrawing of(Drawn drawn, DatedValues adopted, LocalDate from, LocalDate today) {
        return new Maker(drawn, adopted, from, today).draw();
    }

    private static final class Maker {
        private final List<Quantity> drawn;
        private final List<Piece> pieces;
        private final List<Dated> adopted;
        private final DatedValues all;
        private final Map<Quantity, Suggestion> suggestions;
        private final LocalDate from;
        private final LocalDate today;
        private final Quantity paced;
        private final boolean pace;
        private double lowest;
        private double highest;

        Maker(Drawn asked, DatedValues adopted, LocalDate from, LocalDate today) {
            this.drawn = asked.quantities();
            this.pieces = asked.pieces().stream()
                    .filter(p -> drawn.contains(p.evidence().quantity())
                            && !p.evidence().day().isBefore(from))
                    .toList();
            this.all = adopted;
            this.adopted = adopted.values().stream()
                    .filter(d -> drawn.contains(d.quantity()))
                    .toList();
            this.suggestions = asked.suggestions();
            this.from = from;
            this.today = today;
            this.paced = drawn.stream()
                    .filter(q -> q.kind() == Quantity.Kind.THRESHOLD_SPEED)
                    .findFirst()
                    .orElse(null);
            this.pace = paced != null;
            range();
        }

        private void range() {
            double[] values = Stream.of(
                            pieces.stream()
                                    .flatMap(p -> Stream.of(
                                            p.evidence().estimate().low(),
                                            p.evidence().estimate().isOpenAbove()
                                                    ? p.evidence().estimate().low()
                                                    : p.evidence().estimate().high())),
                            adopted.stream()
                                    .filter(d -> !d.from().isBefore(from))
                                    .map(Dated::value),
                            drawn.stream()
                                    .flatMap(q -> all.latest(q, from).stream())
                                    .map(Dated::value),
                            suggestions.entrySet().stream()
                                    .filter(e -> drawn.contains(e.getKey()))
                                    .map(Map.Entry::getValue)
                                    .flatMap(s -> Stream.of(
                                            s.estimate().low(), s.estimate().high())))
                    .flatMap(s -> s)
                    .mapToDouble(Double::doubleValue)
                    .toArray();
            double min = java.util.Arrays.stream(values).min().orElse(0);
            double max = java.util.Arrays.stream(values).max().orElse(1);
            double pad = Math.max((max - min) * 0.08, max * 0.01);
            this.lowest = min - pad;
            this.highest = max + pad;
        }

        EvidenceDrawing draw() {
            List<Mark> marks = pieces.stream().map(this::mark).toList();
            List<Step> steps = new ArrayList<>();
            List<Band> bands = new ArrayList<>();
            double used = Double.NEGATIVE_INFINITY;
            for (int kind = 0; kind < drawn.size(); kind++) {
                Suggestion suggestion = suggestions.get(drawn.get(kind));
                if (suggestion != null) bands.add(band(suggestion.estimate(), kind));
                Step step = step(drawn.get(kind), kind, used);
                if (step != null) {
                    steps.add(step);
                    used = step.labelY();
                }
            }
            return new EvidenceDrawing(marks, steps, bands, valueTicks(), dayTicks(), x(today));
        }

        private Mark mark(Piece piece) {
            Estimate e = piece.evidence().estimate();
            double high = e.isOpenAbove() ? Math.max(TOP, y(e.low()) - 26) : y(e.high());
            String range = e.isOpenAbove()
                    ? "at least " + Amounts.withUnit(e.quantity(), e.low())
                    : Amounts.range(e.quantity(), e.low(), e.high()) + ", best "
                            + Amounts.shown(e.quantity(), e.best());
            return new Mark(
                    x(piece.evidence().day()),
                    y(e.best()),
                    y(e.low()),
                    high,
                    e.isOpenAbove(),
                    drawn.indexOf(e.quantity()),
                    !piece.counts(),
                    piece.evidence().day() + ", " + piece.evidence().method().label() + ": " + range,
                    piece.key());
        }

        private Step step(Quantity quantity, int kind, double used) {
            StringBuilder path = new StringBuilder();
            double last = Double.NaN;
            for (Dated dated : adopted) {
                if (dated.quantity() != quantity || dated.from().isAfter(today)) continue;
                double x = x(dated.from().isBefore(from) ? from : dated.from());
                if (path.isEmpty() || dated.from().isBefore(from)) {
                    path.setLength(0); // only the last value before the shown days begins the line
                    path.append(String.format(Locale.ROOT, "M%.1f %.1f", x, y(dated.value())));
                } else path.append(String.format(Locale.ROOT, "H%.1fV%.1f", x, y(dated.value())));
                last = dated.value();
            }
            if (Double.isNaN(last)) return null;
            path.append(String.format(Locale.ROOT, "H%.1f", x(today)));
            double labelY = y(last) + 4;
            if (Math.abs(labelY - used) < APART) labelY = used + (labelY >= used ? APART : -APART);
            return new Step(
                    path.toString(),
                    kind,
                    labelY,
                    quantity.kind().plain().label() + " " + Amounts.shown(quantity, last));
        }

        private Band band(Estimate e, int kind) {
            double begin = x(today.minusDays(EvidenceService.RECENT_DAYS));
            return new Band(
                    begin,
                    x(today) - begin,
                    y(e.high()),
                    Math.max(1.5, y(e.low()) - y(e.high())),
                    kind,
                    y(e.high()) - 4,
                    "suggested " + Amounts.range(e.quantity(), e.low(), e.high()));
        }

        private double x(LocalDate day) {
            long whole = Math.max(1, today.toEpochDay() - from.toEpochDay());
            return LEFT + (WIDTH - LEFT - RIGHT) * Math.min(1, (day.toEpochDay() - from.toEpochDay()) / (double) whole);
        }

        private double y(double value) {
            return FLOOR - (FLOOR - TOP) * (value - lowest) / (highest - lowest);
        }

        private List<Tick> valueTicks() {
            List<Tick> ticks = new ArrayList<>();
            if (pace) {
                double metres = Shown.unit(paced.sport()).paceMetres();
                double span = metres / lowest - metres / highest;
                int apart = span < 40 ? 5 : span < 90 ? 10 : 30;
                for (int seconds = apart * (int) Math.ceil(metres / highest / apart);
                        seconds <= metres / lowest;
                        seconds += apart)
                    ticks.add(new Tick(y(metres / seconds), Amounts.shown(paced, metres / seconds)));
                return ticks;
            }
            double step = STEPS[STEPS.length - 1];
            for (double candidate : STEPS)
                if ((highest - lowest) / candidate <= MOST_TICKS && candidate >= 1) {
                    step = candidate;
                    break;
                }
            for (double value = Math.ceil(lowest / step) * step; value <= highest; value += step)
                ticks.add(new Tick(y(value), String.valueOf(Math.round(value))));
            return ticks;
        }

        private List<Tick> dayTicks() {
            List<Tick> ticks = new ArrayList<>();
            long months = Math.max(1, java.time.temporal.ChronoUnit.MONTHS.between(from, today));
            int step = months > 18 ? 3 : 1;
            for (LocalDate month = from.withDayOfMonth(1).plusMonths(1);
                    !month.isAfter(today);
                    month = month.plusMonths(step))
                ticks.add(new Tick(
                        x(month),
                        month.getMonth().getDisplayName(java.time.format.TextStyle.SHORT, Locale.ENGLISH)
                                + (month.getMonthValue() <= step ? " " + month.getYear() : "")));
            return ticks;
        }
    }
}
