package pemblar.app.planner.demand;

import pemblar.app.frame.page.Shown;
import pemblar.app.season.SeasonEvent.After;
import pemblar.app.season.SeasonEvent.EventDemand;
import pemblar.app.season.SeasonEvent.Unit;
import pemblar.core.sport.Sport;

/** Demands in words. */
final class DemandWords {
    private static final Shown SHOWN = new Shown();

    private DemandWords() {}

    static String state(EventDemand d) {
        String after = d.after() == After.FRESH
                ? "fresh"
                : d.after() == After.WORK
                        ? "after " + Math.round(d.afterAmount() / 1000) + " kJ"
                        : "after " + SHOWN.plain(d.afterAmount() / 3600) + " h";
        return after
                + (d.stage() == 0 ? "" : ", stage " + d.stage())
                + (d.sport() == null ? "" : ", " + SHOWN.word(d.sport()));
    }

    static String amount(Unit unit, Sport sport, double value) {
        if (Double.isNaN(value)) return "–";
        return unit == Unit.SPEED
                ? SHOWN.speed(sport, value)
                : unit == Unit.WATTS ? SHOWN.whole(value) + " W" : SHOWN.decimal(value, 2) + " W/kg";
    }
}
