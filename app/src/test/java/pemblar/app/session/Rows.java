package pemblar.app.session;

import java.time.LocalDate;
import pemblar.core.sport.Sport;

/** Rows as the database gives them back, for tests of the area's other packages. */
public final class Rows {
    private Rows() {}

    public static SessionRow of(long id, long athleteId, LocalDate day, Sport sport, String title) {
        SessionRow row = new SessionRow(athleteId, day, sport, title);
        row.id = id;
        return row;
    }
}
