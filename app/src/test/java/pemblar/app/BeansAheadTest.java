package pemblar.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.boot.env.YamlPropertySourceLoader;
import org.springframework.core.env.MapPropertySource;
import org.springframework.core.env.StandardEnvironment;
import org.springframework.core.env.SystemEnvironmentPropertySource;
import org.springframework.core.io.ClassPathResource;

@Tag("unit")
class BeansAheadTest {
    @Test
    void whereTheDatabaseLiesAndTheAddressMakeNoOtherBeans() throws Exception {
        assertThat(withVariables(Map.of(
                        "PEMBLAR_DATABASE", "jdbc:postgresql://db.example/pemblar",
                        "PEMBLAR_SITE", "https://training.example.org",
                        "PEMBLAR_DEMO", "false",
                        "PEMBLAR_DATABASE_TO_READ", "")))
                .isTrue();
    }

    @Test
    void aMailServerACopyTheDemoAndAnyWordToTheFrameworkDo() throws Exception {
        for (Map<String, Object> one : List.<Map<String, Object>>of(
                Map.of("SPRING_MAIL_HOST", "mail.example"),
                Map.of("SPRING_APPLICATION_JSON", "{}"),
                Map.of("SERVER_FORWARD_HEADERS_STRATEGY", "framework"),
                Map.of("spring.mail.host", "mail.example"),
                Map.of("PEMBLAR_DATABASE_TO_READ", "jdbc:postgresql://copy.example/pemblar"),
                Map.of("PEMBLAR_DEMO", "true"))) {
            assertThat(withVariables(one)).as(one.toString()).isFalse();
        }
    }

    /** An application.yml of somebody's own beside the jar is no part of the build. */
    @Test
    void aFileOfSomebodysOwnCounts() throws Exception {
        StandardEnvironment environment = ours(Map.of());
        environment
                .getPropertySources()
                .addFirst(new MapPropertySource(
                        "Config resource 'file [application.yml]'", Map.of("spring.mail.host", "mail.example")));
        assertThat(BeansAhead.isUsual(environment)).isFalse();
    }

    private static boolean withVariables(Map<String, Object> variables) throws Exception {
        return BeansAhead.isUsual(ours(variables));
    }

    /** Our own configuration under the name that the framework gives it, and only these variables. */
    private static StandardEnvironment ours(Map<String, Object> variables) throws Exception {
        StandardEnvironment environment = new StandardEnvironment();
        var sources = environment.getPropertySources();
        sources.remove(StandardEnvironment.SYSTEM_ENVIRONMENT_PROPERTY_SOURCE_NAME);
        sources.remove(StandardEnvironment.SYSTEM_PROPERTIES_PROPERTY_SOURCE_NAME);
        sources.addLast(new SystemEnvironmentPropertySource("systemEnvironment", variables));
        new YamlPropertySourceLoader()
                .load(
                        "Config resource 'class path resource [application.yml]' via location 'optional:classpath:/'",
                        new ClassPathResource("application.yml"))
                .forEach(sources::addLast);
        return environment;
    }
}
