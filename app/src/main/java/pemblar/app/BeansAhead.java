package pemblar.app;

import java.util.List;
import java.util.Locale;
import java.util.Set;
import org.springframework.boot.context.event.ApplicationEnvironmentPreparedEvent;
import org.springframework.context.ApplicationListener;
import org.springframework.core.env.ConfigurableEnvironment;
import org.springframework.core.env.EnumerablePropertySource;
import org.springframework.core.env.PropertySource;
import org.springframework.util.ClassUtils;
import org.springframework.util.StringUtils;

/**
 * What people install was told when it was built which beans there are, and starts sooner for it. That holds for the
 * usual settings; with one that could add or drop a bean they are looked for at the start, as in the demo.
 */
class BeansAhead implements ApplicationListener<ApplicationEnvironmentPreparedEvent> {
    private static final String SWITCH = "spring.aot.enabled";
    /** Settings of ours that a bean depends on. */
    private static final List<String> SHAPING = List.of("pemblar.demo", "pemblar.database-to-read");
    /** Settings of the framework, of which most could; those of our own configuration were known beforehand. */
    private static final List<String> FRAMEWORK = List.of("spring", "server", "management", "springdoc");

    private static final Set<String> HARMLESS =
            Set.of(SWITCH, "spring.context.exit", "spring.application.pid", "spring.application.version");
    private static final String WRITTEN = PemblarApplication.class.getName() + "__ApplicationContextInitializer";

    @Override
    public void onApplicationEvent(ApplicationEnvironmentPreparedEvent event) {
        if (System.getProperty(SWITCH) != null) return;
        if (ClassUtils.isPresent(WRITTEN, null) && isUsual(event.getEnvironment())) System.setProperty(SWITCH, "true");
    }

    /** Whether nothing is set that could make other beans than those of the build. */
    static boolean isUsual(ConfigurableEnvironment environment) {
        return SHAPING.stream().noneMatch(name -> isSet(environment.getProperty(name)))
                && environment.getPropertySources().stream().noneMatch(BeansAhead::hasFrameworkSettings);
    }

    private static boolean isSet(String value) {
        return StringUtils.hasText(value) && !value.equals("false");
    }

    private static boolean hasFrameworkSettings(PropertySource<?> source) {
        if (source.getName().contains("class path resource")) return false;
        return source instanceof EnumerablePropertySource<?> names
                && List.of(names.getPropertyNames()).stream().anyMatch(BeansAhead::isOfFramework);
    }

    private static boolean isOfFramework(String name) {
        String dotted = name.toLowerCase(Locale.ROOT).replace('_', '.');
        return !HARMLESS.contains(dotted) && FRAMEWORK.stream().anyMatch(of -> dotted.startsWith(of + "."));
    }
}
