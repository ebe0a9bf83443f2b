package pemblar.app.prediction;

import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionTemplate;
import pemblar.app.prediction.Foreseen.Made;
import pemblar.app.replica.Elsewhere;
import pemblar.core.sport.Sport;

/** Predictions as they were made. */
@Component
class PredictedStore {
    private final JdbcClient sql;
    private final TransactionTemplate apart;

    PredictedStore(JdbcClient sql, PlatformTransactionManager transactions) {
        this.sql = sql;
        this.apart = new TransactionTemplate(transactions);
        apart.setPropagationBehavior(TransactionDefinition.PROPAGATION_REQUIRES_NEW);
    }

    /** A prediction that is to be kept. */
    record Fresh(Course course, Made made) {}

    private record Row(Course course, Made made) {}

    Map<Course, TreeMap<LocalDate, Made>> from(long athleteId, LocalDate from) {
        List<Row> rows = sql.sql("select sport, metres, seconds, day, value, low, high from predicted "
                        + "where athlete_id = ? and day >= ?")
                .params(athleteId, from)
                .query((rs, i) -> new Row(
                        new Course(Sport.valueOf(rs.getString("sport")), rs.getDouble("metres"), rs.getInt("seconds")),
                        new Made(
                                rs.getObject("day", LocalDate.class),
                                rs.getDouble("value"),
                                rs.getDouble("low"),
                                rs.getDouble("high"))))
                .list();
        Map<Course, TreeMap<LocalDate, Made>> all = new LinkedHashMap<>();
        for (Row row : rows)
            all.computeIfAbsent(row.course(), c -> new TreeMap<>())
                    .put(row.made().day(), row.made());
        return all;
    }

    /** Apart from the page that is read meanwhile. What was made before stays as it was made. */
    void keep(long athleteId, List<Fresh> fresh) {
        if (!fresh.isEmpty())
            Elsewhere.writtenAtMain(() -> apart.executeWithoutResult(s -> fresh.forEach(f -> keep(athleteId, f))));
    }

    private void keep(long athleteId, Fresh fresh) {
        sql.sql("insert into predicted (athlete_id, sport, metres, seconds, day, value, low, high) "
                        + "values (?, ?, ?, ?, ?, ?, ?, ?) on conflict do nothing")
                .params(
                        athleteId,
                        fresh.course().sport().name(),
                        fresh.course().metres(),
                        fresh.course().seconds(),
                        fresh.made().day(),
                        fresh.made().value(),
                        fresh.made().low(),
                        fresh.made().high())
                .update();
    }
}
