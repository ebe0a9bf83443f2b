package pemblar.app.frame.page;

import java.util.List;

/**
 * What stands alike at the top of every page: its sheets and scripts, and where an athlete's pages are. It is written
 * once, or at once, since a template that makes it link by link takes a good part of a light page's time for it.
 */
public final class Places {
    private static final List<String> SHEETS = List.of(
            "webjars/bootstrap/5.3.8/css/bootstrap-reboot.min",
            "frame/pemblar",
            "today/today",
            "plan/board",
            "workout/workout",
            "review/review",
            "evidence/evidence",
            "account/account",
            "bench/bench",
            "planner/season",
            "progress/progress",
            "strength/strength",
            "checkin/checkin",
            "coach/coach",
            "program/program",
            "hour/hour");
    private static final List<String> PAGES = List.of(
            "today",
            "checkins",
            "proposals",
            "season",
            "board",
            "workouts",
            "sessions",
            "progress",
            "thresholds",
            "notes");
    private final String sheets;
    private final String scripts;

    /** @param prefix with which the address of every sheet and script begins */
    Places(String prefix) {
        Markup links = new Markup();
        for (String sheet : SHEETS)
            links.begin("link")
                    .with("rel", "stylesheet")
                    .with("href", prefix + "/" + sheet + ".css")
                    .end();
        sheets = links.toString();
        Markup calls = new Markup();
        calls.begin("script").with("src", prefix + "/webjars/htmx.org/2.0.10/dist/htmx.min.js");
        calls.with("defer", "defer").inside().close("script");
        for (String script : List.of("frame", "offline")) {
            calls.begin("script").with("type", "module").with("src", prefix + "/frame/" + script + ".js");
            calls.inside().close("script");
        }
        scripts = calls.toString();
    }

    public String sheets() {
        return sheets;
    }

    public String scripts() {
        return scripts;
    }

    /** @param active the page that is shown, as {@code board}; null for one that has no word here */
    public String of(long athleteId, String active) {
        Markup links = new Markup();
        for (String page : PAGES) {
            links.begin("a").with("href", "/a/" + athleteId + "/" + page);
            if (page.equals(active)) links.with("aria-current", "page");
            links.inside().words(said(page)).close("a");
        }
        return links.toString();
    }

    private static String said(String page) {
        return page.equals("checkins") ? "Check-ins" : Character.toUpperCase(page.charAt(0)) + page.substring(1);
    }
}
