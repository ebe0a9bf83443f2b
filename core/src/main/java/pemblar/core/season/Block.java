package pemblar.core.season;

import java.time.LocalDate;

/**
 * A stretch of days with one aim, of any length from 3 to 28 days.
 * @param targetLoad    points over the whole block; 0 when none is set
 * @param targetSeconds time over the whole block; 0 when none is set
 */
public record Block(LocalDate first, int days, Phase phase, String name, String aim, double targetLoad, int targetSeconds) {
    public Block {
        if (days < 3 || days > 28) throw new IllegalArgumentException("days must be in 3..28, was " + days);
        if (!(targetLoad >= 0 && targetLoad < 1e5)) throw new IllegalArgumentException("targetLoad must be at least 0, was " + targetLoad);
    }

    /** What the training of a stretch is for. */
    public enum Phase { BASE, BUILD, PEAK, TAPER, RECOVERY }

    /** The last day that belongs to the block. */
    public LocalDate last() {
        return first.plusDays(days - 1L);
    }

    public boolean contains(LocalDate day) {
        return !day.isBefore(first) && !day.isAfter(last());
    }
}
