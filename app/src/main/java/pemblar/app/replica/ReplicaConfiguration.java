package pemblar.app.replica;

import com.zaxxer.hikari.HikariDataSource;
import java.sql.Connection;
import java.sql.SQLException;
import java.util.concurrent.TimeUnit;
import javax.sql.DataSource;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.beans.factory.config.BeanPostProcessor;
import org.springframework.boot.autoconfigure.condition.ConditionalOnExpression;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.jdbc.datasource.DelegatingDataSource;

/** A copy of the database that reading pages are answered by, where one is named; else none of this is there. */
@Configuration
@ConditionalOnExpression("!'${pemblar.database-to-read:}'.isBlank()")
class ReplicaConfiguration {
    private static final int CONNECTIONS = 12;
    private static final int PATIENCE_MILLIS = 1000;

    /** Every connection is asked for here; which database it goes to, the thread decides. */
    @Bean
    static BeanPostProcessor twoDatabases(ObjectProvider<Replica> replica) {
        return new BeanPostProcessor() {
            @Override
            public Object postProcessAfterInitialization(Object bean, String name) {
                return bean instanceof HikariDataSource main ? new Either(main, replica) : bean;
            }
        };
    }

    private static final class Either extends DelegatingDataSource {
        private final ObjectProvider<Replica> replica;

        Either(DataSource main, ObjectProvider<Replica> replica) {
            super(main);
            this.replica = replica;
        }

        @Override
        public Connection getConnection() throws SQLException {
            return Elsewhere.isOn() ? replica.getObject().pool().getConnection() : super.getConnection();
        }
    }

    @Bean
    Replica replica(
            DataSource main,
            @Value("${pemblar.database-to-read}") String address,
            @Value("${spring.datasource.username}") String user,
            @Value("${spring.datasource.password}") String password) {
        HikariDataSource pool = new HikariDataSource();
        pool.setPoolName("copy");
        pool.setJdbcUrl(address);
        pool.setUsername(user);
        pool.setPassword(password);
        pool.setMaximumPoolSize(CONNECTIONS);
        pool.setReadOnly(true);
        pool.setConnectionTimeout(PATIENCE_MILLIS);
        pool.setValidationTimeout(PATIENCE_MILLIS / 2);
        pool.setInitializationFailTimeout(-1); // it may come later
        pool.addDataSourceProperty("connectTimeout", "2");
        pool.addDataSourceProperty("loginTimeout", "2");
        Replica replica = new Replica(pool, main, () -> TimeUnit.NANOSECONDS.toMillis(System.nanoTime()));
        replica.follow();
        return replica;
    }

    @Bean
    FailedElsewhere failedElsewhere() {
        return new FailedElsewhere();
    }

    @Bean
    ReadPages readPages(Replica replica) {
        return new ReadPages(replica);
    }
}
