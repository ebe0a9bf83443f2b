package pemblar.app.frame;

import java.util.List;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.transaction.autoconfigure.TransactionManagerCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.format.FormatterRegistry;
import org.springframework.transaction.support.AbstractPlatformTransactionManager;
import org.springframework.web.method.support.HandlerMethodArgumentResolver;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.thymeleaf.cache.StandardCacheManager;
import org.thymeleaf.spring6.SpringTemplateEngine;
import org.thymeleaf.spring6.view.ThymeleafViewResolver;
import pemblar.app.frame.asked.FormFields;
import pemblar.app.frame.asked.WhoAsks;
import pemblar.app.frame.page.DayReading;
import pemblar.app.frame.page.Looking;
import pemblar.app.frame.page.WholePage;

/** How requests are read. */
@Configuration
class WebConfiguration implements WebMvcConfigurer {
    private static final int TEMPLATES = 2_000;
    private static final int EXPRESSIONS = 30_000;
    private final DayReading days;
    private final Looking looking;
    private final WhoAsks asks;
    private final FormFields fields;

    WebConfiguration(DayReading days, Looking looking, WhoAsks asks, FormFields fields) {
        this.fields = fields;
        this.asks = asks;
        this.days = days;
        this.looking = looking;
    }

    @Autowired
    void draws(ThymeleafViewResolver views, SpringTemplateEngine engine) {
        views.setViewClass(WholePage.class);
        engine.setCacheManager(all());
    }

    /**
     * Room for every template with its parts and for every expression: with the usual 200 and 500 each page put out
     * what the next one needed, which then was read anew from its text.
     */
    private static StandardCacheManager all() {
        StandardCacheManager cache = new StandardCacheManager();
        cache.setTemplateCacheMaxSize(TEMPLATES);
        cache.setExpressionCacheMaxSize(EXPRESSIONS);
        return cache;
    }

    @Override
    public void addFormatters(FormatterRegistry registry) {
        registry.addConverter(days);
    }

    @Override
    public void addArgumentResolvers(List<HandlerMethodArgumentResolver> resolvers) {
        resolvers.add(asks);
        resolvers.add(fields);
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(looking);
    }

    /** A change within a transaction that only reads would be lost without a word. */
    @Bean
    static TransactionManagerCustomizer<AbstractPlatformTransactionManager> loudChanges() {
        return manager -> manager.setValidateExistingTransaction(true);
    }
}
