package pemblar.app.season;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import pemblar.core.season.Priority;

/** What became of events of late: new ones, and those that were moved, for as long as the plan may answer to it. */
@Repository
class EventNews {
    static final int KEPT_DAYS = 14;
    private final JdbcClient sql;

    EventNews(JdbcClient sql) {
        this.sql = sql;
    }

    /** @param movedFrom the day before it was moved; null for one that is new */
    record News(long eventId, LocalDate movedFrom) {}

    Map<Long, News> since(long athleteId, LocalDate day) {
        return sql
                .sql("select event_id, moved_from from event_news where athlete_id = ? and since >= ?")
                .params(athleteId, day)
                .query((rs, i) -> new News(rs.getLong("event_id"), rs.getObject("moved_from", LocalDate.class)))
                .list()
                .stream()
                .collect(Collectors.toMap(News::eventId, n -> n));
    }

    /** Notes what a change did to events; one that is moved back is no news any more. */
    void note(long athleteId, List<SeasonEvent> was, List<SeasonEvent> is, LocalDate today) {
        if (was.equals(is)) return;
        sql.sql("delete from event_news where athlete_id = ? and since < ?")
                .params(athleteId, today.minusDays(KEPT_DAYS))
                .update();
        Map<Long, News> known = since(athleteId, today.minusDays(KEPT_DAYS));
        Map<Long, SeasonEvent> before = was.stream().collect(Collectors.toMap(SeasonEvent::id, e -> e));
        for (SeasonEvent event : is) {
            SeasonEvent old = before.get(event.id());
            if (old == null || isRaised(old, event)) write(athleteId, new News(event.id(), null), today);
            else if (!old.day().equals(event.day())) moved(athleteId, old, event, known.get(event.id()), today);
        }
    }

    /** One that the season now leads up to. */
    private static boolean isRaised(SeasonEvent old, SeasonEvent event) {
        return old.priority() != Priority.A && event.priority() == Priority.A;
    }

    private void moved(long athleteId, SeasonEvent old, SeasonEvent event, News known, LocalDate today) {
        LocalDate from = known != null && known.movedFrom() != null ? known.movedFrom() : old.day();
        if (known != null && known.movedFrom() == null) return; // new, and moved while it is
        if (Objects.equals(from, event.day())) forget(athleteId, event.id());
        else write(athleteId, new News(event.id(), from), today);
    }

    private void forget(long athleteId, long eventId) {
        sql.sql("delete from event_news where athlete_id = ? and event_id = ?")
                .params(athleteId, eventId)
                .update();
    }

    private void write(long athleteId, News news, LocalDate today) {
        sql.sql("insert into event_news (athlete_id, event_id, moved_from, since) values (?, ?, ?, ?) "
                        + "on conflict (athlete_id, event_id) do update set moved_from = excluded.moved_from, "
                        + "since = excluded.since")
                .params(athleteId, news.eventId(), news.movedFrom(), today)
                .update();
    }
}
