package pemblar.formats.ask;

import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import pemblar.core.adjust.Adjusting;
import pemblar.core.adjust.Broken;
import pemblar.core.adjust.Effect;
import pemblar.core.adjust.Proposal;
import pemblar.core.adjust.Session;
import pemblar.core.adjust.Situation;
import pemblar.core.load.LoadTrend;
import pemblar.core.season.Block;
import pemblar.core.season.Event;
import pemblar.core.season.Priority;

/** What a plan could answer to a situation (computation, section 12). */
final class AdjustTopic implements Topic {
    private static final WrittenChange WRITTEN = new WrittenChange();
    private static final int MOST = 2000;
    private static final int MOST_DAYS = 1096;

    @Override
    public Map<String, Object> answer(byte[] input) {
        Adjusting.Answer answer = Adjusting.of(situation(Fields.read(input)));
        List<Object> triggers = new ArrayList<>();
        answer.triggers().forEach(t -> triggers.add(Answer.of("kind", t.kind().key(), "text", t.text())));
        List<Object> proposals = new ArrayList<>();
        for (Proposal p : answer.proposals())
            proposals.add(Answer.of(
                    "trigger",
                    p.trigger().key(),
                    "changes",
                    p.changes().stream().map(c -> c.answer(WRITTEN)).toList(),
                    "effect",
                    written(p.effect()),
                    "breaks",
                    p.breaks().stream().sorted().map(Broken::key).toList(),
                    "text",
                    p.why()));
        return Answer.of(
                "triggers", triggers, "proposals", proposals, "leave", Answer.of("effect", written(answer.leave())));
    }

    private static Map<String, Object> written(Effect e) {
        return Answer.of(
                "chronic",
                e.chronic(),
                "balance",
                e.balance(),
                "lowestBalance",
                e.lowestBalance(),
                "highestBuild",
                e.highestBuild());
    }

    private static Situation situation(Fields in) {
        LocalDate today = in.day("today");
        double chronic = in.number("chronic", "this morning's chronic load, e.g. 45", 0, 500);
        double acute = in.number("acute", "this morning's acute load, e.g. 50", 0, 1000);
        Set<String> ids = new HashSet<>();
        return new Situation(
                today,
                chronic,
                acute,
                SeasonTopic.past(in, chronic),
                LoadTrend.Settings.DEFAULT,
                behind(in, today, ids),
                ahead(in, today, ids),
                blocks(in),
                events(in, today),
                limits(in.object("limits", "{buildRate, hoursPerDay, spacingHours, balanceFloor}")),
                checkins(in),
                away(in),
                thresholds(in),
                weather(in));
    }

    private static LocalDate near(Fields f, String name, LocalDate today) {
        LocalDate day = f.day(name);
        if (Math.abs(day.toEpochDay() - today.toEpochDay()) > MOST_DAYS)
            throw f.wrong(name, day.toString(), "a day within 3 years of today");
        return day;
    }

    private static String id(Fields f, Set<String> ids) {
        String id = f.text("id", "an id");
        if (!ids.add(id)) throw new BadInput(f.place("id"), id + " stands twice; give each session an id of its own");
        return id;
    }

    private static int minute(Fields f) {
        Optional<LocalTime> time = f.time("time");
        return time.isEmpty() ? Session.NOON : time.get().toSecondOfDay() / 60;
    }

    private static List<Situation.Behind> behind(Fields in, LocalDate today, Set<String> ids) {
        List<Situation.Behind> all = new ArrayList<>();
        for (Fields f : in.objects("behind", MOST)) {
            Fields planned = f.object("planned", "{load, hours}");
            LocalDate day = near(f, "day", today);
            if (day.isAfter(today))
                throw f.wrong("day", day.toString(), "a day up to today; later ones stand in ahead");
            Session session = new Session(
                    id(f, ids),
                    day,
                    minute(f),
                    f.text("sport", "a sport"),
                    f.text("purpose", "what it is for"),
                    load(planned),
                    hours(planned),
                    f.flag("hard"),
                    f.flag("long"),
                    false,
                    false);
            Optional<Situation.Done> done =
                    f.optionalObject("done", "{load, hours} or null").map(d -> new Situation.Done(load(d), hours(d)));
            all.add(new Situation.Behind(
                    session,
                    done,
                    f.optional("lowestReserve", "the lowest reserve in joules", -1e6, 1e6),
                    f.flag("beaten", false)));
        }
        return all;
    }

    private static double load(Fields f) {
        return f.number("load", "points", 0, 20_000);
    }

    private static double hours(Fields f) {
        return f.number("hours", "hours", 0, 48);
    }

    private static List<Session> ahead(Fields in, LocalDate today, Set<String> ids) {
        List<Session> all = new ArrayList<>();
        for (Fields f : in.objects("ahead", MOST)) {
            LocalDate day = near(f, "day", today);
            if (day.isBefore(today))
                throw f.wrong("day", day.toString(), "a day from today on; earlier ones stand in behind");
            all.add(new Session(
                    id(f, ids),
                    day,
                    minute(f),
                    f.text("sport", "a sport"),
                    f.text("purpose", "what it is for"),
                    load(f),
                    hours(f),
                    f.flag("hard"),
                    f.flag("long"),
                    f.flag("pinned"),
                    f.flag("legs", false)));
        }
        return all;
    }

    private static List<Situation.Target> blocks(Fields in) {
        List<Situation.Target> all = new ArrayList<>();
        for (Fields f : in.objects("blocks", MOST)) {
            Block.Phase phase =
                    Block.Phase.valueOf(f.choice("phase", List.of("base", "build", "peak", "taper", "recovery"))
                            .toUpperCase(Locale.ROOT));
            all.add(new Situation.Target(
                    f.day("first"),
                    f.whole("days", "days of the block", 1, 60),
                    phase,
                    f.number("load", "points", 0, 99_999),
                    f.number("hours", "hours", 0, 2000),
                    f.optional("done", "points done", 0, 99_999)));
        }
        return all;
    }

    private static List<Situation.Coming> events(Fields in, LocalDate today) {
        List<Situation.Coming> all = new ArrayList<>();
        for (Fields f : in.objects("events", MOST)) {
            Priority priority = Priority.valueOf(f.choice("priority", List.of("A", "B", "C")));
            Event event = new Event(
                    near(f, "day", today),
                    f.whole("days", "how many days it lasts", 1, Block.LONGEST, 1),
                    priority,
                    f.number("load", "the load of the whole event in points", 0, Event.MOST_LOAD));
            all.add(new Situation.Coming(
                    event,
                    f.has("movedFrom") ? Optional.of(f.day("movedFrom")) : Optional.empty(),
                    f.flag("added", false)));
        }
        return all;
    }

    private static Situation.Limits limits(Fields f) {
        Optional<Fields> weather = f.optionalObject("weather", "{ice, highestTemperature}");
        double highest = weather.map(w -> w.number("highestTemperature", "degrees", -60, 70, Double.NaN))
                .orElse(Double.NaN);
        return new Situation.Limits(
                f.number("buildRate", "the highest rise of chronic load in 7 days, e.g. 5", 0, 100),
                f.number("hoursPerDay", "hours a day, e.g. 4", 0, 24),
                f.number("spacingHours", "hours between hard sessions, e.g. 36", 0, 240),
                f.number("balanceFloor", "the lowest balance, e.g. -30", -300, 100),
                highest,
                weather.map(w -> w.flag("ice", true)).orElse(true));
    }

    private static List<Situation.Checkin> checkins(Fields in) {
        List<Situation.Checkin> all = new ArrayList<>();
        for (Fields f : in.objects("checkins", MOST))
            all.add(new Situation.Checkin(
                    f.day("day"),
                    f.number("restingHeartRate", "beats/min", 25, 130, Double.NaN),
                    f.number("rmssd", "ms", 3, 300, Double.NaN),
                    f.number("soreness", "1 to 5", 1, 5, Double.NaN),
                    f.word("illness"),
                    f.word("injury")));
        return all;
    }

    private static List<Situation.Away> away(Fields in) {
        List<Situation.Away> all = new ArrayList<>();
        for (Fields f : in.objects("away", MOST)) {
            LocalDate first = f.day("first");
            LocalDate last = f.day("last");
            if (last.isBefore(first)) throw f.wrong("last", last.toString(), "a day from " + first + " on");
            if (last.isAfter(first.plusDays(MOST_DAYS))) throw f.wrong("last", last.toString(), "at most 3 years");
            all.add(new Situation.Away(
                    first,
                    last,
                    Situation.Reason.valueOf(f.choice("reason", List.of("travel", "illness", "injury", "work"))
                            .toUpperCase(Locale.ROOT)),
                    f.number("hoursPerWeek", "hours that are left", 0, 168, 0),
                    f.word("sport")));
        }
        return all;
    }

    private static List<Situation.Threshold> thresholds(Fields in) {
        List<Situation.Threshold> all = new ArrayList<>();
        for (Fields f : in.objects("thresholds", MOST))
            all.add(new Situation.Threshold(
                    f.text("sport", "a sport"),
                    f.text("quantity", "a quantity"),
                    f.day("from"),
                    f.number("value", "its value", 0, 1e6)));
        return all;
    }

    private static List<Situation.Weather> weather(Fields in) {
        List<Situation.Weather> all = new ArrayList<>();
        for (Fields f : in.objects("weather", MOST))
            all.add(new Situation.Weather(
                    f.day("day"), f.number("temperature", "degrees", -80, 80, Double.NaN), f.flag("ice", false)));
        return all;
    }
}
