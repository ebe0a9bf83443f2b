package pemblar.core.comparison;

import java.util.Optional;
import java.util.function.BiFunction;
import pemblar.core.recording.Channel;
import pemblar.core.recording.Recording;
import pemblar.core.selection.Stretch;

/**
 * What can be compared of a repetition, in the unit in which people read it. Each is NaN where the recording does not
 * say it.
 */
public enum Figure {
    SECONDS("time", "s", (r, s) -> (double) s.seconds()),
    METRES("distance", "m", (r, s) -> s.metres()),
    WATTS("power", "W", (r, s) -> s.watts()),
    EQUIVALENT("equivalent", "W", (r, s) -> r.has(Channel.POWER) ? s.equivalent() : Double.NaN),
    WATTS_PER_KILOGRAM("power per kg", "W/kg", (r, s) -> s.wattsPerKilogram()),
    INTENSITY("of threshold", "%", (r, s) -> 100 * s.intensity()),
    SPEED("speed", "km/h", (r, s) -> 3.6 * s.speed()),
    HEART_RATE("heart rate", "bpm", (r, s) -> s.bpm()),
    PEAK_HEART_RATE("peak heart rate", "bpm", (r, s) -> s.peakBpm()),
    CADENCE("cadence", "per min", (r, s) -> s.cadence()),
    STEP_LENGTH("step length", "m", (r, s) -> mean(r, Channel.STEP_LENGTH, s)),
    CONTACT_TIME("ground contact", "ms", (r, s) -> 1000 * mean(r, Channel.GROUND_CONTACT_TIME, s)),
    CLIMB("climb", "m", (r, s) -> s.climb()),
    GRADIENT("gradient", "%", (r, s) -> 100 * s.gradient()),
    TEMPERATURE("temperature", "°C", (r, s) -> mean(r, Channel.TEMPERATURE, s)),
    WORK_BEFORE("work before", "kJ", (r, s) -> (s.joulesSoFar() - s.joules()) / 1000),
    DRIFT("drift", "%", (r, s) -> 100 * s.drift());

    private final String word;
    private final String unit;
    private final BiFunction<Recording, Stretch, Double> value;

    Figure(String word, String unit, BiFunction<Recording, Stretch, Double> value) {
        this.word = word;
        this.unit = unit;
        this.value = value;
    }

    public String word() {
        return word;
    }

    public String unit() {
        return unit;
    }

    public double of(Recording recording, Stretch stretch) {
        return value.apply(recording, stretch);
    }

    public static Optional<Figure> named(String name) {
        for (Figure figure : values()) if (figure.name().equals(name)) return Optional.of(figure);
        return Optional.empty();
    }

    private static double mean(Recording recording, Channel channel, Stretch stretch) {
        return recording
                .channel(channel)
                .map(s -> s.mean(stretch.from(), stretch.to()))
                .orElse(Double.NaN);
    }
}
