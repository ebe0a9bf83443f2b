package pemblar.app.mail;

import com.github.kagkarlsson.scheduler.SchedulerClient;
import com.github.kagkarlsson.scheduler.task.FailureHandler;
import com.github.kagkarlsson.scheduler.task.TaskInstance;
import com.github.kagkarlsson.scheduler.task.helper.OneTimeTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import java.time.Duration;
import java.time.Instant;
import java.time.InstantSource;
import java.time.ZoneOffset;
import java.util.List;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.mail.SimpleMailMessage;
import org.springframework.mail.javamail.JavaMailSender;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Keeps each mail in the transaction that writes it; a job sends it when a mail server is set. Without one it lies in
 * the tray.
 */
@Service
public class MailService {
    private static final String TASK = "send-mail";
    private static final int MOST_TRIES = 6;
    private static final int SHOWN = 100;
    private final JdbcClient sql;
    private final ObjectProvider<JavaMailSender> sender;
    private final SchedulerClient queue;
    private final InstantSource clock;
    private final String site;
    private final String from;

    MailService(
            JdbcClient sql,
            ObjectProvider<JavaMailSender> sender,
            SchedulerClient queue,
            InstantSource clock,
            @Value("${pemblar.site}") String site,
            @Value("${pemblar.mail-from}") String from) {
        this.sql = sql;
        this.sender = sender;
        this.queue = queue;
        this.clock = clock;
        this.site = site;
        this.from = from;
    }

    /** One mail as it lies in the tray. @param sentAt null when it was not sent */
    public record Mail(long id, String to, String subject, String body, Instant writtenAt, Instant sentAt) {}

    /** The full address of a page, as it stands in a mail. */
    public String address(String path) {
        return site + path;
    }

    /** True when no mail server is set, so that the tray is where mail is read. */
    public boolean isTray() {
        return sender.getIfAvailable() == null;
    }

    @Transactional
    public void send(String to, String subject, String body) {
        long id = sql.sql("insert into mail (recipient, subject, body, written_at) values (?, ?, ?, ?) returning id")
                .params(
                        to,
                        subject.replaceAll("[\\r\\n]+", " "),
                        body,
                        clock.instant().atOffset(ZoneOffset.UTC))
                .query(Long.class)
                .single();
        if (!isTray()) queue.scheduleIfNotExists(new TaskInstance<Void>(TASK, String.valueOf(id)), clock.instant());
    }

    @Transactional(readOnly = true)
    public List<Mail> tray() {
        return sql.sql("select * from mail order by id desc limit ?")
                .param(SHOWN)
                .query((rs, i) -> new Mail(
                        rs.getLong("id"),
                        rs.getString("recipient"),
                        rs.getString("subject"),
                        rs.getString("body"),
                        rs.getTimestamp("written_at").toInstant(),
                        rs.getTimestamp("sent_at") == null
                                ? null
                                : rs.getTimestamp("sent_at").toInstant()))
                .list();
    }

    void deliver(long id) {
        record Waiting(String to, String subject, String body) {}
        Waiting waiting = sql.sql("select * from mail where id = ? and sent_at is null")
                .param(id)
                .query((rs, i) -> new Waiting(rs.getString("recipient"), rs.getString("subject"), rs.getString("body")))
                .optional()
                .orElse(null);
        JavaMailSender server = sender.getIfAvailable();
        if (waiting == null || server == null) return;
        SimpleMailMessage message = new SimpleMailMessage();
        message.setFrom(from);
        message.setTo(waiting.to());
        message.setSubject(waiting.subject());
        message.setText(waiting.body());
        server.send(message);
        sql.sql("update mail set sent_at = ?, body = '' where id = ?")
                .params(clock.instant().atOffset(ZoneOffset.UTC), id)
                .update();
    }

    @Configuration
    static class Job {
        @Bean
        OneTimeTask<Void> sendMail(ObjectProvider<MailService> service) {
            FailureHandler<Void> again = new FailureHandler.ExponentialBackoffFailureHandler<>(Duration.ofSeconds(20));
            return Tasks.oneTime(TASK)
                    .onFailure(new FailureHandler.MaxRetriesFailureHandler<>(MOST_TRIES, again))
                    .execute((instance, context) -> service.getObject().deliver(Long.parseLong(instance.getId())));
        }
    }
}
