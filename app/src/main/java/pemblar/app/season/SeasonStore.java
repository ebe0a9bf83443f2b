package pemblar.app.season;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.JdbcOperations;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import pemblar.app.athlete.Beginning;
import pemblar.app.athlete.PageFrame;
import pemblar.app.frame.Once;
import pemblar.app.frame.Together;
import pemblar.app.frame.Together.Answer;
import pemblar.app.load.Ahead;
import pemblar.app.season.SeasonEvent.EventDemand;
import pemblar.app.season.SeasonSettings.Away;
import pemblar.app.season.SeasonSettings.Marked;
import pemblar.core.season.Aim;
import pemblar.core.season.Block;
import pemblar.core.season.Priority;
import pemblar.core.sport.Sport;

/**
 * Reads and writes what is held of a plan. A change replaces the whole, which is small, so that taking it back is
 * writing what was.
 */
@Repository
class SeasonStore implements Beginning {
    private static final String SEASON = "season";
    private final JdbcClient sql;
    private final JdbcOperations jdbc;

    SeasonStore(JdbcClient sql, JdbcOperations jdbc) {
        this.sql = sql;
        this.jdbc = jdbc;
    }

    Map<Long, List<Block>> blocks(List<Long> athleteIds) {
        record Of(long athleteId, Block block) {}
        return sql
                .sql("select * from block where athlete_id in (:ids) order by first_day")
                .param("ids", athleteIds)
                .query((rs, i) -> new Of(rs.getLong("athlete_id"), block(rs)))
                .list()
                .stream()
                .collect(Collectors.groupingBy(Of::athleteId, Collectors.mapping(Of::block, Collectors.toList())));
    }

    private static Block block(ResultSet rs) throws SQLException {
        return new Block(
                day(rs, "first_day"),
                rs.getInt("days"),
                Block.Phase.valueOf(rs.getString("phase")),
                rs.getString("name"),
                rs.getString("aim"),
                rs.getDouble("target_load"),
                rs.getInt("target_seconds"),
                rs.getBoolean("easy"),
                rs.getBoolean("pinned"));
    }

    private static LocalDate day(ResultSet rs, String column) throws SQLException {
        return rs.getObject(column, LocalDate.class);
    }

    private Map<Long, List<EventPart>> parts(List<Long> athleteIds) {
        record Of(long eventId, EventPart part) {}
        return sql
                .sql("select * from event_part where athlete_id in (:ids) order by event_id, place")
                .param("ids", athleteIds)
                .query((rs, i) -> new Of(rs.getLong("event_id"), part(rs)))
                .list()
                .stream()
                .collect(Collectors.groupingBy(Of::eventId, Collectors.mapping(Of::part, Collectors.toList())));
    }

    private static EventPart part(ResultSet rs) throws SQLException {
        return new EventPart(
                rs.getInt("stage"),
                Sport.valueOf(rs.getString("sport")),
                rs.getObject("metres", Double.class),
                rs.getObject("seconds", Integer.class),
                rs.getObject("load_points", Double.class));
    }

    private static SeasonEvent event(ResultSet rs, Map<Long, List<EventDemand>> demands) throws SQLException {
        return new SeasonEvent(
                rs.getLong("id"),
                day(rs, "day"),
                rs.getInt("days"),
                rs.getString("name"),
                Priority.valueOf(rs.getString("priority")),
                SeasonEvent.Kind.valueOf(rs.getString("kind")),
                Sport.valueOf(rs.getString("sport")),
                rs.getObject("metres", Double.class),
                rs.getObject("seconds", Integer.class),
                demands.getOrDefault(rs.getLong("id"), List.of()));
    }

    private static EventDemand demand(ResultSet rs) throws SQLException {
        return new EventDemand(
                rs.getInt("effort_seconds"),
                SeasonEvent.Unit.valueOf(rs.getString("unit")),
                rs.getDouble("amount"),
                SeasonEvent.After.valueOf(rs.getString("after_kind")),
                rs.getDouble("after_amount"),
                rs.getString("source"),
                rs.getInt("stage"),
                rs.getString("sport") == null ? null : Sport.valueOf(rs.getString("sport")));
    }

    Held read(long athleteId) {
        return Once.of(SEASON, List.of(athleteId), () -> look(athleteId));
    }

    private record Settings(int revision, SeasonSettings settings) {}

    private record Demand(long eventId, EventDemand demand) {}

    private record Part(long eventId, EventPart part) {}

    /** All of a season in one round trip. */
    private Held look(long athleteId) {
        Together all = new Together();
        Supplier<Held> held = asked(all, athleteId);
        all.ask(jdbc);
        return held.get();
    }

    @Override
    public Runnable ask(Together all, PageFrame.Around around) {
        long athleteId = around.athlete().id();
        if (Once.isKnown(SEASON, List.of(athleteId))) return () -> {};
        Supplier<Held> held = asked(all, athleteId);
        return () -> Once.keep(SEASON, List.of(athleteId), held.get());
    }

    private static Supplier<Held> asked(Together all, long athleteId) {
        Answer<Settings> settings = all.question(
                "select * from season where athlete_id = ?",
                (rs, i) -> new Settings(rs.getInt("revision"), settings(rs)),
                athleteId);
        Answer<Block> blocks = all.question(
                "select * from block where athlete_id = ? order by first_day", (rs, i) -> block(rs), athleteId);
        Answer<Demand> demands = all.question(
                "select * from event_demand where athlete_id = ? order by id",
                (rs, i) -> new Demand(rs.getLong("event_id"), demand(rs)),
                athleteId);
        Answer<Part> parts = all.question(
                "select * from event_part where athlete_id = ? order by event_id, place",
                (rs, i) -> new Part(rs.getLong("event_id"), part(rs)),
                athleteId);
        Answer<SeasonEvent> events = all.question(
                "select * from event where athlete_id = ? order by day, id", (rs, i) -> event(rs, Map.of()), athleteId);
        Answer<Away> away = all.question(
                "select * from season_exception where athlete_id = ? order by from_day, id",
                (rs, i) -> away(rs),
                athleteId);
        Answer<Marked> marked = all.question(
                "select * from marked_day where athlete_id = ? order by day",
                (rs, i) -> new Marked(day(rs, "day"), rs.getBoolean("unavailable"), rs.getString("note")),
                athleteId);
        return () -> {
            Settings set = settings.list().stream().findFirst().orElse(new Settings(0, SeasonSettings.USUAL));
            return new Held(
                    set.revision(),
                    set.settings(),
                    blocks.list(),
                    whole(events.list(), demands.list(), parts.list()),
                    away.list(),
                    marked.list());
        };
    }

    private static List<SeasonEvent> whole(List<SeasonEvent> events, List<Demand> demands, List<Part> parts) {
        Map<Long, List<EventDemand>> demanded = demands.stream()
                .collect(Collectors.groupingBy(
                        Demand::eventId, Collectors.mapping(Demand::demand, Collectors.toList())));
        Map<Long, List<EventPart>> made = parts.stream()
                .collect(Collectors.groupingBy(Part::eventId, Collectors.mapping(Part::part, Collectors.toList())));
        return events.stream()
                .map(e -> e.demanding(demanded.getOrDefault(e.id(), List.of()))
                        .madeOf(made.getOrDefault(e.id(), List.of())))
                .toList();
    }

    private static Away away(ResultSet rs) throws SQLException {
        return new Away(
                day(rs, "from_day"),
                day(rs, "to_day"),
                rs.getDouble("weekly_hours"),
                rs.getString("reason"),
                Away.Kind.valueOf(rs.getString("kind")),
                rs.getString("only_sport") == null ? null : Sport.valueOf(rs.getString("only_sport")));
    }

    /** What is ahead of several athletes, from four queries. */
    Map<Long, Ahead> ahead(List<Long> athleteIds) {
        return athleteIds.size() == 1
                ? Map.of(athleteIds.get(0), PlanAhead.of(read(athleteIds.get(0))))
                : aheadOfMany(athleteIds);
    }

    private Map<Long, Ahead> aheadOfMany(List<Long> athleteIds) {
        record Event(long athleteId, SeasonEvent event) {}
        record Other(long athleteId, Away away) {}
        record Weekly(long athleteId, double hours) {}
        Map<Long, List<Block>> blocks = blocks(athleteIds);
        Map<Long, List<EventPart>> parts = parts(athleteIds);
        Map<Long, List<SeasonEvent>> events = sql
                .sql("select * from event where athlete_id in (:ids) order by day, id")
                .param("ids", athleteIds)
                .query((rs, i) -> new Event(
                        rs.getLong("athlete_id"),
                        event(rs, Map.of()).madeOf(parts.getOrDefault(rs.getLong("id"), List.of()))))
                .list()
                .stream()
                .collect(
                        Collectors.groupingBy(Event::athleteId, Collectors.mapping(Event::event, Collectors.toList())));
        String other = "select athlete_id, from_day, to_day, weekly_hours, reason from season_exception where "
                + "athlete_id in (:ids)"
                + " union all select athlete_id, day, day, 0, note from marked_day where unavailable "
                + "and athlete_id in (:ids)";
        Map<Long, List<Away>> away = sql
                .sql(other)
                .param("ids", athleteIds)
                .query((rs, i) -> new Other(
                        rs.getLong("athlete_id"),
                        new Away(
                                day(rs, "from_day"),
                                day(rs, "to_day"),
                                rs.getDouble("weekly_hours"),
                                rs.getString("reason"))))
                .list()
                .stream()
                .collect(Collectors.groupingBy(Other::athleteId, Collectors.mapping(Other::away, Collectors.toList())));
        Map<Long, Double> weekly = sql
                .sql("select athlete_id, weekly_hours from season where athlete_id in (:ids)")
                .param("ids", athleteIds)
                .query((rs, i) -> new Weekly(rs.getLong("athlete_id"), rs.getDouble("weekly_hours")))
                .list()
                .stream()
                .collect(Collectors.toMap(Weekly::athleteId, Weekly::hours));
        return athleteIds.stream()
                .collect(Collectors.toMap(
                        id -> id,
                        id -> new PlanAhead(
                                blocks.getOrDefault(id, List.of()),
                                events.getOrDefault(id, List.of()),
                                PlanAhead.hours(
                                        weekly.getOrDefault(id, SeasonSettings.USUAL.weeklyHours()),
                                        away.getOrDefault(id, List.of())))));
    }

    boolean hasSettings(long athleteId) {
        return sql.sql("select count(*) from season where athlete_id = ?")
                        .param(athleteId)
                        .query(Integer.class)
                        .single()
                > 0;
    }

    private static SeasonSettings settings(ResultSet rs) throws SQLException {
        Integer longDay = rs.getObject("long_day", Integer.class);
        return new SeasonSettings(
                day(rs, "last_day"),
                Aim.Kind.valueOf(rs.getString("aim_kind")),
                rs.getDouble("aim_value"),
                rs.getInt("block_days"),
                rs.getInt("easy_every"),
                rs.getBoolean("easy_in_days"),
                rs.getInt("easy_days"),
                rs.getDouble("highest_build"),
                rs.getDouble("weekly_hours"),
                Arrays.stream(rs.getString("day_minutes").split(","))
                        .map(Integer::valueOf)
                        .toList(),
                longDay == null ? null : DayOfWeek.of(longDay),
                rs.getBoolean("stacked"),
                shares(rs.getString("sport_shares")));
    }

    /** As RUN:40,SWIM:20. */
    static Map<Sport, Integer> shares(String stored) {
        return stored.isEmpty()
                ? Map.of()
                : Arrays.stream(stored.split(","))
                        .map(pair -> pair.split(":"))
                        .collect(Collectors.toMap(pair -> Sport.valueOf(pair[0]), pair -> Integer.valueOf(pair[1])));
    }

    /**
     * Raises the revision if it is still the one that was seen; null does not ask. @throws SeasonChangedMeanwhile when
     * it is another
     */
    void claim(long athleteId, Integer seen, String who) {
        SeasonSettings usual = SeasonSettings.USUAL;
        sql.sql("insert into season (athlete_id, aim_kind, aim_value, block_days, easy_every, "
                        + "easy_days, highest_build, weekly_hours, day_minutes) values (?, ?, ?, ?, "
                        + "?, ?, ?, ?, ?) on conflict do nothing")
                .params(
                        athleteId,
                        usual.aimKind().name(),
                        usual.aimValue(),
                        usual.blockDays(),
                        usual.easyEvery(),
                        usual.easyDays(),
                        usual.highestBuild(),
                        usual.weeklyHours(),
                        minutes(usual))
                .update();
        int raised = sql.sql("update season set revision = revision + 1, changed_by = ? where athlete_id = ? and "
                        + "(cast(? as integer) is null or revision = ?)")
                .params(who, athleteId, seen, seen)
                .update();
        if (raised == 0)
            throw new SeasonChangedMeanwhile(sql.sql("select changed_by from season where athlete_id = ?")
                    .param(athleteId)
                    .query(String.class)
                    .single());
    }

    private static String minutes(SeasonSettings settings) {
        return settings.dayMinutes().stream().map(String::valueOf).collect(Collectors.joining(","));
    }

    /** Writes what differs from what was. */
    void write(long athleteId, Held was, Held is) {
        if (!was.settings().equals(is.settings())) write(athleteId, is.settings());
        if (!was.blocks().equals(is.blocks())) writeBlocks(athleteId, is.blocks());
        if (!was.events().equals(is.events())) writeEvents(athleteId, is.events());
        if (!was.away().equals(is.away())) writeAway(athleteId, is.away());
        if (!was.marked().equals(is.marked())) writeMarked(athleteId, is.marked());
    }

    private void write(long athleteId, SeasonSettings s) {
        sql.sql("update season set last_day = ?, aim_kind = ?, aim_value = ?, block_days = ?, "
                        + "easy_every = ?, easy_in_days = ?, easy_days = ?, highest_build = ?, "
                        + "weekly_hours = ?, day_minutes = ?, long_day = ?, stacked = ?, sport_shares = ? "
                        + "where athlete_id = ?")
                .params(
                        s.lastDay(),
                        s.aimKind().name(),
                        s.aimValue(),
                        s.blockDays(),
                        s.easyEvery(),
                        s.easyInDays(),
                        s.easyDays(),
                        s.highestBuild(),
                        s.weeklyHours(),
                        minutes(s),
                        s.longDay() == null ? null : s.longDay().getValue(),
                        s.stacked(),
                        s.shares().entrySet().stream()
                                .sorted(Map.Entry.comparingByKey())
                                .map(e -> e.getKey() + ":" + e.getValue())
                                .collect(Collectors.joining(",")),
                        athleteId)
                .update();
    }

    private void writeBlocks(long athleteId, List<Block> blocks) {
        sql.sql("delete from block where athlete_id = ?").param(athleteId).update();
        for (Block b : blocks)
            sql.sql("insert into block (athlete_id, first_day, days, phase, name, aim, target_load, "
                            + "target_seconds, easy, pinned) values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?)")
                    .params(
                            athleteId,
                            b.first(),
                            b.days(),
                            b.phase().name(),
                            b.name(),
                            b.aim(),
                            b.targetLoad(),
                            b.targetSeconds(),
                            b.easy(),
                            b.pinned())
                    .update();
    }

    /** Events keep their numbers, since addresses name them. */
    private void writeEvents(long athleteId, List<SeasonEvent> events) {
        sql.sql("delete from event where athlete_id = ?").param(athleteId).update();
        for (SeasonEvent e : events) {
            long id = e.id() > 0
                    ? e.id()
                    : sql.sql("select nextval(pg_get_serial_sequence('event', 'id'))")
                            .query(Long.class)
                            .single();
            sql.sql("insert into event (id, athlete_id, day, days, name, priority, kind, sport, "
                            + "metres, seconds) values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?)")
                    .params(
                            id,
                            athleteId,
                            e.day(),
                            e.days(),
                            e.name(),
                            e.priority().name(),
                            e.kind().name(),
                            e.sport().name(),
                            e.metres(),
                            e.seconds())
                    .update();
            writeParts(athleteId, id, e.parts());
            for (EventDemand d : e.demands())
                sql.sql("insert into event_demand (event_id, athlete_id, effort_seconds, unit, amount, after_kind, "
                                + "after_amount, source, stage, sport) values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?)")
                        .params(
                                id,
                                athleteId,
                                d.seconds(),
                                d.unit().name(),
                                d.amount(),
                                d.after().name(),
                                d.afterAmount(),
                                d.source(),
                                d.stage(),
                                d.sport() == null ? null : d.sport().name())
                        .update();
        }
    }

    private void writeParts(long athleteId, long eventId, List<EventPart> parts) {
        for (int place = 0; place < parts.size(); place++) {
            EventPart part = parts.get(place);
            sql.sql("insert into event_part (event_id, athlete_id, place, stage, sport, metres, seconds, load_points)"
                            + " values (?, ?, ?, ?, ?, ?, ?, ?)")
                    .params(
                            eventId,
                            athleteId,
                            place,
                            part.stage(),
                            part.sport().name(),
                            part.metres(),
                            part.seconds(),
                            part.load())
                    .update();
        }
    }

    private void writeAway(long athleteId, List<Away> away) {
        sql.sql("delete from season_exception where athlete_id = ?")
                .param(athleteId)
                .update();
        for (Away a : away)
            sql.sql("insert into season_exception (athlete_id, from_day, to_day, weekly_hours, "
                            + "reason, kind, only_sport) values (?, ?, ?, ?, ?, ?, ?)")
                    .params(
                            athleteId,
                            a.from(),
                            a.to(),
                            a.weeklyHours(),
                            a.reason(),
                            a.kind().name(),
                            a.only() == null ? null : a.only().name())
                    .update();
    }

    private void writeMarked(long athleteId, List<Marked> marked) {
        sql.sql("delete from marked_day where athlete_id = ?").param(athleteId).update();
        for (Marked m : marked)
            sql.sql("insert into marked_day (athlete_id, day, unavailable, note) values (?, ?, ?, ?)")
                    .params(athleteId, m.day(), m.unavailable(), m.note())
                    .update();
    }
}
