package pemblar.app.sharing;

import com.github.kagkarlsson.scheduler.task.helper.RecurringTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import com.github.kagkarlsson.scheduler.task.schedule.Daily;
import java.time.Duration;
import java.time.InstantSource;
import java.time.LocalTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.mail.MailService;

/** Once a day, one mail to each who wants it: changes of the shared plan, and notes that nobody has read yet. */
@Service
public class DailyMail {
    private static final LocalTime AT = LocalTime.of(16, 0);
    private static final int AT_ONCE = 500;
    private static final Duration KEPT = Duration.ofDays(30);
    private final PlanNews news;
    private final List<DayLines> others;
    private final MailService mail;
    private final JdbcClient sql;
    private final InstantSource clock;

    DailyMail(PlanNews news, List<DayLines> others, MailService mail, JdbcClient sql, InstantSource clock) {
        this.news = news;
        this.others = others;
        this.mail = mail;
        this.sql = sql;
        this.clock = clock;
    }

    /**
     * Marked and written in one transaction: nothing is mailed twice, nothing is lost.
     *
     * @return whether there may be more
     */
    @Transactional
    public boolean send() {
        List<Mailed> lines = new ArrayList<>(news.takeUnmailed(AT_ONCE));
        others.forEach(other -> lines.addAll(other.take(AT_ONCE)));
        Map<Long, List<Mailed>> people = lines.stream()
                .collect(Collectors.groupingBy(Mailed::accountId, LinkedHashMap::new, Collectors.toList()));
        Set<Long> wanted = wanted(people.keySet());
        people.forEach((account, own) -> {
            if (wanted.contains(account)) send(own);
        });
        news.purge(clock.instant().minus(KEPT));
        return lines.size() >= AT_ONCE;
    }

    private void send(List<Mailed> lines) {
        Set<String> pages = new LinkedHashSet<>(
                lines.stream().map(line -> mail.address(line.path())).toList());
        mail.send(
                lines.get(0).address(),
                lines.size() == 1 ? "Something new in your training" : lines.size() + " things new in your training",
                String.join("\n\n", lines.stream().map(Mailed::line).toList()) + "\n\nRead and answer:\n"
                        + String.join("\n", pages)
                        + "\n\nThis mail comes at most once a day. It can be switched off on the page of notes.");
    }

    private Set<Long> wanted(Set<Long> accounts) {
        if (accounts.isEmpty()) return Set.of();
        return sql.sql("select id from account where daily_mail and id in (:ids)")
                .param("ids", accounts)
                .query(Long.class)
                .set();
    }

    @Configuration
    static class Job {
        @Bean
        RecurringTask<Void> dailyMails(ObjectProvider<DailyMail> service) {
            return Tasks.recurring("daily-mail", new Daily(ZoneOffset.UTC, AT))
                    .execute((instance, context) -> sendAll(service.getObject()));
        }

        private static void sendAll(DailyMail mail) {
            boolean more = true;
            while (more) more = mail.send();
        }
    }
}
