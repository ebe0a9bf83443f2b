package pemblar.core.adjust;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import pemblar.core.adjust.Situation.Away;
import pemblar.core.adjust.Situation.Reason;
import pemblar.core.adjust.Situation.Target;
import pemblar.core.season.Block.Phase;

/** What days away ask for: before and after them, in them, and in the blocks that follow. */
final class Absence {
    private static final double MOST_FACTOR = 1.15;
    private static final double LEAST_MORE = 1.02;
    private final Room room;
    private final Situation s;
    private final Plan plan;

    Absence(Room room) {
        this.room = room;
        this.s = room.situation();
        this.plan = room.plan();
    }

    /**
     * What falls into days away goes, or its key sessions move behind them; after illness or injury the return is
     * eased.
     */
    List<List<Change>> answers(Away away) {
        List<Change> dropped = new ArrayList<>();
        for (Session p : tooLong(away)) dropped.add(new Change.Drop(p.id()));
        List<List<Change>> all = new ArrayList<>();
        List<Change> eased = eased(away, dropped);
        if (!eased.isEmpty()) all.add(eased);
        List<Change> madeUp = madeUp(away, eased);
        if (madeUp.size() > eased.size()) all.add(madeUp);
        if (away.reason() == Reason.TRAVEL || away.reason() == Reason.WORK) {
            List<Change> moved = moved(away);
            if (!moved.isEmpty() && !moved.equals(eased)) all.add(0, moved);
        }
        return all;
    }

    private List<Session> tooLong(Away away) {
        List<Session> all = Returning.tooLong(away, plan);
        return room.open().stream().filter(all::contains).toList();
    }

    /**
     * With the loading blocks between the return and the taper set anew: each may hold more, by 15 % at most, as far as
     * every limit is kept and chronic load does not come to more than it would have.
     */
    private List<Change> madeUp(Away away, List<Change> eased) {
        if (eased.isEmpty() || s.nextAim().isEmpty()) return eased;
        double wanted = new Foresight(s, plan).effect().chronic();
        LocalDate first = away.last().plusDays(1L + (away.reason().easesReturn() ? away.days() : 0));
        List<Change> changes = new ArrayList<>(eased);
        for (Target block : loading(first)) changes.addAll(mostOf(block, changes, wanted));
        return changes;
    }

    /** Blocks that begin on a day or later, after today, and lie before the taper of the next A event. */
    List<Target> loading(LocalDate first) {
        if (s.nextAim().isEmpty()) return List.of();
        LocalDate taper = s.nextAim().get().day().minusDays(Room.TAPER_DAYS);
        return s.blocks().stream()
                .filter(b -> !b.first().isBefore(first) && b.first().isAfter(s.today()))
                .filter(b -> b.last().isBefore(taper) && b.load() > 0)
                .filter(b -> b.phase() != Phase.TAPER && b.phase() != Phase.RECOVERY)
                .toList();
    }

    /** As much more of a block as every limit and the wanted chronic load leave room for. */
    private List<Change> mostOf(Target block, List<Change> before, double wanted) {
        if (isPossible(block, MOST_FACTOR, before, wanted)) return more(block, MOST_FACTOR);
        double low = 1;
        double high = MOST_FACTOR;
        for (int i = 0; i < 7; i++) {
            double middle = (low + high) / 2;
            if (isPossible(block, middle, before, wanted)) low = middle;
            else high = middle;
        }
        return low < LEAST_MORE ? List.of() : more(block, Room.whole(low));
    }

    private boolean isPossible(Target block, double factor, List<Change> before, double wanted) {
        List<Change> changes = new ArrayList<>(before);
        changes.addAll(more(block, factor));
        return new Foresight(s, Plan.after(s, changes)).effect().chronic() <= wanted && room.keeps(changes);
    }

    private List<Change> more(Target block, double factor) {
        List<Change> changes = new ArrayList<>(List.of(new Change.Retarget(block.first(), block.load() * factor)));
        for (Session p : room.open()) if (block.contains(p.day())) changes.add(new Change.Scale(p.id(), factor));
        return changes;
    }

    private List<Change> moved(Away away) {
        List<Change> changes = new ArrayList<>();
        boolean any = false;
        for (Session p : tooLong(away)) {
            Optional<LocalDate> day = p.isKey() ? around(p, away, changes) : Optional.empty();
            any |= day.isPresent();
            changes.add(day.isPresent() ? Room.move(p.id(), day.get()) : new Change.Drop(p.id()));
        }
        return any ? changes : List.of();
    }

    /** Before the days away, else after them, within 3 days of either end. */
    private Optional<LocalDate> around(Session session, Away away, List<Change> before) {
        List<LocalDate> days = new ArrayList<>();
        for (int i = 1; i <= Room.DAYS_TO_MOVE; i++) days.add(away.first().minusDays(i));
        for (int i = 1; i <= Room.DAYS_TO_MOVE; i++) days.add(away.last().plusDays(i));
        for (LocalDate day : days) {
            if (day.isBefore(s.today()) || !room.isOpenFor(session, day, before)) continue;
            List<Change> changes = new ArrayList<>(before);
            changes.add(Room.move(session.id(), day));
            if (room.keeps(changes)) return Optional.of(day);
        }
        return Optional.empty();
    }

    /**
     * Day by day: what is hard too early becomes easy, and what is too much is scaled down to what the day may hold.
     */
    private List<Change> eased(Away away, List<Change> dropped) {
        List<Change> changes = new ArrayList<>(dropped);
        Plan after = Plan.after(s, changes);
        for (int i = 1; i <= away.days() && away.reason().easesReturn(); i++) {
            LocalDate day = away.last().plusDays(i);
            if (day.isBefore(s.today())) continue;
            List<Session> on = after.sessions().stream()
                    .filter(p -> p.day().equals(day) && !p.pinned())
                    .toList();
            double fixed = after.sessions().stream()
                    .filter(p -> p.day().equals(day) && p.pinned())
                    .mapToDouble(Session::load)
                    .sum();
            double load = on.stream().mapToDouble(p -> eased(away, p)).sum();
            double most = Math.max(0, Returning.most(s, after, away, day) - fixed) * (1 - 1e-9);
            double factor = load > most ? most / load : 1;
            for (Session p : on) ease(away, p, factor, changes);
        }
        return changes;
    }

    private double eased(Away away, Session p) {
        return p.hard() && Returning.isTooEarly(s, away, p.day()) ? p.load() * Room.EASY_SHARE : p.load();
    }

    private void ease(Away away, Session p, double factor, List<Change> changes) {
        boolean tooHard = p.hard() && Returning.isTooEarly(s, away, p.day());
        if (factor < 0.1) changes.add(new Change.Drop(p.id()));
        else if (tooHard)
            changes.add(new Change.Swap(
                    p.id(), p.load() * Room.EASY_SHARE * factor, p.hours() * factor, false, "easy instead"));
        else if (factor < 1) changes.add(new Change.Scale(p.id(), Room.whole(factor)));
    }
}
