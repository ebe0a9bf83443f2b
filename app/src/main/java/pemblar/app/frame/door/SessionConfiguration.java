package pemblar.app.frame.door;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.session.jdbc.PostgreSqlJdbcIndexedSessionRepositoryCustomizer;

/** Sign-ins in the database. */
@Configuration
class SessionConfiguration {
    /**
     * Two requests of one person may put the same attribute at the same moment: the later one stands, and neither
     * fails.
     */
    @Bean
    static PostgreSqlJdbcIndexedSessionRepositoryCustomizer sessionsOfTwoRequests() {
        return new PostgreSqlJdbcIndexedSessionRepositoryCustomizer();
    }
}
