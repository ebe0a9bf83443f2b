package pemblar.app.strength;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.athlete.AthleteService;
import pemblar.app.athlete.Memberships;
import pemblar.app.frame.Viewer;
import pemblar.core.strength.Movement;

/** Exercises that ship, and people's own beside them. */
@Repository
public class Exercises {
    public static final List<String> LOADED = List.of("bar", "dumbbells", "machine", "body mass", "held");
    private static final int MOST_OWN = 300;
    private static final int LONGEST_CUE = 120;
    private static final String LINK = "https://[^\\s\"'<>]{3,190}";
    private static final List<Known> SHIPPED = shipped();
    private final JdbcClient sql;
    private final AthleteService athletes;
    private final Memberships memberships;

    Exercises(JdbcClient sql, AthleteService athletes, Memberships memberships) {
        this.athletes = athletes;
        this.memberships = memberships;
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
    public record Known(String name, Movement movement, String loaded, boolean own, String cue, String link) {}

    /**
     * One to be added, or words of one's own for one that ships, which keeps its movement and what it is loaded with.
     *
     * @param link an https address, or empty
     * @param sharedWith “all” that one coaches, the id of a group, or empty for nobody
     */
    public record New(String name, String movement, String loaded, String cue, String link, String sharedWith) {
        private boolean withAll() {
            return sharedWith.equals("all");
        }
    }

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

    /** Groups with which one can share. */
    public List<Memberships.Group> groups(Viewer viewer) {
        return memberships.kept(viewer);
    }

    /** All that a person can write: own ones first. */
    public List<Known> all(Viewer viewer) {
        List<Known> all = new ArrayList<>();
        Set<String> names = new HashSet<>();
        for (Known known : own(viewer)) if (names.add(known.name())) all.add(known);
        SHIPPED.stream().filter(k -> !names.contains(k.name())).forEach(all::add);
        return all;
    }

    private static Optional<Known> shipped(String name) {
        return SHIPPED.stream().filter(k -> k.name().equals(name)).findFirst();
    }

    private List<Known> own(Viewer viewer) {
        List<Long> coaches = new ArrayList<>(athletes.coachesOf(viewer));
        coaches.add(-1L); // a list in a query must hold something
        List<Long> groups = new ArrayList<>(memberships.joined(viewer));
        groups.add(-1L);
        return sql.sql("select name, movement, loaded, cue, link from own_exercise e where account_id = :viewer "
                        + "or account_id in (:coaches) and (shared or exists (select 1 from own_exercise_group g "
                        + "where g.exercise_id = e.id and g.group_id in (:groups))) "
                        + "order by account_id <> :viewer, name")
                .param("viewer", viewer.accountId())
                .param("coaches", coaches)
                .param("groups", groups)
                .query((rs, i) -> new Known(
                        rs.getString(1),
                        Movement.of(rs.getString(2)),
                        rs.getString(3),
                        true,
                        rs.getString(4),
                        rs.getString(5)))
                .list();
    }

    public Optional<Known> named(Viewer viewer, String name) {
        return all(viewer).stream().filter(k -> k.name().equals(name)).findFirst();
    }

    /** Whether the legs carry an exercise: a shipped one, or one of anybody's own under that name. */
    public boolean isOfLegs(String name) {
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

    /** Names of exercises with a bar: shipped ones, and anybody's own. */
    public Set<String> onBar() {
        Set<String> names = new HashSet<>(sql.sql("select distinct name from own_exercise where loaded = 'bar'")
                .query(String.class)
                .list());
        SHIPPED.stream().filter(k -> k.loaded().equals("bar")).forEach(k -> names.add(k.name()));
        return names;
    }

    /** Those of the same movement: what can stand in its place. */
    public List<String> alternatives(Viewer viewer, String name) {
        List<Known> all = all(viewer);
        Optional<Known> asked = all.stream().filter(k -> k.name().equals(name)).findFirst();
        if (asked.isEmpty()) return List.of();
        return all.stream()
                .filter(k -> k.movement() == asked.get().movement() && !k.name().equals(name))
                .map(Known::name)
                .toList();
    }

    @Transactional
    public void add(Viewer viewer, New added) {
        String called = called(added.name());
        check(added, called);
        if (own(viewer).stream().anyMatch(k -> k.name().equals(called)))
            throw new IllegalArgumentException("Name: “" + called + "” is in your list already; remove it first.");
        if (own(viewer).size() >= MOST_OWN)
            throw new IllegalArgumentException("At most " + MOST_OWN + " own exercises are kept; remove one first.");
        String movement = shipped(called)
                .map(Known::movement)
                .orElseGet(() -> Movement.of(added.movement()))
                .word();
        long id = sql.sql("insert into own_exercise (account_id, name, movement, loaded, cue, link, shared) "
                        + "values (?, ?, ?, ?, ?, ?, ?) on conflict (account_id, name) do update set cue = "
                        + "excluded.cue returning id")
                .params(
                        viewer.accountId(),
                        called,
                        movement,
                        shipped(called).map(Known::loaded).orElse(added.loaded()),
                        added.cue().strip(),
                        added.link().strip(),
                        added.withAll())
                .query(Long.class)
                .single();
        group(viewer, added)
                .ifPresent(group -> sql.sql("insert into own_exercise_group values (?, ?) on conflict do nothing")
                        .params(id, group)
                        .update());
    }

    private Optional<Long> group(Viewer viewer, New added) {
        if (added.sharedWith().isEmpty() || added.withAll()) return Optional.empty();
        return Optional.of(memberships.kept(viewer).stream()
                .map(Memberships.Group::id)
                .filter(id -> String.valueOf(id).equals(added.sharedWith()))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("Shared with: choose one of your groups.")));
    }

    private static String called(String name) {
        return name.strip().toLowerCase(Locale.ROOT).replaceAll("\\s+", " ");
    }

    static void check(New added) {
        Movement.of(added.movement());
        check(added, called(added.name()));
    }

    private static void check(New added, String called) {
        if (!called.matches("[\\p{L}][\\p{L}'()/ -]{0,58}"))
            throw new IllegalArgumentException(
                    "Name: enter 1 to 59 letters, spaces or hyphens; digits are read as sets.");
        if (added.cue().length() > LONGEST_CUE)
            throw new IllegalArgumentException("Cue: enter at most " + LONGEST_CUE + " characters.");
        if (!added.link().isBlank() && !added.link().strip().matches(LINK))
            throw new IllegalArgumentException("Link: enter an address that begins with https://, or none.");
        if (shipped(called).isEmpty() && !LOADED.contains(added.loaded()))
            throw new IllegalArgumentException("Loaded with: choose one of the list.");
    }

    /** Takes one's own exercise, or own words for a shipped one, off the list; what was lifted keeps its name. */
    @Transactional
    public boolean remove(Viewer viewer, String name) {
        return sql.sql("delete from own_exercise where account_id = ? and name = ?")
                        .params(viewer.accountId(), name)
                        .update()
                > 0;
    }
}
