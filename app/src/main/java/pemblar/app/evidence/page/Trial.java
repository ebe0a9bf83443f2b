package pemblar.app.evidence.page;

import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;
import pemblar.app.frame.page.Units;
import pemblar.core.model.Effort;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.AllOut;
import pemblar.core.threshold.Calculation;
import pemblar.core.threshold.Calculation.Refusal;
import pemblar.core.threshold.Calculators;
import pemblar.core.threshold.Endurance;
import pemblar.core.threshold.Estimate;
import pemblar.core.threshold.Evidence;
import pemblar.core.threshold.Method;

/** A calculator's form as it was typed, and what it gives. Nothing is kept by trying. */
final class Trial {
    private static final double FIVE_MINUTES = 300;
    private static final double TWENTY_MINUTES = 1200;
    /** The exponent is looked up only for a race: by distance and seconds for running, else for power. */
    interface Exponents {
        Endurance power(Sport sport);

        Endurance running(double metres, double seconds);
    }

    private final Method method;
    private final Sport sport;
    private final Map<String, String> typed;
    private final Exponents exponents;
    private final List<Refusal> unread = new ArrayList<>();
    private Endurance endurance;
    private Calculation calculation;

    Trial(Method method, Sport sport, Map<String, String> typed, Exponents exponents) {
        this.method = method;
        this.sport = sport;
        this.typed = typed;
        this.exponents = exponents;
    }

    Calculation calculation() {
        if (calculation == null) calculation = calculate();
        return calculation;
    }

    /** Where the exponent of a race comes from; null when none was needed. */
    Endurance endurance() {
        return endurance;
    }

    private Calculation calculate() {
        return switch (method) {
            case TWENTY_MINUTES -> {
                double watts = number("watts");
                double factor = number("factor");
                yield answer(x -> Calculators.twentyMinutes(sport, watts, factor));
            }
            case RAMP -> {
                double watts = number("watts");
                yield answer(x -> Calculators.ramp(sport, watts));
            }
            case TWO_EFFORTS -> twoEfforts();
            case TWO_SWIMS -> twoSwims();
            case RACE_BY_POWER -> {
                double watts = number("watts");
                double seconds = seconds("time");
                endurance = exponents.power(sport);
                yield answer(x -> Calculators.racePower(sport, watts, seconds, endurance.k()));
            }
            case RACE_BY_PACE -> {
                double metres = number("distance") * Units.mine().lengthMetres();
                double seconds = seconds("time");
                if (unread.isEmpty() && metres > 0 && seconds > 0) endurance = exponents.running(metres, seconds);
                yield answer(x -> Calculators.racePace(
                        metres,
                        seconds,
                        endurance == null ? Endurance.usual(Sport.RUN).k() : endurance.k()));
            }
            case HEART_RATE_THIRTY -> {
                double bpm = number("bpm");
                yield answer(x -> Calculators.heartRateThirty(sport, bpm));
            }
            case HEART_RATE_TWENTY -> {
                double bpm = number("bpm");
                yield answer(x -> Calculators.heartRateTwenty(sport, bpm));
            }
            case BEST_EFFORTS, RESERVE_BELOW_ZERO -> throw new IllegalArgumentException("found by itself, not typed");
        };
    }

    private Calculation twoEfforts() {
        Effort shorter = effort("short");
        Effort longer = effort("long");
        LocalDate shortDay = day("shortDay");
        LocalDate longDay = day("longDay");
        return answer(x -> Calculators.twoEfforts(shorter, longer, ChronoUnit.DAYS.between(shortDay, longDay)));
    }

    private Calculation twoSwims() {
        Calculators.Swim shorter = new Calculators.Swim(number("shortDistance"), seconds("shortTime"));
        Calculators.Swim longer = new Calculators.Swim(number("longDistance"), seconds("longTime"));
        LocalDate shortDay = day("shortDay");
        LocalDate longDay = day("longDay");
        return answer(x -> Calculators.twoSwims(shorter, longer, ChronoUnit.DAYS.between(shortDay, longDay)));
    }

    /** Likely, lowest and highest power of five minutes, W, where the test tells it; nothing of it is kept. */
    Optional<double[]> fiveMinutes() {
        if (method != Method.TWO_EFFORTS || calculation().isRefused()) return Optional.empty();
        return Calculators.between(effort("short"), effort("long"), FIVE_MINUTES);
    }

    /** True when the form asks for two efforts, each with its day. */
    boolean isOfTwo() {
        return method == Method.TWO_EFFORTS || method == Method.TWO_SWIMS;
    }

    private Effort effort(String which) {
        double seconds = seconds(which + "Time");
        double watts = number(which + "Watts");
        try {
            return new Effort(seconds, watts);
        } catch (IllegalArgumentException e) {
            if (unread.isEmpty()) unread.add(new Refusal(which + "Watts", e.getMessage()));
            return null;
        }
    }

    private Calculation answer(Function<Void, Calculation> ask) {
        return unread.isEmpty() ? ask.apply(null) : new Calculation(List.of(), unread);
    }

    private String text(String field) {
        return typed.getOrDefault(field, "").strip();
    }

    private double number(String field) {
        String text = text(field).replace(',', '.');
        if (text.matches("\\d{1,6}(\\.\\d{1,4})?")) return Double.parseDouble(text);
        unread.add(new Refusal(field, text.isEmpty() ? "a number is missing here" : "“" + text + "” is not a number"));
        return Double.NaN;
    }

    /** Minutes and seconds, or hours, minutes and seconds. */
    private double seconds(String field) {
        String text = text(field);
        if (text.matches("(\\d{1,2}:)?\\d{1,3}:[0-5]\\d")) {
            double seconds = 0;
            for (String part : text.split(":")) seconds = seconds * 60 + Integer.parseInt(part);
            return seconds;
        }
        unread.add(new Refusal(
                field,
                text.isEmpty()
                        ? "a time is missing here, such as 3:00 or 1:02:30"
                        : "“" + text + "” is not a time such as 3:00 or 1:02:30"));
        return Double.NaN;
    }

    private LocalDate day(String field) {
        try {
            return LocalDate.parse(text(field));
        } catch (DateTimeException e) {
            unread.add(new Refusal(field, "choose a day"));
            return null;
        }
    }

    /** What it would be kept as. */
    List<Evidence> evidence(LocalDate day) {
        List<Evidence> pieces = new ArrayList<>();
        for (Estimate estimate : calculation().estimates())
            pieces.add(new Evidence(sport, day, estimate, method, source(), remark(), efforts(day)));
        return pieces;
    }

    /** What it rests on, where power tells one effort from another. */
    private List<AllOut> efforts(LocalDate day) {
        return switch (method) {
            case TWENTY_MINUTES -> List.of(new AllOut(day, number("watts"), TWENTY_MINUTES));
            case TWO_EFFORTS ->
                Stream.of("short", "long")
                        .map(which -> new AllOut(day(which + "Day"), number(which + "Watts"), seconds(which + "Time")))
                        .toList();
            case RACE_BY_POWER -> List.of(new AllOut(day, number("watts"), seconds("time")));
            case RAMP,
                    TWO_SWIMS,
                    RACE_BY_PACE,
                    HEART_RATE_THIRTY,
                    HEART_RATE_TWENTY,
                    BEST_EFFORTS,
                    RESERVE_BELOW_ZERO -> List.of();
        };
    }

    private String source() {
        String text = switch (method) {
            case TWENTY_MINUTES -> text("watts") + " W over 20 min, times " + text("factor");
            case RAMP -> "best minute " + text("watts") + " W";
            case TWO_EFFORTS ->
                text("shortTime") + " at " + text("shortWatts") + " W, " + text("longTime") + " at " + text("longWatts")
                        + " W";
            case TWO_SWIMS ->
                text("shortDistance") + " m in " + text("shortTime") + ", " + text("longDistance") + " m in "
                        + text("longTime");
            case RACE_BY_POWER -> text("time") + " at " + text("watts") + " W";
            case RACE_BY_PACE -> text("distance") + " " + Units.mine().lengthUnit() + " in " + text("time");
            case HEART_RATE_THIRTY -> "mean of the last 20 min " + text("bpm") + " bpm";
            case HEART_RATE_TWENTY -> "mean of 20 min " + text("bpm") + " bpm";
            case BEST_EFFORTS, RESERVE_BELOW_ZERO -> "";
        };
        String name = text("name");
        String whole = name.isEmpty() ? text : name + ": " + text;
        return whole.length() > 200 ? whole.substring(0, 200) : whole;
    }

    private String remark() {
        return endurance == null ? "" : String.format(Locale.ROOT, "exponent %.3f, %s", endurance.k(), origin());
    }

    /** In words, where the exponent comes from. */
    String origin() {
        return switch (endurance.origin()) {
            case OWN_EFFORTS ->
                "from " + endurance.efforts() + " own best efforts of the last year, the longest "
                        + String.format(Locale.ROOT, "%.1f", endurance.span()) + " times the shortest";
            case DEFAULT -> "the usual value, as own best efforts of 20 min to 4 h are too few or too alike";
            case WORLD_BEST ->
                "from the time against the world's best for the distance, as own best efforts are too few";
        };
    }

    /** Why the range of a race is as wide as it is; empty for what is no race. */
    String whyThisWide() {
        if (calculation().isRefused() || endurance == null) return "";
        double seconds = seconds("time");
        double wanted = method == Method.RACE_BY_POWER ? 55 : 60;
        double ratio = Math.max(seconds / 60 / wanted, wanted / (seconds / 60));
        String way = "from " + minutes(seconds) + " to " + (int) wanted + " min";
        if (ratio < 1.35)
            return "The range is narrow: the time is close to the " + (int) wanted
                    + " min that a threshold stands for, so hardly anything has to be extrapolated.";
        if (ratio < 2.5) return "The range is moderate: the time has to be carried " + way + " along the exponent.";
        return "The range is wide: " + way
                + " is a long way along the exponent, and a small error in it grows with every step.";
    }

    private static String minutes(double seconds) {
        long minutes = Math.round(seconds / 60);
        return minutes < 120
                ? minutes + " min"
                : minutes / 60 + " h" + (minutes % 60 == 0 ? "" : " " + minutes % 60 + " min");
    }
}
