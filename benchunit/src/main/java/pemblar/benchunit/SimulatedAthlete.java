package pemblar.benchunit;

import java.util.random.RandomGenerator;
import pemblar.core.sport.Sport;

/** How body and surroundings answer a wanted effort, one second at a time. */
final class SimulatedAthlete {
    private static final double GRAVITY = 9.81;
    private static final double ROLLING = 0.005;
    private static final double DRAG = 0.5 * 1.2 * 0.36;
    private static final double BIKE_KILOGRAMS = 9;
    private static final double EASY_SHARE = 0.75;
    private static final double MOST_OWED_JOULES = 4000;
    private static final double PAYING_BACK = 0.15;
    private final Body body;
    private final RandomGenerator random;
    private final double heat;
    private final double hills;
    private final double phase;
    private double tank;
    private double heart;
    private double speed;
    private double output;
    private double sway;
    private double owedJoules;
    private int seconds;
    double metres;
    /** Where a swimmer stops at the latest, m from the start. */
    double wall = Double.POSITIVE_INFINITY;

    double altitude;

    /** What the sensors see in one second; run dynamics are NaN on the bike. */
    record Sensed(
            double watts,
            double bpm,
            double cadence,
            double speed,
            double metres,
            double altitude,
            double stepLength,
            double contactSeconds,
            double oscillationMetres) {}

    SimulatedAthlete(Body body, RandomGenerator random, double heat) {
        this.body = body;
        this.random = random;
        this.heat = heat;
        this.hills = 4 + random.nextDouble() * 14;
        this.phase = random.nextDouble() * 6;
        this.tank = body.tankJoules();
        this.heart = body.restingBpm() + 22;
        this.speed = body.sport() == Sport.RIDE ? 3 : 1;
        this.altitude = height(0);
    }

    private double height(double at) {
        return 180 + hills * Math.sin(at / 900 + phase) + 0.4 * hills * Math.sin(at / 260 + 2 * phase);
    }

    /** Lives one second at a wanted share of threshold; cadence 0 chooses freely. */
    Sensed second(double wanted, double cadenceWanted) {
        seconds++;
        boolean swims = body.sport() == Sport.SWIM;
        double able = tank > 0 ? wanted : Math.min(wanted, 0.97);
        sway += -0.05 * sway + 0.004 * random.nextGaussian();
        output += (able * (1 + sway) - output) * 0.35;
        double share = swims && wanted == 0 ? 0 : Math.max(0, output); // at the wall at once
        if (swims) return swim(share, cadenceWanted);
        tires(share);
        return body.sport() == Sport.RIDE ? ride(share, cadenceWanted) : run(share, cadenceWanted);
    }

    private void tires(double share) {
        tank = Math.min(body.tankJoules(), tank - (share - 1) * body.thresholdWatts() * (share > 1 ? 1 : 0.42));
        heart += (heartFor(share) - heart) * (heartFor(share) > heart ? 0.030 : 0.022) + 0.35 * random.nextGaussian();
        heart = Math.max(body.restingBpm() + 5, Math.min(body.maximumBpm(), heart));
    }

    /** The cost in water grows with the cube of speed; strokes quicken with it. */
    private Sensed swim(double share, double cadenceWanted) {
        tires(share * share * share);
        speed = share == 0 ? 0 : Math.max(0.3, share * body.thresholdSpeed() + 0.01 * random.nextGaussian());
        speed = Math.min(speed, Math.max(0, wall - metres)); // a swim ends at the wall
        metres += speed;
        double strokes = speed == 0
                ? 0
                : Math.rint((cadenceWanted > 0 ? cadenceWanted : 18 + 12 * speed) + 0.6 * random.nextGaussian());
        return new Sensed(
                Double.NaN, Math.rint(heart), strokes, speed, metres, Double.NaN, Double.NaN, Double.NaN, Double.NaN);
    }

    private double heartFor(double share) {
        double drift = Math.min(0.06, seconds / 3600.0 * (0.008 + 0.025 * heat));
        double reserve = body.maximumBpm() - body.restingBpm();
        return body.restingBpm()
                + reserve * Math.min(1, (share < 1 ? 0.14 + 0.72 * share : 0.86 + 0.35 * (share - 1)) + drift);
    }

    private double gradient() {
        return (height(metres + 15) - height(metres)) / 15;
    }

    private Sensed ride(double share, double cadenceWanted) {
        boolean coasting = gradient() < -0.03 && share < EASY_SHARE && random.nextDouble() < 0.3;
        double watts = coasting ? 0 : Math.max(0, share * body.thresholdWatts() + 7 * random.nextGaussian());
        if (share < EASY_SHARE) watts += paidBack(share * body.thresholdWatts(), coasting);
        double kilograms = body.massKilograms() + BIKE_KILOGRAMS;
        double force = watts / Math.max(speed, 2) - kilograms * GRAVITY * (ROLLING + gradient()) - DRAG * speed * speed;
        speed = Math.max(1.5, Math.min(20, speed + force / kilograms));
        double cadence = coasting
                ? 0
                : (cadenceWanted > 0 ? cadenceWanted : 80 + 10 * Math.min(1.2, share)) + 1.5 * random.nextGaussian();
        moved();
        return new Sensed(
                Math.rint(watts),
                Math.rint(heart),
                Math.rint(cadence),
                speed,
                metres,
                altitude,
                Double.NaN,
                Double.NaN,
                Double.NaN);
    }

    /** Who coasts down a hill on an easy ride pushes a little more afterwards: the target is held on average. */
    private double paidBack(double wantedWatts, boolean coasting) {
        if (coasting) {
            owedJoules = Math.min(MOST_OWED_JOULES, owedJoules + wantedWatts);
            return 0;
        }
        double back = Math.min(owedJoules, PAYING_BACK * wantedWatts);
        owedJoules -= back;
        return back;
    }

    private Sensed run(double share, double cadenceWanted) {
        double wanted = share * body.thresholdSpeed() * (1 - 1.6 * gradient());
        speed = Math.max(0.8, speed + (wanted - speed) * 0.4 + 0.03 * random.nextGaussian());
        double tired = tank <= 0 ? 1 : 0;
        double steps = (cadenceWanted > 0 ? cadenceWanted : 150 + 7 * speed) + 2 * tired + random.nextGaussian();
        steps = 2 * Math.rint(steps / 2);
        moved();
        return new Sensed(
                Double.NaN,
                Math.rint(heart),
                steps,
                speed,
                metres,
                altitude,
                speed * 60 / steps,
                0.340 - 0.028 * speed + 0.010 * tired + 0.003 * random.nextGaussian(),
                0.075 + 0.004 * random.nextGaussian());
    }

    private void moved() {
        metres += speed;
        altitude = height(metres);
    }

    double bpm() {
        return heart;
    }
}
