package pemblar.app.evidence.page;

import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Method;
import pemblar.core.threshold.Quantity;

/**
 * One screen of evidence: a sport and a measured quantity, with the thresholds it is about. The first is drawn round,
 * the second square.
 */
public enum Screen {
    RIDE_POWER(
            "Power, riding",
            Sport.RIDE,
            List.of(Quantity.THRESHOLD_POWER, Quantity.CRITICAL_POWER, Quantity.W_PRIME),
            List.of(Method.TWENTY_MINUTES, Method.RAMP, Method.TWO_EFFORTS, Method.RACE_BY_POWER)),
    RIDE_HEART(
            "Heart rate, riding",
            Sport.RIDE,
            List.of(Quantity.THRESHOLD_HEART_RATE),
            List.of(Method.HEART_RATE_THIRTY, Method.HEART_RATE_TWENTY)),
    RUN_PACE("Pace, running", Sport.RUN, List.of(Quantity.THRESHOLD_SPEED), List.of(Method.RACE_BY_PACE)),
    RUN_HEART(
            "Heart rate, running",
            Sport.RUN,
            List.of(Quantity.RUNNING_THRESHOLD_HEART_RATE),
            List.of(Method.HEART_RATE_THIRTY, Method.HEART_RATE_TWENTY)),
    SWIM_PACE("Pace, swimming", Sport.SWIM, List.of(Quantity.SWIMMING_THRESHOLD_SPEED), List.of(Method.TWO_SWIMS)),
    RUN_POWER(
            "Power, running",
            Sport.RUN,
            List.of(Quantity.RUNNING_THRESHOLD_POWER),
            List.of(Method.TWENTY_MINUTES, Method.RAMP, Method.RACE_BY_POWER));

    private final String title;
    private final Sport sport;
    private final List<Quantity> quantities;
    private final List<Method> methods;

    Screen(String title, Sport sport, List<Quantity> quantities, List<Method> methods) {
        this.title = title;
        this.sport = sport;
        this.quantities = quantities;
        this.methods = methods;
    }

    public String key() {
        return name().toLowerCase(java.util.Locale.ROOT).replace('_', '-');
    }

    public String title() {
        return title;
    }

    public Sport sport() {
        return sport;
    }

    public List<Quantity> quantities() {
        return quantities;
    }

    /** What is drawn on the axis: all but W′, which has another unit. */
    public List<Quantity> drawn() {
        return quantities.stream().filter(q -> q != Quantity.W_PRIME).toList();
    }

    public List<Method> methods() {
        return methods;
    }

    /** The screens for what an athlete does; an unknown key gives the first. */
    static List<Screen> of(Collection<Sport> sports) {
        List<Screen> own =
                Arrays.stream(values()).filter(s -> sports.contains(s.sport)).toList();
        return own.isEmpty() ? List.of(RIDE_HEART) : own; // the general threshold heart rate serves every sport
    }

    static Screen of(Collection<Sport> sports, String key) {
        return of(sports).stream()
                .filter(s -> s.key().equals(key))
                .findFirst()
                .orElse(of(sports).get(0));
    }

    /** The screen of a quantity. */
    static Screen about(Quantity quantity) {
        return Arrays.stream(values())
                .filter(s -> s.quantities.contains(quantity))
                .findFirst()
                .orElseThrow();
    }
}
