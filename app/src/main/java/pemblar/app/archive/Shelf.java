package pemblar.app.archive;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * One file of the archive: rows of a table as JSON, one a line.
 *
 * @param file name of the file and of its table
 * @param words what is in it, for the index
 * @param from table and condition, with :account and :athletes; its rows are read in the order of {@code by}
 * @param refers columns that name rows of other shelves, by the shelf; those of athlete and account are the same in all
 */
public record Shelf(String file, String words, String columns, String from, String by, Map<String, String> refers) {
    private static final String PAGES = " t where athlete_id in (:athletes)";
    private static final String OWN = " t where account_id = :account";
    /** What a coach has not shared yet is not the person's, and what was deleted is kept for undo alone. */
    private static final String SHARED = "not draft and deleted_at is null";

    private static final String SESSIONS =
            "(select id from session where athlete_id in (:athletes) and " + SHARED + ")";
    private static final String RECORDINGS =
            "(select id from recording where athlete_id in (:athletes) and deleted_at is null)";

    private static final Shelf ACCOUNT = new Shelf(
            "account",
            "the account",
            "id, email, name, created_at, daily_mail, leaves_at",
            "account t where id = :account",
            "id",
            Map.of());
    private static final Shelf ATHLETE =
            new Shelf("athlete", "the athlete", "t.*", "athlete t where id in (:athletes)", "id", Map.of());
    private static final Shelf SESSION = pages("session", "sessions, planned and done", "day, id")
            .where(SHARED)
            .refers("workout_id", "workout");
    public static final Shelf RECORDING =
            pages("recording", "figures of recordings", "day, id").where("deleted_at is null");
    public static final Shelf CORRECTION = new Shelf(
            "recording_edit",
            "what was mended",
            "t.*",
            "recording_edit t where recording_id in " + RECORDINGS,
            "recording_id, id",
            Map.of());
    public static final Shelf SET_ASIDE = pages("effort_set_aside", "stretches set aside", "id")
            .where("recording_id in " + RECORDINGS)
            .refers("recording_id", "recording");
    private static final Shelf COACHING = new Shelf(
            "coaching",
            "who sees whom",
            "t.*",
            "coaching t where coach_account_id = :account or athlete_id in (:athletes)",
            "athlete_id, coach_account_id",
            Map.of());

    /** Shelves of the person, in an order in which each comes after those that it refers to. */
    private static final List<Shelf> OF_ACCOUNT = List.of(
            own("preference", "how pages read", "account_id"),
            own("workout", "the library", "id"),
            own("strength_workout", "strength workouts", "id"),
            own("template", "templates", "id"),
            own("zone_scheme", "own schemes of zones", "id"),
            own("own_exercise", "own exercises", "id"),
            own("exercise_alias", "names of exercises", "name"),
            own("coach_group", "groups", "id"));

    /** Shelves of an athlete's pages, in such an order too. */
    private static final List<Shelf> OF_PAGES = List.of(
            pages("checkin", "check-ins", "day"),
            pages("dated_value", "thresholds with their days", "valid_from, id"),
            pages("zone_set", "zones with their days", "valid_from, id").refers("scheme_id", "zone_scheme"),
            pages("evidence", "tests and races", "day, id").refers("session_id", "session"),
            pages("season", "the season", "athlete_id"),
            pages("season_exception", "days away and other hours", "from_day, id"),
            pages("block", "blocks", "first_day, id"),
            pages("event", "events", "day, id"),
            pages("event_part", "stages and sports of events", "event_id, stage, place")
                    .refers("event_id", "event"),
            pages("event_demand", "what events ask", "event_id, id").refers("event_id", "event"),
            pages("marked_day", "marked days", "day"),
            pages("predicted", "what was foretold", "sport, metres, seconds, day"),
            pages("note", "notes", "written_at, id")
                    .where("(session_id is null or session_id in " + SESSIONS + ")")
                    .refers("session_id", "session")
                    .refers("answers_id", "note"),
            pages("strength_set", "sets on the floor", "session_id, place, id")
                    .where("session_id in " + SESSIONS)
                    .refers("session_id", "session"),
            pages("strength_maximum", "maxima", "day, id").refers("session_id", "session"),
            pages("strength_link", "linked exercises", "exercise"),
            pages("strength_bar", "bar and plates", "athlete_id"),
            pages("athlete_about", "what coaches are told", "athlete_id"),
            pages("athlete_place", "where training is", "athlete_id"),
            pages("adjust_limits", "limits", "athlete_id"),
            pages("proposal_answer", "answers to proposals", "answered_at, id"),
            pages("report_word", "words of reports", "from_day"),
            pages("comparison", "comparisons", "id"),
            pages("derived_channel", "derived channels", "id"),
            new Shelf(
                    "named_range",
                    "named stretches",
                    "t.*",
                    "named_range t where session_id in " + SESSIONS,
                    "session_id, id",
                    Map.of("session_id", "session")));

    public static final List<Shelf> ALL = all();

    private static Shelf pages(String table, String words, String by) {
        return new Shelf(table, words, "t.*", table + PAGES, by, Map.of());
    }

    private static Shelf own(String table, String words, String by) {
        return new Shelf(table, words, "t.*", table + OWN, by, Map.of());
    }

    private Shelf where(String condition) {
        return new Shelf(file, words, columns, from + " and " + condition, by, refers);
    }

    private Shelf refers(String column, String shelf) {
        Map<String, String> all = new java.util.HashMap<>(refers);
        all.put(column, shelf);
        return new Shelf(file, words, columns, from, by, Map.copyOf(all));
    }

    private static List<Shelf> all() {
        List<Shelf> all = new ArrayList<>(List.of(ACCOUNT, ATHLETE, SESSION));
        all.addAll(OF_PAGES);
        all.addAll(List.of(RECORDING, CORRECTION, SET_ASIDE));
        all.addAll(OF_ACCOUNT);
        all.add(COACHING);
        return List.copyOf(all);
    }

    /** Those whose rows are taken in as they are, the ones that others refer to first. */
    public static List<Shelf> taken() {
        List<Shelf> all = new ArrayList<>(OF_ACCOUNT);
        all.add(SESSION);
        all.addAll(OF_PAGES);
        return List.copyOf(all);
    }

    /** Where it lies in the archive. */
    public String path() {
        return "data/" + file + ".jsonl";
    }
}
