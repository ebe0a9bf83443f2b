package pemblar.app.program.plan;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.AthleteService;
import pemblar.app.frame.NotFoundException;
import pemblar.app.frame.Viewer;
import pemblar.app.frame.Visit;
import pemblar.app.planner.SeasonChanges;
import pemblar.app.planner.SeasonChanges.Asking;
import pemblar.app.program.Api;
import pemblar.app.program.IfMatch;
import pemblar.app.program.Kinds;
import pemblar.app.program.key.May;
import pemblar.app.program.key.Scope;
import pemblar.app.program.plan.PlanApi.PlanJson;
import pemblar.app.program.session.SessionsApi;
import pemblar.app.season.PlanService;
import pemblar.app.season.SeasonEvent;
import pemblar.app.season.SeasonSettings.Away;
import pemblar.core.season.Priority;

/** Changes of the season, as its page makes them: each can be taken back there. */
@Api
@RequestMapping("/api/v1/athletes/{athleteId}/plan")
@Tag(name = "plan")
class PlanChangesApi {
    private static final String REPLAN = "With replan the blocks ahead that are not pinned are planned anew.";
    private final AthleteService athletes;
    private final SeasonChanges changes;
    private final PlanService plan;

    PlanChangesApi(AthleteService athletes, SeasonChanges changes, PlanService plan) {
        this.athletes = athletes;
        this.changes = changes;
        this.plan = plan;
    }

    /** An event as it is sent. @param days how many it lasts, 1 when left out @param kind a race when left out */
    record EventIn(
            LocalDate day,
            Integer days,
            String name,
            String priority,
            String kind,
            String sport,
            Double distanceMetres,
            Integer seconds) {
        private SeasonEvent toCore(long id, Athlete athlete) {
            if (day == null) throw new IllegalArgumentException("day: is missing.");
            if (name == null) throw new IllegalArgumentException("name: is missing.");
            if (distanceMetres != null && !(distanceMetres >= 100 && distanceMetres <= 5_000_000))
                throw new IllegalArgumentException("distanceMetres: send 100 to 5000000.");
            if (seconds != null && (seconds < 10 || seconds > 864_000))
                throw new IllegalArgumentException("seconds: send 10 to 864000.");
            return new SeasonEvent(
                    id,
                    day,
                    days == null ? 1 : days < 1 ? -1 : days,
                    name.strip(),
                    Kinds.word("priority", Priority.class, priority == null ? "" : priority.toLowerCase(Locale.ROOT)),
                    kind == null ? SeasonEvent.Kind.RACE : Kinds.word("kind", SeasonEvent.Kind.class, kind),
                    sport == null ? athlete.first() : SessionsApi.sport(sport),
                    distanceMetres,
                    seconds,
                    List.of());
        }
    }

    /** Days with other hours, as they are sent. @param kind other when left out */
    record AwayIn(LocalDate from, LocalDate to, Double weeklyHours, String reason, String kind, String sport) {
        private Away toCore() {
            if (from == null) throw new IllegalArgumentException("from: is missing.");
            if (to == null) throw new IllegalArgumentException("to: is missing.");
            if (weeklyHours == null) throw new IllegalArgumentException("weeklyHours: is missing; 0 is no training.");
            return new Away(
                    from,
                    to,
                    weeklyHours,
                    reason == null ? "" : reason.strip(),
                    kind == null ? Away.Kind.OTHER : Kinds.word("kind", Away.Kind.class, kind),
                    sport == null ? null : SessionsApi.sport(sport));
        }
    }

    private PlanJson now(long athleteId, Viewer viewer) {
        return PlanJson.of(plan.held(athletes.require(new Visit(athleteId, viewer))));
    }

    @May(Scope.PLAN)
    @PostMapping("/events")
    @ResponseStatus(HttpStatus.CREATED)
    @Operation(summary = "Adds an event; the answer is the plan with it. " + REPLAN)
    PlanJson add(
            @PathVariable long athleteId,
            @RequestBody EventIn event,
            @RequestParam(defaultValue = "false") boolean replan,
            @RequestHeader(name = "If-Match", required = false) String match,
            @AuthenticationPrincipal(expression = "viewer") Viewer viewer) {
        SeasonEvent added = event.toCore(0, athletes.require(new Visit(athleteId, viewer)));
        changes.event(new Asking(new Visit(athleteId, viewer), IfMatch.version(match), replan), added);
        return now(athleteId, viewer);
    }

    @May(Scope.PLAN)
    @PutMapping("/events/{eventId}")
    @Operation(summary = "Changes an event; what it demands and its stages stay. " + REPLAN)
    PlanJson change(
            @PathVariable long athleteId,
            @PathVariable long eventId,
            @RequestBody EventIn event,
            @RequestParam(defaultValue = "false") boolean replan,
            @RequestHeader(name = "If-Match", required = false) String match,
            @AuthenticationPrincipal(expression = "viewer") Viewer viewer) {
        if (eventId < 1) throw new NotFoundException("event");
        SeasonEvent changed = event.toCore(eventId, athletes.require(new Visit(athleteId, viewer)));
        changes.event(new Asking(new Visit(athleteId, viewer), IfMatch.version(match), replan), changed);
        return now(athleteId, viewer);
    }

    @May(Scope.PLAN)
    @DeleteMapping("/events/{eventId}")
    @Operation(summary = "Removes an event; the answer is the plan without it. " + REPLAN)
    PlanJson remove(
            @PathVariable long athleteId,
            @PathVariable long eventId,
            @RequestParam(defaultValue = "false") boolean replan,
            @RequestHeader(name = "If-Match", required = false) String match,
            @AuthenticationPrincipal(expression = "viewer") Viewer viewer) {
        changes.removeEvent(new Asking(new Visit(athleteId, viewer), IfMatch.version(match), replan), eventId);
        return now(athleteId, viewer);
    }

    @May(Scope.PLAN)
    @PostMapping("/away")
    @ResponseStatus(HttpStatus.CREATED)
    @Operation(summary = "Adds days with other hours, such as a journey or an illness. " + REPLAN)
    PlanJson away(
            @PathVariable long athleteId,
            @RequestBody AwayIn away,
            @RequestParam(defaultValue = "false") boolean replan,
            @RequestHeader(name = "If-Match", required = false) String match,
            @AuthenticationPrincipal(expression = "viewer") Viewer viewer) {
        changes.away(new Asking(new Visit(athleteId, viewer), IfMatch.version(match), replan), away.toCore());
        return now(athleteId, viewer);
    }

    @May(Scope.PLAN)
    @DeleteMapping("/away/{place}")
    @Operation(summary = "Removes days away by their place in the list, from 0, at the revision sent as If-Match")
    PlanJson back(
            @PathVariable long athleteId,
            @PathVariable int place,
            @RequestParam(defaultValue = "false") boolean replan,
            @RequestHeader(name = "If-Match", required = false) String match,
            @AuthenticationPrincipal(expression = "viewer") Viewer viewer) {
        Integer revision = IfMatch.version(match);
        athletes.require(new Visit(athleteId, viewer));
        if (revision == null)
            throw new IllegalArgumentException("If-Match: send the revision that was read, as places change with it.");
        changes.removeAway(new Asking(new Visit(athleteId, viewer), revision, replan), place);
        return now(athleteId, viewer);
    }
}
