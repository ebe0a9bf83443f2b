package pemblar.app.plan.row;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Collection;
import java.util.List;
import pemblar.app.frame.page.Markup;
import pemblar.app.frame.page.Shown;
import pemblar.app.session.Slab;
import pemblar.core.schedule.Rescheduling.Proposal;
import pemblar.core.season.Block;

/**
 * A block as a row of the board.
 *
 * @param planned false for the days between planned blocks
 * @param gaps the hours between hard sessions, in words
 * @param run days in a row without a rest day, in words; null when there are not many
 */
public record BoardRow(
        Block block, boolean planned, List<Day> days, Totals totals, Tape tape, List<Gap> gaps, String run) {
    /** Which day of the block a day is, from 1. */
    public long dayNumber(LocalDate day) {
        return ChronoUnit.DAYS.between(block.first(), day) + 1;
    }

    /**
     * One day with its slabs. @param week rolling load of the seven days up to its end @param note of the day, may be
     * empty
     */
    public record Day(
            LocalDate date,
            boolean today,
            boolean past,
            boolean unavailable,
            String note,
            List<SlabView> slabs,
            double week) {
        public boolean isRest() {
            return slabs.isEmpty();
        }

        public String weekday() {
            return Shown.weekday(date);
        }

        /** What stands for a day without sessions. */
        public String freeOf() {
            if (unavailable) return ("unavailable " + note).strip();
            return note.isEmpty() ? "rest" : "rest, " + note;
        }

        /** @param sharedUntil up to which day the plan is shared; null when it is not */
        public boolean isEdge(LocalDate sharedUntil) {
            return date.equals(sharedUntil);
        }

        /** How it looks: names of styles. */
        public String look(LocalDate sharedUntil) {
            return (today ? "is-today " : "")
                    + (unavailable ? "is-gone " : "")
                    + (isRest() ? "is-rest " : "")
                    + (isEdge(sharedUntil) ? "is-shared-edge" : "");
        }
    }

    /** A slab with its drawing in a box of 100 by 30; the width is the length of the session. */
    public record SlabView(Slab slab, String plannedPath, String donePath) {
        /** The drawing's own elements, without what is not there. */
        public String drawn() {
            Markup drawing = new Markup();
            draw(drawing);
            return drawing.toString();
        }

        void draw(Markup drawing) {
            path(drawing, "done", donePath);
            path(drawing, "planned", plannedPath);
        }

        private static void path(Markup drawing, String kind, String path) {
            if (!path.isEmpty())
                drawing.begin("path").with("class", kind).with("d", path).end();
        }

        /** Time and load as they are read on it. */
        void figures(Markup line, Shown shown, LocalDate today) {
            if (slab.done() == null) open(line, shown, today);
            else done(line, shown);
        }

        private void done(Markup line, Shown shown) {
            line.of("b", shown.duration(slab.done().seconds()));
            if (slab.plannedSeconds() != null) line.words(" of ").of("span", shown.duration(slab.plannedSeconds()));
            line.words(" · ").of("b", shown.whole(slab.done().load()));
            if (!slab.done().recorded()) line.words(" · no recording");
        }

        private void open(Markup line, Shown shown, LocalDate today) {
            line.of("span", shown.duration(slab.plannedSeconds()))
                    .words(" · ")
                    .of("span", shown.whole(slab.plannedLoad()));
            if (slab.scalePercent() != 100) line.words(" · ").of("span", slab.scalePercent() + " %");
            if (slab.sketch()) line.words(" · ").of("span", shown.word(slab.purpose()));
            if (slab.day().isBefore(today) && !slab.draft()) line.words(" · no recording");
            if (slab.draft()) line.words(" · draft");
        }

        /**
         * How it looks: names of styles.
         *
         * @param carried ids of sessions that a proposal has just brought here; null for none
         */
        public String look(LocalDate today, Collection<String> carried) {
            String open = slab.day().isBefore(today) ? "is-open" : "";
            return (slab.done() != null ? "is-done" : open)
                    + (slab.sketch() && !slab.sport().isLifted() ? " is-sketch" : "")
                    + (slab.draft() ? " is-draft" : "")
                    + (carried != null && carried.contains(String.valueOf(slab.id())) ? " is-carried" : "");
        }
    }

    /**
     * Planned and done over the block; widths in percent of the longer of both and the target. @param against what it
     * comes to against the target, in words; empty without one
     */
    public record Totals(
            double plannedSeconds,
            double doneSeconds,
            double plannedLoad,
            double doneLoad,
            double hoursPlannedWidth,
            double hoursDoneWidth,
            double loadPlannedWidth,
            double loadDoneWidth,
            int doneCount,
            String against) {
        /** A width in the meter, which is drawn 140 wide and leaves room for its outline. */
        public double meter(double percent) {
            return 1.39 * percent;
        }
    }

    /** The clock under the days, in a box of 1000 by 34: sessions to scale, and rolling load over 24 and 48 hours. */
    public record Tape(List<Bar> bars, String line24, String line48, double peak24, String peakText, double peakX) {
        /** The bars' own elements; those that can still be moved say where they stand. */
        public String drawn() {
            Markup drawing = new Markup();
            bars.forEach(bar -> bar.draw(drawing));
            return drawing.toString();
        }
    }

    /** @param id of the session that can still be moved, or 0 */
    public record Bar(
            double x, double width, boolean done, boolean hard, boolean uncertain, long id, int version, String label) {
        private void draw(Markup drawing) {
            drawing.begin("rect")
                    .with("y", 24)
                    .with("height", 8)
                    .with(
                            "class",
                            "bar" + (done ? " done" : "") + (hard ? " hard" : "") + (uncertain ? " uncertain" : ""))
                    .with("x", x)
                    .with("width", width);
            if (id > 0)
                drawing.with("data-id", String.valueOf(id))
                        .with("data-version", String.valueOf(version))
                        .with("tabindex", "0")
                        .with("role", "slider")
                        .with("aria-label", label)
                        .with("aria-valuenow", x)
                        .with("aria-valuemin", "0")
                        .with("aria-valuemax", "1000");
            drawing.inside().title(label).close("rect");
        }
    }

    /** From one hard session to the next. */
    public record Gap(String text, boolean near) {}

    /** A session whose day has become unavailable, and where it could go. */
    public record Displaced(Slab slab, List<Proposal> proposals) {}
}
