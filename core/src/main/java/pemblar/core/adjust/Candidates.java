package pemblar.core.adjust;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import pemblar.core.adjust.Situation.Behind;
import pemblar.core.adjust.Situation.Coming;
import pemblar.core.adjust.Situation.Target;
import pemblar.core.season.Block.Phase;
import pemblar.core.season.Priority;

/** Candidate changes for each trigger, by rule. Whether one helps and what it breaks is decided afterwards. */
final class Candidates {
    private static final double TAPER_SHARE = 0.5;
    private static final double MUCH_OVER = 1.2;
    private final Room room;
    private final Situation s;
    private final Plan plan;

    Candidates(Situation s, List<Trigger> triggers) {
        this.room = new Room(s, triggers);
        this.s = s;
        this.plan = room.plan();
    }

    List<List<Change>> of(Trigger trigger) {
        return switch (trigger.kind()) {
            case MISSED -> missed(trigger.sessions());
            case GAP -> gap(trigger.sessions());
            case LOW_BALANCE, OVER -> new Lighter(room).all();
            case BODY -> rest();
            case AWAY ->
                s.away().stream()
                        .flatMap(a -> new Absence(room).answers(a).stream())
                        .toList();
            case WEATHER -> weather(trigger.sessions());
            case STRENGTH -> strength(trigger.sessions());
            case EVENT -> event();
            case READY -> List.of(List.of());
            case CUT, THRESHOLD, RUNNING_OUT -> List.of();
        };
    }

    /**
     * A key session moves to the first of today and the 3 days after it that keeps every limit; an easy one is let go.
     */
    private List<List<Change>> missed(List<String> ids) {
        List<List<Change>> all = new ArrayList<>();
        for (Behind b : s.behind())
            if (ids.contains(b.planned().id()) && b.planned().isKey())
                place(b.planned(), s.today())
                        .ifPresent(day -> all.add(List.of(Room.move(b.planned().id(), day))));
        return all;
    }

    /** Of a whole week missed only the most important session comes back, if any: the rest is not made up. */
    private List<List<Change>> gap(List<String> ids) {
        return s.behind().stream()
                .filter(b -> ids.contains(b.planned().id()) && b.planned().isKey())
                .map(Behind::planned)
                .sorted(Comparator.comparing((Session p) -> !p.hard())
                        .thenComparing(p -> -p.load())
                        .thenComparing(Session::id))
                .map(p -> place(p, s.today()).map(day -> List.<Change>of(Room.move(p.id(), day))))
                .flatMap(Optional::stream)
                .limit(1)
                .toList();
    }

    /** The first day from {@code from} on that takes a session without breaking what is not broken already. */
    private Optional<LocalDate> place(Session session, LocalDate from) {
        for (int i = 0; i <= Room.DAYS_TO_MOVE; i++) {
            LocalDate day = from.plusDays(i);
            if (room.isOpenFor(session, day) && room.keeps(List.of(Room.move(session.id(), day))))
                return Optional.of(day);
        }
        return Optional.empty();
    }

    /** Today rest or lighter, and hard sessions wait until two mornings can be in band again. */
    private List<List<Change>> rest() {
        List<Session> today =
                room.open().stream().filter(p -> p.day().equals(s.today())).toList();
        List<Change> waiting = new ArrayList<>();
        for (Session hard : room.open())
            if (hard.hard()
                    && hard.day().isAfter(s.today())
                    && hard.day().isBefore(s.today().plusDays(Room.WAIT_DAYS))) waiting.add(later(hard, waiting));
        List<List<Change>> all = new ArrayList<>();
        if (!today.isEmpty()) {
            List<Change> rest = new ArrayList<>(List.of(new Change.Rest(s.today())));
            rest.addAll(waiting);
            List<Change> light = new ArrayList<>();
            for (Session p : today) light.add(p.hard() ? Room.easier(p) : new Change.Scale(p.id(), Room.EASY_SHARE));
            light.addAll(waiting);
            all.add(isIll() ? rest : light);
            all.add(isIll() ? light : rest);
        } else if (!waiting.isEmpty()) {
            all.add(waiting);
        }
        return all;
    }

    private boolean isIll() {
        return s.checkins().stream()
                .anyMatch(c -> !c.day().isBefore(s.today().minusDays(1))
                        && !c.day().isAfter(s.today())
                        && !(c.illness().isBlank() && c.injury().isBlank()));
    }

    /** To the first day after the wait that keeps every limit, else easy on its own day. */
    private Change later(Session hard, List<Change> before) {
        for (int i = Room.WAIT_DAYS; i <= Room.WAIT_DAYS + Room.DAYS_TO_MOVE; i++) {
            LocalDate day = s.today().plusDays(i);
            if (!room.isOpenFor(hard, day, before)) continue;
            List<Change> changes = new ArrayList<>(before);
            changes.add(Room.move(hard.id(), day));
            if (room.keeps(changes)) return Room.move(hard.id(), day);
        }
        return Room.easier(hard);
    }

    /**
     * Each session goes to the nearest day with better weather that keeps every limit, else it is let go; or all are.
     */
    private List<List<Change>> weather(List<String> ids) {
        List<Change> moved = new ArrayList<>();
        List<Change> dropped = new ArrayList<>();
        for (Session p : room.open()) {
            if (!ids.contains(p.id())) continue;
            dropped.add(new Change.Drop(p.id()));
            moved.add(better(p, moved).map(day -> Room.move(p.id(), day)).orElse(new Change.Drop(p.id())));
        }
        if (dropped.isEmpty()) return List.of();
        return moved.equals(dropped) ? List.of(dropped) : List.of(moved, dropped);
    }

    private Optional<LocalDate> better(Session session, List<Change> before) {
        for (int i : new int[] {1, -1, 2, -2, 3, -3}) {
            LocalDate day = session.day().plusDays(i);
            if (day.isBefore(s.today()) || s.isForbidden(day) || !room.isOpenFor(session, day, before)) continue;
            List<Change> changes = new ArrayList<>(before);
            changes.add(Room.move(session.id(), day));
            if (room.keeps(changes)) return Optional.of(day);
        }
        return Optional.empty();
    }

    /** The leg work goes to a day that leaves 24 h, or the hard session a day on; else the leg work is let go. */
    private List<List<Change>> strength(List<String> ids) {
        List<List<Change>> all = new ArrayList<>();
        Session legs = session(ids.get(0));
        Session hard = session(ids.get(1));
        if (!legs.pinned()) {
            for (int i : new int[] {-1, 1, -2, 2, 3})
                if (parts(legs, legs.day().plusDays(i))) {
                    all.add(List.of(Room.move(legs.id(), legs.day().plusDays(i))));
                    break;
                }
        }
        if (!hard.pinned() && parts(hard, hard.day().plusDays(1)))
            all.add(List.of(Room.move(hard.id(), hard.day().plusDays(1))));
        if (!legs.pinned()) all.add(List.of(new Change.Drop(legs.id())));
        return all;
    }

    private Session session(String id) {
        return plan.sessions().stream()
                .filter(p -> p.id().equals(id))
                .findFirst()
                .orElseThrow();
    }

    /** On that day no heavy leg work is within 24 h before anything hard any more. */
    private boolean parts(Session session, LocalDate day) {
        if (day.isBefore(s.today()) || !room.isOpenFor(session, day)) return false;
        List<Change> changes = List.of(Room.move(session.id(), day));
        Plan after = Plan.after(s, changes);
        boolean apart = after.sessions().stream()
                .filter(Session::legs)
                .noneMatch(l -> after.sessions().stream()
                        .anyMatch(h -> (l.id().equals(session.id()) || h.id().equals(session.id()))
                                && Triggers.isTooSoon(l, h)));
        return apart && room.keeps(changes);
    }

    /** It lies in a taper whose sessions come to about its target: they were planned for it. */
    private boolean isLightAlready(Session p) {
        return s.blocks().stream()
                .filter(b -> b.phase() == Phase.TAPER && b.contains(p.day()))
                .anyMatch(b -> plan.sessions().stream()
                                .filter(x -> b.contains(x.day()))
                                .mapToDouble(Session::load)
                                .sum()
                        <= b.load() * MUCH_OVER);
    }

    /**
     * The last two weeks before an A event at half of the loading block before, what was a taper elsewhere at its
     * level; sessions are scaled with their block.
     */
    private List<List<Change>> event() {
        Optional<Coming> moved = s.events().stream()
                .filter(c -> c.event().priority() == Priority.A
                        && (c.movedFrom().isPresent() || c.added())
                        && c.event().day().isAfter(s.today()))
                .findFirst();
        if (moved.isEmpty()) return List.of();
        LocalDate day = moved.get().event().day();
        LocalDate taper = day.minusDays(Room.TAPER_DAYS);
        Optional<Target> loading = s.blocks().stream()
                .filter(b -> b.first().isBefore(taper)
                        && b.phase() != Phase.TAPER
                        && b.phase() != Phase.RECOVERY
                        && b.load() > 0)
                .max(Comparator.comparing(Target::first));
        List<Change> changes = new ArrayList<>();
        for (Target block : s.blocks()) {
            if (!block.first().isAfter(s.today())) continue;
            boolean inTaper = !block.first().isBefore(taper) && block.first().isBefore(day);
            double wanted = loading.map(l -> l.load() / l.days() * block.days() * (inTaper ? TAPER_SHARE : 1))
                    .orElse(block.load());
            boolean changesPhase = inTaper && block.load() > wanted * MUCH_OVER
                    || !inTaper
                            && block.phase() == Phase.TAPER
                            && block.last().isBefore(taper)
                            && block.load() < wanted * 0.8;
            if (changesPhase) changes.add(new Change.Retarget(block.first(), wanted));
        }
        for (Session p : room.open()) {
            boolean inTaper =
                    !p.day().isBefore(taper) && p.day().isBefore(day) && p.day().isAfter(s.today());
            boolean was = moved.get()
                    .movedFrom()
                    .filter(from -> !p.day().isBefore(from.minusDays(Room.TAPER_DAYS))
                            && p.day().isBefore(from))
                    .isPresent();
            if (inTaper && !was && !isLightAlready(p)) changes.add(new Change.Scale(p.id(), TAPER_SHARE));
        }
        return changes.isEmpty() ? List.of() : List.of(changes);
    }
}
