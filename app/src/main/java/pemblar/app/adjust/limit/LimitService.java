package pemblar.app.adjust.limit;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.AthleteService;
import pemblar.app.athlete.Memberships;
import pemblar.app.frame.NotFoundException;
import pemblar.app.frame.Viewer;
import pemblar.app.frame.Visit;
import pemblar.app.season.KeptApart;
import pemblar.app.season.PlanService;
import pemblar.app.undo.UndoService;

/** Reads and sets what proposals keep to, for one athlete or for some of a coach's group. */
@Service
public class LimitService implements KeptApart {
    private final LimitStore store;
    private final PlanService plan;
    private final AthleteService athletes;
    private final UndoService undo;
    private final Memberships memberships;
    private final TransactionTemplate each;

    LimitService(
            LimitStore store,
            PlanService plan,
            AthleteService athletes,
            UndoService undo,
            Memberships memberships,
            TransactionTemplate each) {
        this.store = store;
        this.plan = plan;
        this.athletes = athletes;
        this.undo = undo;
        this.memberships = memberships;
        this.each = each;
    }

    /** For an athlete whom the caller has already asked for. */
    public Limits of(Athlete athlete) {
        return store.of(athlete.id(), plan.held(athlete).settings());
    }

    @Override
    public double hoursBetweenHard(Athlete athlete) {
        return of(athlete).spacingHours();
    }

    Limits usual(Athlete athlete) {
        return LimitStore.usual(plan.held(athlete).settings());
    }

    @Transactional
    public void set(Visit visit, TypedLimits typed) {
        Athlete athlete = athletes.require(visit);
        Limits wanted = typed.over(of(athlete));
        undo.remember(
                visit,
                "Set the limits of proposals.",
                LimitStore.KIND,
                new LimitStore.Was(store.held(visit.athleteId(), 0).orElse(null), wanted));
        store.write(visit.athleteId(), wanted);
    }

    /** An athlete of a group. @param limits null: the usual, whose hours follow from the season's days */
    public record Member(Athlete athlete, Limits limits) {}

    /** A group, and its athletes with what each has. */
    record Members(Memberships.Group group, List<Member> members) {}

    /** @throws NotFoundException when the group is not this coach's */
    @Transactional(readOnly = true)
    public Members members(long groupId, Viewer coach) {
        Memberships.Group group = memberships.kept(coach).stream()
                .filter(g -> g.id() == groupId)
                .findFirst()
                .orElseThrow(() -> new NotFoundException("group"));
        List<Athlete> athletes = memberships.members(groupId, coach);
        Map<Long, Limits> limits = store.all(athletes.stream().map(Athlete::id).toList());
        return new Members(
                group,
                athletes.stream().map(a -> new Member(a, limits.get(a.id()))).toList());
    }

    /** For how many it holds now, and a sentence for each for whom it does not. */
    record Outcome(int athletes, List<String> refused) {}

    /** Each athlete by itself, so that one who leaves meanwhile never holds up the others. */
    Outcome setMany(Members members, List<Long> chosen, Viewer coach, TypedLimits typed) {
        if (typed.isEmpty()) throw new IllegalArgumentException("Limits: fill in at least one; empty ones stay.");
        List<Athlete> ticked = members.members().stream()
                .map(Member::athlete)
                .filter(a -> chosen.contains(a.id()))
                .toList();
        if (ticked.isEmpty()) throw new IllegalArgumentException("Athletes: tick at least one of the group.");
        typed.over(of(ticked.get(0))); // what cannot be is said before anything is set
        List<String> refused = new ArrayList<>();
        for (Athlete athlete : ticked) {
            try {
                each.executeWithoutResult(s -> set(new Visit(athlete.id(), coach), typed));
            } catch (NotFoundException e) {
                refused.add(athlete.name() + ": you may not plan for them, so nothing was set.");
            }
        }
        return new Outcome(ticked.size() - refused.size(), refused);
    }
}
