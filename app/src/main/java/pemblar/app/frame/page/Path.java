package pemblar.app.frame.page;

/**
 * A path of a drawing, point after point, to a hundredth of a unit. A page draws thousands of points: this writes them
 * without the cost of a format.
 */
public final class Path {
    private final StringBuilder text = new StringBuilder();

    /** Begins a line; a path may have several. */
    public Path from(double x, double y) {
        return point('M', x, y);
    }

    public Path to(double x, double y) {
        return point('L', x, y);
    }

    /** On from the last point; the first point of a path begins it. */
    public Path on(double x, double y) {
        return text.isEmpty() ? from(x, y) : to(x, y);
    }

    /** On at the same height. */
    public Path across(double x) {
        text.append('H');
        append(x);
        return this;
    }

    /** Straight up or down. */
    public Path upTo(double y) {
        text.append('V');
        append(y);
        return this;
    }

    /** Back to where the line began. */
    public Path closed() {
        text.append('Z');
        return this;
    }

    public boolean isEmpty() {
        return text.isEmpty();
    }

    private Path point(char letter, double x, double y) {
        text.append(letter);
        append(x);
        text.append(' ');
        append(y);
        return this;
    }

    /** A point as a path writes it, for who writes the letters of their own. */
    public static String at(double x, double y) {
        return figure(x) + ' ' + figure(y);
    }

    /** A number to a hundredth, without trailing zeros. */
    public static String figure(double value) {
        Path path = new Path();
        path.append(value);
        return path.toString();
    }

    private void append(double value) {
        long hundredths = Math.round(value * 100);
        if (hundredths < 0) text.append('-');
        long whole = Math.abs(hundredths);
        text.append(whole / 100);
        int rest = (int) (whole % 100);
        if (rest == 0) return;
        text.append('.').append(rest / 10);
        if (rest % 10 != 0) text.append(rest % 10);
    }

    /** Empty without any point. */
    @Override
    public String toString() {
        return text.toString();
    }
}
