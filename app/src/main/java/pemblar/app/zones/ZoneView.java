package pemblar.app.zones;

import java.util.ArrayList;
import java.util.List;
import pemblar.core.workout.Pace;
import pemblar.core.zone.ZoneSet;
import pemblar.core.zone.ZoneSet.Measure;

/** A zone set as a page shows it. */
public record ZoneView(String title, List<Line> lines) {
    /** One zone; {@code percents} are of the reference. */
    public record Line(int number, String name, String percents, String range) {}

    static ZoneView of(String title, ZoneSet set) {
        List<Line> lines = new ArrayList<>();
        for (int zone = 1; zone <= set.count(); zone++) lines.add(new Line(zone, set.names().get(zone - 1), percents(set, zone), range(set, zone)));
        return new ZoneView(title, lines);
    }

    private static String percents(ZoneSet set, int zone) {
        if (zone == 1) return "under " + Math.round(set.percents().get(0)) + " %";
        if (zone == set.count()) return Math.round(set.percents().get(zone - 2)) + " % and over";
        return Math.round(set.percents().get(zone - 2)) + "–" + Math.round(set.percents().get(zone - 1)) + " %";
    }

    /** Ends of a zone in the unit people read; whole watts and beats. */
    public static String range(ZoneSet set, int zone) {
        if (zone == 1) return (set.measure() == Measure.SPEED ? "slower than " : "under ") + shown(set, set.ceilingOf(1)) + unit(set);
        if (zone == set.count()) return shown(set, set.floorOf(zone)) + unit(set) + (set.measure() == Measure.SPEED ? " and faster" : " and over");
        return shown(set, set.floorOf(zone)) + "–" + shown(set, set.ceilingOf(zone)) + unit(set);
    }

    private static String shown(ZoneSet set, double value) {
        return set.measure() == Measure.SPEED ? Pace.clock(1000 / value) : String.valueOf(Math.round(value));
    }

    private static String unit(ZoneSet set) {
        return set.measure() == Measure.SPEED ? " /km" : set.measure() == Measure.POWER ? " W" : " bpm";
    }
}
