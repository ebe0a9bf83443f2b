package pemblar.app.zones;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import pemblar.app.frame.page.Shown;
import pemblar.core.sport.Measure;
import pemblar.core.sport.Sport;
import pemblar.core.zone.ZoneScheme;
import pemblar.core.zone.ZoneScheme.Reference;
import pemblar.core.zone.ZoneSet;
import pemblar.core.zone.Zones;

/** A zone set as a page shows it; the address part says which set it is. */
public record ZoneView(String title, String address, List<Line> lines) {
    /** One zone; {@code percents} are of the reference, empty for absolute zones. */
    public record Line(int number, String name, String percents, String range) {}

    /** What a set is for, and how pages call it. */
    public record Kind(String title, Sport sport, Measure measure) {
        public String address() {
            return "sport=" + sport + "&measure=" + measure;
        }
    }

    static List<Kind> kinds(Collection<Sport> sports) {
        return sports.stream()
                .flatMap(sport -> sport.measures().stream()
                        .map(measure -> new Kind(measure.title(sport) + ", " + sport.doing(), sport, measure)))
                .toList();
    }

    /** All sets of an athlete that can be shown with the values of a day. */
    static List<ZoneView> all(Collection<Sport> sports, Zones zones) {
        List<ZoneView> views = new ArrayList<>();
        for (Kind kind : kinds(sports))
            zones.of(kind.measure(), kind.sport())
                    .ifPresent(set -> views.add(
                            of(kind, zones.scheme(kind.measure(), kind.sport()).orElseThrow(), set)));
        return views;
    }

    static ZoneView of(Kind kind, ZoneScheme scheme, ZoneSet set) {
        List<Line> lines = new ArrayList<>();
        for (int zone = 1; zone <= set.count(); zone++)
            lines.add(new Line(
                    zone,
                    set.names().get(zone - 1),
                    scheme.reference() == Reference.ABSOLUTE ? "" : percents(set, zone),
                    range(set, kind.sport(), zone)));
        return new ZoneView(kind.title(), kind.address(), lines);
    }

    private static String percents(ZoneSet set, int zone) {
        if (zone == 1) return "under " + Math.round(set.percents().get(0)) + " %";
        if (zone == set.count()) return Math.round(set.percents().get(zone - 2)) + " % and over";
        return Math.round(set.percents().get(zone - 2)) + "–"
                + Math.round(set.percents().get(zone - 1)) + " %";
    }

    /** Ends of a zone in the unit people read; whole watts and beats. */
    public static String range(ZoneSet set, Sport sport, int zone) {
        boolean pace = set.measure() == Measure.SPEED;
        String unit = " " + Shown.unit(set.measure(), sport);
        if (zone == 1) return (pace ? "slower than " : "under ") + shown(set, sport, set.ceilingOf(1)) + unit;
        if (zone == set.count())
            return shown(set, sport, set.floorOf(zone)) + unit + (pace ? " and faster" : " and over");
        return shown(set, sport, set.floorOf(zone)) + "–" + shown(set, sport, set.ceilingOf(zone)) + unit;
    }

    private static String shown(ZoneSet set, Sport sport, double value) {
        return set.measure() == Measure.SPEED ? Shown.speedFigure(sport, value) : String.valueOf(Math.round(value));
    }
}
