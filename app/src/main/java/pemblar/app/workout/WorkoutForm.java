package pemblar.app.workout;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import pemblar.app.frame.StoredForm;
import pemblar.formats.json.WorkoutJson;

/** A workout of the library can be read. */
@Configuration(proxyBeanMethods = false)
class WorkoutForm {
    @Bean
    StoredForm workoutRowForm() {
        return StoredForm.of("workout", row -> WorkoutJson.read(row.get("structure")));
    }
}
