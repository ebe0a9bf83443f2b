package pemblar.app.strength.sets;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.LocalDate;
import java.util.List;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.athlete.Athlete;
import pemblar.app.strength.Kilograms;
import pemblar.core.strength.SetHistory.Lifted;
import pemblar.formats.csv.SheetText;

/** Sets that were lifted, over many sessions. */
@Repository
public class SetsStore {
    private static final int MOST_ROWS = 100_000;
    private static final String[] COLUMNS = {
        "day",
        "session",
        "exercise",
        "kilograms",
        "repetitions",
        "held_seconds",
        "in_reserve",
        "warm_up",
        "as_many_as_possible",
        "note"
    };
    private final JdbcClient sql;

    SetsStore(JdbcClient sql) {
        this.sql = sql;
    }

    /** Work sets between two days, both included, without warm-ups and without those that were left out. */
    @Transactional(readOnly = true)
    public List<Lifted> between(Athlete athlete, LocalDate from, LocalDate to) {
        return sql.sql("select s.day, t.exercise, t.load_kilograms, t.repetitions, t.in_reserve"
                        + " from strength_set t join session_named s on s.id = t.session_id"
                        + " where t.athlete_id = ? and s.athlete_id = ? and s.day between ? and ? and not t.warm_up"
                        + " and t.note not like 'skipped%' order by s.day, t.session_id, t.place, t.id")
                .params(athlete.id(), athlete.id(), from, to)
                .query((rs, i) -> new Lifted(
                        rs.getObject(1, LocalDate.class),
                        rs.getString(2),
                        rs.getDouble(3),
                        rs.getInt(4),
                        rs.getObject(5) == null ? -1 : rs.getInt(5)))
                .list();
    }

    /** All sets of an athlete, newest first, as docs/formats/strength.md has it. */
    @Transactional(readOnly = true)
    public String csv(Athlete athlete) {
        StringBuilder text = new StringBuilder();
        try (CSVPrinter csv = new CSVPrinter(
                text, CSVFormat.RFC4180.builder().setHeader(COLUMNS).get())) {
            sql.sql("select s.day, s.title, t.* from strength_set t join session_named s on s.id = t.session_id"
                            + " where t.athlete_id = ? and s.athlete_id = ? order by s.day desc, t.session_id, t.place,"
                            + " t.id limit " + MOST_ROWS)
                    .params(athlete.id(), athlete.id())
                    .query((rs, i) -> new Object[] {
                        rs.getObject("day", LocalDate.class),
                        SheetText.harmless(rs.getString("title")),
                        rs.getString("exercise"),
                        Kilograms.hundredths(rs.getDouble("load_kilograms")),
                        rs.getInt("repetitions"),
                        rs.getInt("held_seconds"),
                        rs.getObject("in_reserve"),
                        rs.getBoolean("warm_up"),
                        rs.getBoolean("test"),
                        SheetText.harmless(rs.getString("note"))
                    })
                    .list()
                    .forEach(row -> print(csv, row));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return text.toString();
    }

    private static void print(CSVPrinter csv, Object[] row) {
        try {
            csv.printRecord(row);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
