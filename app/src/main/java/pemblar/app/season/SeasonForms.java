package pemblar.app.season;

import java.time.InstantSource;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Map;
import java.util.Optional;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import pemblar.app.frame.StoredForm;
import pemblar.core.sport.Sport;

/** A season, its events and what they ask can be read together. */
@Configuration(proxyBeanMethods = false)
class SeasonForms {
    private static final int LONGEST_DAYS = 1000;
    private static final int MINUTES_OF_A_DAY = 1440;

    @Bean
    StoredForm seasonRowForm(SeasonStore store, InstantSource clock) {
        LocalDate latest = LocalDate.ofInstant(clock.instant(), ZoneOffset.UTC).plusDays(LONGEST_DAYS);
        return StoredForm.of(
                "season",
                row -> check(row, latest),
                id -> store.read(id).settings().rhythm());
    }

    @Bean
    StoredForm exceptionForm() {
        return StoredForm.of(
                "season_exception",
                row -> Optional.ofNullable(row.get("only_sport")).ifPresent(Sport::valueOf));
    }

    @Bean
    StoredForm eventRowForm(SeasonStore store) {
        return StoredForm.of("event", row -> SeasonEvent.Kind.valueOf(row.get("kind")), store::read);
    }

    @Bean
    StoredForm eventPartForm(SeasonStore store) {
        return StoredForm.of("event_part", row -> {}, store::read);
    }

    @Bean
    StoredForm eventDemandForm(SeasonStore store) {
        return StoredForm.of("event_demand", row -> {}, store::read);
    }

    private static void check(Map<String, String> row, LocalDate latest) {
        if (row.containsKey("last_day") && LocalDate.parse(row.get("last_day")).isAfter(latest))
            throw new IllegalArgumentException("last_day is after " + latest);
        String[] minutes = row.get("day_minutes").split(",");
        if (minutes.length != 7) throw new IllegalArgumentException("day_minutes are not seven");
        for (String day : minutes)
            if (Integer.parseInt(day) < 0 || Integer.parseInt(day) > MINUTES_OF_A_DAY)
                throw new IllegalArgumentException("day_minutes are 0 to " + MINUTES_OF_A_DAY);
        SeasonStore.shares(row.getOrDefault("sport_shares", "")).values().forEach(SeasonForms::percent);
    }

    private static void percent(int share) {
        if (share < 0 || share > 100) throw new IllegalArgumentException("sport_shares are 0 to 100");
    }
}
