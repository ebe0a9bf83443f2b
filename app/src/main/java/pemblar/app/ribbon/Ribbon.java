package pemblar.app.ribbon;

import java.time.LocalDate;
import java.util.List;
import pemblar.app.frame.page.Markup;
import pemblar.core.season.Priority;

/**
 * The season's strip, ready to draw in a box of {@link #WIDTH} by {@link #HEIGHT}.
 *
 * @param done path of the chronic load up to today; {@code ahead} goes on from there
 * @param bracketX where the stretch that the page shows begins
 */
public record Ribbon(
        List<Column> columns,
        List<Band> bands,
        List<Flag> flags,
        String done,
        String ahead,
        double todayX,
        double bracketX,
        double bracketWidth) {
    public static final double WIDTH = 1232;
    public static final double HEIGHT = 88;
    static final double FLOOR = 66;
    static final double CEILING = 14;

    /** One block. Heights are load per day; {@code over} is what was done beyond the plan. */
    public record Column(
            double x,
            double width,
            double plannedY,
            double plannedHeight,
            double doneY,
            double doneHeight,
            double overY,
            double overHeight,
            LocalDate first,
            LocalDate last,
            String label) {
        private static final double TOP = 12;
        private static final double TOUCHED = 56;

        private void draw(Markup svg, String address) {
            svg.begin("a").with("href", address).with("class", "column").with("aria-label", label);
            svg.with("data-x", x).with("data-w", width).with("tabindex", "-1").inside();
            svg.title(label);
            rect(svg, "touch", TOP, TOUCHED);
            rect(svg, "done", doneY, doneHeight);
            if (overHeight > 0) rect(svg, "over", overY, overHeight);
            rect(svg, "planned", plannedY, plannedHeight);
            svg.close("a");
        }

        private void rect(Markup svg, String kind, double y, double height) {
            svg.begin("rect").with("class", kind).with("x", x).with("width", width);
            svg.with("y", y).with("height", height).end();
        }
    }

    /** The columns as elements; each leads to its days on the board. */
    public String drawn(long athleteId) {
        Markup svg = new Markup();
        for (Column c : columns) c.draw(svg, "/a/" + athleteId + "/board?from=" + c.first());
        return svg.toString();
    }

    /** A phase under the columns. */
    public record Band(double x, double width, String text) {}

    public record Flag(double x, boolean leftward, String text, Priority priority) {}
}
