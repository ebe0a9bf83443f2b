package pemblar.core.model;

/** One all-out effort: the mean power, W, held over some seconds. */
public record Effort(double seconds, double watts) {
    public Effort {
        if (!(seconds > 0 && seconds <= 172_800))
            throw new IllegalArgumentException("seconds must be in (0, 172800], was " + seconds);
        if (!(watts > 0 && watts < 5000))
            throw new IllegalArgumentException("watts must be in (0, 5000), was " + watts);
    }

    public double joules() {
        return seconds * watts;
    }
}
