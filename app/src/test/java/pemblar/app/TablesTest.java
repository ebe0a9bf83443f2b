package pemblar.app;

import static java.util.Map.entry;
import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** Every table has one area that speaks SQL to it; read from the SQL strings themselves. */
@Tag("unit")
class TablesTest {
    private static final Path SOURCES = Path.of("src/main/java/pemblar/app");
    private static final Path MIGRATIONS = Path.of("src/main/resources/db/migration");
    private static final Pattern STRING = Pattern.compile("\"((?:[^\"\\\\]|\\\\.)*)\"");
    /** Between two strings that are no halves of one. */
    private static final Pattern NEXT = Pattern.compile("[,;{)]");

    private static final Pattern USE = Pattern.compile("\\b(?:from|join|into|update)\\s+([a-z_]+)\\b");
    private static final Pattern MADE = Pattern.compile("create table (?:if not exists )?([a-z_]+)");

    /** Packages that are one area, by the name of the area; every other package is one of its own. */
    private static final Map<String, String> AREAS = Map.ofEntries(
            entry("account", "people"),
            entry("athlete", "people"),
            entry("sharing", "people"),
            entry("frame", "web"),
            entry("mail", "web"),
            entry("operator", "web"),
            entry("bench", "device"),
            entry("hour", "device"));

    private static final Map<String, String> OWNERS = Map.ofEntries(
            entry("access_trail", "people"),
            entry("account", "people"),
            entry("account_link", "people"),
            entry("adjust_limits", "adjust"),
            entry("aerobic_piece", "effort"),
            entry("archive_in", "archive"),
            entry("archive_in_number", "archive"),
            entry("archive_in_piece", "archive"),
            entry("athlete", "people"),
            entry("athlete_about", "coach"),
            entry("athlete_place", "sky"),
            entry("bench_file", "device"),
            entry("block", "season"),
            entry("calendar_feed", "calendar"),
            entry("checkin", "checkin"),
            entry("checkin_choice", "checkin"),
            entry("coach_group", "coach"),
            entry("coaching", "people"),
            entry("comparison", "compare"),
            entry("dated_value", "threshold"),
            entry("derived_channel", "review"),
            entry("device", "device"),
            entry("effort_after", "effort"),
            entry("effort_curve", "effort"),
            entry("effort_set_aside", "effort"),
            entry("event", "season"),
            entry("event_demand", "season"),
            entry("event_news", "season"),
            entry("event_part", "season"),
            entry("evidence", "evidence"),
            entry("evidence_set_aside", "evidence"),
            entry("exercise_alias", "strength"),
            entry("group_hour", "device"),
            entry("group_hour_key", "device"),
            entry("group_hour_rider", "device"),
            entry("group_member", "coach"),
            entry("group_put", "coach"),
            entry("group_put_session", "coach"),
            entry("import_file", "exchange"),
            entry("invitation", "people"),
            entry("job_failure", "web"),
            entry("lane_view", "review"),
            entry("live_key", "device"),
            entry("live_ride", "device"),
            entry("load_day", "load"),
            entry("mail", "web"),
            entry("marked_day", "season"),
            entry("morning_dealt", "coach"),
            entry("morning_state", "coach"),
            entry("morning_topic_off", "coach"),
            entry("named_range", "review"),
            entry("note", "note"),
            entry("note_file", "note"),
            entry("note_mailed", "note"),
            entry("note_read", "note"),
            entry("own_exercise", "strength"),
            entry("own_exercise_group", "strength"),
            entry("object_going", "recording"),
            entry("plan_news", "people"),
            entry("predicted", "prediction"),
            entry("preference", "people"),
            entry("profile_bands", "evidence"),
            entry("program_call", "program"),
            entry("program_hook", "program"),
            entry("program_token", "program"),
            entry("proposal_answer", "adjust"),
            entry("rate_limit", "web"),
            entry("recomputation", "recording"),
            entry("recording", "recording"),
            entry("recording_data", "recording"),
            entry("recording_edit", "recording"),
            entry("recovery_code", "people"),
            entry("report_word", "progress"),
            entry("request_once", "web"),
            entry("scheduled_tasks", "web"),
            entry("season", "season"),
            entry("season_exception", "season"),
            entry("second_factor", "people"),
            entry("session", "session"),
            entry("session_look", "session"),
            entry("sky_hour", "sky"),
            entry("spring_session", "web"),
            entry("spring_session_attributes", "web"),
            entry("strength_bar", "strength"),
            entry("strength_link", "strength"),
            entry("strength_maximum", "strength"),
            entry("strength_set", "strength"),
            entry("strength_workout", "strength"),
            entry("template", "template"),
            entry("undo_entry", "undo"),
            entry("value_change", "threshold"),
            entry("what_if", "adjust"),
            entry("workout", "workout"),
            entry("zone_scheme", "threshold"),
            entry("zone_set", "threshold"));

    /** What is about all tables: the demo's making, a person's archive, the leaving of an account, purging, health. */
    private static final Set<String> OF_ALL =
            Set.of("demo/", "archive/", "account/Remains", "frame/Purging", "frame/health/Work");

    /** Views that an area publishes for others to join, with what makes them; nothing else is read across areas. */
    private static final Map<String, String> PUBLISHED = Map.of(
            "recorded", "recording",
            "load_day_of_sessions", "load",
            "person", "people",
            "athlete_known", "people",
            "coached", "people",
            "session_named", "session");

    private static final Pattern VIEW = Pattern.compile("create (?:or replace )?view ([a-z_]+)");

    private static String read(Path file) {
        try {
            return Files.readString(file);
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
    }

    private static List<Path> files(Path folder, String ending) throws IOException {
        try (Stream<Path> all = Files.walk(folder)) {
            return all.filter(f -> f.toString().endsWith(ending)).toList();
        }
    }

    private static Set<String> tables() throws IOException {
        Set<String> tables = new TreeSet<>();
        for (Path file : files(MIGRATIONS, ".sql")) {
            Matcher made = MADE.matcher(read(file).toLowerCase(java.util.Locale.ROOT));
            while (made.find()) tables.add(made.group(1));
        }
        return tables;
    }

    private static String area(String source) {
        String folder = source.substring(0, source.indexOf('/'));
        return AREAS.getOrDefault(folder, folder);
    }

    /** Tables that the SQL of a file names; strings that are put together are read as one. */
    private static Set<String> used(Path file, Set<String> tables) {
        StringBuilder text = new StringBuilder();
        String source = read(file);
        Matcher strings = STRING.matcher(source);
        int end = 0;
        while (strings.find()) {
            boolean goesOn =
                    NEXT.matcher(source.substring(end, strings.start())).find();
            text.append(goesOn ? " ; " : " ").append(strings.group(1));
            end = strings.end();
        }
        Set<String> used = new TreeSet<>();
        Matcher use = USE.matcher(text);
        while (use.find()) if (tables.contains(use.group(1))) used.add(use.group(1));
        return used;
    }

    @Test
    void everyTableHasAnOwner() throws IOException {
        assertThat(tables()).allSatisfy(table -> assertThat(OWNERS).containsKey(table));
    }

    @Test
    void everyViewIsPublishedByTheOwnerOfItsTables() throws IOException {
        Set<String> views = new TreeSet<>();
        for (Path file : files(MIGRATIONS, ".sql")) {
            Matcher made = VIEW.matcher(read(file).toLowerCase(java.util.Locale.ROOT));
            while (made.find()) views.add(made.group(1));
        }
        assertThat(views).isEqualTo(new TreeSet<>(PUBLISHED.keySet()));
        assertThat(OWNERS.values()).containsAll(PUBLISHED.values());
    }

    @Test
    void noSqlReachesIntoATableOfAnotherArea() throws IOException {
        Set<String> tables = tables();
        Set<String> foreign = new TreeSet<>();
        int own = 0;
        for (Path file : files(SOURCES, ".java")) {
            String source = SOURCES.relativize(file).toString().replaceFirst("\\.java$", "");
            if (!source.contains("/") || OF_ALL.stream().anyMatch(source::startsWith)) continue;
            for (String table : used(file, tables))
                if (OWNERS.get(table).equals(area(source))) own++;
                else foreign.add(source + " " + table);
        }
        assertThat(own).as("the strings are read at all").isGreaterThan(60);
        assertThat(foreign).isEmpty();
    }
}
