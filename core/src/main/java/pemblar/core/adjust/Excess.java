package pemblar.core.adjust;

import java.time.LocalDate;
import pemblar.core.adjust.Situation.Target;

/** What was done beyond the target of a block, as far as the days after it do not make up for it already. */
final class Excess {
    static final int BEHIND_DAYS = 7;
    private static final int DAYS_AHEAD = 7;
    private static final double OVER_SHARE = 0.15;
    private static final double OVER_POINTS = 30;

    private Excess() {}

    /** A block of now or of the last days holds more than its target by 15 % and 30 points. */
    static boolean isOver(Situation s, Target block) {
        boolean recent = block.contains(s.today())
                || block.last().isBefore(s.today())
                        && !block.last().isBefore(s.today().minusDays(BEHIND_DAYS));
        return recent && isTooMuch(block, block.done().orElse(0));
    }

    static boolean isTooMuch(Target block, double load) {
        return load > block.load() + slack(block);
    }

    private static double slack(Target block) {
        return Math.max(OVER_POINTS, OVER_SHARE * block.load());
    }

    /** Points that are still to be taken off: 0 when the next 7 days are lighter than their targets by enough. */
    static double open(Situation s, Plan plan) {
        double most = 0;
        for (Target block : s.blocks())
            if (isOver(s, block)) most = Math.max(most, left(s, plan, block) - slack(block));
        return most;
    }

    private static double left(Situation s, Plan plan, Target block) {
        double left = block.done().orElse(0) - block.load();
        for (int i = 0; i < DAYS_AHEAD; i++) {
            LocalDate day = s.today().plusDays(i);
            double planned = plan.sessions().stream()
                    .filter(p -> p.day().equals(day))
                    .mapToDouble(Session::load)
                    .sum();
            left += planned - (block.contains(day) ? 0 : target(plan, day));
        }
        return left;
    }

    private static double target(Plan plan, LocalDate day) {
        return plan.blocks().stream()
                .filter(b -> b.contains(day))
                .mapToDouble(b -> b.load() / b.days())
                .sum();
    }
}
