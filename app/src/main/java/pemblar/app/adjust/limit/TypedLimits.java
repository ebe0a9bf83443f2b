package pemblar.app.adjust.limit;

import java.util.Map;
import pemblar.app.frame.page.Typed;
import pemblar.app.frame.page.Units;

/** Limits as a form sends them. A field that is not there leaves what is held. */
final class TypedLimits {
    static final String FLOOR = "Balance floor";
    static final String SPACING = "Hours between hard sessions";
    static final String HOURS = "Hours a day";
    static final String HOTTEST = "Hottest";
    static final String LONG = "Key from";
    static final String RETURN = "Return begins at";
    static final String RETURN_HARD = "Hard again after";
    private static final String NONE = "none";
    private final Map<String, String> typed;
    private final boolean emptyLeaves;

    private TypedLimits(Map<String, String> typed, boolean emptyLeaves) {
        this.typed = typed;
        this.emptyLeaves = emptyLeaves;
    }

    /** Of one person: an empty field that may be without a limit is without one. */
    static TypedLimits ofOne(Map<String, String> typed) {
        return new TypedLimits(typed, false);
    }

    /** Of many: an empty field leaves what each one has; "none" takes a limit away. */
    static TypedLimits ofMany(Map<String, String> typed) {
        return new TypedLimits(typed, true);
    }

    /** True when no field says anything. */
    boolean isEmpty() {
        return java.util.List.of(
                        "balanceFloor",
                        "spacingHours",
                        "hoursPerDay",
                        "highestCelsius",
                        "ice",
                        "longMinutes",
                        "returnPercent",
                        "returnHardPercent",
                        "decides")
                .stream()
                .noneMatch(this::says);
    }

    /** @throws IllegalArgumentException with the field, the reason and what is accepted */
    Limits over(Limits held) {
        return new Limits(
                0,
                number("balanceFloor", FLOOR, -100, 0, held.balanceFloor()),
                number("spacingHours", SPACING, 0, 96, held.spacingHours()),
                number("hoursPerDay", HOURS, 0.5, 24, held.hoursPerDay()),
                hottest(held.highestCelsius()),
                says("ice") ? flag() : held.ice(),
                longMinutes(held.longMinutes()),
                number("returnPercent", RETURN, 0, 100, held.returnPercent()),
                number("returnHardPercent", RETURN_HARD, 0, 200, held.returnHardPercent()),
                says("decides") ? decides() : held.decides());
    }

    private String text(String field) {
        return typed.getOrDefault(field, "").strip();
    }

    private boolean says(String field) {
        return typed.containsKey(field) && !(emptyLeaves && text(field).isEmpty());
    }

    private boolean takesAway(String field) {
        return text(field).isEmpty() || text(field).equalsIgnoreCase(NONE);
    }

    private double number(String field, String label, double least, double most, double held) {
        return says(field) ? Typed.number(label, text(field).replace('−', '-'), least, most) : held;
    }

    private Double hottest(Double held) {
        if (!says("highestCelsius")) return held;
        if (takesAway("highestCelsius")) return null;
        return Units.mine().celsius(HOTTEST, text("highestCelsius"), 0, 60);
    }

    private Integer longMinutes(Integer held) {
        if (!says("longMinutes")) return held;
        if (takesAway("longMinutes")) return null;
        return Typed.whole(LONG, text("longMinutes"), 30, 1440);
    }

    private boolean flag() {
        return switch (text("ice")) {
            case "true" -> true;
            case "false" -> false;
            default -> throw new IllegalArgumentException("Ice: choose whether it may be on ice.");
        };
    }

    private Limits.Decides decides() {
        try {
            return Limits.Decides.valueOf(text("decides"));
        } catch (IllegalArgumentException e) {
            throw new IllegalArgumentException("Who decides: choose the athlete, the coach or both.");
        }
    }
}
