package pemblar.app.strength;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.athlete.AthleteService;
import pemblar.app.frame.Viewer;
import pemblar.core.strength.Movement;

/** Exercises that ship, and people's own beside them. */
@Repository
class Exercises {
    static final List<String> LOADED = List.of("bar", "dumbbells", "machine", "body mass", "held");
    private static final int MOST_OWN = 300;
    private static final int LONGEST_CUE = 120;
    private static final String LINK = "https://[^\\s\"'<>]{3,190}";
    private static final List<Known> SHIPPED = shipped();
    private final JdbcClient sql;
    private final AthleteService athletes;

    Exercises(JdbcClient sql, AthleteService athletes) {
        this.athletes = athletes;
        this.sql = sql;
    }

    /**
     * An exercise.
     *
     * @param loaded with what: one of {@link #LOADED}
     * @param own one's own, or a coach's that is shared
     * @param cue one line to remember, may be empty
     * @param link an address of one's own, may be empty
     */
    record Known(String name, Movement movement, String loaded, boolean own, String cue, String link) {}

    /** One to be added. @param link an https address, or empty @param shared seen by the athletes that one coaches */
    record New(String name, String movement, String loaded, String cue, String link, boolean shared) {}

    private static List<Known> shipped() {
        try (BufferedReader lines = new BufferedReader(new InputStreamReader(
                Exercises.class.getResourceAsStream("/strength/exercises.txt"), StandardCharsets.UTF_8))) {
            return lines.lines()
                    .filter(l -> !l.isBlank() && !l.startsWith("#"))
                    .map(Exercises::known)
                    .toList();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static Known known(String line) {
        String[] parts = Arrays.stream(line.split("\\|")).map(String::strip).toArray(String[]::new);
        return new Known(parts[0], Movement.of(parts[1]), parts[2], false, "", "");
    }

    /** All that a person can write: own ones first. */
    List<Known> all(Viewer viewer) {
        List<Known> all = new ArrayList<>(own(viewer));
        all.addAll(SHIPPED);
        return all;
    }

    private List<Known> own(Viewer viewer) {
        List<Long> coaches = new ArrayList<>(athletes.coachesOf(viewer));
        coaches.add(-1L); // a list in a query must hold something
        return sql.sql("select name, movement, loaded, cue, link from own_exercise where account_id = :viewer "
                        + "or shared and account_id in (:coaches) order by account_id <> :viewer, name")
                .param("viewer", viewer.accountId())
                .param("coaches", coaches)
                .query((rs, i) -> new Known(
                        rs.getString(1),
                        Movement.of(rs.getString(2)),
                        rs.getString(3),
                        true,
                        rs.getString(4),
                        rs.getString(5)))
                .list();
    }

    Optional<Known> named(Viewer viewer, String name) {
        return all(viewer).stream().filter(k -> k.name().equals(name)).findFirst();
    }

    /** Whether the legs carry an exercise: a shipped one, or one of anybody's own under that name. */
    boolean isOfLegs(String name) {
        return SHIPPED.stream()
                        .anyMatch(k -> k.name().equals(name) && k.movement().legs())
                || sql
                        .sql("select distinct movement from own_exercise where name = ?")
                        .param(name)
                        .query(String.class)
                        .list()
                        .stream()
                        .anyMatch(movement -> Movement.of(movement).legs());
    }

    /** Those of the same movement: what can stand in its place. */
    List<String> alternatives(Viewer viewer, String name) {
        List<Known> all = all(viewer);
        Optional<Known> asked = all.stream().filter(k -> k.name().equals(name)).findFirst();
        if (asked.isEmpty()) return List.of();
        return all.stream()
                .filter(k -> k.movement() == asked.get().movement() && !k.name().equals(name))
                .map(Known::name)
                .toList();
    }

    @Transactional
    void add(Viewer viewer, New added) {
        String called = added.name().strip().toLowerCase(Locale.ROOT).replaceAll("\\s+", " ");
        if (!called.matches("[\\p{L}][\\p{L}'()/ -]{0,58}"))
            throw new IllegalArgumentException(
                    "Name: enter 1 to 59 letters, spaces or hyphens; digits are read as sets.");
        if (added.cue().length() > LONGEST_CUE)
            throw new IllegalArgumentException("Cue: enter at most " + LONGEST_CUE + " characters.");
        if (!added.link().isBlank() && !added.link().strip().matches(LINK))
            throw new IllegalArgumentException("Link: enter an address that begins with https://, or none.");
        if (!LOADED.contains(added.loaded()))
            throw new IllegalArgumentException("Loaded with: choose one of the list.");
        if (named(viewer, called).isPresent())
            throw new IllegalArgumentException("Name: “" + called + "” is there already.");
        if (own(viewer).size() >= MOST_OWN)
            throw new IllegalArgumentException("At most " + MOST_OWN + " own exercises are kept; delete one first.");
        sql.sql("insert into own_exercise (account_id, name, movement, loaded, cue, link, shared) "
                        + "values (?, ?, ?, ?, ?, ?, ?)"
                        + " on conflict do nothing")
                .params(
                        viewer.accountId(),
                        called,
                        Movement.of(added.movement()).word(),
                        added.loaded(),
                        added.cue().strip(),
                        added.link().strip(),
                        added.shared())
                .update();
    }
}
