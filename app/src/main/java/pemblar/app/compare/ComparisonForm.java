package pemblar.app.compare;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import pemblar.app.frame.StoredForm;

/** The lines of a comparison can be read. */
@Configuration(proxyBeanMethods = false)
class ComparisonForm {
    @Bean
    StoredForm comparisonRowForm() {
        return StoredForm.of(
                "comparison", row -> ComparisonStore.content(row.get("content")).check());
    }
}
