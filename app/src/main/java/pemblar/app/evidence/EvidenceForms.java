package pemblar.app.evidence;

import java.util.Map;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import pemblar.app.frame.StoredForm;
import pemblar.core.threshold.Method;
import pemblar.core.threshold.Quantity;

/** Evidence is of a quantity and by a method that are known. */
@Configuration(proxyBeanMethods = false)
class EvidenceForms {
    @Bean
    StoredForm evidenceForm() {
        return StoredForm.of("evidence", EvidenceForms::check);
    }

    private static void check(Map<String, String> row) {
        Quantity.valueOf(row.get("quantity"));
        Method.valueOf(row.get("method"));
    }
}
