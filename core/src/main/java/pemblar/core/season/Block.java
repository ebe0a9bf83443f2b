package pemblar.core.season;

import java.time.LocalDate;

/**
 * A stretch of days with one aim. A planned block has from {@link #SHORTEST} to {@link #LONGEST} days; what lies
 * between planned blocks may be shorter.
 *
 * @param easy lighter than the block before, to absorb it
 * @param pinned set by hand: a new plan of the season leaves it alone
 * @param targetLoad points over the whole block; 0 when none is set
 * @param targetSeconds time over the whole block; 0 when none is set
 */
public record Block(
        LocalDate first,
        int days,
        Phase phase,
        String name,
        String aim,
        double targetLoad,
        int targetSeconds,
        boolean easy,
        boolean pinned) {
    public static final int SHORTEST = 3;
    public static final int LONGEST = 28;

    public Block {
        if (days < 1 || days > LONGEST) throw new IllegalArgumentException("days must be in 1..28, was " + days);
        if (!(targetLoad >= 0 && targetLoad < 1e5))
            throw new IllegalArgumentException("targetLoad must be at least 0, was " + targetLoad);
    }

    /** A block that is neither easy nor pinned. */
    public Block(
            LocalDate first, int days, Phase phase, String name, String aim, double targetLoad, int targetSeconds) {
        this(first, days, phase, name, aim, targetLoad, targetSeconds, false, false);
    }

    public double targetHours() {
        return targetSeconds / 3600.0;
    }

    /** The first day of its second half. */
    public LocalDate middle() {
        return first.plusDays(days / 2);
    }

    /** What the training of a stretch is for. */
    public enum Phase {
        BASE,
        BUILD,
        PEAK,
        TAPER,
        RECOVERY
    }

    /** The last day that belongs to the block. */
    public LocalDate last() {
        return first.plusDays(days - 1L);
    }

    public boolean contains(LocalDate day) {
        return !day.isBefore(first) && !day.isAfter(last());
    }

    public double loadPerDay() {
        return targetLoad / days;
    }
}
