package pemblar.app.coach.group;

import java.time.InstantSource;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.AthleteService;
import pemblar.app.coach.group.GroupPlan.Share;
import pemblar.app.coach.group.GroupPlan.Wish;
import pemblar.app.frame.NotFoundException;
import pemblar.app.frame.Viewer;
import pemblar.app.frame.Visit;
import pemblar.app.session.Slab;
import pemblar.app.session.change.ScheduleService;
import pemblar.app.session.reading.SessionService;

/**
 * Plans for a whole group: each athlete is changed by itself, under its own lock and with its own undo, so that one who
 * leaves or refuses never holds up the others.
 */
@Service
class GroupService {
    private static final int MOST_PUTS = 12;
    private final JdbcClient sql;
    private final AthleteService athletes;
    private final GroupPlan plan;
    private final ScheduleService schedule;
    private final SessionService sessions;
    private final InstantSource clock;

    GroupService(
            JdbcClient sql,
            AthleteService athletes,
            GroupPlan plan,
            ScheduleService schedule,
            SessionService sessions,
            InstantSource clock) {
        this.sql = sql;
        this.athletes = athletes;
        this.plan = plan;
        this.schedule = schedule;
        this.sessions = sessions;
        this.clock = clock;
    }

    public record Group(long id, String name, List<Athlete> members) {}

    /** Something that was put on the group. @param open sessions that are still to be done */
    public record Put(
            long id, String title, LocalDate madeOn, int athletes, int open, int done, List<Member> members) {}

    /** Somebody who has not done it yet. */
    public record Member(long id, String name) {}

    /** @throws NotFoundException when it is not this coach's */
    Group require(long groupId, Viewer coach) {
        String name = sql.sql("select name from coach_group where id = ? and account_id = ?")
                .params(groupId, coach.accountId())
                .query(String.class)
                .optional()
                .orElseThrow(() -> new NotFoundException("group"));
        List<Long> ids = sql.sql("select athlete_id from group_member where group_id = ?")
                .param(groupId)
                .query(Long.class)
                .list();
        return new Group(
                groupId,
                name,
                athletes.roster(coach).stream()
                        .filter(a -> ids.contains(a.id()))
                        .toList());
    }

    Map<Long, List<Slab>> between(Group group, LocalDate from, LocalDate to) {
        return group.members().stream().collect(Collectors.toMap(Athlete::id, a -> sessions.between(a, from, to)));
    }

    List<Share> preview(Group group, List<Long> chosen, Wish wish, Viewer coach) {
        return group.members().stream()
                .filter(a -> chosen.contains(a.id()))
                .map(a -> plan.share(wish, a, coach))
                .toList();
    }

    /** What became of it, a sentence for each athlete for whom it did not go. */
    record Outcome(int athletes, int sessions, List<String> refused) {}

    Outcome put(Group group, List<Long> chosen, Wish wish, Viewer coach) {
        String title = plan.title(wish, coach);
        List<Share> shares = preview(group, chosen, wish, coach);
        if (shares.isEmpty()) throw new IllegalArgumentException("Athletes: choose at least one of the group.");
        long id = sql.sql(
                        "insert into group_put (account_id, group_id, title, made_at) values (?, ?, ?, ?) returning id")
                .params(coach.accountId(), group.id(), title, clock.instant().atOffset(ZoneOffset.UTC))
                .query(Long.class)
                .single();
        List<String> refused = new ArrayList<>();
        int count = 0;
        for (Share share : shares) {
            try {
                if (!share.isPossible()) throw new IllegalArgumentException(share.refused());
                for (long session : schedule.scheduleAll(
                        new Visit(share.athlete().id(), coach),
                        share.placed(),
                        "Put “" + title + "” on " + group.name() + ".")) {
                    keep(id, share.athlete().id(), session);
                    count++;
                }
            } catch (NotFoundException e) {
                refused.add(share.athlete().name() + " is no longer coached by you.");
            } catch (IllegalArgumentException e) {
                refused.add(share.athlete().name() + ": " + e.getMessage().replaceFirst("\\.$", "") + ".");
            }
        }
        return new Outcome(shares.size() - refused.size(), count, refused);
    }

    private void keep(long put, long athleteId, long session) {
        sql.sql("insert into group_put_session (put_id, athlete_id, session_id) values (?, ?, ?)")
                .params(put, athleteId, session)
                .update();
    }

    List<Put> puts(Group group) {
        record Open(long putId, Member member) {}
        Map<Long, List<Member>> open = sql
                .sql("select distinct p.id, a.id, a.name from group_put p join group_put_session g on g.put_id = p.id"
                        + " join session_named s on s.id = g.session_id join athlete_known a on"
                        + " a.id = g.athlete_id where p.group_id = ? and s.open order by a.name")
                .param(group.id())
                .query((rs, i) -> new Open(rs.getLong(1), new Member(rs.getLong(2), rs.getString(3))))
                .list()
                .stream()
                .collect(Collectors.groupingBy(Open::putId, Collectors.mapping(Open::member, Collectors.toList())));
        return sql.sql("select p.id, p.title, p.made_at, count(distinct g.athlete_id) as athletes,"
                        + " count(*) filter (where s.open) as open, count(*) filter (where not s.open) as done"
                        + " from group_put p join group_put_session g on g.put_id = p.id join session_named s on"
                        + " s.id = g.session_id where p.group_id = ? group by p.id"
                        + " order by p.id desc limit ?")
                .params(group.id(), MOST_PUTS)
                .query((rs, i) -> new Put(
                        rs.getLong("id"),
                        rs.getString("title"),
                        rs.getObject("made_at", java.time.OffsetDateTime.class).toLocalDate(),
                        rs.getInt("athletes"),
                        rs.getInt("open"),
                        rs.getInt("done"),
                        open.getOrDefault(rs.getLong("id"), List.of())))
                .list();
    }

    /** What can be done at once with all that is still open of something that was put. */
    enum Change {
        MOVE,
        SCALE,
        DROP
    }

    private record Kept(long athleteId, long sessionId, LocalDate day) {}

    /** @param by days to move by, or percent to scale to @param only one athlete; null for all */
    record Asked(Change change, int by, Long only) {}

    Outcome change(Group group, long putId, Asked asked, Viewer coach) {
        List<Kept> open = sql.sql("select g.athlete_id, g.session_id, s.day from group_put_session g join group_put p"
                        + " on p.id = g.put_id join session_named s on s.id = g.session_id where"
                        + " p.id = ? and p.group_id = ? and s.open order by s.day")
                .params(putId, group.id())
                .query((rs, i) -> new Kept(rs.getLong(1), rs.getLong(2), rs.getObject(3, LocalDate.class)))
                .list();
        List<String> refused = new ArrayList<>();
        int changed = 0;
        List<Long> touched = new ArrayList<>();
        for (Kept kept : open) {
            if (asked.only() != null && kept.athleteId() != asked.only()) continue;
            try {
                change(kept, asked.change(), asked.by(), coach);
                changed++;
                touched.add(kept.athleteId());
            } catch (NotFoundException e) {
                refused.add("One athlete is no longer coached by you; their session stays.");
            } catch (IllegalArgumentException e) {
                refused.add(e.getMessage());
            }
        }
        return new Outcome((int) touched.stream().distinct().count(), changed, refused);
    }

    private void change(Kept kept, Change change, int by, Viewer coach) {
        switch (change) {
            case MOVE ->
                schedule.move(
                        new Visit(kept.athleteId(), coach),
                        kept.sessionId(),
                        null,
                        kept.day().plusDays(by));
            case SCALE -> schedule.scale(new Visit(kept.athleteId(), coach), kept.sessionId(), null, by);
            case DROP -> schedule.remove(new Visit(kept.athleteId(), coach), kept.sessionId(), null);
        }
    }
}
