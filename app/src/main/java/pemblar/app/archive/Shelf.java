package pemblar.app.archive;

import java.util.ArrayList;
import java.util.List;

/**
 * One file of the archive: rows of a table as JSON, one a line.
 *
 * @param words what is in it, for the index
 * @param from table and condition, with :account and :athletes; its rows are read in the order of {@code by}
 */
record Shelf(String file, String words, String columns, String from, String by) {
    private static final String PAGES = " t where athlete_id in (:athletes)";
    private static final String OWN = " t where account_id = :account";

    /** Names of tables that hold the pages of an athlete, with what they are. */
    private static final String[][] OF_PAGES = {
        {"checkin", "check-ins", "day"},
        {"dated_value", "thresholds with their days", "valid_from, id"},
        {"zone_set", "zones with their days", "valid_from, id"},
        {"evidence", "tests and races", "day, id"},
        {"season", "the season", "athlete_id"},
        {"season_exception", "days away and other hours", "from_day, id"},
        {"block", "blocks", "first_day, id"},
        {"event", "events", "day, id"},
        {"event_part", "stages and sports of events", "event_id, stage, place"},
        {"event_demand", "what events ask", "event_id, id"},
        {"marked_day", "marked days", "day"},
        {"note", "notes", "written_at, id"},
        {"strength_set", "sets on the floor", "session_id, place, id"},
        {"strength_maximum", "maxima", "day, id"},
        {"strength_link", "linked exercises", "exercise"},
        {"strength_bar", "bar and plates", "athlete_id"},
        {"athlete_about", "what coaches are told", "athlete_id"},
        {"athlete_place", "where training is", "athlete_id"},
        {"adjust_limits", "limits", "athlete_id"},
        {"proposal_answer", "answers to proposals", "answered_at, id"},
        {"report_word", "words of reports", "from_day"},
        {"comparison", "comparisons", "id"},
        {"derived_channel", "derived channels", "id"},
    };

    private static final String[][] OF_ACCOUNT = {
        {"preference", "how pages read", "account_id"},
        {"workout", "the library", "id"},
        {"strength_workout", "strength workouts", "id"},
        {"template", "templates", "id"},
        {"zone_scheme", "own schemes of zones", "id"},
        {"own_exercise", "own exercises", "id"},
        {"coach_group", "groups", "id"},
    };

    static final List<Shelf> ALL = all();

    private static List<Shelf> all() {
        List<Shelf> all = new ArrayList<>();
        all.add(new Shelf(
                "account",
                "the account",
                "id, email, name, created_at, daily_mail, leaves_at",
                "account t where id = :account",
                "id"));
        all.add(new Shelf("athlete", "the athlete", "t.*", "athlete t where id in (:athletes)", "id"));
        // what a coach has not shared yet is not the person's
        all.add(new Shelf(
                "session", "sessions, planned and done", "t.*", "session" + PAGES + " and not draft", "day, id"));
        for (String[] t : OF_PAGES) all.add(new Shelf(t[0], t[1], "t.*", t[0] + PAGES, t[2]));
        all.add(new Shelf(
                "recording",
                "figures of recordings",
                "t.*",
                "recording" + PAGES + " and deleted_at is null",
                "day, id"));
        all.add(new Shelf(
                "recording_edit",
                "what was mended",
                "t.*",
                "recording_edit t where recording_id in (select id from recording where athlete_id in (:athletes))",
                "id"));
        for (String[] t : OF_ACCOUNT) all.add(new Shelf(t[0], t[1], "t.*", t[0] + OWN, t[2]));
        all.add(new Shelf(
                "coaching",
                "who sees whom",
                "t.*",
                "coaching t where coach_account_id = :account or athlete_id in (:athletes)",
                "athlete_id, coach_account_id"));
        return List.copyOf(all);
    }
}
