package pemblar.app.sharing;

import com.github.kagkarlsson.scheduler.task.helper.RecurringTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import com.github.kagkarlsson.scheduler.task.schedule.Daily;
import java.time.Duration;
import java.time.InstantSource;
import java.time.LocalTime;
import java.time.ZoneOffset;
import java.util.List;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.mail.MailService;

/** Once a day, one mail to each athlete whose shared plan a coach changed. */
@Service
class NewsMail {
    private static final LocalTime AT = LocalTime.of(16, 0);
    private static final int AT_ONCE = 200;
    private static final Duration KEPT = Duration.ofDays(30);
    private final PlanNews news;
    private final MailService mail;
    private final InstantSource clock;

    NewsMail(PlanNews news, MailService mail, InstantSource clock) {
        this.news = news;
        this.mail = mail;
        this.clock = clock;
    }

    /** Marked and written in one transaction: no change is mailed twice, none is lost. @return how many mails */
    @Transactional
    public int send() {
        List<PlanNews.Digest> digests = news.takeUnmailed(AT_ONCE);
        for (PlanNews.Digest digest : digests)
            mail.send(
                    digest.address(),
                    digest.sentences().size() == 1 ? "Your plan changed" : "Your plan changed in several places",
                    String.join("\n", digest.sentences()) + "\n\nWhat is on now:\n"
                            + mail.address("/a/" + digest.athleteId() + "/board"));
        news.purge(clock.instant().minus(KEPT));
        return digests.size();
    }

    @Configuration
    static class Job {
        @Bean
        RecurringTask<Void> dailyNews(ObjectProvider<NewsMail> service) {
            return Tasks.recurring("plan-news-mail", new Daily(ZoneOffset.UTC, AT))
                    .execute((instance, context) -> {
                        while (service.getObject().send() == AT_ONCE) Thread.onSpinWait();
                    });
        }
    }
}
