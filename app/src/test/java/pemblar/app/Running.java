package pemblar.app;

import static java.util.Map.entry;

import jakarta.persistence.EntityManagerFactory;
import java.util.Map;
import org.hibernate.SessionFactory;
import org.hibernate.stat.Statistics;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;

/** The real application with the demo data, started once a run. */
final class Running {
    private static final String NAME = "pemblar";
    /** Seals secrets; of tests alone. The first to be made, since the data are loaded with it. */
    static final String KEY = java.util.Base64.getEncoder().encodeToString(new byte[32]);

    static final PrivateDatabase DATABASE = new PrivateDatabase(DemoTemplate.get(Running::make));
    static final int PORT = PrivateDatabase.freePort();
    /** A port of this machine that the application may call back. */
    static final int CALLED = PrivateDatabase.freePort();

    /** A port where a test may have a store of objects. */
    static final int OBJECTS = PrivateDatabase.freePort();

    static final String ADDRESS = "http://127.0.0.1:" + PORT;
    static final ConfigurableApplicationContext APPLICATION = start();

    private Running() {}

    private static ConfigurableApplicationContext start() {
        SpringApplication application = new SpringApplication(PemblarApplication.class);
        return application.run(arguments(DATABASE.address(NAME), PORT, true));
    }

    /** Loads the demo data into a database of its own and keeps them as they then are. */
    private static void make(java.nio.file.Path template) {
        PrivateDatabase database = new PrivateDatabase();
        SpringApplication loader = new SpringApplication(PemblarApplication.class);
        try (ConfigurableApplicationContext loaded =
                loader.run(arguments(database.create(NAME), PrivateDatabase.freePort(), true))) {
            database.keep(template);
        }
    }

    static String[] arguments(String database, int port, boolean demo) {
        return Map.ofEntries(
                        entry("spring.datasource.url", database),
                        entry("server.port", String.valueOf(port)),
                        entry("pemblar.calls-to", "127.0.0.1:" + CALLED),
                        entry("pemblar.key", KEY),
                        entry("pemblar.demo", String.valueOf(demo)),
                        entry("pemblar.recordings-in", "stay"),
                        entry("pemblar.objects.url", "http://127.0.0.1:" + OBJECTS),
                        entry("pemblar.objects.key", "test"),
                        entry("pemblar.objects.secret", "secret of a test"),
                        entry("spring.jpa.properties.hibernate.generate_statistics", "true"))
                .entrySet()
                .stream()
                .map(e -> "--" + e.getKey() + "=" + e.getValue())
                .toArray(String[]::new);
    }

    static void forgetSignUps() {
        new org.springframework.jdbc.core.JdbcTemplate(APPLICATION.getBean(javax.sql.DataSource.class))
                .update("delete from rate_limit where key like 'sign-up from %'");
    }

    static Statistics statistics() {
        return APPLICATION
                .getBean(EntityManagerFactory.class)
                .unwrap(SessionFactory.class)
                .getStatistics();
    }
}
