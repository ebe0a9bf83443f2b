package pemblar.core.adjust;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import pemblar.core.adjust.Situation.Away;
import pemblar.core.adjust.Situation.Behind;
import pemblar.core.adjust.Situation.Coming;
import pemblar.core.adjust.Situation.Reason;
import pemblar.core.adjust.Situation.Target;
import pemblar.core.season.Block.Phase;
import pemblar.core.season.Priority;

/** Candidate changes for each trigger, by rule. Whether one helps and what it breaks is decided afterwards. */
final class Candidates {
    private static final int DAYS_TO_MOVE = 3;
    private static final double EASY_SHARE = 0.6;
    private static final int WAIT_DAYS = 2;
    private static final int MOST_ROUNDS = 40;
    private static final double LEAST_FACTOR = 0.2;
    private static final double MOST_FACTOR = 1.15;
    private static final double LEAST_MORE = 1.02;
    /** Sessions are scaled in whole percents, down. */
    private static final double PERCENT = 100;

    private static final int WEEK = 7;
    private static final int FRESH_DAYS = 3;
    private static final int TAPER_DAYS = 14;
    private static final double TAPER_SHARE = 0.5;
    private static final double MUCH_OVER = 1.2;
    private final Situation s;
    private final Plan plan;
    private final Set<Broken> now;
    private final boolean strained;

    Candidates(Situation s, List<Trigger> triggers) {
        this.s = s;
        this.plan = Plan.of(s);
        this.now = new Foresight(s, plan).broken();
        this.strained = triggers.stream().anyMatch(t -> t.kind() == Trigger.Kind.BODY);
    }

    List<List<Change>> of(Trigger trigger) {
        return switch (trigger.kind()) {
            case MISSED -> missed(trigger.sessions());
            case GAP -> gap(trigger.sessions());
            case LOW_BALANCE, OVER -> lighter();
            case BODY -> rest();
            case AWAY -> s.away().stream().flatMap(a -> away(a).stream()).toList();
            case WEATHER -> weather(trigger.sessions());
            case STRENGTH -> strength(trigger.sessions());
            case EVENT -> event();
            case READY -> List.of(List.of());
            case CUT, THRESHOLD, RUNNING_OUT -> List.of();
        };
    }

    private static Change move(String id, LocalDate day) {
        return new Change.Move(id, day, OptionalInt.empty());
    }

    /**
     * A key session moves to the first of today and the 3 days after it that keeps every limit; an easy one is let go.
     */
    private List<List<Change>> missed(List<String> ids) {
        List<List<Change>> all = new ArrayList<>();
        for (Behind b : s.behind())
            if (ids.contains(b.planned().id()) && b.planned().isKey())
                place(b.planned(), s.today())
                        .ifPresent(day -> all.add(List.of(move(b.planned().id(), day))));
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
                .map(p -> place(p, s.today()).map(day -> List.<Change>of(move(p.id(), day))))
                .flatMap(Optional::stream)
                .limit(1)
                .toList();
    }

    /** The first day from {@code from} on that takes a session without breaking what is not broken already. */
    private Optional<LocalDate> place(Session session, LocalDate from) {
        for (int i = 0; i <= DAYS_TO_MOVE; i++) {
            LocalDate day = from.plusDays(i);
            if (isOpenFor(session, day) && keeps(List.of(move(session.id(), day)))) return Optional.of(day);
        }
        return Optional.empty();
    }

    private boolean keeps(List<Change> changes) {
        return now.containsAll(new Foresight(s, Plan.after(s, changes)).broken());
    }

    /**
     * Not away, no event's day, not just before an A event, nothing key in a taper or recovery, nothing hard while the
     * body is strained.
     */
    private boolean isOpenFor(Session session, LocalDate day) {
        if (s.isEventDay(day) || s.awayOn(day).isPresent() || isFull(session, day) || !hasTime(session, day))
            return false;
        if (strained && session.isKey() && day.isBefore(s.today().plusDays(WAIT_DAYS))) return false;
        boolean fresh = s.nextAim()
                .filter(e -> !day.isBefore(e.day().minusDays(FRESH_DAYS)) && !day.isAfter(e.last()))
                .isPresent();
        boolean easyBlock = s.blocks().stream()
                .anyMatch(b -> b.contains(day) && (b.phase() == Phase.TAPER || b.phase() == Phase.RECOVERY));
        boolean returning = s.away().stream()
                .anyMatch(a -> session.hard() && Returning.isTooEarly(s, a, day)
                        || Returning.most(s, plan, a, day) < session.load());
        return !(fresh && session.isKey()) && !(easyBlock && session.isKey()) && !returning;
    }

    private boolean hasTime(Session session, LocalDate day) {
        if (s.limits().weekdayHours().isEmpty() || day.equals(session.day())) return true;
        double taken = plan.sessions().stream()
                .filter(p -> p.day().equals(day) && !p.id().equals(session.id()))
                .mapToDouble(Session::hours)
                .sum();
        return taken + session.hours() <= s.limits().hoursOf(day) + 1e-9;
    }

    /** With this session, which comes from elsewhere, the block of that day would be over its target. */
    private boolean isFull(Session session, LocalDate day) {
        return s.blocks().stream()
                .filter(b -> b.load() > 0 && b.contains(day) && !b.contains(session.day()))
                .anyMatch(b -> Excess.isTooMuch(b, planned(b, session) + session.load()));
    }

    /** What is done in a block and ahead in it, without a session. */
    private double planned(Target block, Session without) {
        return block.done().orElse(0)
                + plan.sessions().stream()
                        .filter(p -> block.contains(p.day()) && !p.id().equals(without.id()))
                        .mapToDouble(Session::load)
                        .sum();
    }

    private List<Session> open() {
        return plan.sessions().stream().filter(p -> !p.pinned()).toList();
    }

    private static Change easier(Session session) {
        return new Change.Swap(session.id(), session.load() * EASY_SHARE, session.hours(), false, "easy instead");
    }

    /**
     * The next hard session becomes easy; or volume of the next 7 days is cut by the least of 20 to 40 % that brings
     * the forecast back.
     */
    private List<List<Change>> lighter() {
        List<List<Change>> all = new ArrayList<>();
        open().stream()
                .filter(p -> p.hard() && p.day().isBefore(s.today().plusDays(2 * WEEK)))
                .limit(2)
                .forEach(hard -> all.add(List.of(easier(hard))));
        for (int percent = 20; percent <= 40; percent++) {
            List<Change> cut = cut(percent);
            boolean back = !cut.isEmpty() && isBack(cut);
            if (back || percent == 40 && !cut.isEmpty()) {
                all.add(cut);
                break;
            }
        }
        List<Session> hard = open().stream()
                .filter(p -> p.hard() && p.day().isBefore(s.today().plusDays(WEEK)))
                .toList();
        if (hard.size() > 1) all.add(hard.stream().map(Candidates::easier).toList());
        List<Change> enough = enough();
        if (!enough.isEmpty()) all.add(enough);
        List<Change> latest = latest();
        if (!latest.isEmpty()) all.add(latest);
        return all;
    }

    /**
     * On each day that is over a limit its own sessions are cut by the least that brings it back, then those of the
     * days before it: what lies further back also bears the load that later days may have, so it is cut last.
     */
    private List<Change> latest() {
        java.util.Map<String, Double> factors = new java.util.LinkedHashMap<>();
        for (int round = 0; round < MOST_ROUNDS; round++) {
            Optional<LocalDate> over = new Foresight(s, Plan.after(s, scales(factors))).firstBroken();
            if (over.isEmpty()) return scales(factors);
            if (!bringBack(over.get(), factors)) return List.of();
        }
        return List.of();
    }

    private boolean bringBack(LocalDate over, java.util.Map<String, Double> factors) {
        for (int i = 0; i < WEEK; i++) {
            LocalDate day = over.minusDays(i);
            List<Session> on = open().stream()
                    .filter(p -> p.day().equals(day) && factors.getOrDefault(p.id(), 1.0) > LEAST_FACTOR)
                    .toList();
            if (on.isEmpty()) continue;
            factors.putAll(leastCut(on, over, factors));
            if (!new Foresight(s, Plan.after(s, scales(factors))).isBroken(over)) return true;
        }
        return false;
    }

    /** The factors of some sessions that are just enough for a day, or the least there are. */
    private java.util.Map<String, Double> leastCut(
            List<Session> sessions, LocalDate over, java.util.Map<String, Double> factors) {
        double low = LEAST_FACTOR;
        double high = 1;
        for (int i = 0; i < 12; i++) {
            double middle = (low + high) / 2;
            if (new Foresight(s, Plan.after(s, scales(times(factors, sessions, middle)))).isBroken(over)) high = middle;
            else low = middle;
        }
        java.util.Map<String, Double> cut = times(factors, sessions, low);
        for (Session p : sessions) cut.computeIfPresent(p.id(), (id, factor) -> whole(factor));
        return cut;
    }

    private static double whole(double factor) {
        return Math.floor(PERCENT * factor + 1e-9) / PERCENT;
    }

    /**
     * Before each morning or evening that is over a limit, the sessions of its 7 days are cut by the least that brings
     * it back, one after another.
     */
    private List<Change> enough() {
        java.util.Map<String, Double> factors = new java.util.LinkedHashMap<>();
        for (int round = 0; round < MOST_ROUNDS; round++) {
            Optional<LocalDate> over = new Foresight(s, Plan.after(s, scales(factors))).firstBroken();
            if (over.isEmpty()) return scales(factors);
            List<Session> week = open().stream()
                    .filter(p -> !p.day().isAfter(over.get())
                            && p.day().isAfter(over.get().minusDays(WEEK))
                            && factors.getOrDefault(p.id(), 1.0) > LEAST_FACTOR)
                    .toList();
            if (week.isEmpty()) return List.of();
            factors.putAll(leastCut(week, over.get(), factors));
        }
        return List.of();
    }

    private static java.util.Map<String, Double> times(
            java.util.Map<String, Double> factors, List<Session> week, double factor) {
        java.util.Map<String, Double> all = new java.util.LinkedHashMap<>(factors);
        for (Session p : week) all.put(p.id(), Math.max(LEAST_FACTOR, factors.getOrDefault(p.id(), 1.0) * factor));
        return all;
    }

    private static List<Change> scales(java.util.Map<String, Double> factors) {
        return factors.entrySet().stream()
                .filter(e -> e.getValue() < 1 - 1e-9)
                .map(e -> (Change) new Change.Scale(e.getKey(), e.getValue()))
                .toList();
    }

    private boolean isBack(List<Change> changes) {
        Plan plan = Plan.after(s, changes);
        Foresight after = new Foresight(s, plan);
        return after.lowestSoon() >= s.limits().balanceFloor()
                && after.overBuilt().isEmpty()
                && Excess.open(s, plan) <= 0;
    }

    private List<Change> cut(int percent) {
        return open().stream()
                .filter(p -> p.day().isBefore(s.today().plusDays(WEEK)))
                .map(p -> (Change) new Change.Scale(p.id(), 1 - percent / 100.0))
                .toList();
    }

    /** Today rest or lighter, and hard sessions wait until two mornings can be in band again. */
    private List<List<Change>> rest() {
        List<Session> today =
                open().stream().filter(p -> p.day().equals(s.today())).toList();
        List<Change> waiting = new ArrayList<>();
        for (Session hard : open())
            if (hard.hard()
                    && hard.day().isAfter(s.today())
                    && hard.day().isBefore(s.today().plusDays(WAIT_DAYS))) waiting.add(later(hard, waiting));
        List<List<Change>> all = new ArrayList<>();
        if (!today.isEmpty()) {
            List<Change> rest = new ArrayList<>(List.of(new Change.Rest(s.today())));
            rest.addAll(waiting);
            List<Change> light = new ArrayList<>();
            for (Session p : today) light.add(p.hard() ? easier(p) : new Change.Scale(p.id(), EASY_SHARE));
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
        for (int i = WAIT_DAYS; i <= WAIT_DAYS + DAYS_TO_MOVE; i++) {
            LocalDate day = s.today().plusDays(i);
            if (!isOpenFor(hard, day)) continue;
            List<Change> changes = new ArrayList<>(before);
            changes.add(move(hard.id(), day));
            if (keeps(changes)) return move(hard.id(), day);
        }
        return easier(hard);
    }

    /**
     * What falls into days away goes, or its key sessions move behind them; after illness or injury the return is
     * eased.
     */
    private List<List<Change>> away(Away away) {
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
        return open().stream().filter(all::contains).toList();
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
        LocalDate taper = s.nextAim().get().day().minusDays(TAPER_DAYS);
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
        return low < LEAST_MORE ? List.of() : more(block, whole(low));
    }

    private boolean isPossible(Target block, double factor, List<Change> before, double wanted) {
        List<Change> changes = new ArrayList<>(before);
        changes.addAll(more(block, factor));
        Foresight after = new Foresight(s, Plan.after(s, changes));
        return now.containsAll(after.broken()) && after.effect().chronic() <= wanted;
    }

    private List<Change> more(Target block, double factor) {
        List<Change> changes = new ArrayList<>(List.of(new Change.Retarget(block.first(), block.load() * factor)));
        for (Session p : open()) if (block.contains(p.day())) changes.add(new Change.Scale(p.id(), factor));
        return changes;
    }

    private List<Change> moved(Away away) {
        List<Change> changes = new ArrayList<>();
        boolean any = false;
        for (Session p : tooLong(away)) {
            Optional<LocalDate> day = p.isKey() ? around(p, away, changes) : Optional.empty();
            any |= day.isPresent();
            changes.add(day.isPresent() ? move(p.id(), day.get()) : new Change.Drop(p.id()));
        }
        return any ? changes : List.of();
    }

    /** Before the days away, else after them, within 3 days of either end. */
    private Optional<LocalDate> around(Session session, Away away, List<Change> before) {
        List<LocalDate> days = new ArrayList<>();
        for (int i = 1; i <= DAYS_TO_MOVE; i++) days.add(away.first().minusDays(i));
        for (int i = 1; i <= DAYS_TO_MOVE; i++) days.add(away.last().plusDays(i));
        for (LocalDate day : days) {
            if (day.isBefore(s.today()) || !isOpenFor(session, day)) continue;
            List<Change> changes = new ArrayList<>(before);
            changes.add(move(session.id(), day));
            if (keeps(changes)) return Optional.of(day);
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
        return p.hard() && Returning.isTooEarly(s, away, p.day()) ? p.load() * EASY_SHARE : p.load();
    }

    private void ease(Away away, Session p, double factor, List<Change> changes) {
        boolean tooHard = p.hard() && Returning.isTooEarly(s, away, p.day());
        if (factor < 0.1) changes.add(new Change.Drop(p.id()));
        else if (tooHard)
            changes.add(
                    new Change.Swap(p.id(), p.load() * EASY_SHARE * factor, p.hours() * factor, false, "easy instead"));
        else if (factor < 1) changes.add(new Change.Scale(p.id(), whole(factor)));
    }

    /**
     * Each session goes to the nearest day with better weather that keeps every limit, else it is let go; or all are.
     */
    private List<List<Change>> weather(List<String> ids) {
        List<Change> moved = new ArrayList<>();
        List<Change> dropped = new ArrayList<>();
        for (Session p : open()) {
            if (!ids.contains(p.id())) continue;
            dropped.add(new Change.Drop(p.id()));
            moved.add(better(p, moved).map(day -> move(p.id(), day)).orElse(new Change.Drop(p.id())));
        }
        if (dropped.isEmpty()) return List.of();
        return moved.equals(dropped) ? List.of(dropped) : List.of(moved, dropped);
    }

    private Optional<LocalDate> better(Session session, List<Change> before) {
        for (int i : new int[] {1, -1, 2, -2, 3, -3}) {
            LocalDate day = session.day().plusDays(i);
            if (day.isBefore(s.today()) || s.isForbidden(day) || !isOpenFor(session, day)) continue;
            List<Change> changes = new ArrayList<>(before);
            changes.add(move(session.id(), day));
            if (keeps(changes)) return Optional.of(day);
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
                    all.add(List.of(move(legs.id(), legs.day().plusDays(i))));
                    break;
                }
        }
        if (!hard.pinned() && parts(hard, hard.day().plusDays(1)))
            all.add(List.of(move(hard.id(), hard.day().plusDays(1))));
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
        if (day.isBefore(s.today()) || !isOpenFor(session, day)) return false;
        List<Change> changes = List.of(move(session.id(), day));
        Plan after = Plan.after(s, changes);
        boolean apart = after.sessions().stream()
                .filter(Session::legs)
                .noneMatch(l -> after.sessions().stream()
                        .anyMatch(h -> (l.id().equals(session.id()) || h.id().equals(session.id()))
                                && Triggers.isTooSoon(l, h)));
        return apart && keeps(changes);
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
        LocalDate taper = day.minusDays(TAPER_DAYS);
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
        for (Session p : open()) {
            boolean inTaper =
                    !p.day().isBefore(taper) && p.day().isBefore(day) && p.day().isAfter(s.today());
            boolean was = moved.get()
                    .movedFrom()
                    .filter(from -> !p.day().isBefore(from.minusDays(TAPER_DAYS))
                            && p.day().isBefore(from))
                    .isPresent();
            if (inTaper && !was && !isLightAlready(p)) changes.add(new Change.Scale(p.id(), TAPER_SHARE));
        }
        return changes.isEmpty() ? List.of() : List.of(changes);
    }
}
