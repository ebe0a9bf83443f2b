package pemblar.core.season;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import pemblar.core.load.LoadTrend;
import pemblar.core.season.Block.Phase;

/** Seasons of all sorts from a seed: events, days away, pins, rhythms, aims that can be met and others. */
final class Seeded {
    private Seeded() {}

    static Ask ask(long seed, boolean withPins) {
        Random random = new Random(seed);
        LocalDate first = LocalDate.of(2027, 1, 1).plusDays(random.nextInt(400));
        int days = 20 + random.nextInt(random.nextInt(4) == 0 ? 360 : 130);
        List<Event> events = events(random, first, days);
        Rhythm rhythm = Rhythm.everyBlock(2 + random.nextInt(4), 3 + random.nextInt(12));
        double weekly = 3 + random.nextInt(14);
        List<Hours.Exception> away = new ArrayList<>();
        for (int i = random.nextInt(3); i > 0; i--) {
            LocalDate from = first.plusDays(random.nextInt(days));
            away.add(new Hours.Exception(
                    from, from.plusDays(random.nextInt(14)), random.nextBoolean() ? 0 : weekly / 3));
        }
        double chronic = 10 + random.nextInt(70);
        List<Double> week = new ArrayList<>();
        for (int i = 0; i < 7; i++) week.add(Math.max(0, chronic - (6 - i) * (random.nextDouble() - 0.3)));
        List<Double> between = new ArrayList<>();
        for (int i = random.nextInt(4); i > 0; i--) between.add(0.0);
        Ask.Start start = new Ask.Start(chronic + random.nextInt(20) - 10, week, LoadTrend.Settings.DEFAULT, between);
        return new Ask(
                first,
                first.plusDays(days - 1L),
                events,
                aim(random, events, chronic, weekly),
                rhythm,
                1 + random.nextInt(7),
                new Hours(weekly, away),
                perHour(random),
                start,
                withPins ? pins(random, first, days) : List.of(),
                Ask.Shape.FREE);
    }

    private static List<Event> events(Random random, LocalDate first, int days) {
        List<Event> events = new ArrayList<>();
        for (int i = random.nextInt(4); i > 0; i--)
            events.add(new Event(
                    first.plusDays(random.nextInt(days)),
                    random.nextInt(5) == 0 ? 1 + random.nextInt(7) : 1,
                    Priority.values()[random.nextInt(3)],
                    40 + random.nextInt(250)));
        return events;
    }

    private static Aim aim(Random random, List<Event> events, double chronic, double weekly) {
        boolean hasA = events.stream().anyMatch(e -> e.priority() == Priority.A);
        return switch (random.nextInt(hasA ? 3 : 2)) {
            case 0 -> new Aim(Aim.Kind.WEEKLY_HOURS, weekly * (0.4 + random.nextDouble()));
            case 1 -> new Aim(Aim.Kind.WEEKLY_LOAD, 7 * chronic * (0.5 + random.nextDouble()));
            default -> new Aim(Aim.Kind.CHRONIC_LOAD, chronic * (0.6 + random.nextDouble()));
        };
    }

    private static LoadPerHour perHour(Random random) {
        Map<Phase, Double> all = new EnumMap<>(Phase.class);
        for (Phase phase : Phase.values()) all.put(phase, 45.0 + random.nextInt(25));
        return new LoadPerHour(all);
    }

    private static List<Block> pins(Random random, LocalDate first, int days) {
        List<Block> pins = new ArrayList<>();
        LocalDate at = first.plusDays(random.nextInt(10));
        for (int i = 1 + random.nextInt(2); i > 0 && at.isBefore(first.plusDays(days - 16L)); i--) {
            Block pin = new Block(at, 3 + random.nextInt(12), null, "", "", random.nextInt(900), 0, false, true);
            pins.add(pin);
            at = pin.last().plusDays(1 + random.nextInt(40));
        }
        return pins;
    }
}
