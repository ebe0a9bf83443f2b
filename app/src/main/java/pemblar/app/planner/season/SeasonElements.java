package pemblar.app.planner.season;

import java.util.List;
import pemblar.app.frame.page.Markup;
import pemblar.app.frame.page.Shown;
import pemblar.app.planner.season.SeasonDrawing.Band;
import pemblar.app.planner.season.SeasonDrawing.Bar;
import pemblar.app.planner.season.SeasonDrawing.Column;
import pemblar.app.planner.season.SeasonDrawing.Tick;

/** The parts of the opened season of which there are many, as elements. */
final class SeasonElements {
    private static final double LEFT = 46;
    private static final double RIGHT = 1224;
    /** A figure needs this much of a block's width. */
    private static final double ROOM_FOR_FIGURE = 24;

    private final Markup svg = new Markup();

    /** Lines across, each with its figure before it. */
    SeasonElements across(List<Tick> ticks) {
        for (Tick t : ticks) {
            svg.begin("line").with("x1", LEFT).with("x2", RIGHT).with("y1", t.at());
            svg.with("y2", t.at()).end();
            svg.begin("text").with("x", 40).with("text-anchor", "end").with("y", t.at() + 4);
            svg.inside().words(t.text()).close("text");
        }
        return this;
    }

    SeasonElements months(List<Tick> ticks) {
        for (Tick t : ticks) {
            upright(t.at(), 40, 578);
            svg.begin("text").with("y", 592).with("x", t.at() + 3).inside();
            svg.words(t.text()).close("text");
        }
        return this;
    }

    SeasonElements blocks(List<Column> columns, Shown shown) {
        for (Column c : columns) {
            svg.begin("g").with("class", c.block().easy() ? "season-block is-easy" : "season-block");
            svg.inside().title(c.label());
            rect("planned-fill", c.x(), c.width()).from(c.plannedY(), c.plannedHeight());
            rect("done", c.x(), c.width()).from(c.doneY(), c.doneHeight());
            rect("target", c.x(), c.width()).from(c.targetY(), c.targetHeight());
            if (c.width() > ROOM_FOR_FIGURE) figure(c, shown);
            if (c.block().pinned()) pin(c);
            svg.close("g");
        }
        return this;
    }

    private void figure(Column c, Shown shown) {
        svg.begin("text").with("class", "figure").with("text-anchor", "middle");
        svg.with("x", c.x() + c.width() / 2).with("y", c.targetY() - 6).inside();
        svg.words(shown.whole(c.figure())).close("text");
    }

    private void pin(Column c) {
        String place = "translate(" + (c.x() + c.width() / 2 - 4) + " " + (c.targetY() + 6) + ")";
        svg.begin("path").with("class", "pin-mark").with("transform", place);
        svg.with("d", "M2 0h6l-1 5 2 3H5.6L5 14l-.6-6H1l2-3z").end();
    }

    /** What a block is pulled by: its top for the load, its right edge for the days. */
    SeasonElements handles(List<Column> columns, Shown shown) {
        for (Column c : columns) {
            svg.begin("g").inside();
            if (c.movable()) top(c, shown);
            if (c.edge()) edge(c);
            svg.close("g");
        }
        return this;
    }

    private void top(Column c, Shown shown) {
        svg.begin("g").with("class", "top-handle").with("tabindex", "0").with("role", "slider");
        svg.with("data-first", c.block().first().toString()).with("data-load", Double.toString(c.figure()));
        svg.with("data-days", c.block().days()).with("data-y", Double.toString(c.targetY()));
        svg.with("aria-valuenow", shown.whole(c.figure()));
        svg.with("aria-label", "Load of " + c.block().name() + ", " + c.block().first());
        svg.with("aria-valuemin", 0).with("aria-valuemax", 5000).inside();
        rect("touch", c.x(), c.width()).from(c.targetY() - 7, 14);
        svg.begin("line").with("x1", c.x() + 3).with("x2", c.right() - 3);
        svg.with("y1", c.targetY()).with("y2", c.targetY()).end();
        svg.close("g");
    }

    private void edge(Column c) {
        svg.begin("g").with("class", "edge-handle").with("tabindex", "0").with("role", "slider");
        svg.with("data-first", c.block().first().toString());
        svg.with("data-last", c.block().last().toString()).with("data-x", Double.toString(c.right()));
        svg.with("aria-valuenow", c.block().days());
        svg.with("aria-label", "Days of " + c.block().name() + ", " + c.block().first());
        svg.with("aria-valuemin", 3).with("aria-valuemax", 28).inside();
        rect("touch", c.right() - 4, 9).from(150, 64);
        upright(c.right() + 0.75, 176, 214);
        svg.close("g");
    }

    /** The phases under the blocks. */
    SeasonElements bands(List<Band> bands) {
        for (Band b : bands) {
            svg.begin("g").with("class", "band").inside();
            upright(b.x(), 214, 236);
            svg.begin("text").with("y", 230).with("x", b.x() + 4).inside().words(b.text());
            svg.close("text").close("g");
        }
        return this;
    }

    SeasonElements hours(List<Bar> bars) {
        for (Bar h : bars) {
            svg.begin("g").inside();
            rect("done", h.x(), h.width()).from(h.doneY(), h.doneHeight());
            rect(h.over() ? "target over-hours" : "target", h.x(), h.width()).from(h.plannedY(), h.plannedHeight());
            svg.close("g");
        }
        return this;
    }

    private SeasonElements rect(String kind, double x, double width) {
        svg.begin("rect").with("class", kind).with("x", x).with("width", width);
        return this;
    }

    private void from(double y, double height) {
        svg.with("y", y).with("height", height).end();
    }

    private void upright(double x, double top, double bottom) {
        svg.begin("line")
                .with("x1", x)
                .with("x2", x)
                .with("y1", top)
                .with("y2", bottom)
                .end();
    }

    @Override
    public String toString() {
        return svg.toString();
    }
}
