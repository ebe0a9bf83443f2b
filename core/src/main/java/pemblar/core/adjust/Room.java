package pemblar.core.adjust;

import java.time.LocalDate;
import java.util.List;
import java.util.OptionalInt;
import pemblar.core.adjust.Situation.Target;
import pemblar.core.season.Block.Phase;

/** What the days ahead have room for: whether a session may go to a day, and whether changes keep the limits. */
final class Room {
    static final int DAYS_TO_MOVE = 3;
    static final double EASY_SHARE = 0.6;
    static final int WAIT_DAYS = 2;
    static final int WEEK = 7;
    static final int TAPER_DAYS = 14;
    /** Sessions are scaled in whole percents, down. */
    private static final double PERCENT = 100;

    private final Situation s;
    private final Plan plan;
    private final Breaches now;
    private final boolean strained;

    Room(Situation s, List<Trigger> triggers) {
        this.s = s;
        this.plan = Plan.of(s);
        this.now = new Breaches(s, plan);
        this.strained = triggers.stream().anyMatch(t -> t.kind() == Trigger.Kind.BODY);
    }

    Situation situation() {
        return s;
    }

    /** The plan as it is. */
    Plan plan() {
        return plan;
    }

    /** Every limit is kept, or broken by no more than it is already and nowhere else. */
    boolean keeps(List<Change> changes) {
        Breaches after = new Breaches(s, Plan.after(s, changes));
        return after.beyond(now).isEmpty() && !after.hasLegsTooSoonBeyond(now);
    }

    boolean isOpenFor(Session session, LocalDate day) {
        return isOpenFor(session, day, List.of());
    }

    /**
     * After some changes: not away, no event's day, not just before an A event nor on the eve of a B event, nothing key
     * in a taper or recovery, nothing hard while the body is strained.
     */
    boolean isOpenFor(Session session, LocalDate day, List<Change> before) {
        if (s.isEventDay(day) || s.awayOn(day).isPresent()) return false;
        Plan changed = before.isEmpty() ? plan : Plan.after(s, before);
        if (isFull(session, day, changed) || !hasTime(session, day, changed)) return false;
        if (strained && session.isKey() && day.isBefore(s.today().plusDays(WAIT_DAYS))) return false;
        boolean easyBlock = s.blocks().stream()
                .anyMatch(b -> b.contains(day) && (b.phase() == Phase.TAPER || b.phase() == Phase.RECOVERY));
        boolean returning = s.away().stream()
                .anyMatch(a -> session.hard() && Returning.isTooEarly(s, a, day)
                        || Returning.most(s, plan, a, day) < session.load());
        return !(session.isKey() && (easyBlock || s.isKeptFresh(day))) && !returning;
    }

    private boolean hasTime(Session session, LocalDate day, Plan changed) {
        if (s.limits().weekdayHours().isEmpty() || day.equals(session.day())) return true;
        double taken = changed.sessions().stream()
                .filter(p -> p.day().equals(day) && !p.id().equals(session.id()))
                .mapToDouble(Session::hours)
                .sum();
        return taken + session.hours() <= s.limits().hoursOf(day) + 1e-9;
    }

    /** With this session, which comes from elsewhere, the block of that day would be over its target. */
    private boolean isFull(Session session, LocalDate day, Plan changed) {
        return s.blocks().stream()
                .filter(b -> b.load() > 0 && b.contains(day) && !b.contains(session.day()))
                .anyMatch(b -> Excess.isTooMuch(b, planned(b, session, changed) + session.load()));
    }

    /** What is done in a block and ahead in it, without a session. */
    private double planned(Target block, Session without, Plan changed) {
        return block.done().orElse(0)
                + changed.sessions().stream()
                        .filter(p -> block.contains(p.day()) && !p.id().equals(without.id()))
                        .mapToDouble(Session::load)
                        .sum();
    }

    List<Session> open() {
        return plan.sessions().stream().filter(p -> !p.pinned()).toList();
    }

    static Change move(String id, LocalDate day) {
        return new Change.Move(id, day, OptionalInt.empty());
    }

    static Change easier(Session session) {
        return new Change.Swap(session.id(), session.load() * EASY_SHARE, session.hours(), false, "easy instead");
    }

    static double whole(double factor) {
        return Math.floor(PERCENT * factor + 1e-9) / PERCENT;
    }
}
