package pemblar.app.checkin;

import com.github.kagkarlsson.scheduler.task.helper.RecurringTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import com.github.kagkarlsson.scheduler.task.schedule.FixedDelay;
import java.time.Instant;
import java.time.InstantSource;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.util.List;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.AthleteService;
import pemblar.app.athlete.LivedZones;
import pemblar.app.frame.Visit;
import pemblar.app.mail.MailService;

/** What athletes want to be asked in the morning, and the mail that reminds those who have said nothing yet. */
@Repository
public class AskedStore {
    private static final int MOST_AT_ONCE = 2000;
    private final JdbcClient sql;
    private final AthleteService athletes;
    private final MailService mail;
    private final InstantSource clock;

    AskedStore(JdbcClient sql, AthleteService athletes, MailService mail, InstantSource clock) {
        this.sql = sql;
        this.athletes = athletes;
        this.mail = mail;
        this.clock = clock;
    }

    /** For an athlete whom the caller has already asked for. */
    @Transactional(readOnly = true)
    public Asked of(Athlete athlete) {
        return sql.sql("select asked, remind_minute from checkin_choice where athlete_id = ?")
                .param(athlete.id())
                .query((rs, i) -> new Asked(Asked.read(rs.getString(1)), rs.getObject(2, Integer.class)))
                .optional()
                .orElse(Asked.ALL);
    }

    @Transactional
    public void keep(Visit visit, Asked asked) {
        athletes.require(visit);
        sql.sql("insert into checkin_choice (athlete_id, asked, remind_minute) values (?, ?, ?) on conflict "
                        + "(athlete_id) do update set asked = excluded.asked, remind_minute = excluded.remind_minute")
                .params(visit.athleteId(), asked.stored(), asked.remindMinute())
                .update();
    }

    private record Due(long athleteId, String email, ZoneId zone, int minute, LocalDate remindedOn) {
        boolean isDue(Instant now) {
            ZonedDateTime local = now.atZone(zone);
            boolean today = remindedOn != null && !remindedOn.isBefore(local.toLocalDate());
            return !today && local.getHour() * 60 + local.getMinute() >= minute;
        }
    }

    /** Marked and written in one transaction, once a local day, to those who have said nothing by hand yet. */
    @Transactional
    public void remind() {
        Instant now = clock.instant();
        List<Due> asked = sql.sql(
                        "select c.athlete_id, k.email, a.time_zone, a.zones_since, c.remind_minute, c.reminded_on from "
                                + "checkin_choice c join athlete_known a on a.id = c.athlete_id join person k on "
                                + "k.id = a.account_id where c.remind_minute is not null and (c.reminded_on is null or "
                                + "c.reminded_on < ?) limit ?")
                .params(LocalDate.ofInstant(now, ZoneId.of("Pacific/Kiritimati")), MOST_AT_ONCE)
                .query((rs, i) -> new Due(
                        rs.getLong(1),
                        rs.getString(2),
                        LivedZones.read(rs.getString(3), rs.getString(4)).at(now),
                        rs.getInt(5),
                        rs.getObject(6, LocalDate.class)))
                .list();
        for (Due due : asked) if (due.isDue(now)) remind(due, LocalDate.ofInstant(now, due.zone()));
    }

    private void remind(Due due, LocalDate today) {
        sql.sql("update checkin_choice set reminded_on = ? where athlete_id = ?")
                .params(today, due.athleteId())
                .update();
        int said = sql.sql("select count(*) from checkin where athlete_id = ? and day = ? and source = 'HAND'")
                .params(due.athleteId(), today)
                .query(Integer.class)
                .single();
        if (said == 0)
            mail.send(
                    due.email(),
                    "How are you this morning?",
                    "It takes ten seconds: " + mail.address("/a/" + due.athleteId() + "/today")
                            + "\n\nThis reminder comes at the time you set on the page of check-ins, where it can be "
                            + "switched off.");
    }

    @Configuration
    static class Job {
        @Bean
        RecurringTask<Void> remindOfCheckins(ObjectProvider<AskedStore> store) {
            return Tasks.recurring("remind-of-checkins", FixedDelay.ofMinutes(5))
                    .execute((instance, context) -> store.getObject().remind());
        }
    }
}
