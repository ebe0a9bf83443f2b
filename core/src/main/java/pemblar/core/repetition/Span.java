package pemblar.core.repetition;

/** Grid seconds [from, to). */
public record Span(int from, int to) {
    public Span {
        if (from < 0 || to <= from)
            throw new IllegalArgumentException("to must be after from, was " + from + ".." + to);
    }

    public int seconds() {
        return to - from;
    }
}
