package pemblar.app.demo;

import java.sql.Timestamp;
import java.time.InstantSource;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import pemblar.app.athlete.Athlete;
import pemblar.app.compare.ComparisonService;
import pemblar.app.frame.Viewer;
import pemblar.app.frame.Visit;

/**
 * What the demo's people say about their sessions: written at once, so that nothing of it stands as somebody's last
 * change.
 */
@Component
@ConditionalOnProperty("pemblar.demo")
class DemoWords {
    private static final String REPEATED = "Five by four, hard";
    private final JdbcTemplate sql;
    private final ComparisonService comparisons;
    private final InstantSource clock;

    DemoWords(JdbcTemplate sql, ComparisonService comparisons, InstantSource clock) {
        this.sql = sql;
        this.comparisons = comparisons;
        this.clock = clock;
    }

    void add(DemoAthlete demo, Athlete athlete, Viewer viewer, Viewer coach) {
        describe(athlete.id(), "RIDE", "grey road bike", new Other("%spin%", "red gravel bike", "gravel"));
        describe(athlete.id(), "RUN", "light shoes", new Other("%loop%", "trail shoes", "trail"));
        sql.update(
                "update session set weather = case when extract(month from day) in (7, 8) then 'hot' when "
                        + "extract(month from day) in (12, 1, 2) then 'cold' when id % 9 = 0 then 'wet' else "
                        + "'dry' end where athlete_id = ? and recording_id is not null",
                athlete.id());
        sql.update(
                "update session set kind = case when title like 'Race%' then 'race' when title like "
                        + "'%all-out%' or title like '%trial%' then 'test' else 'training' end where "
                        + "athlete_id = ? and recording_id is not null",
                athlete.id());
        sql.update(
                "update session set tags = 'club' where athlete_id = ? and recording_id is not null and "
                        + "extract(isodow from day) = 7 and id % 3 = 0",
                athlete.id());
        if (demo.rides() && !demo.isMixed()) {
            note(athlete.id(), coach);
            about(athlete.id(), viewer);
            standing(athlete.id(), coach);
            wheels(athlete.id(), viewer);
        }
    }

    /** What is done with other equipment, on another surface. @param titles pattern of the sessions' titles */
    private record Other(String titles, String equipment, String surface) {}

    private void describe(long athlete, String sport, String usual, Other other) {
        sql.update(
                "update session set equipment = case when title ilike ? then ? else ? end, surface = case "
                        + "when title ilike ? then ? else 'road' end where athlete_id = ? and sport = ? and "
                        + "recording_id is not null",
                other.titles(),
                other.equipment(),
                usual,
                other.titles(),
                other.surface(),
                athlete,
                sport);
    }

    private void note(long athlete, Viewer coach) {
        sql.update(
                "insert into note (athlete_id, session_id, second, body, author_id, author, written_at) "
                        + "select ?, id, 2820, 'The last one was the best of them. Keep the same target next "
                        + "time, and ride the first as calmly.', ?, ?, ? from session where athlete_id = ? "
                        + "and title = ? and recording_id is not null order by day desc limit 1",
                athlete,
                coach.accountId(),
                coach.name(),
                Timestamp.from(clock.instant()),
                athlete,
                REPEATED);
    }

    private void about(long athlete, Viewer viewer) {
        sql.update(
                "insert into athlete_about (athlete_id, goals, history, injuries, wishes, changed_by, changed_at)"
                        + " values (?, 'The coast tour without being dropped on the last climb.', 'Eight years of club"
                        + " riding; two seasons with power.', 'Left knee in spring, quiet since June.', 'Mondays and"
                        + " Fridays free; long rides with the club on Sundays.', ?, ?)",
                athlete,
                viewer.name(),
                Timestamp.from(clock.instant()));
    }

    /** Work that the formula does not see. */
    private void standing(long athlete, Viewer coach) {
        sql.update(
                "update recording set set_load = round(load_points * 1.15), load_points = round(load_points * "
                        + "1.15), load_source = 'SET', load_reason = 'standing at low cadence', load_by = ?, "
                        + "load_at = ? where id = (select recording_id from session where athlete_id = ? and "
                        + "title = 'Seated and standing' and recording_id is not null order by day desc limit 1)",
                coach.name(),
                Timestamp.from(clock.instant()),
                athlete);
    }

    private void wheels(long athlete, Viewer viewer) {
        List<Long> done = sql.queryForList(
                "select id from session where athlete_id = ? and title = ? and recording_id is not null order "
                        + "by day desc limit 4",
                Long.class,
                athlete,
                REPEATED);
        if (done.size() < 4) return;
        Map<String, List<Long>> groups = new LinkedHashMap<>();
        groups.put("old wheels", List.of(done.get(3), done.get(2)));
        groups.put("new wheels", List.of(done.get(1), done.get(0)));
        comparisons.begin(new Visit(athlete, viewer), "Old and new wheels", groups);
    }
}
