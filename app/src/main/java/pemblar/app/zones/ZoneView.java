package pemblar.app.zones;

import java.util.ArrayList;
import java.util.List;
import pemblar.core.Sport;
import pemblar.core.workout.Pace;
import pemblar.core.zone.ZoneScheme;
import pemblar.core.zone.ZoneScheme.Reference;
import pemblar.core.zone.ZoneSet;
import pemblar.core.zone.ZoneSet.Measure;
import pemblar.core.zone.Zones;

/** A zone set as a page shows it; the address part says which set it is. */
public record ZoneView(String title, String address, List<Line> lines) {
    /** One zone; {@code percents} are of the reference, empty for absolute zones. */
    public record Line(int number, String name, String percents, String range) {}

    /** What a set is for, and how pages call it. */
    record Kind(String title, Sport sport, Measure measure) {
        public String address() {
            return "sport=" + sport + "&measure=" + measure;
        }
    }

    static List<Kind> kinds(Sport sport) {
        List<Kind> kinds = new ArrayList<>();
        if (sport != Sport.RUN) {
            kinds.add(new Kind("Power, riding", Sport.RIDE, Measure.POWER));
            kinds.add(new Kind("Heart rate, riding", Sport.RIDE, Measure.HEART_RATE));
        }
        if (sport != Sport.RIDE) {
            kinds.add(new Kind("Heart rate, running", Sport.RUN, Measure.HEART_RATE));
            kinds.add(new Kind("Pace, running", Sport.RUN, Measure.SPEED));
            kinds.add(new Kind("Power, running", Sport.RUN, Measure.POWER));
        }
        return kinds;
    }

    /** All sets of an athlete that can be shown with the values of a day. */
    static List<ZoneView> all(Sport sport, Zones zones) {
        List<ZoneView> views = new ArrayList<>();
        for (Kind kind : kinds(sport))
            zones.of(kind.measure(), kind.sport()).ifPresent(set -> views.add(of(kind, zones.scheme(kind.measure(), kind.sport()).orElseThrow(), set)));
        return views;
    }

    static ZoneView of(Kind kind, ZoneScheme scheme, ZoneSet set) {
        List<Line> lines = new ArrayList<>();
        for (int zone = 1; zone <= set.count(); zone++)
            lines.add(new Line(zone, set.names().get(zone - 1), scheme.reference() == Reference.ABSOLUTE ? "" : percents(set, zone), range(set, zone)));
        return new ZoneView(kind.title(), kind.address(), lines);
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
