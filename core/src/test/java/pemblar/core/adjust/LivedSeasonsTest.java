package pemblar.core.adjust;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import pemblar.core.adjust.LivedSeason.Outcome;

/**
 * Is the advice worth anything? The same twenty weeks with the same misses, illness and trips: one copy takes the first
 * proposal of every morning, one leaves all, one follows what people do by hand.
 */
class LivedSeasonsTest {
    private static final int SEEDS = Integer.getInteger("seasons", 60);
    private static final int MOST_A_MORNING = 4;

    private static List<Change> first(Situation s) {
        List<Change> all = new ArrayList<>();
        Situation now = s;
        for (int i = 0; i < MOST_A_MORNING; i++) {
            Adjusting.Answer answer = Adjusting.of(now);
            List<Change> changes = answer.proposals().stream()
                    .map(Proposal::changes)
                    .filter(c -> !c.isEmpty())
                    .findFirst()
                    .orElse(List.of());
            if (changes.isEmpty()) return all;
            all.addAll(changes);
            now = after(s, all);
        }
        return all;
    }

    private static Situation after(Situation s, List<Change> changes) {
        Plan plan = Plan.after(s, changes);
        return new Situation(
                s.today(),
                s.chronic(),
                s.acute(),
                s.chronicPast(),
                s.trend(),
                s.behind().stream()
                        .filter(b -> !plan.recovered().contains(b.planned().id()))
                        .toList(),
                plan.sessions(),
                plan.blocks(),
                s.events(),
                s.limits(),
                s.checkins(),
                s.away(),
                s.thresholds(),
                s.weather());
    }

    /** Nothing is answered; only what would break a limit today is cut to it, session by session. */
    private static List<Change> cut(Situation s) {
        double keepChronic = Math.exp(-1 / s.trend().chronicDays());
        double keepAcute = Math.exp(-1 / s.trend().acuteDays());
        List<Session> today =
                s.ahead().stream().filter(p -> p.day().equals(s.today())).toList();
        double load = today.stream().mapToDouble(Session::load).sum();
        double build =
                (s.chronicPast().get(0) + s.limits().buildRate() - s.chronic() * keepChronic) / (1 - keepChronic);
        double floor =
                (s.chronic() * keepChronic - s.acute() * keepAcute - s.limits().balanceFloor())
                        / (keepChronic - keepAcute);
        double most = Math.min(build, floor);
        for (Situation.Away a : s.away()) most = Math.min(most, Returning.most(s, Plan.of(s), a, s.today()));
        List<Change> all = new ArrayList<>();
        for (Session p : today) {
            boolean early = p.hard() && s.away().stream().anyMatch(a -> Returning.isTooEarly(s, a, s.today()));
            double factor = Math.max(0.01, Math.min(1, most / load) * (1 - 1e-9));
            if (early) all.add(new Change.Swap(p.id(), p.load() * Math.min(0.6, factor), p.hours(), false, "easy"));
            else if (factor < 1 - 1e-8) all.add(new Change.Scale(p.id(), factor));
        }
        return all;
    }

    /** A missed key session goes to the next day without one; the first day back is easy; under the floor one rests. */
    private static List<Change> byHand(Situation s) {
        List<Change> all = new ArrayList<>();
        if (s.awayOn(s.today()).isPresent()) return all;
        for (Situation.Behind b : s.behind())
            if (b.isMissed()
                    && b.planned().isKey()
                    && b.planned().day().equals(s.today().minusDays(1)))
                s.today()
                        .datesUntil(s.today().plusDays(4))
                        .filter(d -> s.ahead().stream()
                                .noneMatch(p -> p.isKey() && p.day().equals(d)))
                        .findFirst()
                        .ifPresent(d -> all.add(new Change.Move(b.planned().id(), d, OptionalInt.empty())));
        LocalDate yesterday = s.today().minusDays(1);
        boolean back = s.away().stream()
                .anyMatch(a -> a.reason().easesReturn() && a.last().equals(yesterday));
        for (Session p : s.ahead())
            if (p.day().equals(s.today())) {
                if (s.chronic() - s.acute() < s.limits().balanceFloor()) all.add(new Change.Drop(p.id()));
                else if (back) all.add(new Change.Swap(p.id(), p.load() * 0.6, p.hours() * 0.7, false, "easy"));
            }
        return all;
    }

    private static List<Outcome> live(Function<Situation, List<Change>> morning) {
        return LongStream.range(0, SEEDS)
                .parallel()
                .mapToObj(seed -> new LivedSeason(seed, morning).live())
                .toList();
    }

    private static double mean(List<Outcome> all, ToDoubleFunction<Outcome> value) {
        return all.stream().mapToDouble(value).average().orElseThrow();
    }

    private static String row(String name, List<Outcome> all) {
        return String.format(
                java.util.Locale.ROOT,
                "| %s | %.1f | %.1f | %.1f | %.2f | %.2f | %.2f | %.2f | %.1f |",
                name,
                mean(all, o -> o.chronic() - o.aim()),
                mean(all, o -> Math.abs(o.chronic() - o.aim())),
                mean(all, Outcome::balance),
                mean(all, Outcome::overBuilt),
                mean(all, Outcome::hardPairs),
                mean(all, Outcome::underFloor),
                mean(all, Outcome::tooEarly),
                mean(all, Outcome::changes));
    }

    @Test
    void whoTakesTheFirstBreaksFewerLimitsAndComesNearerToTheAim() {
        List<Outcome> taken = live(LivedSeasonsTest::first);
        List<Outcome> left = live(s -> List.of());
        List<Outcome> hand = live(LivedSeasonsTest::byHand);
        List<Outcome> cut = live(LivedSeasonsTest::cut);
        String table = String.join(
                "\n", row("first proposal", taken), row("all left", left), row("by hand", hand), row("cut", cut));
        System.out.println(table);
        assertThat(mean(taken, Outcome::broken))
                .as(table)
                .isLessThan(0.1 * mean(left, Outcome::broken))
                .isLessThan(0.1 * mean(hand, Outcome::broken));
        assertThat(mean(taken, o -> Math.abs(o.chronic() - o.aim())))
                .as(table)
                .isLessThan(mean(cut, o -> Math.abs(o.chronic() - o.aim())));
    }
}
