package pemblar.app.adjust.limit;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.Collection;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import pemblar.app.season.SeasonSettings;
import pemblar.app.undo.Undoable;
import tools.jackson.databind.json.JsonMapper;

/** The limits of proposals; the build rate is the season's. */
@Repository
public class LimitStore implements Undoable {
    static final String KIND = "proposal-limits";
    static final double FLOOR = -30;
    static final double SPACING_HOURS = 36;
    static final int LONG_MINUTES = 105;
    static final double RETURN_PERCENT = 50;
    static final double RETURN_HARD_PERCENT = 50;
    private static final double LEAST_HOURS = 1;
    static final double SPARE = 1.25;
    private static final JsonMapper JSON = JsonMapper.shared();
    private final JdbcClient sql;

    LimitStore(JdbcClient sql) {
        this.sql = sql;
    }

    /** What was held before, null for the usual, and what was set in its place. */
    record Was(Limits limits, Limits set) {}

    /** As set, else the usual: hours a day follow from the longest weekday of the season's settings. */
    public Limits of(long athleteId, SeasonSettings season) {
        return held(athleteId, season.highestBuild()).orElseGet(() -> usual(season));
    }

    Optional<Limits> held(long athleteId, double highestBuild) {
        return sql.sql("select * from adjust_limits where athlete_id = ?")
                .param(athleteId)
                .query((rs, i) -> limits(rs, highestBuild))
                .optional();
    }

    /** Of those who have set any. The build rate is each one's season's and 0 here. */
    Map<Long, Limits> all(Collection<Long> athleteIds) {
        Map<Long, Limits> all = new HashMap<>();
        if (athleteIds.isEmpty()) return all;
        sql.sql("select * from adjust_limits where athlete_id in (:ids)")
                .param("ids", athleteIds)
                .query(rs -> {
                    all.put(rs.getLong("athlete_id"), limits(rs, 0));
                });
        return all;
    }

    private static Limits limits(ResultSet rs, double highestBuild) throws SQLException {
        return new Limits(
                highestBuild,
                rs.getDouble("balance_floor"),
                rs.getDouble("spacing_hours"),
                rs.getDouble("hours_per_day"),
                rs.getObject("highest_celsius", Double.class),
                rs.getBoolean("ice"),
                rs.getObject("long_minutes", Integer.class),
                rs.getDouble("return_percent"),
                rs.getDouble("return_hard_percent"),
                Limits.Decides.valueOf(rs.getString("decides")));
    }

    public Limits.Decides decides(long athleteId) {
        return sql.sql("select decides from adjust_limits where athlete_id = ?")
                .param(athleteId)
                .query(String.class)
                .optional()
                .map(Limits.Decides::valueOf)
                .orElse(Limits.Decides.ATHLETE);
    }

    static Limits usual(SeasonSettings season) {
        double longest =
                season.dayMinutes().stream().mapToInt(Integer::intValue).max().orElse(180) / 60.0;
        return new Limits(
                season.highestBuild(),
                FLOOR,
                SPACING_HOURS,
                Math.max(LEAST_HOURS, longest * SPARE),
                null,
                false,
                LONG_MINUTES,
                RETURN_PERCENT,
                RETURN_HARD_PERCENT,
                Limits.Decides.ATHLETE);
    }

    void write(long athleteId, Limits l) {
        sql.sql("""
            insert into adjust_limits (athlete_id, balance_floor, spacing_hours, hours_per_day, highest_celsius,
              ice, long_minutes, return_percent, return_hard_percent, decides)
            values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?)
            on conflict (athlete_id) do update set balance_floor = excluded.balance_floor,
            spacing_hours = excluded.spacing_hours, hours_per_day = excluded.hours_per_day,
            highest_celsius = excluded.highest_celsius, ice = excluded.ice, long_minutes = excluded.long_minutes,
            return_percent = excluded.return_percent, return_hard_percent = excluded.return_hard_percent,
            decides = excluded.decides""")
                .params(
                        athleteId,
                        l.balanceFloor(),
                        l.spacingHours(),
                        l.hoursPerDay(),
                        l.highestCelsius(),
                        l.ice(),
                        l.longMinutes(),
                        l.returnPercent(),
                        l.returnHardPercent(),
                        l.decides().name())
                .update();
    }

    @Override
    public String kind() {
        return KIND;
    }

    @Override
    public void restore(long athleteId, String before) {
        Was was = JSON.readValue(before, Was.class);
        if (!held(athleteId, 0).filter(was.set()::equals).isPresent())
            throw new IllegalArgumentException("The limits were changed since, so they stay; set them by hand.");
        Limits limits = was.limits();
        if (limits != null) write(athleteId, limits);
        else
            sql.sql("delete from adjust_limits where athlete_id = ?")
                    .param(athleteId)
                    .update();
    }
}
