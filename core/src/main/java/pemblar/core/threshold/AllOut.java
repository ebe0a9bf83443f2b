package pemblar.core.threshold;

import java.time.LocalDate;

/** An effort that evidence rests on: its day, and its mean power, W, or speed, m/s, over some seconds. */
public record AllOut(LocalDate day, double level, double seconds) {
    private static final double SAME_SECONDS = 1.1;
    private static final double SAME_LEVEL = 1.02;
    private static final double DUST = 1e-9;

    public AllOut {
        if (!(level > 0 && level <= 100_000))
            throw new IllegalArgumentException("level must be in (0, 100000], was " + level);
        if (!(seconds > 0 && seconds <= 864_000))
            throw new IllegalArgumentException("seconds must be in (0, 864000], was " + seconds);
    }

    /** Of one day, as long within 10 % and as strong within 2 %: typed from the head and recorded, it is one effort. */
    public boolean isSameAs(AllOut other) {
        return day.equals(other.day)
                && ratio(seconds, other.seconds) <= SAME_SECONDS + DUST
                && ratio(level, other.level) <= SAME_LEVEL + DUST;
    }

    private static double ratio(double a, double b) {
        return Math.max(a, b) / Math.min(a, b);
    }
}
