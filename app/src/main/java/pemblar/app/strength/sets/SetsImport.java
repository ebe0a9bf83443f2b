package pemblar.app.strength.sets;

import java.time.InstantSource;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.AthleteService;
import pemblar.app.frame.Secret;
import pemblar.app.frame.Viewer;
import pemblar.app.frame.Visit;
import pemblar.app.session.done.LiftedSessions;
import pemblar.app.strength.Exercises;
import pemblar.app.strength.Kilograms;
import pemblar.core.strength.StrengthShorthand;
import pemblar.formats.Reading.Problem;
import pemblar.formats.csv.StrengthSetsCsv;
import pemblar.formats.csv.StrengthSetsCsv.Row;

/**
 * Takes sets in from a file. What an exercise is called there is asked once and remembered; the same file twice adds
 * nothing.
 */
@Service
class SetsImport {
    private static final int KEY_LETTERS = 32;
    private static final int SECONDS_A_SET = 180; // computation 14: no minutes, 3 min a set
    private static final String USUAL_TITLE = "Strength";
    private final JdbcClient sql;
    private final AthleteService athletes;
    private final LiftedSessions sessions;
    private final Exercises exercises;
    private final InstantSource clock;

    SetsImport(
            JdbcClient sql,
            AthleteService athletes,
            LiftedSessions sessions,
            Exercises exercises,
            InstantSource clock) {
        this.sql = sql;
        this.athletes = athletes;
        this.sessions = sessions;
        this.exercises = exercises;
        this.clock = clock;
    }

    /** What a file holds. @param unknown names that are no exercise yet; empty when it can be taken in */
    public record Looked(List<Row> rows, Set<String> unknown, List<Problem> problems) {}

    /** @param sessions made or added to; {@code known} sets that were here already */
    record Taken(int sets, int sessions, int known) {}

    @Transactional(readOnly = true)
    Looked look(Athlete athlete, Viewer viewer, String text) {
        StrengthSetsCsv.Reading reading = StrengthSetsCsv.read(text, athlete.dayOf(clock.instant()));
        Map<String, String> names = names(viewer);
        Set<String> unknown = reading.rows().stream()
                .map(Row::exercise)
                .filter(n -> !names.containsKey(n))
                .collect(Collectors.toCollection(TreeSet::new));
        return new Looked(reading.rows(), unknown, reading.problems());
    }

    /** Every name that is understood, with the exercise it means. */
    private Map<String, String> names(Viewer viewer) {
        Map<String, String> names = new HashMap<>();
        exercises.all(viewer).forEach(k -> names.put(k.name(), k.name()));
        sql.sql("select name, exercise from exercise_alias where account_id = ?")
                .param(viewer.accountId())
                .query((rs, i) -> names.put(rs.getString(1), rs.getString(2)))
                .list();
        return names;
    }

    /** What a name means from now on, for this person. */
    @Transactional
    public void remember(Viewer viewer, Map<String, String> meant) {
        Set<String> there =
                exercises.all(viewer).stream().map(Exercises.Known::name).collect(Collectors.toSet());
        meant.forEach((name, exercise) -> {
            if (!there.contains(exercise))
                throw new IllegalArgumentException("“" + name + "”: choose one of the exercises, or add it first.");
            sql.sql("insert into exercise_alias (account_id, name, exercise) values (?, ?, ?) on conflict (account_id,"
                            + " name) do update set exercise = excluded.exercise")
                    .params(viewer.accountId(), name.length() > 60 ? name.substring(0, 60) : name, exercise)
                    .update();
        });
    }

    /** @throws IllegalArgumentException naming the first thing that is wrong: then nothing is taken in */
    @Transactional
    public Taken take(Visit visit, String text) {
        Athlete athlete = athletes.require(visit);
        Looked looked = look(athlete, visit.viewer(), text);
        if (!looked.problems().isEmpty())
            throw new IllegalArgumentException(looked.problems().get(0).toString());
        if (!looked.unknown().isEmpty())
            throw new IllegalArgumentException("Not known yet: " + String.join(", ", looked.unknown()) + ".");
        Map<String, String> names = names(visit.viewer());
        Map<String, List<Row>> bySession = new LinkedHashMap<>();
        for (Row row : looked.rows())
            bySession
                    .computeIfAbsent(row.day() + "\n" + title(row), k -> new ArrayList<>())
                    .add(row);
        int sets = 0;
        for (List<Row> rows : bySession.values()) sets += take(visit, athlete, rows, names);
        return new Taken(sets, bySession.size(), looked.rows().size() - sets);
    }

    private static String title(Row row) {
        return row.session().isBlank() ? USUAL_TITLE : row.session();
    }

    private int take(Visit visit, Athlete athlete, List<Row> rows, Map<String, String> names) {
        LocalDate day = rows.get(0).day();
        long session = sessions.logged(
                visit,
                day,
                new LiftedSessions.Prepared(
                        title(rows.get(0)), shorthand(rows, names), rows.size() * SECONDS_A_SET, 0, List.of()));
        OffsetDateTime doneAt = athlete.at(day, 12 * 60).atOffset(ZoneOffset.UTC);
        int added = 0;
        Map<String, Integer> like = new HashMap<>();
        for (int place = 0; place < rows.size(); place++) {
            Row row = rows.get(place);
            String same = row.toString();
            String key = "csv-"
                    + Secret.hash(same + like.merge(same, 1, Integer::sum)).substring(0, KEY_LETTERS);
            added += insert(visit, session, new Entry(place, key, row, names.get(row.exercise())), doneAt);
        }
        return added;
    }

    /** A set of the file. @param key the same for the same set, however often the file is read */
    private record Entry(int place, String key, Row row, String exercise) {}

    private int insert(Visit visit, long session, Entry entry, OffsetDateTime doneAt) {
        Row row = entry.row();
        return sql.sql("insert into strength_set (athlete_id, session_id, client_key, place, exercise, load_kilograms,"
                        + " repetitions, held_seconds, in_reserve, test, warm_up, counts, note, entered_by, done_at)"
                        + " values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, 'NONE', ?, ?, ?) on conflict (session_id,"
                        + " client_key) do nothing")
                .params(
                        visit.athleteId(),
                        session,
                        entry.key(),
                        Math.min(1000, entry.place()),
                        entry.exercise(),
                        row.kilograms(),
                        row.repetitions(),
                        row.heldSeconds(),
                        row.inReserve(),
                        row.asManyAsPossible(),
                        row.warmUp(),
                        row.note(),
                        visit.viewer().name(),
                        doneAt)
                .update();
    }

    /** The sets as a plan would have had them; empty when the shorthand has no words for them. */
    private static String shorthand(List<Row> rows, Map<String, String> names) {
        Map<String, List<String>> lines = new LinkedHashMap<>();
        for (Row row : rows)
            if (!row.warmUp())
                lines.computeIfAbsent(names.get(row.exercise()), k -> new ArrayList<>())
                        .add(words(row));
        String text = lines.entrySet().stream()
                .map(e -> e.getKey() + " " + String.join(", ", e.getValue()))
                .collect(Collectors.joining("\n"));
        return StrengthShorthand.read(text).workout().isPresent() ? text : "";
    }

    private static String words(Row row) {
        if (row.heldSeconds() > 0) return row.heldSeconds() + "s";
        String load = row.kilograms() > 0 ? Kilograms.hundredths(row.kilograms()) + "kg" : "body mass";
        return Math.max(1, row.repetitions()) + " at " + load;
    }
}
