package pemblar.benchunit;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.random.RandomGenerator;
import pemblar.core.model.Reserve;
import pemblar.core.recording.Channel;
import pemblar.core.sport.Sport;
import pemblar.core.workout.Basis;
import pemblar.core.workout.Length;
import pemblar.formats.fit.FitActivityWriter;
import pemblar.formats.fit.FitNotes;
import pemblar.formats.fit.FitWorkout;
import pemblar.formats.fit.FitWorkout.Ends;
import pemblar.formats.fit.FitWorkout.FitStep;

/**
 * A simulated head unit while it runs: leads through a FIT workout second by second, with the simulated athlete or the
 * person driving, warns when the effort leaves the target, and has the keys of a device. It knows of the workout only
 * what the file says. Not thread-safe.
 */
public final class LiveUnit {
    private static final int MAX_SECONDS = 12 * 3600;
    private static final int MAX_STEPS = 2000;
    private static final double EASY = 0.55;
    private static final long SERIAL = 4711;
    /** Seconds outside the target before it warns, and over which the shown value is averaged. */
    private static final int PATIENCE = 4;

    private static final int SHOWN_OVER = 3;
    /** How far outside the band is outside: the sensors' own scatter must not cry wolf. */
    private static final double SLACK = 0.02;

    private static final int SETTLING_SECONDS = 8;
    private static final int COUNTDOWN_SECONDS = 5;
    private static final int LONGEST_BY_RESERVE = 1800;
    /** What the athlete gives when the reserve is to be drawn down and no target says how hard. */
    private static final double BURST = 1.5;

    private static final int POWER_NOW_OVER = 10;
    private static final double MOST_WATTS = 1500;
    private final FitWorkout workout;
    private final Body body;
    private final RandomGenerator random;
    private final SimulatedAthlete athlete;
    private final List<Integer> order = new ArrayList<>();
    private final Track track = new Track();
    private int at;
    private int stepBegan;
    private double metresAtStep;
    private int pressedAfter;
    private boolean paused;
    private boolean stopped;
    private boolean personPresses;
    private double personWatts = Double.NaN;
    private int outside;
    private ReserveGauge gauge;
    /** Length of the present step, s, as the lead of a group has it; 0 when the unit leads itself. */
    private int ledSeconds;

    /** Whether the effort has left the target for more than a few seconds. */
    public enum Warning {
        NONE,
        BELOW,
        ABOVE
    }

    /**
     * What the screen of the device shows.
     *
     * @param stepIndex of the file; {@code number} counts the steps as they are done, from 1, out of {@code count}
     * @param low, high of the target in W, bpm or m/s; NaN when open
     * @param live mean of the last three seconds of the target's quantity, else of power or speed
     * @param toGo seconds or metres left of the step; NaN when it ends by key or heart rate
     * @param countdown 5 to 1 in the last seconds of a timed step, else 0
     * @param personWatts what the person asks for; NaN when the simulated athlete drives
     * @param reserve empty when the unit was told no critical power and W'
     */
    public record View(
            int second,
            int stepIndex,
            int number,
            int count,
            FitStep step,
            FitStep next,
            double low,
            double high,
            double live,
            double bpm,
            double cadence,
            double toGo,
            int countdown,
            Warning warning,
            boolean paused,
            boolean finished,
            double personWatts,
            Optional<ReserveGauge.View> reserve) {}

    /** @throws IllegalArgumentException when the workout file cannot be read, with the reason */
    public static LiveUnit load(byte[] workoutFile, Body body, RandomGenerator random, double heat) {
        FitWorkout.Answer answer = FitWorkout.read(workoutFile);
        if (answer.workout() == null)
            throw new IllegalArgumentException("the workout file cannot be followed: " + answer.problems());
        return new LiveUnit(answer.workout(), body, random, heat);
    }

    /** Tells the unit critical power and W', as a person does in its settings, before it starts. */
    public LiveUnit withReserve(Reserve model) {
        gauge = new ReserveGauge(model);
        return this;
    }

    private static final double POOL_METRES = 25;

    private LiveUnit(FitWorkout workout, Body body, RandomGenerator random, double heat) {
        this.workout = workout;
        this.body = body;
        this.random = random;
        this.athlete = new SimulatedAthlete(body, random, heat);
        expand(0, workout.steps().size());
        begin(0);
    }

    private void expand(int from, int to) {
        for (int i = from; i < to && order.size() < MAX_STEPS; i++) {
            FitStep step = workout.steps().get(i);
            if (!step.isRepeat()) order.add(i);
            else for (int again = 1; again < step.times(); again++) expand((int) step.endValue(), i);
        }
    }

    private void begin(int position) {
        at = position;
        stepBegan = track.seconds();
        metresAtStep = athlete.metres;
        pressedAfter = 60 + random.nextInt(120);
        outside = 0;
        boolean far = at < order.size() && step().ends() == Ends.DISTANCE;
        athlete.wall = far ? metresAtStep + step().endValue() : Double.POSITIVE_INFINITY;
    }

    public boolean isFinished() {
        return stopped || at >= order.size() || track.seconds() >= MAX_SECONDS;
    }

    /** Lives some timer seconds; nothing happens while paused or when all is done. */
    public void advance(int seconds) {
        for (int i = 0; i < seconds && !isFinished() && !paused; i++) second();
    }

    private void second() {
        FitStep step = step();
        double share = step.ends() == Ends.TIME ? (track.seconds() - stepBegan) / length(step) : 0.5;
        double wanted = Double.isNaN(personWatts) ? wanted(step, share) : personWatts / body.thresholdWatts();
        track.sample(athlete.second(wanted, step.cadenceHigh() > 0 ? cadence(step) : 0));
        if (gauge != null) gauge.second(track.latest(Channel.POWER, 1));
        watch(step);
        if (ledSeconds == 0 && isOver(step)) next();
    }

    /**
     * Puts the unit where a group is: from the first call on the steps are the group's, not its own.
     *
     * @param position of the step among those that are done, from 0; past the last one all is over
     * @param elapsed seconds of the group since the step began
     * @param length of the step, s; at least 1
     */
    public void place(int position, int elapsed, int length) {
        ledSeconds = length;
        if (isFinished()) return;
        if (position >= order.size()) {
            stop();
            return;
        }
        if (position != at) {
            track.lap(Math.max(stepBegan, track.lastLapEnd()), order.get(at));
            begin(position);
        }
        stepBegan = track.seconds() - elapsed;
    }

    /** Number of steps with repeats written out. */
    public int steps() {
        return order.size();
    }

    private void next() {
        track.lap(Math.max(stepBegan, track.lastLapEnd()), order.get(at));
        begin(at + 1);
    }

    private FitStep step() {
        return workout.steps().get(order.get(at));
    }

    private boolean isOver(FitStep step) {
        int done = track.seconds() - stepBegan;
        return switch (step.ends()) {
            case TIME -> done >= step.endValue();
            case DISTANCE -> athlete.metres - metresAtStep >= step.endValue() - 1e-6;
            case HEART_RATE_BELOW -> done >= 5 && athlete.bpm() < step.endValue() || done >= 600;
            case HEART_RATE_ABOVE -> athlete.bpm() > step.endValue() || done >= 600;
            case LAP_KEY, REPEAT -> isOverByReserve(step, done);
        };
    }

    /** An open step that its notes end by the reserve; the lap key ends it as well, and half an hour. */
    private boolean isOverByReserve(FitStep step, int done) {
        Optional<Length.ReserveAt> end = gauge == null ? Optional.empty() : FitNotes.reserveOf(step.notes());
        if (end.isEmpty()) return !personPresses && done >= pressedAfter;
        return gauge.isAt(end.get()) || done >= LONGEST_BY_RESERVE;
    }

    /** Counts the seconds outside the target; a step's first seconds are for getting there. */
    private void watch(FitStep step) {
        double live = live(step);
        if (step.basis() == null || Double.isNaN(live) || track.seconds() - stepBegan <= SETTLING_SECONDS) {
            outside = 0;
            return;
        }
        double low = target(step, false) * (1 - SLACK);
        double high = target(step, true) * (1 + SLACK);
        outside = live < low ? Math.min(0, outside) - 1 : live > high ? Math.max(0, outside) + 1 : 0;
    }

    /** An edge of the target at this moment; a ramp's band goes along with it. */
    private double target(FitStep step, boolean upper) {
        boolean rising = step.notes().startsWith(FitWorkout.RISING);
        if (!rising && !step.notes().startsWith(FitWorkout.FALLING)) return upper ? step.high() : step.low();
        double share = step.ends() == Ends.TIME ? Math.min(1, (track.seconds() - stepBegan) / length(step)) : 0.5;
        double middle = step.low() + (step.high() - step.low()) * (rising ? share : 1 - share);
        return middle * (upper ? 1.05 : 0.95);
    }

    private double live(FitStep step) {
        Basis basis = step.basis() == null ? Basis.of(body.sport().ownMeasure()) : step.basis();
        return track.latest(
                basis == Basis.POWER ? Channel.POWER : basis == Basis.PACE ? Channel.SPEED : Channel.HEART_RATE,
                SHOWN_OVER);
    }

    private static double cadence(FitStep step) {
        return step.cadenceHigh() > 200
                ? step.cadenceLow() + 3
                : step.cadenceLow() == 0 ? step.cadenceHigh() - 4 : (step.cadenceLow() + step.cadenceHigh()) / 2.0;
    }

    /**
     * Share of the athlete's own threshold that the target asks for: the athlete knows nothing of Pemblar's threshold.
     */
    private double wanted(FitStep step, double share) {
        if (step.basis() == null) return effort(step.notes());
        double along = step.notes().startsWith(FitWorkout.RISING)
                ? share
                : step.notes().startsWith(FitWorkout.FALLING) ? 1 - share : 0.5;
        double value = step.low() + (step.high() - step.low()) * along;
        if (step.basis() == Basis.POWER) return value / body.thresholdWatts();
        if (step.basis() == Basis.PACE) return value / body.thresholdSpeed();
        double fraction = (value - body.restingBpm()) / (body.maximumBpm() - body.restingBpm());
        return Math.max(0.3, (fraction - 0.14) / 0.72 + (value - athlete.bpm()) * 0.004);
    }

    private static double effort(String notes) {
        var matcher = java.util.regex.Pattern.compile("effort (\\d+)").matcher(notes);
        if (notes.startsWith(FitWorkout.REST)) return 0;
        if (matcher.find()) return 0.35 + 0.085 * Integer.parseInt(matcher.group(1));
        return FitNotes.reserveOf(notes).filter(end -> !end.back()).isPresent() ? BURST : EASY;
    }

    /** The lap key: ends a step that waits for it, else only marks a lap. From now on open steps wait for the key. */
    public void lap() {
        personPresses = true;
        if (isFinished()) return;
        if (step().ends() == Ends.LAP_KEY && ledSeconds == 0) next();
        else track.lap(Math.max(stepBegan, track.lastLapEnd()), order.get(at));
    }

    public void skip() {
        if (!isFinished() && ledSeconds == 0) next();
    }

    public void pause() {
        paused = true;
    }

    /** @param clockSeconds for which the timer stood still */
    public void resume(double clockSeconds) {
        if (paused) track.pause(clockSeconds);
        if (paused && gauge != null) gauge.pause(clockSeconds);
        paused = false;
    }

    /** Ends the session here. */
    public void stop() {
        if (!isFinished()) track.lap(Math.max(stepBegan, track.lastLapEnd()), order.get(at));
        stopped = true;
    }

    /** The person takes over and asks for more or less power than now; when running, the watts stand for the effort. */
    public void nudge(double watts) {
        double now = Double.isNaN(personWatts)
                ? isFinished() ? 0 : wanted(step(), 0.5) * body.thresholdWatts()
                : personWatts;
        personWatts = Math.max(0, Math.min(MOST_WATTS, Math.rint(now + watts)));
    }

    /** The power, W, of which the unit says how long it can still be held. */
    public void askAboutPower(double watts) {
        if (gauge != null) gauge.choosePower(watts);
    }

    /** The share of W', 0..1, of which the unit says when the reserve is back at it. */
    public void askAboutShare(double share) {
        if (gauge != null) gauge.chooseShare(share);
    }

    /** The simulated athlete drives again. */
    public void letAthleteDrive() {
        personWatts = Double.NaN;
    }

    public View view() {
        boolean finished = isFinished();
        FitStep step = finished ? null : step();
        FitStep next =
                finished || at + 1 >= order.size() ? null : workout.steps().get(order.get(at + 1));
        double toGo = finished ? Double.NaN : toGo(step);
        int countdown = !finished && step.ends() == Ends.TIME && toGo <= COUNTDOWN_SECONDS ? (int) Math.round(toGo) : 0;
        Warning warning = outside > PATIENCE ? Warning.ABOVE : outside < -PATIENCE ? Warning.BELOW : Warning.NONE;
        boolean open = finished || step.basis() == null;
        return new View(
                track.seconds(),
                finished ? -1 : order.get(at),
                Math.min(order.size(), at + 1),
                order.size(),
                step,
                next,
                open ? Double.NaN : target(step, false),
                open ? Double.NaN : target(step, true),
                finished ? Double.NaN : live(step),
                track.latest(Channel.HEART_RATE, 1),
                track.latest(Channel.CADENCE, SHOWN_OVER),
                toGo,
                countdown,
                warning,
                paused,
                finished,
                personWatts,
                ReserveGauge.view(gauge, track.latest(Channel.POWER, POWER_NOW_OVER)));
    }

    private double toGo(FitStep step) {
        if (step.ends() == Ends.TIME) return length(step) - (track.seconds() - stepBegan);
        return step.ends() == Ends.DISTANCE
                ? Math.max(0, step.endValue() - (athlete.metres - metresAtStep))
                : Double.NaN;
    }

    private double length(FitStep step) {
        return ledSeconds > 0 ? ledSeconds : step.endValue();
    }

    /** That of the workout; a file that names none is the athlete's own. */
    public Sport sport() {
        return workout.sport() == Sport.OTHER ? body.sport() : workout.sport();
    }

    Track track() {
        return track;
    }

    double metres() {
        return athlete.metres;
    }

    void carry(SimulatedAthlete.Sensed sensed) {
        athlete.metres = sensed.metres();
        track.sample(sensed);
    }

    double altitude() {
        return athlete.altitude;
    }

    /**
     * What was recorded, as a FIT activity whose laps carry the index of their step.
     *
     * @throws IllegalArgumentException when nothing was recorded
     */
    public byte[] activity(Instant start) {
        return FitActivityWriter.write(
                track.recording(sport(), start), SERIAL, sport() == Sport.SWIM ? POOL_METRES : Double.NaN);
    }
}
