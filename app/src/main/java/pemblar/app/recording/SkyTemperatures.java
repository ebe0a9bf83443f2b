package pemblar.app.recording;

import com.github.kagkarlsson.scheduler.task.helper.RecurringTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import com.github.kagkarlsson.scheduler.task.schedule.FixedDelay;
import java.time.Instant;
import java.time.InstantSource;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.OptionalDouble;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;
import pemblar.app.effort.AerobicStore;
import pemblar.app.sky.SkyHour;
import pemblar.app.sky.SkyService;

/**
 * Gives recordings without a temperature the sky’s, a few a minute, so that heat counts in the aerobic trend. The
 * service is asked outside of any transaction, and a service that is away leaves all as it is until the next time.
 */
@Component
public class SkyTemperatures {
    private static final int DAYS = 400;
    private static final int MOST_AN_ATHLETE = 10;
    private final SkyService sky;
    private final AerobicStore pieces;
    private final RecordingRepository recordings;
    private final TransactionTemplate transaction;
    private final InstantSource clock;

    SkyTemperatures(
            SkyService sky,
            AerobicStore pieces,
            RecordingRepository recordings,
            TransactionTemplate transaction,
            InstantSource clock) {
        this.sky = sky;
        this.pieces = pieces;
        this.recordings = recordings;
        this.transaction = transaction;
        this.clock = clock;
    }

    void fill() {
        for (long athleteId : sky.athletesWithPlace()) if (!fill(athleteId)) return;
    }

    /** @return false when the service gave no answer, as it will give none to the next */
    public boolean fill(long athleteId) {
        LocalDate from = LocalDate.ofInstant(clock.instant(), ZoneOffset.UTC).minusDays(DAYS);
        for (long id : pieces.withoutTemperature(athleteId, from, MOST_AN_ATHLETE)) {
            RecordingRow row = recordings.findById(id).orElse(null);
            if (row == null) continue;
            OptionalDouble celsius = mean(sky.past(athleteId, row.startedAt, row.endedAt), row.startedAt);
            if (celsius.isEmpty()) return false;
            transaction.executeWithoutResult(status -> {
                recordings.skyTemperature(id, celsius.getAsDouble());
                pieces.fromSky(id, celsius.getAsDouble());
            });
        }
        return true;
    }

    private static OptionalDouble mean(List<SkyHour> hours, Instant start) {
        return hours.stream()
                .filter(h -> h.at().isAfter(start.minusSeconds(3600)))
                .mapToDouble(SkyHour::celsius)
                .average();
    }

    @Configuration
    static class Filling {
        @Bean
        RecurringTask<Void> fillFromSky(ObjectProvider<SkyTemperatures> temperatures) {
            return Tasks.recurring("sky-temperatures", FixedDelay.ofMinutes(1))
                    .execute((instance, context) -> temperatures.getObject().fill());
        }
    }
}
