package pemblar.core.aerobic;

import java.util.ArrayList;
import java.util.List;
import pemblar.core.load.SteadyEquivalent;
import pemblar.core.recording.Channel;
import pemblar.core.recording.Recording;
import pemblar.core.recording.Series;

/**
 * Pieces of a recording that an aerobic trend may rest on (computation, section 15): 5 min stretches after the first 10
 * min, steady in output, with a heart rate that hardly moves and is read 30 s late, nothing missing. Whether a piece
 * lies within 60 to 88 % of the heart-rate reserve depends on the athlete's values of the day.
 */
public final class Pieces {
    public static final double LEAST_RESERVE = 0.60;
    public static final double MOST_RESERVE = 0.88;
    private static final int FIRST = 600;
    private static final int LENGTH = 300;
    private static final int LATE = 30;
    private static final int MINUTE = 60;
    private static final int MEAN = 30;
    private static final double MOST_MOVE_BPM = 6;
    private static final double MOST_SPREAD = 0.12;

    /**
     * @param hours into the session, at its middle
     * @param celsius mean temperature; NaN when it was not recorded
     * @param output mean power, W, or flat-equivalent speed, m/s
     */
    public record Piece(double hours, double celsius, double bpm, double output) {}

    private Pieces() {}

    /** None without a heart rate, and without power on a ride or speed on a run. */
    public static List<Piece> of(Recording recording) {
        Series bpm = recording.channel(Channel.HEART_RATE).orElse(null);
        Series output = output(recording);
        if (bpm == null || output == null) return List.of();
        Series temperature = recording.channel(Channel.TEMPERATURE).orElse(null);
        List<Piece> pieces = new ArrayList<>();
        for (int from = FIRST; from + LENGTH + LATE <= recording.seconds(); from += LENGTH) {
            int to = from + LENGTH;
            boolean whole = output.present(from, to) == LENGTH && bpm.present(from + LATE, to + LATE) == LENGTH;
            if (!whole || !isSteady(output, from, to) || moves(bpm, from + LATE, to + LATE)) continue;
            double celsius = temperature == null ? Double.NaN : temperature.mean(from, to);
            pieces.add(new Piece(
                    (from + LENGTH / 2.0) / 3600, celsius, bpm.mean(from + LATE, to + LATE), output.mean(from, to)));
        }
        return pieces;
    }

    private static Series output(Recording recording) {
        if (recording.sport().onWheels())
            return recording.channel(Channel.POWER).orElse(null);
        return recording.sport().hillsCost() && recording.has(Channel.SPEED)
                ? SteadyEquivalent.flatSpeed(recording)
                : null;
    }

    /** The spread of its 30 s means is under 12 % of its mean. */
    private static boolean isSteady(Series output, int from, int to) {
        double mean = output.mean(from, to);
        if (!(mean > 0)) return false;
        double squares = 0;
        int count = 0;
        for (int i = from; i + MEAN <= to; i += MEAN, count++) squares += Math.pow(output.mean(i, i + MEAN) - mean, 2);
        return Math.sqrt(squares / (count - 1)) / mean < MOST_SPREAD;
    }

    private static boolean moves(Series bpm, int from, int to) {
        return Math.abs(bpm.mean(to - MINUTE, to) - bpm.mean(from, from + MINUTE)) >= MOST_MOVE_BPM;
    }
}
