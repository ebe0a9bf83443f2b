package pemblar.app.coach;

import java.time.InstantSource;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.AthleteService;
import pemblar.app.frame.NotFoundException;
import pemblar.app.frame.Recent;
import pemblar.app.frame.Secret;
import pemblar.app.frame.Viewer;
import pemblar.app.frame.Visit;
import pemblar.app.session.reading.Looks;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/**
 * The coach's morning from stored strands: one query for all of them, and only what changed since is computed again.
 * What was dealt with leaves the list until something new is said of the athlete.
 */
@Service
public class MorningService {
    private static final Logger LOG = LoggerFactory.getLogger(MorningService.class);
    private static final int MOST_ANEW = 60;
    private static final int MOST_READ = 1000;
    private static final int UNSEEN_DAYS = 7;
    private static final double UNSEEN_WEIGHS = 18;
    private static final JsonMapper JSON = JsonMapper.shared();
    private final Recent<Written, Strand> read =
            new Recent<>(MOST_READ, row -> strands(List.of(row.athleteId())).get(row.athleteId()));
    private final JdbcClient sql;
    private final AthleteService athletes;
    private final Strands strands;
    private final Looks looks;
    private final InstantSource clock;

    MorningService(JdbcClient sql, AthleteService athletes, Strands strands, Looks looks, InstantSource clock) {
        this.looks = looks;
        this.sql = sql;
        this.athletes = athletes;
        this.strands = strands;
        this.clock = clock;
    }

    /** @param dealt with, until something new happens */
    record Line(Athlete athlete, Strand strand, boolean dealt) {}

    /** A coach's group with how many are in it. */
    public record Group(long id, String name, int count) {}

    /** A row as it was written: whoever writes it again leaves another mark. */
    private record Written(long athleteId, String mark) {}

    private record Stored(LocalDate day, boolean dirty, Strand strand) {}

    /** Who needs something, the heaviest first; dealt with and without a reason last. @param group null for all */
    public List<Line> lines(Viewer coach, Long group, String search) {
        Long own = athletes.own(coach).orElse(-1L);
        List<Athlete> roster =
                athletes.roster(coach).stream().filter(a -> a.id() != own).toList();
        if (roster.isEmpty()) return List.of();
        Map<Long, Stored> stored = stored(roster);
        Map<Long, String> dealt = dealt(coach);
        Map<Long, List<Long>> groups = members(coach);
        Set<Topic> off = off(coach);
        Map<Long, Integer> unseen = unseen(coach, roster);
        List<Line> lines = new ArrayList<>();
        int anew = 0;
        for (Athlete athlete : roster) {
            if (group != null && !groups.getOrDefault(athlete.id(), List.of()).contains(group)) continue;
            if (!search.isBlank()
                    && !athlete.name()
                            .toLowerCase(java.util.Locale.ROOT)
                            .contains(search.strip().toLowerCase(java.util.Locale.ROOT))) continue;
            Stored state = stored.get(athlete.id());
            Strand strand = isStale(state, athlete) && anew++ < MOST_ANEW
                    ? compute(athlete)
                    : state == null ? Strand.of(List.of(), List.of()) : state.strand();
            strand = strand.shown(off, unseen(unseen.getOrDefault(athlete.id(), 0)));
            String was = dealt.get(athlete.id());
            lines.add(new Line(athlete, strand, was != null && was.equals(fingerprint(strand))));
        }
        lines.sort(Comparator.comparing(
                        (Line l) -> l.dealt() || l.strand().reasons().isEmpty())
                .thenComparing(l -> -l.strand().weight())
                .thenComparing(l -> l.athlete().name()));
        return lines;
    }

    /**
     * Computes what is stale of those who have a coach, so that a morning finds them ready.
     *
     * @return how many were computed
     */
    public int refresh(int most) {
        // a day may have begun anywhere from 12 h behind to 14 h ahead of universal time: whose has, each zone decides
        List<Long> candidates = sql.sql("select distinct c.athlete_id from coached c left join morning_state m on"
                        + " m.athlete_id = c.athlete_id where"
                        + " (m.athlete_id is null or m.dirty or m.day < ?) order by c.athlete_id")
                .param(LocalDate.ofInstant(clock.instant(), ZoneOffset.ofHours(14)))
                .query(Long.class)
                .list();
        int count = 0;
        for (long id : candidates) {
            if (count == most) break;
            Athlete athlete = athletes.forJob(id);
            Stored state = stored(List.of(athlete)).get(id);
            if (!isStale(state, athlete)) continue;
            compute(athlete);
            count++;
        }
        return count;
    }

    private boolean isStale(Stored state, Athlete athlete) {
        return state == null || state.dirty() || !state.day().equals(athlete.dayOf(clock.instant()));
    }

    /**
     * One athlete whose data cannot be computed never takes the list: it says so instead. What changes while it is
     * computed makes it stale again.
     */
    private Strand compute(Athlete athlete) {
        sql.sql("update morning_state set dirty = false where athlete_id = ?")
                .param(athlete.id())
                .update();
        Strand strand;
        try {
            strand = strands.of(athlete);
        } catch (IllegalArgumentException | ArithmeticException | IndexOutOfBoundsException | NullPointerException e) {
            LOG.error("the strand of athlete {} cannot be computed", athlete.id(), e);
            strand = Strand.of(
                    List.of(new Strand.Reason(
                            Topic.OTHER,
                            "Something in this athlete's data cannot be computed; it was noted.",
                            70,
                            null)),
                    List.of());
        }
        sql.sql("insert into morning_state (athlete_id, day, reasons, strand, weight, dirty) values "
                        + "(?, ?, ?::jsonb, ?::jsonb, ?, false) on conflict (athlete_id) do update "
                        + "set day = excluded.day, reasons = excluded.reasons, strand = "
                        + "excluded.strand, weight = excluded.weight")
                .params(
                        athlete.id(),
                        athlete.dayOf(clock.instant()),
                        JSON.writeValueAsString(strand.reasons()),
                        JSON.writeValueAsString(strand.days()),
                        strand.weight())
                .update();
        return strand;
    }

    /** What stands in the rows that were written since they were read last is read; the rest is known. */
    private Map<Long, Stored> stored(List<Athlete> roster) {
        record Row(long athleteId, LocalDate day, boolean dirty, Written written) {}
        List<Row> rows = sql.sql("select athlete_id, day, dirty, xmin::text || ctid::text as written from"
                        + " morning_state where athlete_id in (:ids)")
                .param("ids", roster.stream().map(Athlete::id).toList())
                .query((rs, i) -> new Row(
                        rs.getLong("athlete_id"),
                        rs.getObject("day", LocalDate.class),
                        rs.getBoolean("dirty"),
                        new Written(rs.getLong("athlete_id"), rs.getString("written"))))
                .list();
        Map<Long, Strand> strands = new HashMap<>();
        rows.forEach(row -> read.known(row.written()).ifPresent(strand -> strands.put(row.athleteId(), strand)));
        List<Row> unread = rows.stream()
                .filter(row -> !strands.containsKey(row.athleteId()))
                .toList();
        if (!unread.isEmpty())
            strands.putAll(strands(unread.stream().map(Row::athleteId).toList()));
        unread.forEach(row -> read.keep(row.written(), strands.get(row.athleteId())));
        return rows.stream()
                .collect(Collectors.toMap(
                        Row::athleteId, row -> new Stored(row.day(), row.dirty(), strands.get(row.athleteId()))));
    }

    private Map<Long, Strand> strands(List<Long> athleteIds) {
        Map<Long, Strand> all = new HashMap<>();
        sql.sql("select athlete_id, reasons, strand, weight from morning_state where athlete_id in (:ids)")
                .param("ids", athleteIds)
                .query(rs -> {
                    all.put(
                            rs.getLong("athlete_id"),
                            new Strand(
                                    JSON.readValue(
                                            rs.getString("reasons"), new TypeReference<List<Strand.Reason>>() {}),
                                    JSON.readValue(rs.getString("strand"), new TypeReference<List<Strand.Day>>() {}),
                                    rs.getDouble("weight")));
                });
        return all;
    }

    private Map<Long, String> dealt(Viewer coach) {
        Map<Long, String> all = new HashMap<>();
        sql.sql("select athlete_id, fingerprint from morning_dealt where account_id = ?")
                .param(coach.accountId())
                .query(rs -> {
                    all.put(rs.getLong(1), rs.getString(2));
                });
        return all;
    }

    /** What a coach does not want to be told. */
    @Transactional(readOnly = true)
    public Set<Topic> off(Viewer coach) {
        Set<Topic> off = EnumSet.noneOf(Topic.class);
        sql.sql("select topic from morning_topic_off where account_id = ?")
                .param(coach.accountId())
                .query(String.class)
                .list()
                .forEach(topic -> off.add(Topic.valueOf(topic)));
        return off;
    }

    /** @param on what the coach wants to be told; all else is not said any more */
    @Transactional
    public void choose(Viewer coach, Set<Topic> on) {
        sql.sql("delete from morning_topic_off where account_id = ?")
                .param(coach.accountId())
                .update();
        for (Topic topic : Topic.values())
            if (topic != Topic.OTHER && !on.contains(topic))
                sql.sql("insert into morning_topic_off (account_id, topic) values (?, ?)")
                        .params(coach.accountId(), topic.name())
                        .update();
    }

    private Map<Long, Integer> unseen(Viewer coach, List<Athlete> roster) {
        LocalDate since = LocalDate.ofInstant(clock.instant(), ZoneOffset.UTC).minusDays(UNSEEN_DAYS);
        return looks.unseen(coach, roster.stream().map(Athlete::id).toList(), since);
    }

    private static Strand.Reason unseen(int count) {
        return count == 0
                ? null
                : new Strand.Reason(
                        Topic.UNSEEN,
                        count == 1
                                ? "A recording of the last 7 days is not looked at yet."
                                : count + " recordings of the last 7 days are not looked at yet.",
                        UNSEEN_WEIGHS,
                        null);
    }

    @Transactional(readOnly = true)
    public List<Long> groupsOf(Viewer coach, long athleteId) {
        return members(coach).getOrDefault(athleteId, List.of());
    }

    private Map<Long, List<Long>> members(Viewer coach) {
        record Member(long athleteId, long groupId) {}
        return sql
                .sql("select m.athlete_id, m.group_id from group_member m join coach_group g on g.id = "
                        + "m.group_id where g.account_id = ?")
                .param(coach.accountId())
                .query((rs, i) -> new Member(rs.getLong(1), rs.getLong(2)))
                .list()
                .stream()
                .collect(Collectors.groupingBy(
                        Member::athleteId, Collectors.mapping(Member::groupId, Collectors.toList())));
    }

    private static String fingerprint(Strand strand) {
        return Secret.hash(strand.reasons().stream().map(Strand.Reason::text).collect(Collectors.joining("\n")));
    }

    /** The coach has dealt with an athlete, until something new is said. */
    public void dealt(Viewer coach, long athleteId) {
        Athlete athlete = athletes.require(new Visit(athleteId, coach));
        sql.sql("insert into morning_dealt (athlete_id, account_id, fingerprint, dealt_at) values (?, "
                        + "?, ?, ?) on conflict (athlete_id, account_id) do update set fingerprint = "
                        + "excluded.fingerprint, dealt_at = excluded.dealt_at")
                .params(
                        athleteId,
                        coach.accountId(),
                        fingerprint(compute(athlete)
                                .shown(
                                        off(coach),
                                        unseen(unseen(coach, List.of(athlete)).getOrDefault(athleteId, 0)))),
                        clock.instant().atOffset(ZoneOffset.UTC))
                .update();
    }

    @Transactional
    public void notDealt(Viewer coach, long athleteId) {
        sql.sql("delete from morning_dealt where athlete_id = ? and account_id = ?")
                .params(athleteId, coach.accountId())
                .update();
    }

    @Transactional(readOnly = true)
    public List<Group> groups(Viewer coach) {
        return sql.sql("select g.id, g.name, (select count(*) from group_member m where m.group_id = g.id) "
                        + "as members from coach_group g where g.account_id = ? order by g.place, g.name")
                .param(coach.accountId())
                .query((rs, i) -> new Group(rs.getLong(1), rs.getString(2), rs.getInt(3)))
                .list();
    }

    /** @throws IllegalArgumentException for a name that is there already, or none */
    @Transactional
    public void addGroup(Viewer coach, String name) {
        String kept = name.strip();
        if (kept.isEmpty() || kept.length() > 60)
            throw new IllegalArgumentException("Group: enter 1 to 60 characters.");
        int made = sql.sql("insert into coach_group (account_id, name) values (?, ?) on conflict do nothing")
                .params(coach.accountId(), kept)
                .update();
        if (made == 0) throw new IllegalArgumentException("Group: there is “" + kept + "” already.");
    }

    @Transactional
    public void removeGroup(Viewer coach, long groupId) {
        if (sql.sql("delete from coach_group where id = ? and account_id = ?")
                        .params(groupId, coach.accountId())
                        .update()
                == 0) throw new NotFoundException("group");
    }

    /** Puts an athlete into a group or takes them out. */
    @Transactional
    public void member(Viewer coach, long groupId, long athleteId, boolean in) {
        athletes.require(new Visit(athleteId, coach));
        if (sql.sql("select count(*) from coach_group where id = ? and account_id = ?")
                        .params(groupId, coach.accountId())
                        .query(Integer.class)
                        .single()
                == 0) throw new NotFoundException("group");
        if (in)
            sql.sql("insert into group_member (group_id, athlete_id) values (?, ?) on conflict do nothing")
                    .params(groupId, athleteId)
                    .update();
        else
            sql.sql("delete from group_member where group_id = ? and athlete_id = ?")
                    .params(groupId, athleteId)
                    .update();
    }
}
