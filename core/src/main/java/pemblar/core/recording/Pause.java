package pemblar.core.recording;

/**
 * Clock time during which the device's timer stood still.
 *
 * @param index the grid second that follows the pause
 * @param seconds clock time, s, beyond the one second that always lies between two grid points; above 0
 */
public record Pause(int index, double seconds) {
    public Pause {
        if (index < 0) throw new IllegalArgumentException("index must be at least 0, was " + index);
        if (!(seconds > 0)) throw new IllegalArgumentException("seconds must be above 0, was " + seconds);
    }
}
