package pemblar.app.plan;

import java.time.LocalDate;
import java.util.List;
import pemblar.app.session.Slab;
import pemblar.core.season.Block;

/**
 * What a block comes to against its target: what was done, and what is still ahead. What was planned and missed is
 * neither.
 *
 * @param target points, over 0
 * @param missed sessions that were planned on days that are over, and not done
 * @param unknown sessions, done or ahead, whose load nobody knows
 * @param over whether the block is behind
 */
record AgainstTarget(double target, double done, double ahead, int missed, int unknown, boolean over) {
    /** So near is met. */
    private static final double NEAR = 0.05;

    /** @param ahead those of the block that are still to be done */
    static AgainstTarget of(Block block, List<Slab> slabs, List<Slab> ahead, LocalDate today) {
        long unknown = slabs.stream()
                        .filter(s -> s.done() != null && s.done().load() == null)
                        .count()
                + ahead.stream()
                        .filter(s -> s.hasPlan() && s.plannedLoad() == null)
                        .count();
        return new AgainstTarget(
                block.targetLoad(),
                slabs.stream().mapToDouble(AgainstTarget::done).sum(),
                ahead.stream().mapToDouble(AgainstTarget::planned).sum(),
                (int) slabs.stream()
                        .filter(s -> s.done() == null && s.hasPlan() && s.day().isBefore(today))
                        .count(),
                (int) unknown,
                block.last().isBefore(today));
    }

    static double done(Slab slab) {
        return slab.done() == null || slab.done().load() == null
                ? 0
                : slab.done().load();
    }

    static double planned(Slab slab) {
        return slab.hasPlan() && slab.plannedLoad() != null ? slab.plannedLoad() : 0;
    }

    /** To be read after the target and a colon. */
    String words() {
        if (unknown > 0)
            return "at least " + Math.round(done + ahead) + "; the load of "
                    + (unknown == 1 ? "a session" : unknown + " sessions") + " is not known";
        double missing = target - done - ahead;
        long points = Math.round(Math.abs(missing));
        if (Math.abs(missing) <= NEAR * target) return over ? "met" : "the plan meets it";
        if (missing < 0) return over ? points + " above it" : "the plan is " + points + " above it";
        if (over) return points + " short of it";
        return missed > 0 ? points + " short of it with what is still planned" : points + " still to plan";
    }
}
