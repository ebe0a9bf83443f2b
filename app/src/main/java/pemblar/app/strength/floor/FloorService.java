package pemblar.app.strength.floor;

import java.time.InstantSource;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.AthleteService;
import pemblar.app.frame.NotFoundException;
import pemblar.app.frame.Visit;
import pemblar.app.frame.page.Shown;
import pemblar.app.frame.page.Units;
import pemblar.app.session.done.DoneService;
import pemblar.app.session.done.LiftedSessions;
import pemblar.app.session.done.LiftedSessions.Lifted;
import pemblar.app.strength.Kilograms;
import pemblar.app.strength.maximum.MaximaService;
import pemblar.core.strength.Lift;
import pemblar.core.strength.LoggedSet;
import pemblar.core.strength.LoggedSet.Counts;
import pemblar.core.strength.LoggedSet.Did;
import pemblar.core.strength.Maxima;
import pemblar.core.strength.Prescription;
import pemblar.core.strength.Prescription.Row;
import pemblar.core.strength.SetLoad;
import pemblar.core.strength.StrengthShorthand;
import pemblar.core.strength.StrengthText;
import pemblar.core.strength.StrengthWorkout;

/** Sets as they are lifted: logged once each, whatever is sent how often, and what they would do to a maximum. */
@Service
public class FloorService {
    /** Sets that are not in the design stand behind all that are. */
    static final int EXTRA = 500;

    private static final int MOST_SETS = 300;
    private static final int LONGEST_NOTE = 300;
    private static final int LONGEST_KEY = 40;
    private final JdbcClient sql;
    private final AthleteService athletes;
    private final LiftedSessions sessions;
    private final MaximaService maxima;
    private final DoneService done;
    private final InstantSource clock;

    FloorService(
            JdbcClient sql,
            AthleteService athletes,
            LiftedSessions sessions,
            MaximaService maxima,
            DoneService done,
            InstantSource clock) {
        this.sql = sql;
        this.athletes = athletes;
        this.sessions = sessions;
        this.maxima = maxima;
        this.done = done;
        this.clock = clock;
    }

    /** A set as it was logged. @param inReserve null when nobody said */
    public record Logged(
            long id,
            int place,
            String exercise,
            double kilograms,
            int repetitions,
            int heldSeconds,
            Integer inReserve,
            boolean test,
            boolean warmUp,
            Counts counts,
            Integer repetitionMaximum,
            Double prescribed,
            String note) {
        LoggedSet toCore() {
            return new LoggedSet(
                    exercise,
                    kilograms,
                    repetitions,
                    counts,
                    test,
                    repetitionMaximum == null ? OptionalInt.empty() : OptionalInt.of(repetitionMaximum),
                    prescribed == null ? OptionalDouble.empty() : OptionalDouble.of(prescribed));
        }
    }

    /** What a person says of a set. @param key made where it was entered, so that sending it twice logs it once */
    public record Told(
            String key,
            int place,
            String exercise,
            double kilograms,
            int repetitions,
            int heldSeconds,
            Integer inReserve,
            String note) {}

    /** A maximum that a set would move. */
    public record Would(long setId, String exercise, double before, double after, String said, int sessionsAhead) {
        /** The move in words, with the set behind it and what it would change. */
        public String sentence() {
            String old = Double.isNaN(before) ? "unknown" : Kilograms.of(before);
            String ahead = sessionsAhead == 0
                    ? "It changes no session ahead."
                    : "It changes " + sessionsAhead + (sessionsAhead == 1 ? " session" : " sessions") + " ahead.";
            return "The maximum of " + exercise + " would be " + Kilograms.rounded(after) + " instead of " + old + " ("
                    + Kilograms.said(said) + "). " + ahead;
        }
    }

    /** What a logged set leads to. @param next load for the next set, kg; null when it does not follow */
    public record Answer(Logged set, Would would, Double next) {}

    /** A session on the floor. @param lastTime sets of the last session, by exercise */
    public record Open(
            Lifted session,
            StrengthWorkout workout,
            List<Row> rows,
            MaximaService.Strength strength,
            List<Logged> logged,
            Map<String, List<Logged>> lastTime) {
        /** Repetitions are those of each side. */
        boolean isEach(String exercise) {
            return workout.lifts().stream().anyMatch(l -> l.exercise().equals(exercise) && l.each());
        }
    }

    @Transactional(readOnly = true)
    public Open open(Visit visit, long sessionId) {
        Lifted session = sessions.require(visit, sessionId);
        Athlete athlete = athletes.require(visit);
        StrengthWorkout workout = StrengthShorthand.read(session.text())
                .workout()
                .orElseThrow(() -> new IllegalArgumentException(
                        "“" + session.title() + "” has no exercises yet: choose a strength workout for it."));
        MaximaService.Strength strength = maxima.on(athlete, session.day(), workout.exercises());
        List<Row> rows = strength.rows(workout);
        return new Open(
                session, workout, rows, strength, logged(sessionId), lastTime(visit.athleteId(), sessionId, workout));
    }

    private List<Logged> logged(long sessionId) {
        return sql.sql("select * from strength_set where session_id = ? order by place, id")
                .param(sessionId)
                .query((rs, i) -> logged(rs))
                .list();
    }

    private static Logged logged(java.sql.ResultSet rs) throws java.sql.SQLException {
        return new Logged(
                rs.getLong("id"),
                rs.getInt("place"),
                rs.getString("exercise"),
                rs.getDouble("load_kilograms"),
                rs.getInt("repetitions"),
                rs.getInt("held_seconds"),
                rs.getObject("in_reserve", Integer.class),
                rs.getBoolean("test"),
                rs.getBoolean("warm_up"),
                Counts.valueOf(rs.getString("counts")),
                rs.getObject("repetition_maximum", Integer.class),
                rs.getObject("prescribed", Double.class),
                rs.getString("note"));
    }

    private Map<String, List<Logged>> lastTime(long athleteId, long sessionId, StrengthWorkout workout) {
        Map<String, List<Logged>> last = new HashMap<>();
        sql.sql("select s.* from strength_set s join (select exercise, max(session_id) as session_id from strength_set"
                        + " where athlete_id = :athlete and session_id <> :session and exercise in (:names)"
                        + " and note not like 'skipped%' group by exercise) l"
                        + " on l.exercise = s.exercise and l.session_id = s.session_id order by s.place, s.id")
                .param("athlete", athleteId)
                .param("session", sessionId)
                .param("names", workout.exercises())
                .query((rs, i) -> logged(rs))
                .list()
                .forEach(set -> last.computeIfAbsent(set.exercise(), e -> new ArrayList<>())
                        .add(set));
        return last;
    }

    /** Logs a set, or says it anew. The same key twice is one set. */
    @Transactional
    public Answer log(Visit visit, long sessionId, Told told) {
        Open open = open(visit, sessionId);
        check(told, open);
        Row row = told.place() < open.rows().size() ? open.rows().get(told.place()) : null;
        boolean warmUp = row != null && row.warmUp();
        boolean planned = row != null && row.lift().exercise().equals(told.exercise());
        boolean test = planned && row.set().asManyAsPossible();
        Counts counts = planned && !row.warmUp() ? row.lift().counts() : Counts.NONE;
        Integer repetitionMaximum =
                planned && row.set().load() instanceof SetLoad.RepetitionMaximum rm ? rm.repetitions() : null;
        Double prescribed = planned && row.shownKilograms().isPresent()
                ? (Double) row.shownKilograms().getAsDouble()
                : null;
        sql.sql("insert into strength_set (athlete_id, session_id, client_key, place, exercise, "
                        + "load_kilograms, repetitions,"
                        + " held_seconds, in_reserve, test, warm_up, counts, repetition_maximum, "
                        + "prescribed, note, entered_by, done_at)"
                        + " values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)"
                        + " on conflict (session_id, client_key) do update set load_kilograms = "
                        + "excluded.load_kilograms,"
                        + " repetitions = excluded.repetitions, held_seconds = excluded.held_seconds,"
                        + " in_reserve = excluded.in_reserve, note = excluded.note, entered_by = "
                        + "excluded.entered_by")
                .params(
                        visit.athleteId(),
                        sessionId,
                        told.key(),
                        told.place(),
                        told.exercise(),
                        told.kilograms(),
                        told.repetitions(),
                        told.heldSeconds(),
                        told.inReserve(),
                        test,
                        warmUp,
                        counts.name(),
                        repetitionMaximum,
                        prescribed,
                        told.note(),
                        visit.viewer().name(),
                        clock.instant().atOffset(ZoneOffset.UTC))
                .update();
        Logged set = logged(sessionId).stream()
                .filter(l -> l.place() == told.place() && l.exercise().equals(told.exercise()))
                .reduce((a, b) -> b)
                .orElseThrow();
        return new Answer(set, would(open, athletes.require(visit), set).orElse(null), next(open, row, set));
    }

    private static void check(Told told, Open open) {
        if (told.key() == null || told.key().isBlank() || told.key().length() > LONGEST_KEY)
            throw new IllegalArgumentException("Set: its key is missing; load the page again.");
        if (told.place() < 0 || told.place() > 1000) throw new IllegalArgumentException("Set: there is no such place.");
        if (told.exercise().isBlank() || told.exercise().length() > 60)
            throw new IllegalArgumentException("Exercise: enter 1 to 60 characters.");
        if (!(told.kilograms() >= 0 && told.kilograms() < 1000))
            throw new IllegalArgumentException(
                    "Load: enter 0 to " + Units.mine().mass(999, 0) + ".");
        if (told.repetitions() < 0 || told.repetitions() > 200)
            throw new IllegalArgumentException("Repetitions: enter 0 to 200.");
        if (told.heldSeconds() < 0 || told.heldSeconds() > 3600)
            throw new IllegalArgumentException("Held: enter 0 to 3600 s.");
        if (told.inReserve() != null && (told.inReserve() < 0 || told.inReserve() > 10))
            throw new IllegalArgumentException("In reserve: enter 0 to 10.");
        if (told.note().length() > LONGEST_NOTE)
            throw new IllegalArgumentException("Note: enter at most " + LONGEST_NOTE + " characters.");
        if (open.logged().size() >= MOST_SETS)
            throw new IllegalArgumentException("At most " + MOST_SETS + " sets are kept for a session.");
    }

    private static Double next(Open open, Row row, Logged set) {
        if (row == null || row.warmUp() || !row.lift().nextFromLast() || set.repetitions() == 0) return null;
        int place = open.rows().indexOf(row);
        if (place + 1 >= open.rows().size() || open.rows().get(place + 1).lift() != row.lift()) return null;
        OptionalDouble next = Prescription.nextFromLast(
                set.kilograms(),
                set.repetitions(),
                set.inReserve() == null ? 0 : set.inReserve(),
                open.rows().get(place + 1).set());
        return next.isEmpty() ? null : (Double) open.strength().loadable().nearest(set.exercise(), next.getAsDouble());
    }

    /** The maximum that a set would move, with what that changes ahead; nothing moves by itself. */
    private Optional<Would> would(Open open, Athlete athlete, Logged set) {
        Maxima before = open.strength().maxima();
        if (!before.knows(set.exercise())) return Optional.empty();
        Maxima.After after =
                before.after(set.toCore(), open.strength().loadable().step());
        if (after.did() != Did.MOVED) return Optional.empty();
        Map<String, Double> was = before.all();
        Map<String, Double> is = after.maxima().all();
        List<String> linked =
                maxima.links(athlete).stream().map(MaximaService.Link::exercise).toList();
        String moved = is.keySet().stream()
                .filter(name -> !linked.contains(name)
                        && is.get(name) != null
                        && !is.get(name).equals(was.get(name)))
                .findFirst()
                .orElseThrow();
        // another was set since and holds today: what was lifted before it moves nothing any more
        if (maxima.next(athlete, moved, open.session().day()).isPresent()) return Optional.empty();
        String said = Kilograms.kept(set.kilograms()) + " × " + set.repetitions()
                + (set.exercise().equals(moved) ? "" : " on " + set.exercise());
        double old = was.get(moved) == null ? Double.NaN : was.get(moved);
        return Optional.of(
                new Would(set.id(), moved, old, is.get(moved), said, ahead(open, athlete, moved, is.get(moved))));
    }

    /** Other sessions that are planned and would change. */
    private int ahead(Open open, Athlete athlete, String exercise, double kilograms) {
        MaximaService.New maximum = new MaximaService.New(
                exercise, open.session().day(), kilograms, "", open.session().id());
        return (int) maxima.ahead(athlete, maximum).stream()
                .filter(a -> a.sessionId() != open.session().id())
                .count();
    }

    /** What the sets of a session would still do to maxima that were not taken. */
    @Transactional(readOnly = true)
    public List<Would> wouldMove(Visit visit, Open open) {
        Athlete athlete = athletes.require(visit);
        Map<String, Would> last = new LinkedHashMap<>();
        for (Logged set : open.logged()) would(open, athlete, set).ifPresent(w -> last.put(w.exercise(), w));
        return List.copyOf(last.values());
    }

    /** Lets a set move the maximum. @return what to say */
    @Transactional
    public String take(Visit visit, long sessionId, long setId) {
        Open open = open(visit, sessionId);
        Logged set = open.logged().stream()
                .filter(l -> l.id() == setId)
                .findFirst()
                .orElseThrow(() -> new NotFoundException("set"));
        Would would = would(open, athletes.require(visit), set)
                .orElseThrow(() -> new IllegalArgumentException("This set moves no maximum any more."));
        LocalDate day = open.session().day();
        double kilograms = Math.rint(would.after() * 10) / 10;
        maxima.set(visit, new MaximaService.New(would.exercise(), day, kilograms, would.said(), sessionId));
        return "The maximum of " + would.exercise() + " is " + Kilograms.rounded(would.after()) + " from "
                + new Shown().date(day)
                + ".";
    }

    @Transactional
    public void remove(Visit visit, long sessionId, long setId) {
        sessions.require(visit, sessionId);
        sql.sql("delete from strength_set where id = ? and session_id = ? and athlete_id = ?")
                .params(setId, sessionId, visit.athleteId())
                .update();
    }

    /** Another exercise in the place of one, with its own maximum, in this session alone. */
    @Transactional
    public void swap(Visit visit, long sessionId, String exercise, String with) {
        Open open = open(visit, sessionId);
        List<Lift> lifts = open.workout().lifts().stream()
                .map(l -> l.exercise().equals(exercise) ? named(l, with) : l)
                .toList();
        if (lifts.equals(open.workout().lifts())) throw new NotFoundException("exercise");
        Set<String> warm = new LinkedHashSet<>(open.workout().warmUps());
        if (warm.remove(exercise)) warm.add(with);
        String text = StrengthText.of(new StrengthWorkout(lifts, warm));
        sessions.rewrite(visit, sessionId, text, "“" + with + "” in the place of “" + exercise + "”.");
    }

    /** One exercise more, behind all others. @param line of the shorthand, as “plank 3 x 45s” */
    @Transactional
    public void add(Visit visit, long sessionId, String line) {
        Open open = open(visit, sessionId);
        StrengthShorthand.Reading reading = StrengthShorthand.read(line);
        StrengthWorkout more = reading.workout()
                .orElseThrow(() -> new IllegalArgumentException(
                        "Exercise: " + reading.problem().orElseThrow().toString()));
        for (String exercise : more.exercises())
            if (open.workout().exercises().contains(exercise))
                throw new IllegalArgumentException("Exercise: “" + exercise + "” is there already; add a set to it.");
        List<Lift> lifts = new ArrayList<>(open.workout().lifts());
        lifts.addAll(more.lifts());
        if (lifts.size() > StrengthWorkout.MOST_LIFTS)
            throw new IllegalArgumentException(
                    "Exercise: a session has at most " + StrengthWorkout.MOST_LIFTS + " exercises.");
        Set<String> warm = new LinkedHashSet<>(open.workout().warmUps());
        warm.addAll(more.warmUps());
        String text = StrengthText.of(new StrengthWorkout(lifts, warm));
        sessions.rewrite(visit, sessionId, text, "“" + line.strip() + "” added.");
    }

    /** An exercise of which nothing was logged goes; sets of those behind it keep to their exercise. */
    @Transactional
    public void drop(Visit visit, long sessionId, String exercise) {
        Open open = open(visit, sessionId);
        if (open.logged().stream().anyMatch(l -> l.exercise().equals(exercise)))
            throw new IllegalArgumentException(
                    "Exercise: sets of “" + exercise + "” are logged; remove them first, or skip the rest.");
        List<Lift> left = open.workout().lifts().stream()
                .filter(l -> !l.exercise().equals(exercise))
                .toList();
        if (left.size() == open.workout().lifts().size()) throw new NotFoundException("exercise");
        if (left.isEmpty())
            throw new IllegalArgumentException("Exercise: it is the only one; drop the session on the board instead.");
        Set<String> warm = new LinkedHashSet<>(open.workout().warmUps());
        warm.remove(exercise);
        StrengthWorkout workout = new StrengthWorkout(left, warm);
        sessions.rewrite(visit, sessionId, StrengthText.of(workout), "Without “" + exercise + "” this time.");
        follow(sessionId, open.rows(), open.strength().rows(workout));
    }

    /** Logged sets stand at the places that their planned ones have now. */
    private void follow(long sessionId, List<Row> before, List<Row> after) {
        int now = 0;
        for (int place = 0; place < before.size() && now < after.size(); place++) {
            String exercise = before.get(place).lift().exercise();
            if (!after.get(now).lift().exercise().equals(exercise)) continue;
            if (now != place)
                sql.sql("update strength_set set place = ?, client_key = ? where session_id = ? and place = ?"
                                + " and exercise = ?")
                        .params(now, "p" + now + "-" + exercise, sessionId, place, exercise)
                        .update();
            now++;
        }
    }

    private static Lift named(Lift l, String name) {
        return new Lift(
                l.letter(),
                name,
                l.each(),
                l.sets(),
                l.counts(),
                l.nextFromLast(),
                l.restSeconds(),
                l.tempo(),
                l.cue());
    }

    /** The session is over. @param minutes null: three a set @param effort 0 to 10 */
    @Transactional
    public void finish(Visit visit, long sessionId, Integer minutes, double effort) {
        Open open = open(visit, sessionId);
        long lifted = open.logged().stream()
                .filter(l -> !l.note().startsWith("skipped"))
                .count();
        if (lifted == 0)
            throw new IllegalArgumentException("No set is logged yet; log one, or drop the session on the board.");
        int seconds = minutes == null ? (int) Math.max(60, lifted * 180) : minutes * 60;
        done.done(visit, sessionId, null, new DoneService.Told(seconds, null, effort, ""));
    }
}
