package pemblar.core.prediction;

import java.time.LocalDate;

/**
 * A best effort that a prediction may lean on.
 *
 * @param level mean speed, m/s, or mean power, W
 */
public record Result(LocalDate day, double seconds, double level) {
    public Result {
        if (!(seconds > 0 && seconds <= 864_000))
            throw new IllegalArgumentException("seconds must be in (0, 864000], was " + seconds);
        if (!(level > 0 && level < 5000))
            throw new IllegalArgumentException("level must be in (0, 5000), was " + level);
    }
}
