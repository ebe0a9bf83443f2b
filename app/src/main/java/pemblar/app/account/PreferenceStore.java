package pemblar.app.account;

import java.time.DayOfWeek;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.frame.Viewer;
import pemblar.app.frame.page.Units;

/** How figures read for each person. */
@Component
class PreferenceStore {
    private final JdbcClient sql;

    PreferenceStore(JdbcClient sql) {
        this.sql = sql;
    }

    Units of(Viewer viewer) {
        return sql.sql("select length, mass, temperature, decimal_sign, week_start, theme from preference"
                        + " where account_id = ?")
                .param(viewer.accountId())
                .query((rs, i) -> new Units(
                        Units.Length.valueOf(rs.getString(1)),
                        Units.Mass.valueOf(rs.getString(2)),
                        Units.Temperature.valueOf(rs.getString(3)),
                        Units.Decimal.valueOf(rs.getString(4)),
                        DayOfWeek.valueOf(rs.getString(5)),
                        Units.Theme.valueOf(rs.getString(6))))
                .optional()
                .orElse(Units.METRIC);
    }

    @Transactional
    void set(Viewer viewer, Units units) {
        sql.sql("insert into preference values (?, ?, ?, ?, ?, ?, ?) on conflict (account_id) do update set"
                        + " length = excluded.length, mass = excluded.mass, temperature = excluded.temperature,"
                        + " decimal_sign = excluded.decimal_sign, week_start = excluded.week_start,"
                        + " theme = excluded.theme")
                .params(
                        viewer.accountId(),
                        units.length().name(),
                        units.mass().name(),
                        units.temperature().name(),
                        units.decimal().name(),
                        units.weekStart().name(),
                        units.theme().name())
                .update();
    }
}
