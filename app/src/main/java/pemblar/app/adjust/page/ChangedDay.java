package pemblar.app.adjust.page;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;
import pemblar.app.adjust.AdjustService.Open;
import pemblar.app.adjust.Words;
import pemblar.app.session.Slab;
import pemblar.core.adjust.Change;

/** A day that changes, as it is and as it would be. */
public record ChangedDay(String name, List<Slot> before, List<Slot> after, boolean changed) {
    private static final int MOST_DAYS = 10;

    public record Slot(String title, String figures, boolean changed) {}

    /** The days that changes touch, in order: those of the sessions as they are, and those on which something lands. */
    static TreeSet<LocalDate> touched(Open open, List<Change> changes) {
        TreeSet<LocalDate> days = new TreeSet<>();
        for (Change change : changes) {
            change.touched().map(open.slabs()::get).map(Slab::day).ifPresent(days::add);
            change.landsOn().ifPresent(days::add);
        }
        return days;
    }

    /** The days that changes touch, as they are and as they would be; of many the first ones. */
    static List<ChangedDay> all(Open open, List<Change> changes, LocalDate today) {
        return touched(open, changes).stream()
                .limit(MOST_DAYS)
                .map(day -> new Reading(open, day, changes).day(today))
                .toList();
    }

    /** One day read with some changes. */
    private record Reading(Open open, LocalDate day, List<Change> changes) {
        ChangedDay day(LocalDate today) {
            Map<String, Change> bySession = new HashMap<>();
            for (Change change : changes) change.touched().ifPresent(id -> bySession.put(id, change));
            List<Slot> before = new ArrayList<>();
            List<Slot> after = new ArrayList<>();
            open.slabs().values().stream()
                    .sorted(Comparator.comparing(Slab::day).thenComparing(Slab::id))
                    .forEach(slab -> {
                        Change change = bySession.get(String.valueOf(slab.id()));
                        Slot is = new Slot(slab.title(), figures(slab, 1), change != null);
                        if (slab.day().equals(day)) before.add(is);
                        if (change != null)
                            change.answer(new ChangedSlot(slab, day)).ifPresent(after::add);
                        else if (slab.day().equals(day) && !(isRest() && slab.done() == null)) after.add(is);
                    });
            for (Change change : changes)
                if (change.touched().isEmpty())
                    change.answer(new ChangedSlot(null, day)).ifPresent(after::add);
            String when = day.equals(today) ? ", today" : day.isBefore(today) ? ", over" : "";
            return new ChangedDay(Words.day(day) + when, before, after, !before.equals(after));
        }

        private boolean isRest() {
            return changes.contains(new Change.Rest(day));
        }
    }

    static String figures(Slab slab, double factor) {
        int seconds = slab.plannedSeconds() == null ? slab.longestSeconds() : slab.plannedSeconds();
        double done = slab.done() == null || slab.done().load() == null
                ? 0
                : slab.done().load();
        double load = slab.plannedLoad() == null ? done : slab.plannedLoad();
        return figures(seconds * factor / 3600, load * factor);
    }

    static String figures(double hours, double load) {
        return Math.round(hours * 60) + " min · load " + Math.round(load);
    }
}
