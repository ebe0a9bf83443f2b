package pemblar.formats.ask;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import pemblar.core.load.LoadTrend;
import pemblar.core.season.Aim;
import pemblar.core.season.Ask;
import pemblar.core.season.Block;
import pemblar.core.season.Block.Phase;
import pemblar.core.season.Event;
import pemblar.core.season.Generator;
import pemblar.core.season.Hours;
import pemblar.core.season.Limit;
import pemblar.core.season.LoadPerHour;
import pemblar.core.season.Priority;
import pemblar.core.season.Rhythm;
import pemblar.core.season.Season;

/** A season planned within its limits (computation, section 11). */
final class SeasonTopic implements Topic {
    private static final int MOST = 1000;
    private static final int MOST_DAYS = 1096;
    private static final Map<String, Aim.Kind> AIMS =
            Map.of("hours", Aim.Kind.WEEKLY_HOURS, "load", Aim.Kind.WEEKLY_LOAD, "chronic", Aim.Kind.CHRONIC_LOAD);

    @Override
    public Map<String, Object> answer(byte[] input) {
        Fields in = Fields.read(input);
        LocalDate today = in.day("today");
        LocalDate from = in.day("from");
        LocalDate to = in.day("to");
        if (!from.isAfter(today))
            throw new BadInput("from", from + " does not lie after today; give a day after " + today);
        if (to.isBefore(from.plusDays(Block.SHORTEST - 1L)))
            throw new BadInput(
                    "to", to + " leaves no block of 3 days; give " + from.plusDays(Block.SHORTEST - 1L) + " or later");
        if (to.isAfter(today.plusDays(MOST_DAYS)))
            throw new BadInput("to", to + " is too far; give at most 3 years after today");
        return written(Generator.plan(ask(in, today, from, to)));
    }

    private static Ask ask(Fields in, LocalDate today, LocalDate from, LocalDate to) {
        Rhythm rhythm = Rhythm.everyBlock(
                in.whole("easyEvery", "which block is easy, e.g. 4", 2, 6),
                in.whole("blockDays", "days of a block, e.g. 7", Block.SHORTEST, Block.LONGEST));
        List<Event> events = events(in, today);
        Aim aim = aim(in.object("aim", "{kind, value}, e.g. {\"kind\": \"load\", \"value\": 400}"), events, from, to);
        double build = in.number("buildRate", "the highest rise of chronic load in 7 days, e.g. 5", 0.01, 100);
        return new Ask(
                from,
                to,
                events,
                aim,
                rhythm,
                build,
                hours(in),
                loadPerHour(in.object("loadPerHour", "points an hour by phase")),
                start(in, today, from),
                pinned(in, from, to),
                Ask.Shape.FREE);
    }

    private static Aim aim(Fields f, List<Event> events, LocalDate from, LocalDate to) {
        Aim.Kind kind = AIMS.get(f.choice("kind", List.of("hours", "load", "chronic")));
        boolean hasA = events.stream()
                .anyMatch(e -> e.priority() == Priority.A
                        && !e.day().isBefore(from)
                        && !e.day().isAfter(to));
        if (kind == Aim.Kind.CHRONIC_LOAD && !hasA)
            throw f.wrong("kind", "chronic", "an A event between from and to, or another kind");
        return new Aim(kind, f.number("value", "what is aimed at", 0.01, 9999));
    }

    static List<Event> events(Fields in, LocalDate today) {
        List<Event> events = new ArrayList<>();
        for (Fields f : in.objects("events", MOST)) {
            Priority priority = Priority.valueOf(f.choice("priority", List.of("A", "B", "C")));
            Event event = new Event(
                    f.day("day"),
                    f.whole("days", "how many days it lasts", 1, Block.LONGEST, 1),
                    priority,
                    f.number("load", "the load of the whole event in points", 0, Event.MOST_LOAD));
            if (event.last().isAfter(today)) events.add(event);
        }
        return events;
    }

    private static Hours hours(Fields in) {
        double weekly = in.number("hoursPerWeek", "hours at hand, e.g. 8", 0, Hours.MOST);
        List<Hours.Exception> away = new ArrayList<>();
        for (Fields f : in.objects("away", MOST)) {
            LocalDate first = f.day("first");
            LocalDate last = f.day("last");
            if (last.isBefore(first)) throw f.wrong("last", last.toString(), "a day from " + first + " on");
            away.add(new Hours.Exception(
                    first,
                    last,
                    Math.min(
                            weekly,
                            f.number("hoursPerWeek", "hours that are left, as hours a week", 0, Hours.MOST, 0))));
        }
        return new Hours(weekly, away);
    }

    private static LoadPerHour loadPerHour(Fields f) {
        Map<Phase, Double> byPhase = new EnumMap<>(Phase.class);
        for (Phase phase : Phase.values())
            byPhase.put(phase, f.number(phase.name().toLowerCase(Locale.ROOT), "points an hour, e.g. 55", 1, 200));
        return new LoadPerHour(byPhase);
    }

    private static Ask.Start start(Fields in, LocalDate today, LocalDate from) {
        double chronic = in.number("chronic", "chronic load of today's evening, e.g. 45", 0, 500);
        double acute = in.number("acute", "acute load of today's evening, e.g. 50", 0, 1000);
        List<Double> between = Collections.nCopies((int) ChronoUnit.DAYS.between(today, from) - 1, 0.0);
        return new Ask.Start(acute, past(in, chronic), LoadTrend.Settings.DEFAULT, between);
    }

    /** The seven evenings, oldest first; all as chronic when they are not given. */
    static List<Double> past(Fields in, double chronic) {
        if (!in.has("chronicPast")) return Collections.nCopies(7, chronic);
        double[] past = in.numbers("chronicPast", "chronic load of an evening", 7, 0, 500);
        if (past.length != 7)
            throw new BadInput("chronicPast", past.length + " values are not possible; give 7, oldest first");
        if (Math.abs(past[6] - chronic) > 0.01)
            throw new BadInput("chronicPast[6]", past[6] + " is not chronic; give " + chronic);
        past[6] = chronic;
        return Arrays.stream(past).boxed().toList();
    }

    private static List<Block> pinned(Fields in, LocalDate from, LocalDate to) {
        List<Block> pinned = new ArrayList<>();
        for (Fields f : in.objects("pinned", MOST)) {
            LocalDate first = f.day("first");
            int days = f.whole("days", "days of the block", Block.SHORTEST, Block.LONGEST);
            if (first.isBefore(from) || first.plusDays(days - 1L).isAfter(to))
                throw f.wrong("first", first.toString(), "a block between from and to");
            for (Block other : pinned)
                if (!first.isAfter(other.last()) && !first.plusDays(days - 1L).isBefore(other.first()))
                    throw f.wrong("first", first + " lies in the block of " + other.first() + " and", "blocks apart");
            pinned.add(new Block(
                    first, days, null, "", "", f.number("load", "points over the block", 0, 99_999), 0, false, true));
        }
        return pinned;
    }

    private static Map<String, Object> written(Season season) {
        List<Object> blocks = new ArrayList<>();
        for (Season.Target t : season.targets())
            blocks.add(Answer.of(
                    "first",
                    t.first().toString(),
                    "days",
                    t.days(),
                    "phase",
                    t.phase().name().toLowerCase(Locale.ROOT),
                    "easy",
                    t.easy(),
                    "load",
                    t.load(),
                    "hours",
                    t.hours()));
        List<Object> mornings = new ArrayList<>();
        List<LoadTrend.Day> days = season.forecast();
        for (LoadTrend.Day day : days)
            mornings.add(
                    Answer.of("day", day.date().toString(), "chronic", day.chronicBefore(), "balance", day.balance()));
        Season.Outcome outcome = season.outcome();
        Map<String, Object> answer = Answer.of(
                "blocks",
                blocks,
                "met",
                outcome.met(),
                "reached",
                outcome.reached(),
                "nearest",
                outcome.nearest(),
                "binding",
                outcome.binding().stream().map(Limit::key).toList());
        if (!season.broken().isEmpty())
            answer.put(
                    "broken",
                    season.broken().stream()
                            .map(b -> Answer.of(
                                    "first",
                                    b.first().toString(),
                                    "limit",
                                    b.limit().key()))
                            .toList());
        answer.put("mornings", mornings);
        answer.put("highestBuild", season.highestBuild());
        return answer;
    }
}
