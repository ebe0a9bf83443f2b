package pemblar.core.recording;

/**
 * A stretch of the grid between two presses of the lap key.
 *
 * @param from first grid second
 * @param to the grid second after the last
 * @param stepIndex index of the workout step that the device was on; {@link #NO_STEP} when it did not say
 */
public record Lap(int from, int to, int stepIndex) {
    public static final int NO_STEP = -1;

    public Lap {
        if (from < 0 || to < from)
            throw new IllegalArgumentException("lap must run forward from 0, was " + from + ".." + to);
        if (stepIndex < NO_STEP) throw new IllegalArgumentException("stepIndex must be at least -1, was " + stepIndex);
    }

    public int seconds() {
        return to - from;
    }
}
