package pemblar.app.frame;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import java.sql.Connection;
import java.sql.SQLException;
import java.util.concurrent.atomic.AtomicBoolean;
import javax.sql.DataSource;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

@Tag("unit")
class PatientConnectionsTest {
    private static final SQLException AWAY = new SQLException("refused", "08001");
    private static final SQLException STARTING = new SQLException("starting up", "57P03");
    private static final SQLException WRONG = new SQLException("no such password", "28P01");
    private final DataSource driver = mock(DataSource.class);
    private final Connection connection = mock(Connection.class);
    private final AtomicBoolean closed = new AtomicBoolean();
    private final DataSource patient = new PatientConnections.Patient(driver, 1, closed::get);

    private void wasThere() throws SQLException {
        when(driver.getConnection()).thenReturn(connection);
        patient.getConnection();
    }

    @Test
    void waitsForADatabaseThatWasThereUntilItIsAgain() throws SQLException {
        wasThere();
        when(driver.getConnection()).thenThrow(AWAY, AWAY, STARTING).thenReturn(connection);
        assertThat(patient.getConnection()).isSameAs(connection);
        verify(driver, times(5)).getConnection();
    }

    @Test
    void oneThatNeverWasIsToldOfAtOnce() throws SQLException {
        when(driver.getConnection()).thenThrow(AWAY);
        assertThatThrownBy(patient::getConnection).isSameAs(AWAY);
        verify(driver, times(1)).getConnection();
    }

    @Test
    void whatWaitingDoesNotMendIsToldOfAtOnce() throws SQLException {
        wasThere();
        when(driver.getConnection()).thenThrow(WRONG);
        assertThatThrownBy(patient::getConnection).isSameAs(WRONG);
    }

    @Test
    void closingEndsTheWaiting() throws SQLException {
        wasThere();
        when(driver.getConnection()).thenThrow(AWAY, AWAY).thenAnswer(third -> {
            closed.set(true);
            throw STARTING;
        });
        assertThatThrownBy(patient::getConnection).isSameAs(STARTING);
    }

    @Test
    void soDoesAnInterruption() throws SQLException {
        wasThere();
        when(driver.getConnection()).thenThrow(AWAY);
        Thread.currentThread().interrupt();
        assertThatThrownBy(patient::getConnection).isSameAs(AWAY);
        assertThat(Thread.interrupted()).isTrue();
    }
}
