package pemblar.app.athlete;

import java.util.Map;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import pemblar.app.frame.StoredForm;

/** The zones in which days were lived can be read. */
@Configuration(proxyBeanMethods = false)
class AthleteForm {
    @Bean
    StoredForm athleteRowForm() {
        return StoredForm.of("athlete", AthleteForm::check);
    }

    private static void check(Map<String, String> row) {
        LivedZones.read(row.get("time_zone"), row.getOrDefault("zones_since", ""));
        if (row.getOrDefault("name", "").isBlank()) throw new IllegalArgumentException("name is missing");
    }
}
