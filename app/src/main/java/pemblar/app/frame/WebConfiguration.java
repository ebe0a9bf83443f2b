package pemblar.app.frame;

import org.springframework.context.annotation.Configuration;
import org.springframework.format.FormatterRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import pemblar.app.frame.page.DayReading;

/** How requests are read. */
@Configuration
class WebConfiguration implements WebMvcConfigurer {
    private final DayReading days;

    WebConfiguration(DayReading days) {
        this.days = days;
    }

    @Override
    public void addFormatters(FormatterRegistry registry) {
        registry.addConverter(days);
    }
}
