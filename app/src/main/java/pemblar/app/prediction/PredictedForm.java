package pemblar.app.prediction;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import pemblar.app.frame.StoredForm;
import pemblar.core.sport.Sport;

/** What was foretold is of a sport that is known. */
@Configuration(proxyBeanMethods = false)
class PredictedForm {
    @Bean
    StoredForm predictedRowForm() {
        return StoredForm.of("predicted", row -> Sport.valueOf(row.get("sport")));
    }
}
