package pemblar.app.prediction;

import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import pemblar.app.prediction.Foreseen.Made;
import pemblar.core.sport.Sport;

/** Predictions as they were made. */
@Component
class PredictedStore {
    private final JdbcClient sql;

    PredictedStore(JdbcClient sql) {
        this.sql = sql;
    }

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

    /** What was made before stays as it was made. */
    void keep(long athleteId, Course course, Made made) {
        sql.sql("insert into predicted (athlete_id, sport, metres, seconds, day, value, low, high) "
                        + "values (?, ?, ?, ?, ?, ?, ?, ?) on conflict do nothing")
                .params(
                        athleteId,
                        course.sport().name(),
                        course.metres(),
                        course.seconds(),
                        made.day(),
                        made.value(),
                        made.low(),
                        made.high())
                .update();
    }
}
