package pemblar.benchunit;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.random.RandomGenerator;
import pemblar.core.Sport;
import pemblar.core.recording.Channel;
import pemblar.core.recording.Lap;
import pemblar.core.recording.Recording;
import pemblar.core.recording.Series;
import pemblar.core.workout.Basis;
import pemblar.formats.fit.FitActivityWriter;
import pemblar.formats.fit.FitWorkout;
import pemblar.formats.fit.FitWorkout.Ends;
import pemblar.formats.fit.FitWorkout.FitStep;

/**
 * A simulated head unit: takes a FIT workout file, leads the simulated athlete through it, and hands back a FIT activity
 * file whose laps carry the index of their step. It knows of the workout only what the file says.
 */
public final class HeadUnit {
    private static final int MAX_SECONDS = 12 * 3600;
    private static final int MAX_STEPS = 2000;
    private static final double EASY = 0.55;
    private static final double CAR_SPEED = 15;
    private static final long SERIAL = 4711;

    private final FitWorkout workout;
    private final Body body;
    private final RandomGenerator random;
    private final Faults faults;
    private final SimulatedAthlete athlete;
    private final Map<Channel, double[]> columns = new LinkedHashMap<>();
    private final List<Lap> laps = new ArrayList<>();
    private int seconds;

    private HeadUnit(FitWorkout workout, Body body, RandomGenerator random, Faults faults) {
        this.workout = workout;
        this.body = body;
        this.random = random;
        this.faults = faults;
        this.athlete = new SimulatedAthlete(body, random, faults.heat());
    }

    /**
     * @param workoutFile a FIT workout
     * @return a FIT activity
     * @throws IllegalArgumentException when the workout file cannot be read, with the reason
     */
    public static byte[] follow(byte[] workoutFile, Body body, Instant start, RandomGenerator random, Faults faults) {
        FitWorkout.Answer answer = FitWorkout.read(workoutFile);
        if (answer.workout() == null) throw new IllegalArgumentException("the workout file cannot be followed: " + answer.problems());
        HeadUnit unit = new HeadUnit(answer.workout(), body, random, faults);
        for (int index : unit.order()) if (!unit.step(index)) break;
        unit.spoil();
        return FitActivityWriter.write(unit.recording(start), SERIAL);
    }

    /** Indexes of the steps in the order in which they are done, repeats carried out. */
    private List<Integer> order() {
        List<Integer> order = new ArrayList<>();
        expand(0, workout.steps().size(), order);
        return order;
    }

    private void expand(int from, int to, List<Integer> order) {
        for (int i = from; i < to && order.size() < MAX_STEPS; i++) {
            FitStep step = workout.steps().get(i);
            if (!step.isRepeat()) order.add(i);
            else for (int again = 1; again < step.times(); again++) expand((int) step.endValue(), i, order);
        }
    }

    /** Does one step; false when the athlete stops for the day. */
    private boolean step(int index) {
        FitStep step = workout.steps().get(index);
        int begin = seconds;
        double metresAtBegin = athlete.metres;
        int pressedAfter = 60 + random.nextInt(120);
        boolean goesOn = true;
        while (goesOn && seconds < MAX_SECONDS && !isOver(step, seconds - begin, athlete.metres - metresAtBegin, pressedAfter)) {
            double share = step.ends() == Ends.TIME ? (seconds - begin) / step.endValue() : 0.5;
            sample(athlete.second(wanted(step, share), step.cadenceHigh() > 0 ? cadence(step) : 0));
            goesOn = faults.stopAfterSeconds() == 0 || seconds < faults.stopAfterSeconds();
        }
        if (seconds > begin) laps.add(new Lap(begin, seconds, index));
        return goesOn && seconds < MAX_SECONDS;
    }

    private boolean isOver(FitStep step, int done, double metres, int pressedAfter) {
        return switch (step.ends()) {
            case TIME -> done >= step.endValue();
            case DISTANCE -> metres >= step.endValue();
            case HEART_RATE_BELOW -> done >= 5 && athlete.bpm() < step.endValue() || done >= 600;
            case HEART_RATE_ABOVE -> athlete.bpm() > step.endValue() || done >= 600;
            case LAP_KEY, REPEAT -> done >= pressedAfter;
        };
    }

    private static double cadence(FitStep step) {
        return step.cadenceHigh() > 200 ? step.cadenceLow() + 3 : step.cadenceLow() == 0 ? step.cadenceHigh() - 4 : (step.cadenceLow() + step.cadenceHigh()) / 2.0;
    }

    /** Share of the athlete's own threshold that the target asks for: the athlete knows nothing of Pemblar's threshold. */
    private double wanted(FitStep step, double share) {
        if (step.basis() == null) return effort(step.notes());
        double at = step.notes().startsWith(FitWorkout.RISING) ? share : step.notes().startsWith(FitWorkout.FALLING) ? 1 - share : 0.5;
        double value = step.low() + (step.high() - step.low()) * at;
        if (step.basis() == Basis.POWER) return value / body.thresholdWatts();
        if (step.basis() == Basis.PACE) return value / body.thresholdSpeed();
        double fraction = (value - body.restingBpm()) / (body.maximumBpm() - body.restingBpm());
        return Math.max(0.3, (fraction - 0.14) / 0.72 + (value - athlete.bpm()) * 0.004);
    }

    private static double effort(String notes) {
        var matcher = java.util.regex.Pattern.compile("effort (\\d+)").matcher(notes);
        return matcher.find() ? 0.35 + 0.085 * Integer.parseInt(matcher.group(1)) : EASY;
    }

    private void sample(SimulatedAthlete.Sensed s) {
        put(Channel.POWER, s.watts());
        put(Channel.HEART_RATE, s.bpm());
        put(Channel.CADENCE, s.cadence());
        put(Channel.SPEED, s.speed());
        put(Channel.DISTANCE, s.metres());
        put(Channel.ALTITUDE, s.altitude());
        put(Channel.STEP_LENGTH, s.stepLength());
        put(Channel.GROUND_CONTACT_TIME, s.contactSeconds());
        put(Channel.VERTICAL_OSCILLATION, s.oscillationMetres());
        seconds++;
    }

    private void put(Channel channel, double value) {
        double[] column = columns.computeIfAbsent(channel, c -> {
            double[] fresh = new double[4096];
            Arrays.fill(fresh, Double.NaN);
            return fresh;
        });
        if (seconds == column.length) {
            column = Arrays.copyOf(column, 2 * seconds);
            Arrays.fill(column, seconds, column.length, Double.NaN);
            columns.put(channel, column);
        }
        column[seconds] = value;
    }

    private void spoil() {
        double[] bpm = columns.get(Channel.HEART_RATE);
        int third = seconds / 3;
        if (faults.heartRateStuck()) Arrays.fill(bpm, third, Math.min(seconds, third + 420), bpm[third]);
        if (faults.heartRateLost()) Arrays.fill(bpm, third, Math.min(seconds, third + seconds / 4), Double.NaN);
        int end = seconds + faults.driveHomeSeconds();
        while (seconds < end) {
            athlete.metres += CAR_SPEED;
            sample(new SimulatedAthlete.Sensed(body.sport() == Sport.RUN ? Double.NaN : 0, Math.rint(body.restingBpm() + 25), 0, CAR_SPEED,
                athlete.metres, athlete.altitude, Double.NaN, Double.NaN, Double.NaN));
        }
        if (faults.driveHomeSeconds() > 0 && !laps.isEmpty()) laps.add(new Lap(laps.get(laps.size() - 1).to(), seconds, Lap.NO_STEP));
    }

    private Recording recording(Instant start) {
        if (seconds == 0) throw new IllegalArgumentException("the workout was over before it began");
        Map<String, Series> channels = new LinkedHashMap<>();
        columns.forEach((channel, values) -> {
            Series series = Series.of(Arrays.copyOf(values, seconds));
            if (series.present() > 0) channels.put(channel.key(), series);
        });
        return new Recording(workout.sport() == Sport.OTHER ? body.sport() : workout.sport(), start, seconds, List.of(), channels, laps);
    }
}
