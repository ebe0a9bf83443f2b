package pemblar.app.frame.health;

/**
 * Figures in the text form of Prometheus, version 0.0.4: each name with what it means and of what type it is, then a
 * line for each of its values.
 */
final class FigureText {
    private final StringBuilder text = new StringBuilder();

    /** @param meaning goes on where the name ends */
    FigureText named(String name, String type, String meaning) {
        text.append("# HELP ").append(name).append(' ').append(meaning).append('\n');
        text.append("# TYPE ").append(name).append(' ').append(type).append('\n');
        return this;
    }

    FigureText value(String name, Number value) {
        text.append(name).append(' ').append(value).append('\n');
        return this;
    }

    /** Letters of the label that the form sets apart are written as it asks. */
    FigureText value(String name, String label, String of, Number value) {
        String written = of.replace("\\", "\\\\").replace("\"", "\\\"").replace("\n", "\\n");
        text.append(name).append('{').append(label).append("=\"").append(written);
        text.append("\"} ").append(value).append('\n');
        return this;
    }

    /** A name with one value, as it is now. */
    FigureText gauge(String name, String meaning, Number value) {
        return named(name, "gauge", meaning).value(name, value);
    }

    FigureText add(FigureText more) {
        text.append(more.text);
        return this;
    }

    @Override
    public String toString() {
        return text.toString();
    }
}
