package pemblar.app.frame.door;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.session.config.SessionRepositoryCustomizer;
import org.springframework.session.jdbc.JdbcIndexedSessionRepository;
import org.springframework.session.jdbc.PostgreSqlJdbcIndexedSessionRepositoryCustomizer;

/** Sign-ins in the database. */
@Configuration
class SessionConfiguration {
    /**
     * That somebody looked is written once a minute and not at each look: every page had waited for the disk for it.
     * All else of a sign-in is written at once.
     */
    private static final String SEEN = """
        update %TABLE_NAME% s set session_id = v.session_id, last_access_time = v.seen, max_inactive_interval = v.lasts,
            expiry_time = v.ends, principal_name = v.whose
        from (values (cast(? as char(36)), cast(? as bigint), cast(? as integer), cast(? as bigint),
            cast(? as varchar), cast(? as char(36)))) as v (session_id, seen, lasts, ends, whose, id)
        where s.primary_id = v.id and (v.seen - s.last_access_time >= 60000 or
            (s.session_id, s.max_inactive_interval, s.principal_name) is distinct from (v.session_id, v.lasts, v.whose))
        """;

    /**
     * Two requests of one person may put the same attribute at the same moment: the later one stands, and neither
     * fails.
     */
    @Bean
    static PostgreSqlJdbcIndexedSessionRepositoryCustomizer sessionsOfTwoRequests() {
        return new PostgreSqlJdbcIndexedSessionRepositoryCustomizer();
    }

    @Bean
    static SessionRepositoryCustomizer<JdbcIndexedSessionRepository> seenOnceAMinute() {
        return sessions -> sessions.setUpdateSessionQuery(SEEN);
    }
}
