package pemblar.app.ribbon;

import java.time.LocalDate;
import java.util.List;
import pemblar.app.frame.page.Markup;
import pemblar.app.frame.page.Path;
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
    private static final double BRACKET_TOP = 13;

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

    /** The strip as elements; each column leads to its days on the board. */
    public String drawn(long athleteId) {
        Markup svg = new Markup();
        for (Column c : columns) c.draw(svg, "/a/" + athleteId + "/board?from=" + c.first());
        for (Band band : bands) band.draw(svg);
        svg.begin("path").with("class", "chronic").with("d", done).end();
        svg.begin("path").with("class", "chronic ahead").with("d", ahead).end();
        for (Flag flag : flags) flag.draw(svg);
        svg.begin("path").with("class", "now").with("d", "M" + Path.at(todayX - 4.5, 67.5) + "l4.5-7 4.5 7z");
        svg.inside().title("today").close("path");
        bracket(svg);
        return svg.toString();
    }

    private void bracket(Markup svg) {
        svg.begin("g").with("id", "bracket").with("class", "bracket").with("tabindex", "0");
        svg.with("role", "slider").with("aria-label", "Days that the page shows; arrow keys move it");
        svg.with("aria-valuemin", 0)
                .with("aria-valuemax", WIDTH)
                .with("aria-valuenow", bracketX)
                .inside();
        double end = bracketX + bracketWidth;
        svg.begin("path")
                .with("d", "M" + Path.at(bracketX + 4, BRACKET_TOP) + "h-4v56h4")
                .end();
        svg.begin("path")
                .with("d", "M" + Path.at(end - 4, BRACKET_TOP) + "h4v56h-4")
                .end();
        svg.begin("rect").with("x", bracketX).with("width", bracketWidth);
        svg.with("y", BRACKET_TOP).with("height", 56).with("class", "touch").end();
        svg.close("g");
    }

    /** A phase under the columns. */
    public record Band(double x, double width, String text) {
        private void draw(Markup svg) {
            svg.begin("g").with("class", "band").inside();
            svg.begin("line")
                    .with("x1", x)
                    .with("x2", x)
                    .with("y1", 68)
                    .with("y2", 86)
                    .end();
            svg.begin("text")
                    .with("x", x + 4)
                    .with("y", 81)
                    .inside()
                    .words(text)
                    .close("text");
            svg.close("g");
        }
    }

    public record Flag(double x, boolean leftward, String text, Priority priority) {
        private static final double BEFORE = 4;
        private static final double AFTER = 13;

        private void draw(Markup svg) {
            svg.begin("g").with("class", "flag").inside();
            svg.begin("line")
                    .with("x1", x)
                    .with("x2", x)
                    .with("y1", 2)
                    .with("y2", 66)
                    .end();
            svg.begin("path")
                    .with("d", "M" + Path.at(x, 2) + "h9l-2.5 4 2.5 4h-9z")
                    .end();
            svg.begin("text").with("x", leftward ? x - BEFORE : x + AFTER).with("y", 10);
            svg.with("text-anchor", leftward ? "end" : "start")
                    .inside()
                    .words(text)
                    .close("text");
            svg.close("g");
        }
    }
}
