package pemblar.app.frame;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.sql.SQLException;
import java.sql.SQLTransientConnectionException;
import java.util.Map;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

@Tag("unit")
class DatabaseAwayTest {
    @Test
    void onlyALostConnectionIsTakenForADatabaseThatIsAway() {
        Map<SQLException, Boolean> away = Map.of(
                new SQLTransientConnectionException("not available within 2500 ms"), true,
                new SQLException("terminating connection due to administrator command", "57P01"), true,
                new SQLException("connection refused", "08001"), true,
                new SQLException("Connection is closed"), true,
                new SQLException("ResultSet is closed"), false,
                new SQLException("duplicate key", "23505"), false,
                new SQLException("deadlock", "40P01"), false);
        away.forEach((e, is) -> assertEquals(
                is, DatabaseAway.isAway(new IllegalStateException(new RuntimeException(e))), e.toString()));
        assertEquals(false, DatabaseAway.isAway(new IllegalStateException("Connection is closed")));
    }
}
