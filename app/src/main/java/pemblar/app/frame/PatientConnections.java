package pemblar.app.frame;

import com.zaxxer.hikari.HikariDataSource;
import com.zaxxer.hikari.util.DriverDataSource;
import java.sql.Connection;
import java.sql.SQLException;
import java.util.function.BooleanSupplier;
import javax.sql.DataSource;
import org.springframework.beans.factory.config.BeanPostProcessor;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.jdbc.datasource.DelegatingDataSource;

/**
 * A database that comes back is found within moments. The pool asks for a connection less and less often while it gets
 * none, up to once in five seconds: longer than a request waits, so that nodes answered 503 when the database had long
 * been there. Now it is asked for steadily, by the pool's own thread; requests wait no longer than they did.
 */
@Configuration
class PatientConnections {
    private static final long EVERY_MILLIS = 200;

    @Bean
    static BeanPostProcessor patientPool() {
        return new BeanPostProcessor() {
            @Override
            public Object postProcessBeforeInitialization(Object bean, String name) {
                if (bean instanceof HikariDataSource pool && pool.getDataSource() == null)
                    pool.setDataSource(new Patient(driver(pool), EVERY_MILLIS, pool::isClosed));
                return bean;
            }
        };
    }

    private static DataSource driver(HikariDataSource pool) {
        return new DriverDataSource(
                pool.getJdbcUrl(),
                pool.getDriverClassName(),
                pool.getDataSourceProperties(),
                pool.getUsername(),
                pool.getPassword());
    }

    /** Waits for a database that was there before; one that never was is told of at once, as at a start. */
    static final class Patient extends DelegatingDataSource {
        private final long everyMillis;
        private final BooleanSupplier closed;
        private volatile boolean known;

        /** @param closed whether nobody waits for a connection any more */
        Patient(DataSource driver, long everyMillis, BooleanSupplier closed) {
            super(driver);
            this.everyMillis = everyMillis;
            this.closed = closed;
        }

        private interface Asking {
            Connection ask() throws SQLException;
        }

        @Override
        public Connection getConnection() throws SQLException {
            return whenThere(super::getConnection);
        }

        @Override
        public Connection getConnection(String user, String password) throws SQLException {
            return whenThere(() -> super.getConnection(user, password));
        }

        private Connection whenThere(Asking asking) throws SQLException {
            while (true) {
                try {
                    Connection connection = asking.ask();
                    known = true;
                    return connection;
                } catch (SQLException e) {
                    if (!known || closed.getAsBoolean() || !DatabaseAway.isAway(e)) throw e;
                    rest(e);
                }
            }
        }

        private void rest(SQLException away) throws SQLException {
            try {
                Thread.sleep(everyMillis);
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                throw away;
            }
        }
    }
}
