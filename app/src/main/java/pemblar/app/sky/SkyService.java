package pemblar.app.sky;

import com.github.kagkarlsson.scheduler.task.helper.RecurringTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import com.github.kagkarlsson.scheduler.task.schedule.FixedDelay;
import java.time.Duration;
import java.time.Instant;
import java.time.InstantSource;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.web.server.context.WebServerInitializedEvent;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.AthleteService;
import pemblar.app.frame.Visit;

/** What the sky is like where athletes train. Pages read what was told; a job asks. */
@Service
public class SkyService {
    private static final Duration STALE = Duration.ofHours(3);
    private static final int DAYS_AHEAD = 8;
    private static final int MOST_AT_ONCE = 200;
    private static final int FIRST_HOUR = 6;
    private static final int LAST_HOUR = 20;
    private final SkyStore store;
    private final AthleteService athletes;
    private final InstantSource clock;
    private final SkyClient client;
    private volatile int ownPort;

    SkyService(SkyStore store, AthleteService athletes, InstantSource clock, @Value("${pemblar.sky:}") String service) {
        this.store = store;
        this.athletes = athletes;
        this.clock = clock;
        this.client = new SkyClient(() -> service.isBlank() ? "http://127.0.0.1:" + ownPort + "/sky" : service);
    }

    @EventListener
    void started(WebServerInitializedEvent event) {
        ownPort = event.getWebServer().getPort();
    }

    /** For an athlete whom the caller has already asked for, as all that follow. */
    @Transactional(readOnly = true)
    public Optional<Place> place(Athlete athlete) {
        return store.place(athlete.id());
    }

    @Transactional(readOnly = true)
    public List<Long> athletesWithPlace() {
        return store.athletes();
    }

    /** Says where somebody trains; the weather there is asked for at once. */
    public void train(Visit visit, Place place) {
        athletes.require(visit);
        store.keep(visit.athleteId(), place);
        ask(place);
    }

    public void forget(Visit visit) {
        athletes.require(visit);
        store.forget(visit.athleteId());
    }

    /** The hours of a stretch as far as they were told, in order. */
    @Transactional(readOnly = true)
    public List<SkyHour> hours(Athlete athlete, Instant from, Instant to) {
        return store.hours(athlete.id(), from.truncatedTo(ChronoUnit.HOURS), to);
    }

    /** What a day is like while people train: its warmest hour, and whether any is icy. */
    public record SkyDay(LocalDate day, double highestCelsius, boolean ice) {}

    /** The days from one to another of which anything was told. */
    @Transactional(readOnly = true)
    public List<SkyDay> days(Athlete athlete, LocalDate from, LocalDate to) {
        List<SkyHour> hours = store.hours(
                athlete.id(), athlete.at(from, 0), athlete.at(to.plusDays(1), 0).minusSeconds(1));
        return from.datesUntil(to.plusDays(1))
                .flatMap(day -> day(athlete, day, hours).stream())
                .toList();
    }

    private static Optional<SkyDay> day(Athlete athlete, LocalDate day, List<SkyHour> hours) {
        Instant first = athlete.at(day, FIRST_HOUR * 60);
        Instant last = athlete.at(day, LAST_HOUR * 60);
        List<SkyHour> daytime = hours.stream()
                .filter(h -> !h.at().isBefore(first) && h.at().isBefore(last))
                .toList();
        return daytime.stream()
                .max(java.util.Comparator.comparingDouble(SkyHour::celsius))
                .map(warmest ->
                        new SkyDay(day, warmest.celsius(), daytime.stream().anyMatch(SkyHour::ice)));
    }

    /**
     * The weather of hours that are past, asked of the service: for recordings without a temperature of their own.
     *
     * @return empty without a place, or while the service is away
     */
    public List<SkyHour> past(long athleteId, Instant from, Instant to) {
        return store.place(athleteId)
                .map(place -> client.hours(place, from.truncatedTo(ChronoUnit.HOURS), to))
                .orElse(List.of());
    }

    void askAll() {
        Instant before = clock.instant().minus(STALE);
        for (Place place : store.stale(before, MOST_AT_ONCE)) if (!ask(place)) return;
    }

    /** @return false while the service is away: what was told before stays */
    private boolean ask(Place place) {
        Instant now = clock.instant();
        List<SkyHour> hours = client.hours(place, now.minus(1, ChronoUnit.DAYS), now.plus(DAYS_AHEAD, ChronoUnit.DAYS));
        if (!hours.isEmpty()) store.keep(place, hours, now);
        return !hours.isEmpty();
    }

    /** Asks again for what is older than three hours. */
    @Configuration
    static class Asking {
        @Bean
        RecurringTask<Void> askSky(ObjectProvider<SkyService> service) {
            return Tasks.recurring("sky", FixedDelay.ofMinutes(20))
                    .execute((instance, context) -> service.getObject().askAll());
        }
    }
}
