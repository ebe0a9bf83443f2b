package pemblar.core.schedule;

import pemblar.core.workout.Forecast;
import pemblar.core.workout.PlannedStep;

/**
 * What a session is for. It gives a session without steps a planned load, and tells which sessions are hard.
 * The usual intensity is that of a whole session, warm-up included, as a fraction of threshold.
 */
public enum Purpose {
    RECOVERY(0.50, false), EASY(0.64, false), LONG(0.66, false), TEMPO(0.77, true), THRESHOLD(0.83, true), INTERVALS(0.82, true), SPRINTS(0.70, false),
    RACE(0.90, true), OUTING(0.70, false), WAY_TO_WORK(0.60, false), STRENGTH(0.50, false);

    private static final int LONG_SECONDS = 105 * 60;
    private final double intensity;
    private final boolean hard;

    Purpose(double intensity, boolean hard) {
        this.intensity = intensity;
        this.hard = hard;
    }

    /** Usual intensity of the whole session, a fraction of threshold. */
    public double intensity() {
        return intensity;
    }

    /** Hard sessions keep a distance from each other. */
    public boolean isHard() {
        return hard;
    }

    /** Planned load, points, of a session of some length without steps. */
    public double load(int seconds) {
        if (seconds < 0) throw new IllegalArgumentException("seconds must be at least 0, was " + seconds);
        return seconds / 3600.0 * intensity * intensity * 100;
    }

    /** The length, s, at which a session without steps has a load. */
    public double secondsFor(double load) {
        return load / (intensity * intensity * 100) * 3600;
    }

    /** What a workout is for, by how long it stays at which intensity. */
    public static Purpose of(Forecast forecast) {
        double above = seconds(forecast, 1.03, 1.5);
        double near = seconds(forecast, 0.9, 1.03);
        double tempo = seconds(forecast, 0.76, 0.9);
        if (above >= 360) return INTERVALS;
        if (near + above >= 900) return THRESHOLD;
        if (tempo + near + above >= 1200) return TEMPO;
        if (seconds(forecast, 1.5, 10) >= 30) return SPRINTS;
        if (forecast.seconds() >= LONG_SECONDS) return LONG;
        return forecast.intensity().orElse(0.6) < 0.57 ? RECOVERY : EASY;
    }

    private static double seconds(Forecast forecast, double low, double high) {
        return forecast.steps().stream().filter(s -> s.intensity() >= low && s.intensity() < high && Double.isFinite(s.seconds())).mapToDouble(PlannedStep::seconds).sum();
    }

    /** What an effort of a duration is trained by. */
    public static Purpose training(int effortSeconds) {
        if (effortSeconds <= 30) return SPRINTS;
        if (effortSeconds <= 480) return INTERVALS;
        return effortSeconds <= 3600 ? THRESHOLD : TEMPO;
    }
}
