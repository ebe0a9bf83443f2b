package pemblar.core.schedule;

import pemblar.core.sport.Measure;
import pemblar.core.sport.Sport;
import pemblar.core.workout.Basis;
import pemblar.core.workout.Forecast;
import pemblar.core.workout.PlannedStep;
import pemblar.core.zone.ZoneScheme;
import pemblar.core.zone.ZoneSchemes;

/**
 * What a session is for. It gives a session without steps a planned load, and tells which sessions are hard. The usual
 * intensity is that of a whole session, warm-up included, as a fraction of threshold.
 */
public enum Purpose {
    RECOVERY(0.50, false),
    EASY(0.64, false),
    LONG(0.66, false),
    TEMPO(0.77, true),
    THRESHOLD(0.83, true),
    INTERVALS(0.82, true),
    SPRINTS(0.70, false),
    RACE(0.90, true),
    OUTING(0.70, false),
    WAY_TO_WORK(0.60, false),
    STRENGTH(0.50, false);

    private static final int LONG_SECONDS = 105 * 60;
    private static final double SPRINT = 1.5;
    private static final double BRISK = 0.76;
    private static final double CALM_SHARE = 0.1;
    /** So far above the floor of the fastest pace zone a pace is a sprint, as a fraction of threshold speed. */
    private static final double SPRINT_ABOVE = 0.07;

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

    /**
     * What a workout is for, by how long it stays at which intensity. Paces are read on the scale of power by the usual
     * zones of both: five per cent of speed are an easy run in one place and a sprint in another.
     */
    public static Purpose of(Forecast forecast, Sport sport) {
        double[] paces =
                ZoneSchemes.usual(Measure.SPEED, sport).map(Purpose::boundaries).orElse(new double[0]);
        double above = seconds(forecast, paces, 1.03, SPRINT);
        double near = seconds(forecast, paces, 0.9, 1.03);
        double tempo = seconds(forecast, paces, 0.76, 0.9);
        if (above >= 360) return INTERVALS;
        if (near + above >= 900) return THRESHOLD;
        if (tempo + near + above >= 1200) return TEMPO;
        if (seconds(forecast, paces, SPRINT, 10) >= 30) return SPRINTS;
        if (forecast.seconds() >= LONG_SECONDS) return LONG;
        return forecast.intensity().orElse(0.6) < 0.57 ? RECOVERY : EASY;
    }

    /** True when nothing in a workout comes near to threshold, and little is brisk. */
    public static boolean isCalm(Forecast forecast, Sport sport) {
        double[] paces =
                ZoneSchemes.usual(Measure.SPEED, sport).map(Purpose::boundaries).orElse(new double[0]);
        return !of(forecast, sport).isHard()
                && seconds(forecast, paces, 0.9, 10) < 1
                && seconds(forecast, paces, BRISK, 0.9) <= CALM_SHARE * forecast.seconds();
    }

    private static double[] boundaries(ZoneScheme scheme) {
        return scheme.boundaries().stream().mapToDouble(b -> b / 100).toArray();
    }

    private static double seconds(Forecast forecast, double[] paces, double low, double high) {
        return forecast.steps().stream()
                .filter(s -> Double.isFinite(s.seconds()) && effort(s, paces) >= low && effort(s, paces) < high)
                .mapToDouble(PlannedStep::seconds)
                .sum();
    }

    /** Intensity on the scale of power. */
    private static double effort(PlannedStep step, double[] paces) {
        double pace = step.intensity();
        if (step.basis() != Basis.PACE || paces.length == 0) return pace;
        double[] power = boundaries(ZoneSchemes.POWER_SEVEN);
        int last = paces.length - 1;
        if (pace >= paces[last]) return power[last] + (SPRINT - power[last]) * (pace - paces[last]) / SPRINT_ABOVE;
        int above = 0;
        while (pace >= paces[above]) above++;
        double from = above == 0 ? 0 : paces[above - 1];
        double low = above == 0 ? 0 : power[above - 1];
        return low + (power[above] - low) * (pace - from) / (paces[above] - from);
    }

    /** What an effort of a duration is trained by. */
    public static Purpose training(int effortSeconds) {
        if (effortSeconds <= 30) return SPRINTS;
        if (effortSeconds <= 480) return INTERVALS;
        return effortSeconds <= 3600 ? THRESHOLD : TEMPO;
    }
}
