package pemblar.app.adjust;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import pemblar.app.adjust.AdjustService.Open;
import pemblar.app.session.Slab;
import pemblar.app.session.TrendService.Trend;
import pemblar.core.adjust.Adjusting;
import pemblar.core.adjust.Change;
import pemblar.core.adjust.Effect;
import pemblar.core.adjust.Proposal;

/**
 * One proposal in detail: its changes as switches, the days before and after, two forecast lines to the morning that
 * counts, and the figures beside leaving it.
 *
 * @param low the least value of the drawn axis, which does not begin at zero
 */
record ProposalView(
        List<Switch> switches,
        List<Day> days,
        String leaveLine,
        String takeLine,
        List<Tick> ticks,
        String lastDay,
        Effect take,
        Effect leave,
        String price,
        String broken,
        boolean lightly) {
    private static final double WIDTH = 1000;
    private static final double HEIGHT = 150;
    private static final int MOST_DAYS = 10;

    record Switch(int index, String text, boolean on) {}

    /** A day that changes, as it is and as it would be. */
    record Day(String name, List<Slot> before, List<Slot> after, boolean changed) {}

    record Slot(String title, String figures, boolean changed) {}

    record Tick(double at, String text) {}

    static ProposalView of(Open open, Shown shown, Set<Integer> on, Trend trend) {
        List<Change> chosen = AdjustService.chosen(shown, on);
        Proposal preview = Adjusting.preview(open.situation(), shown.proposal().trigger(), chosen);
        List<Switch> switches = new ArrayList<>();
        for (int i = 0; i < shown.lines().size(); i++)
            switches.add(new Switch(i, shown.lines().get(i), on == null || on.contains(i)));
        List<Double> leave = Adjusting.line(open.situation(), List.of());
        List<Double> take = Adjusting.line(open.situation(), chosen);
        double low = Math.floor(Math.min(min(leave), min(take)) - 1);
        double high = Math.ceil(Math.max(max(leave), max(take)) + 1);
        return new ProposalView(
                switches,
                days(open, chosen, trend.today()),
                path(leave, low, high),
                path(take, low, high),
                ticks(low, high),
                Words.day(trend.today().plusDays(Math.max(1L, leave.size() - 1L))),
                preview.effect(),
                shown.leave(),
                Words.price(preview.effect(), shown.leave(), open.morning()),
                Words.broken(preview.breaks(), open.already()),
                chosen.isEmpty());
    }

    private static double min(List<Double> line) {
        return line.stream().mapToDouble(Double::doubleValue).min().orElse(0);
    }

    private static double max(List<Double> line) {
        return line.stream().mapToDouble(Double::doubleValue).max().orElse(1);
    }

    private static String path(List<Double> line, double low, double high) {
        StringBuilder path = new StringBuilder();
        for (int i = 0; i < line.size(); i++)
            path.append(i == 0 ? 'M' : 'L')
                    .append(String.format(
                            Locale.ROOT,
                            "%.1f %.1f",
                            WIDTH * i / Math.max(1, line.size() - 1),
                            HEIGHT - HEIGHT * (line.get(i) - low) / (high - low)));
        return path.toString();
    }

    private static List<Tick> ticks(double low, double high) {
        double step = high - low > 40 ? 20 : high - low > 16 ? 10 : high - low > 6 ? 5 : 2;
        List<Tick> ticks = new ArrayList<>();
        for (double v = Math.ceil(low / step) * step; v <= high; v += step)
            ticks.add(new Tick(HEIGHT - HEIGHT * (v - low) / (high - low), String.valueOf(Math.round(v))));
        return ticks;
    }

    /** The days that a change touches, each as it is and as it would be. */
    private static List<Day> days(Open open, List<Change> changes, LocalDate today) {
        Map<String, Change> bySession = new HashMap<>();
        TreeSet<LocalDate> days = new TreeSet<>();
        for (Change change : changes) {
            String id = session(change);
            if (id != null && open.slabs().containsKey(id)) {
                bySession.put(id, change);
                days.add(open.slabs().get(id).day());
            }
            if (change instanceof Change.Move m) days.add(m.to());
            if (change instanceof Change.Rest r) days.add(r.day());
            if (change instanceof Change.Add a) days.add(a.day());
        }
        List<Day> all = new ArrayList<>();
        for (LocalDate day : days) if (all.size() < MOST_DAYS) all.add(day(open, day, changes, bySession, today));
        return all;
    }

    private static String session(Change change) {
        if (change instanceof Change.Move c) return c.session();
        if (change instanceof Change.Scale c) return c.session();
        if (change instanceof Change.Swap c) return c.session();
        return change instanceof Change.Drop c ? c.session() : null;
    }

    private static Day day(
            Open open, LocalDate day, List<Change> changes, Map<String, Change> bySession, LocalDate today) {
        boolean rest = changes.stream()
                .anyMatch(c -> c instanceof Change.Rest r && r.day().equals(day));
        List<Slot> before = new ArrayList<>();
        List<Slot> after = new ArrayList<>();
        open.slabs().values().stream()
                .sorted(java.util.Comparator.comparing(Slab::day).thenComparing(Slab::id))
                .forEach(slab -> {
                    Change change = bySession.get(String.valueOf(slab.id()));
                    boolean here = slab.day().equals(day);
                    if (here) before.add(new Slot(slab.title(), figures(slab, 1), change != null));
                    boolean gone = change instanceof Change.Drop
                            || rest && here && slab.done() == null
                            || change instanceof Change.Move m && !m.to().equals(day);
                    boolean comes = change instanceof Change.Move m && m.to().equals(day);
                    if (comes || here && !gone) after.add(after(slab, change));
                });
        for (Change change : changes)
            if (change instanceof Change.Add a && a.day().equals(day))
                after.add(
                        new Slot(a.title(), Math.round(a.hours() * 60) + " min · load " + Math.round(a.load()), true));
        return new Day(
                Words.day(day) + (day.equals(today) ? ", today" : day.isBefore(today) ? ", over" : ""),
                before,
                after,
                !before.equals(after));
    }

    private static Slot after(Slab slab, Change change) {
        if (change instanceof Change.Scale s) return new Slot(slab.title(), figures(slab, s.factor()), true);
        if (change instanceof Change.Swap s)
            return new Slot(s.title(), Math.round(s.hours() * 60) + " min · load " + Math.round(s.load()), true);
        return new Slot(slab.title(), figures(slab, 1), change != null);
    }

    private static String figures(Slab slab, double factor) {
        long minutes = Math.round(
                (slab.plannedSeconds() == null ? slab.longestSeconds() : slab.plannedSeconds()) * factor / 60);
        double load = slab.plannedLoad() == null
                ? slab.done() == null || slab.done().load() == null
                        ? 0
                        : slab.done().load()
                : slab.plannedLoad();
        return minutes + " min · load " + Math.round(load * factor);
    }
}
