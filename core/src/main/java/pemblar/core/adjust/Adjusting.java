package pemblar.core.adjust;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import pemblar.core.adjust.Situation.Behind;

/**
 * Answers a situation: what it triggers, what could be changed, and what each change and leaving all as it is come to.
 */
public final class Adjusting {
    private static final int MOST_A_TRIGGER = 3;
    private static final double NOTHING = 1e-6;
    private static final double LITTLE_MORE = 1.05;
    /** Chronic loads are told apart by tenths: of two that look the same the one with fewer changes goes first. */
    private static final double SEEN = 10;

    /** The answer; {@code proposals} are in order, best first. */
    public record Answer(List<Trigger> triggers, List<Proposal> proposals, Effect leave, Set<Broken> broken) {}

    private Adjusting() {}

    public static Answer of(Situation s) {
        Plan plan = Plan.of(s);
        Foresight leave = new Foresight(s, plan);
        AsItIs now = new AsItIs(s, leave, new Breaches(s, plan));
        List<Trigger> triggers = Triggers.of(s, plan);
        Candidates candidates = new Candidates(s, triggers);
        double aim = aim(s);
        List<Proposal> all = new ArrayList<>();
        Set<Set<Change>> seen = new HashSet<>();
        for (Trigger trigger : triggers)
            for (List<Change> changes : answering(s, trigger, candidates.of(trigger), leave))
                if (helps(now, trigger, changes) && seen.add(new HashSet<>(changes)))
                    all.add(proposal(now, trigger, changes));
        all.sort(order(aim));
        return new Answer(triggers, atMost(all), leave.effect(), leave.broken());
    }

    /** What changes are held against. */
    private record AsItIs(Situation s, Foresight ahead, Breaches breaches) {}

    /** Of the ways to train less those that bring the forecast back; when none does, the one that comes nearest. */
    private static List<List<Change>> answering(
            Situation s, Trigger trigger, List<List<Change>> candidates, Foresight leave) {
        boolean floor = trigger.kind() == Trigger.Kind.LOW_BALANCE;
        boolean build = leave.overBuilt().isPresent();
        if (!floor && trigger.kind() != Trigger.Kind.OVER) return candidates;
        List<List<Change>> back = candidates.stream()
                .filter(c -> missing(s, c, floor, build) <= 0)
                .toList();
        if (!back.isEmpty()) return back;
        return candidates.stream()
                .min(Comparator.comparingDouble(c -> missing(s, c, floor, build)))
                .map(List::of)
                .orElse(List.of());
    }

    /** How far a plan is still from its limit. */
    private static double missing(Situation s, List<Change> changes, boolean floor, boolean build) {
        Plan plan = Plan.after(s, changes);
        Foresight after = new Foresight(s, plan);
        if (floor) return s.limits().balanceFloor() - after.lowestSoon();
        if (!build) return Excess.open(s, plan);
        return after.overBuilt().isPresent() ? after.overBuilding() : 0;
    }

    /** The effect of any list of changes, as when some of a proposal are switched off. */
    public static Proposal preview(Situation s, Trigger.Kind kind, List<Change> changes) {
        Plan plan = Plan.of(s);
        AsItIs now = new AsItIs(s, new Foresight(s, plan), new Breaches(s, plan));
        return proposal(now, new Trigger(kind, List.of(), ""), changes);
    }

    /** Chronic load of each evening from yesterday to the eve of the aim, after some changes. */
    public static List<Double> line(Situation s, List<Change> changes) {
        return new Foresight(s, Plan.after(s, changes)).chronicLine();
    }

    /**
     * What stands against making up more than a proposal does.
     *
     * @param blocks loading blocks ahead in which more could be done
     * @param broken limits that a little more in them would break
     */
    public record More(int blocks, Set<Broken> broken) {}

    public static More beyond(Situation s, List<Change> changes) {
        List<Change> more = new ArrayList<>(changes);
        List<Situation.Target> blocks = new Absence(new Room(s, List.of())).loading(s.today());
        Plan after = Plan.after(s, changes);
        for (Situation.Target block : blocks)
            for (Session p : after.sessions())
                if (block.contains(p.day()) && !p.pinned()) more.add(new Change.Scale(p.id(), LITTLE_MORE));
        Set<Broken> broken = new Breaches(s, Plan.after(s, more)).beyond(new Breaches(s, after));
        return new More(blocks.size(), broken);
    }

    private static Proposal proposal(AsItIs now, Trigger trigger, List<Change> changes) {
        Plan plan = Plan.after(now.s(), changes);
        Foresight after = new Foresight(now.s(), plan);
        List<Breach> breaches =
                after.broken().isEmpty() ? List.of() : new Breaches(now.s(), plan).beside(now.breaches());
        return new Proposal(trigger.kind(), changes, after.effect(), breaches, trigger.text());
    }

    /** Chronic load that the plan would have come to, had nothing key been missed. */
    private static double aim(Situation s) {
        List<Session> sessions = new ArrayList<>(s.ahead());
        double keep = Math.exp(-1 / s.trend().chronicDays());
        double lost = 0;
        Foresight plan = new Foresight(s, new Plan(sessions, s.blocks(), s.events(), Set.of()));
        int days = plan.chronicLine().size() - 1;
        for (Behind b : s.behind())
            if (b.isMissed() && b.planned().isKey())
                lost += b.planned().load()
                        * (1 - keep)
                        * Math.pow(
                                keep,
                                days
                                        + s.today().toEpochDay()
                                        - b.planned().day().toEpochDay()
                                        - 1);
        return plan.effect().chronic() + lost;
    }

    private static Comparator<Proposal> order(double aim) {
        return Comparator.comparing((Proposal p) -> !p.breaches().isEmpty())
                .thenComparing(p -> !p.isNoWorse())
                .thenComparing(Proposal::trigger)
                .thenComparingDouble(p -> p.trigger() == Trigger.Kind.BODY
                        ? 0
                        : Math.rint(SEEN * Math.abs(p.effect().chronic() - aim)))
                .thenComparingInt(p -> p.changes().size());
    }

    private static List<Proposal> atMost(List<Proposal> all) {
        Map<Trigger.Kind, Integer> counts = new EnumMap<>(Trigger.Kind.class);
        return all.stream()
                .filter(p -> counts.merge(p.trigger(), 1, Integer::sum) <= MOST_A_TRIGGER)
                .toList();
    }

    /** What answers its trigger, or makes it less: a proposal that helps nothing is not shown. */
    private static boolean helps(AsItIs now, Trigger trigger, List<Change> changes) {
        if (trigger.kind() == Trigger.Kind.READY) return true;
        if (changes.isEmpty()) return false;
        Plan after = Plan.after(now.s(), changes);
        return switch (trigger.kind()) {
            case LOW_BALANCE ->
                new Foresight(now.s(), after).lowestSoon() > now.ahead().lowestSoon() + NOTHING;
            case OVER ->
                now.ahead().overBuilt().isPresent()
                        ? new Foresight(now.s(), after).overBuilding()
                                < now.ahead().overBuilding() - NOTHING
                        : Excess.open(now.s(), after) < Excess.open(now.s(), Plan.of(now.s())) - NOTHING
                                && isNoWorse(now, after);
            case MISSED, GAP, STRENGTH, WEATHER -> isNoWorse(now, after);
            case BODY, AWAY, EVENT -> true;
            case CUT, THRESHOLD, RUNNING_OUT, READY -> false;
        };
    }

    private static boolean isNoWorse(AsItIs now, Plan after) {
        return new Breaches(now.s(), after).beyond(now.breaches()).isEmpty();
    }
}
