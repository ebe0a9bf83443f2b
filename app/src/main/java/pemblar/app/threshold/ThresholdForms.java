package pemblar.app.threshold;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import pemblar.app.frame.StoredForm;
import pemblar.core.threshold.Quantity;
import pemblar.formats.json.ZoneSchemeJson;

/** Values are of quantities that are known, schemes of zones such as can be drawn. */
@Configuration(proxyBeanMethods = false)
class ThresholdForms {
    @Bean
    StoredForm datedValueForm() {
        return StoredForm.of("dated_value", row -> Quantity.valueOf(row.get("quantity")));
    }

    @Bean
    StoredForm zoneSetForm() {
        return StoredForm.of("zone_set", row -> ZoneSchemeJson.read(row.get("scheme")));
    }

    @Bean
    StoredForm zoneSchemeForm() {
        return StoredForm.of("zone_scheme", row -> ZoneSchemeJson.read(row.get("scheme")));
    }
}
