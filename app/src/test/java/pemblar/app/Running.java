package pemblar.app;

import jakarta.persistence.EntityManagerFactory;
import java.util.Map;
import org.hibernate.SessionFactory;
import org.hibernate.stat.Statistics;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;

/** The real application with the demo data, started once a run. */
final class Running {
    static final PrivateDatabase DATABASE = new PrivateDatabase();
    static final int PORT = PrivateDatabase.freePort();
    static final String ADDRESS = "http://127.0.0.1:" + PORT;
    static final ConfigurableApplicationContext APPLICATION = start();

    private Running() {}

    private static ConfigurableApplicationContext start() {
        SpringApplication application = new SpringApplication(PemblarApplication.class);
        return application.run(arguments(DATABASE.create("pemblar"), PORT, true));
    }

    static String[] arguments(String database, int port, boolean demo) {
        return Map.of(
                        "spring.datasource.url",
                        database,
                        "server.port",
                        String.valueOf(port),
                        "pemblar.demo",
                        String.valueOf(demo),
                        "spring.jpa.properties.hibernate.generate_statistics",
                        "true")
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
