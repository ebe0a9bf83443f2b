package pemblar.app.template;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import pemblar.app.frame.StoredForm;

/** The sessions of a template can be read, each with its design. */
@Configuration(proxyBeanMethods = false)
class TemplateForm {
    private static final int MOST_DAYS = 1000;

    @Bean
    StoredForm templateRowForm() {
        return StoredForm.of(
                "template", row -> TemplateService.entries(row.get("entries")).forEach(TemplateForm::check));
    }

    private static void check(Entry entry) {
        entry.design();
        if (entry.offset() < 0 || entry.offset() > MOST_DAYS || entry.title() == null)
            throw new IllegalArgumentException("entries are not those of a template");
    }
}
