package pemblar.app.coach.group;

import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.AthleteService;
import pemblar.app.athlete.Coaching;
import pemblar.app.athlete.CoachingService;
import pemblar.app.athlete.Memberships;
import pemblar.app.frame.Viewer;

/** Who keeps and who is in which group. */
@Component
class GroupMemberships implements Memberships {
    private final JdbcClient sql;
    private final AthleteService athletes;
    private final CoachingService coachings;

    GroupMemberships(JdbcClient sql, AthleteService athletes, CoachingService coachings) {
        this.sql = sql;
        this.athletes = athletes;
        this.coachings = coachings;
    }

    @Override
    public List<Group> kept(Viewer viewer) {
        return sql.sql("select id, name from coach_group where account_id = ? order by place, name")
                .param(viewer.accountId())
                .query((rs, i) -> new Group(rs.getLong(1), rs.getString(2)))
                .list();
    }

    @Override
    public List<Long> joined(Viewer viewer) {
        return athletes.own(viewer).map(this::groupsOf).orElse(List.of());
    }

    @Override
    public List<Long> groupsOf(long athleteId) {
        List<Long> coaches = coachings.ofAthlete(athleteId).stream()
                .filter(Coaching::stands)
                .map(Coaching::coachAccountId)
                .toList();
        if (coaches.isEmpty()) return List.of();
        return sql.sql("select m.group_id from group_member m join coach_group g on g.id = m.group_id where"
                        + " m.athlete_id = :athlete and g.account_id in (:coaches)")
                .param("athlete", athleteId)
                .param("coaches", coaches)
                .query(Long.class)
                .list();
    }

    @Override
    public List<Athlete> members(long groupId, Viewer coach) {
        List<Long> ids = sql.sql("select m.athlete_id from group_member m join coach_group g on g.id = m.group_id"
                        + " where g.id = ? and g.account_id = ?")
                .params(groupId, coach.accountId())
                .query(Long.class)
                .list();
        return ids.isEmpty()
                ? List.of()
                : athletes.roster(coach).stream()
                        .filter(a -> ids.contains(a.id()))
                        .toList();
    }
}
