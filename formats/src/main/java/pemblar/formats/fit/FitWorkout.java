package pemblar.formats.fit;

import static pemblar.formats.fit.BaseType.ENUM;
import static pemblar.formats.fit.BaseType.STRING;
import static pemblar.formats.fit.BaseType.UINT16;
import static pemblar.formats.fit.BaseType.UINT32;
import static pemblar.formats.fit.BaseType.UINT32Z;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import pemblar.core.sport.Sport;
import pemblar.core.workout.Basis;
import pemblar.formats.Reading.Problem;
import pemblar.formats.fit.FitWriter.Field;
import pemblar.formats.fit.FitWriter.Layout;

/**
 * A workout as a FIT file holds it: a flat list of steps in which a repeat points back to its first step. Targets are
 * absolute: W, bpm or m/s.
 *
 * @param steps in order; a repeat stands after the steps it repeats
 */
public record FitWorkout(String name, Sport sport, List<FitStep> steps) {
    private static final int NAME_BYTES = 64;
    private static final int NOTE_BYTES = 128;
    private static final Layout FILE_ID = Layout.of(
            Profile.FILE_ID,
            new Field(0, ENUM),
            new Field(1, UINT16),
            new Field(2, UINT16),
            new Field(3, UINT32Z),
            new Field(4, UINT32));
    private static final Layout HEAD =
            Layout.of(Profile.WORKOUT, new Field(4, ENUM), new Field(6, UINT16), new Field(8, STRING, NAME_BYTES));
    private static final Layout STEP = Layout.of(
            Profile.WORKOUT_STEP,
            new Field(254, UINT16),
            new Field(0, STRING, NAME_BYTES),
            new Field(1, ENUM),
            new Field(2, UINT32),
            new Field(3, ENUM),
            new Field(4, UINT32),
            new Field(5, UINT32),
            new Field(6, UINT32),
            new Field(7, ENUM),
            new Field(8, STRING, NOTE_BYTES),
            new Field(19, ENUM),
            new Field(20, UINT32),
            new Field(21, UINT32),
            new Field(22, UINT32));

    public FitWorkout {
        steps = List.copyOf(steps);
    }

    /** How a step ends, with the profile's number of it. */
    public enum Ends {
        TIME(0),
        DISTANCE(1),
        HEART_RATE_BELOW(2),
        HEART_RATE_ABOVE(3),
        LAP_KEY(5),
        REPEAT(6);

        private final int number;

        Ends(int number) {
            this.number = number;
        }

        /** Kinds we do not know end by the lap key, so that the person decides. */
        private static Ends of(long number) {
            for (Ends ends : values()) if (ends.number == number) return ends;
            return LAP_KEY;
        }
    }

    /** Steady or rising and falling: the word that leads a ramp's notes. */
    public static final String RISING = "rising";
    /** In the notes of a step that is spent standing or lying still. */
    public static final String REST = "rest";

    public static final String FALLING = "falling";

    /**
     * One message of the file.
     *
     * @param endValue seconds, metres, bpm, or for a repeat the index of its first step
     * @param times of a repeat; else 0
     * @param basis quantity of low and high; null when open
     * @param low W, bpm or m/s; NaN when open
     * @param cadenceLow 0 when there is no cadence band
     */
    public record FitStep(
            String name,
            Ends ends,
            double endValue,
            int times,
            Basis basis,
            double low,
            double high,
            int cadenceLow,
            int cadenceHigh,
            String notes) {
        public boolean isRepeat() {
            return ends == Ends.REPEAT;
        }
    }

    /** What a workout file held: the workout, null when it cannot be used, and what was wrong. */
    public record Answer(FitWorkout workout, List<Problem> problems) {}

    public byte[] write(long serial, Instant created) {
        FitWriter out = new FitWriter();
        out.write(FILE_ID, Profile.TYPE_WORKOUT, Profile.MANUFACTURER_DEVELOPMENT, 1, serial, Profile.seconds(created));
        out.write(HEAD, Profile.sportNumber(sport), steps.size(), name);
        for (int i = 0; i < steps.size(); i++) step(out, i, steps.get(i));
        return out.finish();
    }

    private static void step(FitWriter out, int index, FitStep s) {
        if (s.isRepeat()) {
            out.write(
                    STEP,
                    index,
                    s.name(),
                    Ends.REPEAT.number,
                    s.endValue(),
                    null,
                    s.times(),
                    null,
                    null,
                    null,
                    "",
                    null,
                    null,
                    null,
                    null);
            return;
        }
        double end = s.ends() == Ends.TIME
                ? s.endValue() * 1000
                : s.ends() == Ends.DISTANCE
                        ? s.endValue() * 100
                        : s.ends() == Ends.LAP_KEY ? Double.NaN : s.endValue() + 100;
        boolean cadence = s.cadenceHigh() > 0;
        out.write(
                STEP,
                index,
                s.name(),
                s.ends().number,
                end,
                targetType(s.basis()),
                s.basis() == null ? null : 0,
                raw(s.basis(), s.low()),
                raw(s.basis(), s.high()),
                0,
                s.notes(),
                cadence ? 3 : null,
                cadence ? 0 : null,
                cadence ? s.cadenceLow() : null,
                cadence ? s.cadenceHigh() : null);
    }

    private static int targetType(Basis basis) {
        if (basis == null) return 2;
        return basis == Basis.POWER ? 4 : basis == Basis.HEART_RATE ? 1 : 0;
    }

    private static Double raw(Basis basis, double value) {
        if (basis == null) return null;
        return basis == Basis.POWER ? value + 1000 : basis == Basis.HEART_RATE ? value + 100 : value * 1000;
    }

    public static Answer read(byte[] bytes) {
        if (!FitDecoder.looksLikeFit(bytes))
            return new Answer(null, List.of(new Problem("byte 0", "this is not a FIT file", true)));
        Reader reader = new Reader();
        List<Problem> problems = new ArrayList<>(FitDecoder.decode(bytes, reader));
        if (reader.steps.isEmpty()) problems.add(0, new Problem("", "the file holds no workout steps", true));
        for (int i = 0; i < reader.steps.size(); i++) {
            FitStep step = reader.steps.get(i);
            if (step.isRepeat() && (step.endValue() >= i || step.times() < 1 || step.times() > 99))
                problems.add(new Problem(
                        "step " + i, "the repeat points nowhere or is done " + step.times() + " times", true));
        }
        boolean sound = problems.stream().noneMatch(Problem::damage);
        return new Answer(sound ? new FitWorkout(reader.name, reader.sport, reader.steps) : null, problems);
    }

    private static final class Reader implements FitDecoder.Sink {
        private String name = "";
        private Sport sport = Sport.OTHER;
        private final List<FitStep> steps = new ArrayList<>();

        @Override
        public void message(FitMessage m) {
            if (m.global() == Profile.WORKOUT) {
                name = m.text(8);
                sport = Profile.sport(m.whole(4));
            }
            if (m.global() == Profile.WORKOUT_STEP) steps.add(step(m));
        }

        private static FitStep step(FitMessage m) {
            Ends ends = Ends.of(m.whole(1));
            if (ends == Ends.REPEAT)
                return new FitStep(
                        m.text(0),
                        Ends.REPEAT,
                        Math.max(0, m.whole(2)),
                        (int) m.whole(4),
                        null,
                        Double.NaN,
                        Double.NaN,
                        0,
                        0,
                        "");
            double end = m.number(2);
            end = ends == Ends.TIME ? end / 1000 : ends == Ends.DISTANCE ? end / 100 : end - 100;
            Basis basis = switch ((int) m.whole(3)) {
                case 0 -> Basis.PACE;
                case 1 -> Basis.HEART_RATE;
                case 4 -> Basis.POWER;
                default -> null;
            };
            boolean cadence = m.whole(19) == 3;
            return new FitStep(
                    m.text(0),
                    ends,
                    end,
                    0,
                    basis,
                    value(basis, m.number(5)),
                    value(basis, m.number(6)),
                    cadence ? (int) Math.max(0, m.whole(21)) : 0,
                    cadence ? (int) Math.max(0, m.whole(22)) : 0,
                    m.text(8));
        }

        private static double value(Basis basis, double raw) {
            if (basis == null) return Double.NaN;
            return basis == Basis.POWER ? raw - 1000 : basis == Basis.HEART_RATE ? raw - 100 : raw / 1000;
        }
    }
}
