package pemblar.app.athlete;

import java.time.InstantSource;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import pemblar.app.frame.ChangeGuard;
import pemblar.app.frame.NotFoundException;
import pemblar.app.frame.Visit;
import pemblar.app.replica.Elsewhere;

/**
 * Decides who may change, after {@link AthleteService} has decided who may see; and keeps the trail of those who are
 * not the athlete.
 */
@Component
public class Access implements ChangeGuard {
    private final JdbcClient sql;
    private final InstantSource clock;

    Access(JdbcClient sql, InstantSource clock) {
        this.sql = sql;
        this.clock = clock;
    }

    @Override
    public void before(Visit visit, boolean seenSuffices) {
        Optional<Boolean> plans = plans(visit);
        if (plans.isEmpty()) return; // the athlete, or a stranger whom the service itself turns away
        if (!plans.get() && !seenSuffices) throw new NotFoundException("athlete");
        trail(visit, 0, 1);
    }

    /** True for the athlete and for coaches who may plan. */
    public boolean changeable(Visit visit) {
        return plans(visit).orElse(true);
    }

    /** Empty for who is no coach of this athlete. */
    private Optional<Boolean> plans(Visit visit) {
        return sql.sql("select plans from coaching where athlete_id = (select coalesce(kept_by, id) from athlete where "
                        + "id = ?) and coach_account_id = ? and "
                        + "accepted_at is not null and ended_at is null")
                .params(visit.athleteId(), visit.viewer().accountId())
                .query(Boolean.class)
                .optional();
    }

    /** A page was opened by a coach of the athlete. */
    void looked(Visit visit) {
        Elsewhere.writtenAtMain(() -> trail(visit, 1, 0));
    }

    private void trail(Visit visit, int looks, int changes) {
        sql.sql("insert into access_trail as t (athlete_id, account_id, day, looks, changes) values "
                        + "(?, ?, ?, ?, ?) on conflict (athlete_id, account_id, day) do update set "
                        + "looks = t.looks + ?, changes = t.changes + ?")
                .params(
                        visit.athleteId(),
                        visit.viewer().accountId(),
                        LocalDate.ofInstant(clock.instant(), ZoneOffset.UTC),
                        looks,
                        changes,
                        looks,
                        changes)
                .update();
    }
}
