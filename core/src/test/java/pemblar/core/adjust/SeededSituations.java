package pemblar.core.adjust;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import pemblar.core.load.LoadTrend;
import pemblar.core.season.Block.Phase;
import pemblar.core.season.Event;
import pemblar.core.season.Priority;

/**
 * Situations of all sorts from a seed: every trigger and mixes of them, empty plans, plans full of pins, three sports,
 * stage events.
 */
final class SeededSituations {
    private static final String[] SPORTS = {"ride", "run", "swim"};

    private SeededSituations() {}

    static Situation of(long seed) {
        Random r = new Random(seed);
        LocalDate today = LocalDate.of(2027, 3, 1).plusDays(r.nextInt(300));
        double chronic = 20 + r.nextInt(70);
        List<Double> past = new ArrayList<>();
        for (int i = 0; i < 7; i++) past.add(chronic - (6 - i) * (r.nextDouble() - 0.4) * (i == 6 ? 0 : 1));
        past.set(6, chronic);
        List<Situation.Behind> behind = behind(r, today, chronic);
        List<Session> ahead = r.nextInt(12) == 0 ? List.of() : ahead(r, today, chronic);
        Situation.Limits limits = new Situation.Limits(
                2 + r.nextInt(6),
                3 + r.nextInt(4),
                r.nextBoolean() ? 36 : 24,
                -20 - r.nextInt(20),
                r.nextBoolean() ? 30 : Double.NaN,
                r.nextBoolean());
        return new Situation(
                today,
                chronic,
                chronic + r.nextInt(40) - 18,
                past,
                LoadTrend.Settings.DEFAULT,
                behind,
                ahead,
                blocks(r, today, chronic),
                events(r, today),
                limits,
                checkins(r, today),
                away(r, today),
                r.nextInt(6) == 0
                        ? List.of(
                                new Situation.Threshold("ride", "thresholdPower", today.minusDays(r.nextInt(10)), 260))
                        : List.of(),
                weather(r, today));
    }

    private static Session session(Random r, String id, LocalDate day, double chronic, boolean pinned) {
        boolean hard = r.nextInt(3) == 0;
        double load = Math.rint(chronic * (0.4 + 1.6 * r.nextDouble()));
        boolean strength = !hard && r.nextInt(8) == 0;
        return new Session(
                id,
                day,
                360 + 30 * r.nextInt(28),
                strength ? "strength" : SPORTS[r.nextInt(3)],
                hard ? "threshold" : "endurance",
                load,
                load / 55,
                hard,
                !hard && load > 1.6 * chronic,
                pinned,
                strength);
    }

    private static List<Situation.Behind> behind(Random r, LocalDate today, double chronic) {
        List<Situation.Behind> all = new ArrayList<>();
        double missing = r.nextInt(4) == 0 ? 0.7 : 0.15;
        for (int i = 1; i <= 8; i++) {
            if (r.nextInt(4) == 0) continue;
            Session planned = session(r, "b" + i, today.minusDays(i), chronic, false);
            double share = r.nextInt(6) == 0 ? 0.5 : 0.9 + 0.2 * r.nextDouble();
            Optional<Situation.Done> done = r.nextDouble() < missing
                    ? Optional.empty()
                    : Optional.of(new Situation.Done(planned.load() * share, planned.hours() * share));
            all.add(new Situation.Behind(
                    planned,
                    done,
                    r.nextInt(20) == 0 ? OptionalDouble.of(-300) : OptionalDouble.empty(),
                    r.nextInt(10) == 0));
        }
        return all;
    }

    private static List<Session> ahead(Random r, LocalDate today, double chronic) {
        List<Session> all = new ArrayList<>();
        int days = 3 + r.nextInt(30);
        boolean pinned = r.nextInt(10) == 0;
        for (int i = 0; i < days; i++)
            if (r.nextInt(4) > 0)
                all.add(session(
                        r,
                        "a" + i,
                        today.plusDays(i),
                        chronic * (r.nextInt(5) == 0 ? 1.5 : 1),
                        pinned || r.nextInt(12) == 0));
        return all;
    }

    private static List<Situation.Target> blocks(Random r, LocalDate today, double chronic) {
        List<Situation.Target> all = new ArrayList<>();
        LocalDate day = today.minusDays(r.nextInt(7));
        for (int i = 0; i < r.nextInt(7); i++, day = day.plusDays(7))
            all.add(new Situation.Target(
                    day,
                    7,
                    Phase.values()[r.nextInt(5)],
                    7 * chronic * (0.6 + 0.6 * r.nextDouble()),
                    8,
                    i == 0 && r.nextBoolean()
                            ? OptionalDouble.of(9 * chronic * r.nextDouble())
                            : OptionalDouble.empty()));
        return all;
    }

    private static List<Situation.Coming> events(Random r, LocalDate today) {
        List<Situation.Coming> all = new ArrayList<>();
        for (int i = r.nextInt(3); i > 0; i--) {
            LocalDate day = today.plusDays(4 + r.nextInt(60));
            boolean moved = r.nextInt(5) == 0;
            all.add(new Situation.Coming(
                    new Event(day, r.nextInt(5) == 0 ? 4 : 1, Priority.values()[r.nextInt(3)], 80 + r.nextInt(300)),
                    moved ? Optional.of(day.plusDays(14)) : Optional.empty(),
                    !moved && r.nextInt(8) == 0));
        }
        return all;
    }

    private static List<Situation.Checkin> checkins(Random r, LocalDate today) {
        List<Situation.Checkin> all = new ArrayList<>();
        if (r.nextBoolean()) return all;
        boolean ill = r.nextInt(4) == 0;
        for (int i = 40; i >= 0; i--)
            all.add(new Situation.Checkin(
                    today.minusDays(i),
                    50 + r.nextGaussian() * 1.5 + (ill && i < 3 ? 9 : 0),
                    60 + r.nextGaussian() * 5,
                    i == 0 && r.nextInt(6) == 0 ? 4 : Double.NaN,
                    i == 0 && ill ? "flu" : "",
                    ""));
        return all;
    }

    private static List<Situation.Away> away(Random r, LocalDate today) {
        if (r.nextInt(3) > 0) return List.of();
        LocalDate first = today.plusDays(r.nextInt(12) - 4);
        return List.of(new Situation.Away(
                first,
                first.plusDays(1 + r.nextInt(8)),
                Situation.Reason.values()[r.nextInt(4)],
                r.nextInt(4) == 0 ? 4 : 0));
    }

    private static List<Situation.Weather> weather(Random r, LocalDate today) {
        List<Situation.Weather> all = new ArrayList<>();
        for (int i = 0; i < 7; i++)
            all.add(new Situation.Weather(today.plusDays(i), r.nextInt(10) == 0 ? 34 : 12, r.nextInt(12) == 0));
        return all;
    }
}
