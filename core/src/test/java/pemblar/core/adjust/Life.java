package pemblar.core.adjust;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;

/** What happens to somebody in the days of a season, whatever they plan: the same for every copy of a seed. */
final class Life {
    private static final double MISSED = 0.07;
    private static final double HELD_UP = 0.02;
    private final boolean[] misses;
    private final List<Gone> gone = new ArrayList<>();
    private final double[] mornings;

    /** @param known the day from which on it is known */
    record Gone(int first, int days, Situation.Reason reason, int known) {
        int last() {
            return first + days - 1;
        }
    }

    Life(long seed, int days) {
        Random r = new Random(seed * 7919);
        misses = new boolean[days];
        for (int i = 0; i < days; i++) {
            misses[i] = r.nextDouble() < MISSED;
            if (r.nextDouble() < HELD_UP) for (int k = i; k < Math.min(days, i + 3); k++) misses[k] = true;
        }
        for (int i = 1 + r.nextInt(2); i > 0; i--) {
            int first = 15 + r.nextInt(days - 40);
            gone.add(new Gone(first, 3 + r.nextInt(7), Situation.Reason.ILLNESS, first));
        }
        int trip = 10 + r.nextInt(days - 30);
        if (r.nextBoolean()) gone.add(new Gone(trip, 3 + r.nextInt(4), Situation.Reason.WORK, trip - 7));
        mornings = new double[days];
        for (int i = 0; i < days; i++) mornings[i] = 48 + 1.3 * r.nextGaussian() + (isIll(i) ? 8 : 0);
    }

    boolean isIll(int day) {
        return gone.stream()
                .anyMatch(g -> g.reason() == Situation.Reason.ILLNESS && day >= g.first() && day <= g.last());
    }

    /** Nothing is trained on that day, whatever is planned. */
    boolean isLost(int day) {
        return misses[day] || gone.stream().anyMatch(g -> day >= g.first() && day <= g.last());
    }

    double restingHeartRate(int day) {
        return mornings[day];
    }

    List<Gone> known(int today) {
        return gone.stream().filter(g -> g.known() <= today).toList();
    }

    List<Gone> gone() {
        return gone;
    }
}
