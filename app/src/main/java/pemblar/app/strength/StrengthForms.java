package pemblar.app.strength;

import java.util.Map;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import pemblar.app.frame.StoredForm;
import pemblar.app.strength.maximum.MaximaService;
import pemblar.core.strength.StrengthShorthand;

/** Own exercises are such as could be added here, workouts can be read, and linked exercises go in no circle. */
@Configuration(proxyBeanMethods = false)
class StrengthForms {
    @Bean
    StoredForm ownExerciseForm() {
        return StoredForm.of("own_exercise", StrengthForms::exercise);
    }

    @Bean
    StoredForm strengthWorkoutForm() {
        return StoredForm.of(
                "strength_workout",
                row -> StrengthShorthand.read(row.get("body")).workout().orElseThrow());
    }

    @Bean
    StoredForm strengthLinkForm(MaximaService maxima) {
        return StoredForm.of("strength_link", row -> {}, maxima::checkLinks);
    }

    private static void exercise(Map<String, String> row) {
        Exercises.check(new Exercises.New(
                row.get("name"),
                row.get("movement"),
                row.get("loaded"),
                row.getOrDefault("cue", ""),
                row.getOrDefault("link", ""),
                ""));
    }
}
