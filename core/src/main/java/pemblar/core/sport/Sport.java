package pemblar.core.sport;

import static pemblar.core.sport.Measure.HEART_RATE;
import static pemblar.core.sport.Measure.POWER;
import static pemblar.core.sport.Measure.SPEED;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;

/**
 * What was or will be done. A sport says by which measures it is trained, how its speed reads, and what its load
 * follows; a new one is a line here, its numbers in the file formats, and its zone schemes.
 */
public enum Sport {
    RIDE("riding", SpeedUnit.KILOMETRES_PER_HOUR, "rpm", List.of(POWER, HEART_RATE)),
    RUN("running", SpeedUnit.PER_KILOMETRE, "spm", List.of(SPEED, POWER, HEART_RATE)),
    SWIM("swimming", SpeedUnit.PER_100_METRES, "strokes/min", List.of(SPEED, HEART_RATE)),
    ROW("rowing", SpeedUnit.PER_500_METRES, "strokes/min", List.of(HEART_RATE)),
    SKI("skiing", SpeedUnit.KILOMETRES_PER_HOUR, "per min", List.of(HEART_RATE)),
    WALK("walking", SpeedUnit.PER_KILOMETRE, "spm", List.of(HEART_RATE)),
    STRENGTH("strength", SpeedUnit.KILOMETRES_PER_HOUR, "per min", List.of(HEART_RATE)),
    /** Anything else; power that was measured counts by the thresholds of riding. */
    OTHER("other", SpeedUnit.KILOMETRES_PER_HOUR, "rpm", List.of(POWER, HEART_RATE));

    /** Sports of which a person can say "I train this": all but the remainder. */
    public static final List<Sport> TRAINED = List.of(RIDE, RUN, SWIM, ROW, SKI, WALK);

    private final String doing;
    private final SpeedUnit speed;
    private final String cadenceUnit;
    private final List<Measure> measures;

    Sport(String doing, SpeedUnit speed, String cadenceUnit, List<Measure> measures) {
        this.doing = doing;
        this.speed = speed;
        this.cadenceUnit = cadenceUnit;
        this.measures = measures;
    }

    /** The word used in files, addresses and on the command line, as ride. */
    public String key() {
        return name().toLowerCase(Locale.ROOT);
    }

    /** The word for doing it, as riding. */
    public String doing() {
        return doing;
    }

    public SpeedUnit speed() {
        return speed;
    }

    /** Unit of cadence: revolutions, steps or strokes per minute. */
    public String cadenceUnit() {
        return cadenceUnit;
    }

    /** By what it is trained; the first is what a workout's targets are set in as long as nobody chose. */
    public List<Measure> measures() {
        return measures;
    }

    public boolean trainsBy(Measure measure) {
        return measures.contains(measure);
    }

    /** The measure of its best efforts and of its profile: speed where the sport is trained by it, else power. */
    public Measure ownMeasure() {
        return trainsBy(SPEED) ? SPEED : POWER;
    }

    /** True where a hill has a known cost, so that speed is carried over to the flat. */
    public boolean hillsCost() {
        return this == RUN;
    }

    /** Where the speed at rest is told apart from the speed of the sport: a pool has walls to rest at. */
    public boolean restsBetween() {
        return this == SWIM;
    }

    /**
     * Power of intensity that load by speed follows: 2, and 3 in water, where drag power grows with the cube of speed.
     *
     * @see "Toussaint and Beek, Biomechanics of competitive front crawl swimming, Sports Medicine 13 (1992)"
     */
    public int loadExponent() {
        return this == SWIM ? 3 : 2;
    }

    /** Above it nobody moves by this sport, m/s: 40, and in water 3 (the fastest 50 m are swum at 2.4). */
    public double fastestMetresPerSecond() {
        return this == SWIM ? 3 : 40;
    }

    /** True where two feet's steps are counted by devices that send one foot's. */
    public boolean countsSteps() {
        return this == RUN || this == WALK;
    }

    /** False when nobody said which sport it is. */
    public boolean isNamed() {
        return this != OTHER;
    }

    /** True for work with weights: designed in sets, logged on the floor. */
    public boolean isLifted() {
        return this == STRENGTH;
    }

    /** True where the tyres, wind and slope say more about speed than the rider does. */
    public boolean onWheels() {
        return this == RIDE;
    }

    /** @throws IllegalArgumentException when the key names no sport */
    public static Sport ofKey(String key) {
        for (Sport sport : values()) if (sport.key().equalsIgnoreCase(key)) return sport;
        String known = Arrays.stream(values()).map(Sport::key).collect(Collectors.joining(", "));
        throw new IllegalArgumentException("sport must be one of " + known + ", was '" + key + "'");
    }
}
