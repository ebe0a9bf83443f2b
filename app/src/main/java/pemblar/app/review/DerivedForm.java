package pemblar.app.review;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import pemblar.app.frame.StoredForm;
import pemblar.core.recording.Derived;

/** A derived channel is one that could be made here. */
@Configuration(proxyBeanMethods = false)
class DerivedForm {
    @Bean
    StoredForm derivedChannelForm() {
        return StoredForm.of(
                "derived_channel",
                row -> new Derived(
                        row.get("name"),
                        row.get("left_key"),
                        Derived.Operation.valueOf(row.get("operation")),
                        row.get("right_key")));
    }
}
