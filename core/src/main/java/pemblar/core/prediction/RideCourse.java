package pemblar.core.prediction;

import java.util.function.DoubleUnaryOperator;
import pemblar.core.workout.SpeedOfPower;

/**
 * A way to ride: on roads like those of the athlete's own rides, or a climb. What the air and the road take at a speed
 * is read from the rides; a climb takes the weight's share besides.
 *
 * @param usual speed at a power on the roads of the rides
 * @param kilograms rider, bike and what both carry
 * @param metres 100 m to 1000 km
 * @param gradient rise over length, 0 to 0.25
 */
public record RideCourse(SpeedOfPower usual, double kilograms, double metres, double gradient) {
    /** Standard deviations of a ride about the line that the range takes either way. */
    static final double DEVIATIONS = 2;
    /** What bike, clothes and bottle are taken to weigh, where only the rider's mass is known. */
    public static final double BIKE_KILOGRAMS = 10;

    private static final double GRAVITY = 9.80665;
    private static final double SHORTEST_SECONDS = 10;
    private static final double LONGEST_SECONDS = 864_000;
    private static final int HALVINGS = 60;

    public RideCourse {
        if (!(kilograms >= 30 && kilograms <= 300))
            throw new IllegalArgumentException("kilograms must be in 30..300, was " + kilograms);
        if (!(metres >= 100 && metres <= 1e6))
            throw new IllegalArgumentException("metres must be in 100..1000000, was " + metres);
        if (!(gradient >= 0 && gradient <= 0.25))
            throw new IllegalArgumentException("gradient must be in 0..0.25, was " + gradient);
    }

    /** Power, W, that a speed, m/s, takes. @param deviations how much faster than usual the day's roads and wind are */
    double watts(double speed, double deviations) {
        double level = usual.level() + deviations * usual.deviation();
        double rising = gradient / Math.sqrt(1 + gradient * gradient);
        return Math.exp((Math.log(speed) - level) / usual.slope()) + kilograms * GRAVITY * rising * speed;
    }

    /** Time, s, in which what can be held for it is what it takes. @param held power, W, by time, s; falling */
    double seconds(double deviations, DoubleUnaryOperator held) {
        double low = Math.log(SHORTEST_SECONDS);
        double high = Math.log(LONGEST_SECONDS);
        for (int i = 0; i < HALVINGS; i++) {
            double middle = (low + high) / 2;
            double seconds = Math.exp(middle);
            if (watts(metres / seconds, deviations) > held.applyAsDouble(seconds)) low = middle;
            else high = middle;
        }
        return Math.exp((low + high) / 2);
    }
}
