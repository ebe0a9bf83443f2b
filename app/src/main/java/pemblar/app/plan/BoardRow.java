package pemblar.app.plan;

import java.time.LocalDate;
import java.util.List;
import pemblar.app.session.Slab;
import pemblar.core.season.Block;

/** A block as a row of the board. */
public record BoardRow(Block block, List<Day> days, Totals totals, Tape tape) {
    /** One day with its slabs. */
    public record Day(LocalDate date, boolean today, boolean past, List<SlabView> slabs) {}

    /** A slab with its drawing in a box of 100 by 30; the width is the length of the session. */
    public record SlabView(Slab slab, String plannedPath, String donePath) {}

    /** Planned and done over the block; widths in percent of the longer of both and the target. */
    public record Totals(double plannedSeconds, double doneSeconds, double plannedLoad, double doneLoad, double hoursPlannedWidth, double hoursDoneWidth,
                         double loadPlannedWidth, double loadDoneWidth, int doneCount) {}

    /** The clock under the days, in a box of 1000 by 34: sessions to scale, and rolling load over 24 and 48 hours. */
    public record Tape(List<Bar> bars, String line24, String line48, double peak24, String peakText, double peakX) {}

    public record Bar(double x, double width, boolean done) {}
}
