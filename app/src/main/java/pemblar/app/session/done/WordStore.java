package pemblar.app.session.done;

import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import pemblar.core.range.DayRange;
import pemblar.core.sport.Sport;

/** Finds the words that sessions are described by, and the recordings of those that have one. */
@Component
public class WordStore {
    /** Goes from each to the next along an index: it costs as much as there are different ones, not sessions. */
    private static final String USED = """
            with recursive word as (
              (select sport, kind, equipment, surface, weather, tags from session
               where athlete_id = :athlete and deleted_at is null
               order by kind, equipment, surface, weather, tags, sport limit 1)
              union all
              select n.* from word w cross join lateral (
                select s.sport, s.kind, s.equipment, s.surface, s.weather, s.tags from session s
                where s.athlete_id = :athlete and s.deleted_at is null
                  and (s.kind, s.equipment, s.surface, s.weather, s.tags, s.sport)
                    > (w.kind, w.equipment, w.surface, w.weather, w.tags, w.sport)
                order by s.kind, s.equipment, s.surface, s.weather, s.tags, s.sport limit 1) n)
            select w.sport, w.kind, w.equipment, w.surface, w.weather, w.tags, coalesce(l.lately, 0) as lately
            from word w left join (
              select sport, kind, equipment, surface, weather, tags, count(*) as lately from session
              where athlete_id = :athlete and day between :from and :to and deleted_at is null
              group by sport, kind, equipment, surface, weather, tags) l
              using (sport, kind, equipment, surface, weather, tags)
            where kind <> '' or equipment <> '' or surface <> '' or weather <> '' or tags <> ''
            """;

    private static final String RECORDINGS = """
            select s.recording_id from session s
            where s.athlete_id = :athlete and s.recording_id is not null and s.deleted_at is null
              and s.day between :from and :to and
            """;

    /** A recording counts by its own day, which whoever asks looks at; its session's may lie beside it. */
    private static final int DAYS_BESIDE = 7;

    private final JdbcClient sql;

    WordStore(JdbcClient sql) {
        this.sql = sql;
    }

    /** Words that sessions have alike, of which sport, and how many of some days have them all. */
    public record Used(
            Sport sport, String kind, String equipment, String surface, String weather, String tags, long lately) {}

    /** @param athlete whom the caller has asked for */
    public List<Used> used(long athlete, DayRange lately) {
        return sql.sql(USED)
                .param("athlete", athlete)
                .param("from", lately.from())
                .param("to", lately.to())
                .query((row, i) -> new Used(
                        Sport.valueOf(row.getString("sport")),
                        row.getString("kind"),
                        row.getString("equipment"),
                        row.getString("surface"),
                        row.getString("weather"),
                        row.getString("tags"),
                        row.getLong("lately")))
                .list();
    }

    /** @param field kind, equipment, surface or weather; any other has none */
    List<Long> recordingsWith(long athlete, String field, String word, DayRange days) {
        return recordings(
                "case :field when 'kind' then s.kind when 'equipment' then s.equipment when 'surface' then s.surface "
                        + "when 'weather' then s.weather else '' end = :word",
                new Asked(athlete, field, word, days));
    }

    List<Long> recordingsTagged(long athlete, String tag, DayRange days) {
        return recordings(
                "position(',' || :word || ',' in ',' || s.tags || ',') > 0 and :field = 'tag'",
                new Asked(athlete, "tag", tag, days));
    }

    private record Asked(long athlete, String field, String word, DayRange days) {}

    private List<Long> recordings(String which, Asked asked) {
        return sql.sql(RECORDINGS + which)
                .param("athlete", asked.athlete())
                .param("field", asked.field())
                .param("word", asked.word())
                .param("from", asked.days().from().minusDays(DAYS_BESIDE))
                .param("to", asked.days().to().plusDays(DAYS_BESIDE))
                .query(Long.class)
                .list();
    }
}
