package pemblar.app.people;

import java.time.Instant;
import java.time.InstantSource;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.AthleteService;
import pemblar.app.athlete.CoachingService;
import pemblar.app.athlete.Handover;
import pemblar.app.frame.NotFoundException;
import pemblar.app.frame.Viewer;
import pemblar.app.frame.Visit;
import pemblar.app.people.InvitationService.Invitation;
import pemblar.core.sport.Sport;

/**
 * Pages that a coach begins for somebody who has not answered yet. Only the coach sees them; when the person comes, all
 * of it is theirs: as their record when they have none, else handed over to it after they have read what that means.
 */
@Service
public class AwaitedService {
    private final JdbcClient sql;
    private final AthleteService athletes;
    private final CoachingService coachings;
    private final List<Handover> handovers;
    private final InstantSource clock;

    AwaitedService(
            JdbcClient sql,
            AthleteService athletes,
            CoachingService coachings,
            List<Handover> handovers,
            InstantSource clock) {
        this.clock = clock;
        this.sql = sql;
        this.athletes = athletes;
        this.coachings = coachings;
        this.handovers = handovers;
    }

    /** @return the athlete whose pages are begun; the same one when they were begun already */
    @Transactional
    public long begin(Viewer coach, long invitationId, String name, Sport sport) {
        String called = name.strip();
        if (called.isEmpty() || called.length() > 100)
            throw new IllegalArgumentException("Name: enter 1 to 100 characters.");
        record Open(boolean plans, Long awaited) {}
        Open open = sql.sql("select plans, awaited_id from invitation where id = ? and sender_id = ? and not to_coach"
                        + " and state = 'OPEN' for update")
                .params(invitationId, coach.accountId())
                .query((rs, i) -> new Open(rs.getBoolean(1), rs.getObject(2, Long.class)))
                .optional()
                .orElseThrow(() -> new NotFoundException("invitation"));
        if (open.awaited() != null) return open.awaited();
        if (!open.plans())
            throw new IllegalArgumentException("You asked to see only. To begin a page, ask to see and plan.");
        long awaited = athletes.await(called, sport, zone(coach)).id();
        coachings.begin(awaited, coach.accountId(), true);
        sql.sql("update invitation set awaited_id = ? where id = ?")
                .params(awaited, invitationId)
                .update();
        return awaited;
    }

    /** Most athletes live where their coach or the others do; they change it when they come. */
    private String zone(Viewer coach) {
        Instant now = clock.instant();
        return athletes.own(coach)
                .map(id -> athletes.require(new Visit(id, coach)))
                .or(() -> athletes.roster(coach).stream().findFirst())
                .map(a -> a.local(now).getZone().getId())
                .orElse("UTC");
    }

    /** What accepting hands over. @param merged false when the pages simply become the person's @param said of it */
    public record Preview(boolean merged, List<String> said) {}

    @Transactional(readOnly = true)
    public Preview preview(Invitation asked, Viewer person) {
        Optional<Long> own = athletes.own(person);
        if (asked.awaitedId() == null) return new Preview(false, List.of());
        Athlete from = athletes.forJob(asked.awaitedId()).seeingDrafts(true);
        Athlete to = own.map(id -> athletes.require(new Visit(id, person))).orElse(from);
        return new Preview(
                own.isPresent(),
                handovers.stream().flatMap(h -> h.preview(from, to).stream()).toList());
    }

    /** In the transaction that accepts. @return the athlete that is the person's now */
    @Transactional
    public long hand(Invitation asked, Viewer person, boolean seasonToo) {
        Optional<Long> own = athletes.own(person);
        if (own.isEmpty()) {
            athletes.claim(asked.awaitedId(), person);
            return asked.awaitedId();
        }
        Athlete from = athletes.forJob(asked.awaitedId());
        Athlete to = athletes.require(new Visit(own.get(), person));
        for (Handover handover : handovers) handover.hand(from, to, person, seasonToo);
        athletes.dropAwaited(from.id());
        return to.id();
    }

    /** A page that nobody came for. @throws NotFoundException when it is not this coach's or somebody came */
    @Transactional
    public void drop(Viewer coach, long invitationId) {
        long awaited = sql.sql("select awaited_id from invitation where id = ? and sender_id = ? and awaited_id is not"
                        + " null")
                .params(invitationId, coach.accountId())
                .query(Long.class)
                .optional()
                .orElseThrow(() -> new NotFoundException("invitation"));
        athletes.dropAwaited(awaited);
    }
}
