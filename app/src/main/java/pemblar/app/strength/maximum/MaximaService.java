package pemblar.app.strength.maximum;

import java.time.InstantSource;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.AthleteService;
import pemblar.app.frame.NotFoundException;
import pemblar.app.frame.Visit;
import pemblar.app.frame.page.Typed;
import pemblar.app.frame.page.Units;
import pemblar.app.session.done.LiftedSessions;
import pemblar.app.session.done.LiftedSessions.Lifted;
import pemblar.app.strength.Exercises;
import pemblar.app.strength.Kilograms;
import pemblar.app.strength.StrengthUndo;
import pemblar.app.threshold.ThresholdService;
import pemblar.app.undo.UndoService;
import pemblar.core.strength.Exercise;
import pemblar.core.strength.Loadable;
import pemblar.core.strength.Maxima;
import pemblar.core.strength.Prescription;
import pemblar.core.strength.StrengthShorthand;
import pemblar.core.strength.StrengthWorkout;
import pemblar.core.threshold.Quantity;

/** Maxima of an athlete: dated, with what each rests on, and links between exercises. */
@Service
public class MaximaService {
    private static final double USUAL_STEP = 2.5;
    private static final double USUAL_BAR = 20;
    private static final double USUAL_PLATE = 1.25;
    private final JdbcClient sql;
    private final AthleteService athletes;
    private final ThresholdService thresholds;
    private final LiftedSessions sessions;
    private final Exercises exercises;
    private final UndoService undo;
    private final InstantSource clock;

    MaximaService(
            JdbcClient sql,
            AthleteService athletes,
            ThresholdService thresholds,
            LiftedSessions sessions,
            Exercises exercises,
            UndoService undo,
            InstantSource clock) {
        this.sql = sql;
        this.athletes = athletes;
        this.thresholds = thresholds;
        this.sessions = sessions;
        this.exercises = exercises;
        this.undo = undo;
        this.clock = clock;
    }

    /** One dated maximum. @param said what it rests on, as “107.5 kg × 3” or “typed” */
    public record Dated(
            long id, String exercise, LocalDate day, double kilograms, String said, Long sessionId, String by) {
        public String words() {
            return Kilograms.rounded(kilograms);
        }

        public String saidWords() {
            return Kilograms.said(said);
        }
    }

    public record Link(String exercise, String of, double percent, boolean reportsBack) {}

    /** All that loads of a day follow from. */
    public record Strength(Maxima maxima, Loadable loadable, OptionalDouble bodyKilograms) {
        public List<Prescription.Row> rows(StrengthWorkout workout) {
            return Prescription.of(workout, maxima, loadable, bodyKilograms);
        }
    }

    /** A planned session whose loads would change. */
    public record Ahead(long sessionId, LocalDate day, String title, String before, String after) {}

    /** @param asked names that must be known too, with or without a maximum */
    @Transactional(readOnly = true)
    public Strength on(Athlete athlete, LocalDate day, Iterable<String> asked) {
        Map<String, Double> latest = onDay(history(athlete), day);
        Loadable loadable = loadable(athlete);
        OptionalDouble body = thresholds.of(athlete).latest(Quantity.BODY_MASS, day).stream()
                .mapToDouble(d -> d.value())
                .findFirst();
        return new Strength(maxima(latest, links(athlete), asked), loadable, body);
    }

    private Loadable loadable(Athlete athlete) {
        return sql.sql("select load_step, bar_kilograms, plate_kilograms from strength_bar where athlete_id = ?")
                .param(athlete.id())
                .query((rs, i) -> new Loadable(rs.getDouble(1), rs.getDouble(2), rs.getDouble(3), exercises.onBar()))
                .optional()
                .orElseGet(() -> new Loadable(USUAL_STEP, USUAL_BAR, USUAL_PLATE, exercises.onBar()));
    }

    private static Maxima maxima(Map<String, Double> latest, List<Link> links, Iterable<String> asked) {
        Map<String, Exercise> all = new LinkedHashMap<>();
        latest.forEach((name, kilograms) -> all.put(name, new Exercise.Own(name, OptionalDouble.of(kilograms))));
        for (Link link : links) {
            all.put(
                    link.exercise(),
                    new Exercise.Linked(link.exercise(), link.of(), link.percent(), link.reportsBack()));
            all.putIfAbsent(link.of(), new Exercise.Own(link.of(), OptionalDouble.empty()));
        }
        for (String name : asked) all.putIfAbsent(name, new Exercise.Own(name, OptionalDouble.empty()));
        return Maxima.of(List.copyOf(all.values()));
    }

    /** Oldest first. */
    @Transactional(readOnly = true)
    public List<Dated> history(Athlete athlete) {
        return sql.sql("select * from strength_maximum where athlete_id = ? order by day, id")
                .param(athlete.id())
                .query((rs, i) -> new Dated(
                        rs.getLong("id"),
                        rs.getString("exercise"),
                        rs.getObject("day", LocalDate.class),
                        rs.getDouble("kilograms"),
                        rs.getString("said"),
                        rs.getObject("session_id", Long.class),
                        rs.getString("entered_by")))
                .list();
    }

    /** The first day after another on which a maximum begins to hold. */
    @Transactional(readOnly = true)
    public Optional<LocalDate> next(Athlete athlete, String exercise, LocalDate day) {
        String name = name(exercise);
        return history(athlete).stream()
                .filter(d -> d.exercise().equals(name) && d.day().isAfter(day))
                .map(Dated::day)
                .findFirst();
    }

    @Transactional(readOnly = true)
    public List<Link> links(Athlete athlete) {
        return links(athlete.id());
    }

    private List<Link> links(long athleteId) {
        return sql.sql("select * from strength_link where athlete_id = ? order by of_exercise, exercise")
                .param(athleteId)
                .query((rs, i) -> new Link(
                        rs.getString("exercise"),
                        rs.getString("of_exercise"),
                        rs.getDouble("percent"),
                        rs.getBoolean("reports_back")))
                .list();
    }

    /** @throws Maxima.BrokenLink naming the chain when links go in a circle */
    public void checkLinks(long athleteId) {
        maxima(Map.of(), links(athleteId), List.of());
    }

    /** What holds on a day, by exercise. @param history in the order of days */
    private static Map<String, Double> onDay(List<Dated> history, LocalDate day) {
        Map<String, Double> latest = new LinkedHashMap<>();
        for (Dated dated : history) if (!dated.day().isAfter(day)) latest.put(dated.exercise(), dated.kilograms());
        return latest;
    }

    /** In the order of days, and the new one last on its own. */
    private static List<Dated> with(List<Dated> history, New maximum) {
        List<Dated> all = new ArrayList<>(history);
        int place = (int)
                history.stream().filter(d -> !d.day().isAfter(maximum.day())).count();
        all.add(
                place,
                new Dated(0, name(maximum.exercise()), maximum.day(), maximum.kilograms(), maximum.said(), null, ""));
        return all;
    }

    /** What a new maximum would change of the sessions ahead, each by what holds on its day. */
    @Transactional(readOnly = true)
    public List<Ahead> ahead(Athlete athlete, New maximum) {
        LocalDate today = athlete.dayOf(clock.instant());
        List<Dated> history = history(athlete);
        List<Dated> then = with(history, maximum);
        List<Link> links = links(athlete);
        Strength now = on(athlete, today, List.of(maximum.exercise()));
        List<Ahead> changed = new ArrayList<>();
        for (Lifted session : sessions.ahead(athlete, today)) {
            var workout = StrengthShorthand.read(session.text()).workout();
            if (workout.isEmpty()) continue;
            Maxima before =
                    maxima(onDay(history, session.day()), links, workout.get().exercises());
            Maxima after =
                    maxima(onDay(then, session.day()), links, workout.get().exercises());
            Map<String, String> one =
                    heaviest(Prescription.of(workout.get(), before, now.loadable(), now.bodyKilograms()));
            Map<String, String> other =
                    heaviest(Prescription.of(workout.get(), after, now.loadable(), now.bodyKilograms()));
            if (!one.equals(other))
                changed.add(new Ahead(
                        session.id(), session.day(), session.title(), unlike(one, other), unlike(other, one)));
        }
        return changed;
    }

    /** Only what is not the same in both; “find out” where the other alone knows a load. */
    private static String unlike(Map<String, String> loads, Map<String, String> others) {
        List<String> words = new ArrayList<>();
        loads.forEach((name, load) -> {
            if (!load.equals(others.get(name))) words.add(name + " " + load);
        });
        others.keySet().stream()
                .filter(name -> !loads.containsKey(name))
                .forEach(name -> words.add(name + ": find out"));
        return String.join(", ", words);
    }

    /** The heaviest load of every exercise that has one, in words. */
    private static Map<String, String> heaviest(List<Prescription.Row> rows) {
        Map<String, Double> most = new LinkedHashMap<>();
        for (Prescription.Row row : rows)
            if (!row.warmUp() && row.shownKilograms().isPresent())
                most.merge(row.lift().exercise(), row.shownKilograms().getAsDouble(), Math::max);
        Map<String, String> words = new LinkedHashMap<>();
        most.forEach((name, kilograms) -> words.put(name, Kilograms.of(kilograms)));
        return words;
    }

    /** A maximum that holds from a day on. @param said what it rests on @param sessionId of the set, null when typed */
    public record New(String exercise, LocalDate day, double kilograms, String said, Long sessionId) {}

    @Transactional
    public void set(Visit visit, New maximum) {
        double kilograms = maximum.kilograms();
        LocalDate day = maximum.day();
        Athlete athlete = athletes.require(visit);
        if (!(kilograms > 0 && kilograms < Maxima.MOST_KILOGRAMS))
            throw new IllegalArgumentException(
                    "Maximum: enter more than 0 and less than " + Units.mine().mass(1000, 0) + ".");
        Typed.near("Day", day, athlete.dayOf(clock.instant()));
        String name = name(maximum.exercise());
        undo.remember(
                visit,
                "Maximum of " + name + " is " + Kilograms.of(kilograms) + ".",
                StrengthUndo.KIND,
                before(visit.athleteId()));
        sql.sql("insert into strength_maximum (athlete_id, exercise, day, kilograms, said, "
                        + "session_id, entered_by, entered_at)"
                        + " values (?, ?, ?, ?, ?, ?, ?, ?)")
                .params(
                        visit.athleteId(),
                        name,
                        day,
                        kilograms,
                        maximum.said(),
                        maximum.sessionId(),
                        visit.viewer().name(),
                        clock.instant().atOffset(ZoneOffset.UTC))
                .update();
    }

    @Transactional
    public void remove(Visit visit, long id) {
        athletes.require(visit);
        StrengthUndo.Before before = before(visit.athleteId());
        if (sql.sql("delete from strength_maximum where id = ? and athlete_id = ?")
                        .params(id, visit.athleteId())
                        .update()
                == 0) throw new NotFoundException("maximum");
        undo.remember(visit, "A maximum was removed.", StrengthUndo.KIND, before);
    }

    /**
     * Takes an exercise's maximum from another's. @throws IllegalArgumentException naming the chain when links would go
     * in a circle
     */
    @Transactional
    public void link(Visit visit, Link link) {
        Athlete athlete = athletes.require(visit);
        Link named = new Link(name(link.exercise()), name(link.of()), link.percent(), link.reportsBack());
        if (!(link.percent() > 0 && link.percent() <= 300))
            throw new IllegalArgumentException("Percent: enter 1 to 300.");
        List<Link> links = new ArrayList<>(links(athlete));
        links.removeIf(l -> l.exercise().equals(named.exercise()));
        links.add(named);
        try {
            maxima(Map.of(), links, List.of());
        } catch (Maxima.BrokenLink e) {
            throw new IllegalArgumentException(
                    "Link: " + e.getMessage() + ". Choose another exercise to take it from.");
        }
        undo.remember(
                visit,
                "The maximum of " + named.exercise() + " follows " + named.of() + ".",
                StrengthUndo.KIND,
                before(visit.athleteId()));
        sql.sql("insert into strength_link (athlete_id, exercise, of_exercise, percent, reports_back) "
                        + "values (?, ?, ?, ?, ?)"
                        + " on conflict (athlete_id, exercise) do update set of_exercise = "
                        + "excluded.of_exercise,"
                        + " percent = excluded.percent, reports_back = excluded.reports_back")
                .params(visit.athleteId(), named.exercise(), named.of(), named.percent(), named.reportsBack())
                .update();
    }

    @Transactional
    public void unlink(Visit visit, String exercise) {
        athletes.require(visit);
        undo.remember(
                visit,
                "The maximum of " + exercise + " is its own again.",
                StrengthUndo.KIND,
                before(visit.athleteId()));
        sql.sql("delete from strength_link where athlete_id = ? and exercise = ?")
                .params(visit.athleteId(), exercise)
                .update();
    }

    /** What stands in the room: the bar, the smallest plate, and the step of all else; kg. */
    @Transactional
    public void setLoadable(Visit visit, double bar, double plate, double step) {
        athletes.require(visit);
        sql.sql("insert into strength_bar (athlete_id, bar_kilograms, plate_kilograms, load_step) values (?, ?, ?, ?)"
                        + " on conflict (athlete_id) do update set bar_kilograms = excluded.bar_kilograms,"
                        + " plate_kilograms = excluded.plate_kilograms, load_step = excluded.load_step")
                .params(visit.athleteId(), bar, plate, step)
                .update();
    }

    private StrengthUndo.Before before(long athleteId) {
        Athlete athlete = athletes.forJob(athleteId);
        return new StrengthUndo.Before(history(athlete), links(athlete));
    }

    private static String name(String exercise) {
        String name = Objects.requireNonNullElse(exercise, "")
                .strip()
                .toLowerCase(Locale.ROOT)
                .replaceAll("\\s+", " ");
        if (name.isEmpty() || name.length() > 60)
            throw new IllegalArgumentException("Exercise: enter 1 to 60 characters.");
        return name;
    }
}
