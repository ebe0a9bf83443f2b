package pemblar.app.adjust;

import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.athlete.AthleteService;
import pemblar.app.frame.Viewer;
import pemblar.app.season.SeasonSettings;

/** The limits of proposals; the build rate is the season's. */
@Repository
class LimitStore {
    static final double FLOOR = -30;
    static final double SPACING_HOURS = 36;
    private static final double LEAST_HOURS = 1;
    private static final double SPARE = 1.25;
    private final JdbcClient sql;
    private final AthleteService athletes;

    LimitStore(JdbcClient sql, AthleteService athletes) {
        this.sql = sql;
        this.athletes = athletes;
    }

    /** As set, else the usual: hours a day follow from the longest weekday of the season's settings. */
    Limits of(long athleteId, SeasonSettings season) {
        return sql.sql("select * from adjust_limits where athlete_id = ?")
                .param(athleteId)
                .query((rs, i) -> new Limits(
                        season.highestBuild(),
                        rs.getDouble("balance_floor"),
                        rs.getDouble("spacing_hours"),
                        rs.getDouble("hours_per_day"),
                        rs.getObject("highest_celsius", Double.class),
                        rs.getBoolean("ice"),
                        Limits.Decides.valueOf(rs.getString("decides"))))
                .optional()
                .orElseGet(() -> usual(season));
    }

    Limits.Decides decides(long athleteId) {
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
                Limits.Decides.ATHLETE);
    }

    @Transactional
    public void keep(long athleteId, Viewer viewer, Limits l) {
        athletes.require(athleteId, viewer);
        sql.sql("""
            insert into adjust_limits (athlete_id, balance_floor, spacing_hours, hours_per_day, highest_celsius,
              ice, decides)
            values (?, ?, ?, ?, ?, ?, ?)
            on conflict (athlete_id) do update set balance_floor = excluded.balance_floor,
            spacing_hours = excluded.spacing_hours, hours_per_day = excluded.hours_per_day,
            highest_celsius = excluded.highest_celsius, ice = excluded.ice, decides = excluded.decides""")
                .params(
                        athleteId,
                        l.balanceFloor(),
                        l.spacingHours(),
                        l.hoursPerDay(),
                        l.highestCelsius(),
                        l.ice(),
                        l.decides().name())
                .update();
    }
}
