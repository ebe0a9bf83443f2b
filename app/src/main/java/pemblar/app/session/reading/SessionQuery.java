package pemblar.app.session.reading;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.springframework.jdbc.core.simple.JdbcClient;
import pemblar.app.session.reading.SessionSearch.Wanted;

/**
 * The search for sessions, asking only for what is wanted: so the database can walk along an athlete's days and stop
 * when a page is full, however many years lie behind.
 */
final class SessionQuery {
    private final List<String> conditions = new ArrayList<>();
    private final Map<String, Object> values = new LinkedHashMap<>();

    /** @param mentioned sessions whose notes hold the text */
    SessionQuery(long athleteId, Wanted w, List<Long> mentioned) {
        and("s.athlete_id = :athlete", "athlete", athleteId);
        and("s.deleted_at is null and (r.id is not null or s.done_seconds is not null)");
        if (w.from() != null) and("s.day >= :from", "from", w.from());
        if (w.to() != null) and("s.day <= :to", "to", w.to());
        if (w.sport() != null) and("s.sport = :sport", "sport", w.sport().name());
        if (!w.text().isBlank()) text(w.text(), mentioned);
        named("kind", w.kind());
        named("equipment", w.equipment());
        named("surface", w.surface());
        named("weather", w.weather());
        if (!w.tag().isEmpty()) and("',' || s.tags || ',' like :tag", "tag", "%," + escaped(w.tag()) + ",%");
        if (w.leastMinutes() != null)
            and("coalesce(r.timer_seconds, s.done_seconds) >= :seconds", "seconds", w.leastMinutes() * 60);
        if (w.leastLoad() != null) and("coalesce(r.load_points, s.done_load, 0) >= :load", "load", w.leastLoad());
        with(w.with());
    }

    private void text(String text, List<Long> mentioned) {
        String mentions = mentioned.isEmpty() ? "" : " or s.id in (:mentioned)";
        if (!mentioned.isEmpty()) values.put("mentioned", mentioned);
        and(
                "(lower(s.title) like :text or lower(s.tags) like :text or lower(coalesce(s.done_note, '')) like :text"
                        + mentions + ")",
                "text",
                "%" + escaped(text.strip().toLowerCase(Locale.ROOT)) + "%");
    }

    private void named(String column, String value) {
        if (!value.isEmpty()) and("s." + column + " = :" + column, column, value);
    }

    private void with(String with) {
        switch (with) {
            case "PLAN" -> and("s.planned_seconds is not null");
            case "NO_PLAN" -> and("s.planned_seconds is null");
            case "RECORDING" -> and("r.id is not null");
            case "NO_RECORDING" -> and("r.id is null");
            default -> {}
        }
    }

    private static String escaped(String text) {
        return text.replace("\\", "\\\\").replace("%", "\\%").replace("_", "\\_");
    }

    private void and(String condition) {
        conditions.add(condition);
    }

    private void and(String condition, String name, Object value) {
        conditions.add(condition);
        values.put(name, value);
    }

    /** Ids in their order. @param order what to sort by */
    List<Long> ids(JdbcClient sql, String order, int count, int offset) {
        var statement = sql.sql("select s.id from session s left join recorded r on r.id = s.recording_id where "
                + String.join(" and ", conditions) + " order by " + order + " limit " + count + " offset " + offset);
        for (Map.Entry<String, Object> value : values.entrySet())
            statement = statement.param(value.getKey(), value.getValue());
        return statement.query(Long.class).list();
    }
}
