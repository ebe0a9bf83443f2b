package pemblar.app.program.session;

import com.fasterxml.jackson.annotation.JsonInclude;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.net.URI;
import java.time.InstantSource;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springdoc.core.annotations.ParameterObject;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PatchMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.AthleteService;
import pemblar.app.frame.Viewer;
import pemblar.app.frame.Visit;
import pemblar.app.program.Api;
import pemblar.app.program.IfMatch;
import pemblar.app.program.Page;
import pemblar.app.program.Span;
import pemblar.app.program.key.May;
import pemblar.app.program.key.Scope;
import pemblar.app.program.plan.Putting;
import pemblar.app.session.change.ScheduleService;
import pemblar.app.session.reading.SessionService;
import pemblar.core.sport.Sport;

/** Sessions on days: read, put, moved, scaled, dropped. */
@Api
@RequestMapping("/api/v1/athletes/{athleteId}/sessions")
@Tag(name = "sessions")
public class SessionsApi {
    private final AthleteService athletes;
    private final SessionService sessions;
    private final ScheduleService schedule;
    private final Putting putting;
    private final InstantSource clock;

    SessionsApi(
            AthleteService athletes,
            SessionService sessions,
            ScheduleService schedule,
            Putting putting,
            InstantSource clock) {
        this.athletes = athletes;
        this.sessions = sessions;
        this.schedule = schedule;
        this.putting = putting;
        this.clock = clock;
    }

    /** What sessions are asked for. @param state planned, done or empty for all */
    record Asked(LocalDate from, LocalDate to, String sport, String state, Long after, Integer limit) {
        private static final int USUAL = 50;

        private static boolean isEmpty(String text) {
            return text == null || text.isEmpty();
        }

        /** @throws IllegalArgumentException naming what is not known */
        private void check() {
            if (!isEmpty(sport)) SessionsApi.sport(sport);
            if (!isEmpty(state) && !state.equals("planned") && !state.equals("done"))
                throw new IllegalArgumentException("state: send planned or done.");
        }

        int most() {
            return limit == null ? USUAL : limit;
        }

        private boolean wants(SessionJson session) {
            boolean bySport = isEmpty(sport) || sport.equalsIgnoreCase(session.sport());
            boolean byState = isEmpty(state) || (session.done() != null) == state.equals("done");
            return bySport && byState;
        }
    }

    @May(Scope.READ)
    @GetMapping
    @Operation(summary = "Sessions of some days, in order; of the last and the next four weeks unless days are sent")
    Page<SessionJson> list(
            @PathVariable long athleteId,
            @ParameterObject Asked asked,
            @AuthenticationPrincipal(expression = "viewer") Viewer viewer) {
        Athlete athlete = athletes.require(new Visit(athleteId, viewer));
        asked.check();
        Span span = Span.of(asked.from(), asked.to(), athlete.dayOf(clock.instant()));
        List<SessionJson> all = sessions.wholeBetween(athlete, span.from(), span.to()).stream()
                .map(w -> SessionJson.of(w.slab(), w.design()))
                .filter(asked::wants)
                .toList();
        return Page.of(all, asked.after(), asked.most(), SessionJson::id);
    }

    @May(Scope.READ)
    @GetMapping("/{sessionId}")
    @Operation(summary = "One session; its version is what a change of it sends as If-Match")
    SessionJson one(
            @PathVariable long athleteId,
            @PathVariable long sessionId,
            @AuthenticationPrincipal(expression = "viewer") Viewer viewer) {
        return read(athleteId, viewer, sessionId);
    }

    private SessionJson read(long athleteId, Viewer viewer, long sessionId) {
        SessionService.Planned planned = sessions.planned(new Visit(athleteId, viewer), sessionId);
        return SessionJson.of(planned.slab(), planned.design());
    }

    /**
     * A session to be put.
     *
     * @param workout in shorthand; or a purpose and minutes for one without steps
     */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record Put(
            LocalDate day, String start, String sport, String title, String workout, String purpose, Integer minutes) {}

    @May(Scope.PLAN)
    @PostMapping
    @Operation(summary = "Puts a workout, or a length and a purpose, on a day")
    ResponseEntity<SessionJson> put(
            @PathVariable long athleteId,
            @RequestBody Put put,
            @AuthenticationPrincipal(expression = "viewer") Viewer viewer) {
        long id = putting.put(athletes.require(new Visit(athleteId, viewer)), viewer, put, sport(put.sport()));
        return ResponseEntity.created(URI.create("/api/v1/athletes/" + athleteId + "/sessions/" + id))
                .body(read(athleteId, viewer, id));
    }

    public static Sport sport(String key) {
        return Optional.ofNullable(key).stream()
                .flatMap(k ->
                        List.of(Sport.values()).stream().filter(s -> s.key().equals(k.toLowerCase(Locale.ROOT))))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("sport: send one of "
                        + String.join(
                                ", ",
                                List.of(Sport.values()).stream().map(Sport::key).toList()) + "."));
    }

    /** What changes; what is left out stays. */
    record Change(LocalDate day, Integer scalePercent) {}

    @May(Scope.PLAN)
    @PatchMapping("/{sessionId}")
    @Operation(summary = "Moves a planned session, or scales it; with If-Match only at that version")
    SessionJson change(
            @PathVariable long athleteId,
            @PathVariable long sessionId,
            @RequestBody Change change,
            @RequestHeader(name = "If-Match", required = false) String match,
            @AuthenticationPrincipal(expression = "viewer") Viewer viewer) {
        if ((change.day() == null) == (change.scalePercent() == null))
            throw new IllegalArgumentException("day: send a day or a scalePercent, one of both.");
        Integer version = IfMatch.version(match);
        if (change.day() != null) schedule.move(new Visit(athleteId, viewer), sessionId, version, change.day());
        else schedule.scale(new Visit(athleteId, viewer), sessionId, version, change.scalePercent());
        return read(athleteId, viewer, sessionId);
    }

    @May(Scope.PLAN)
    @DeleteMapping("/{sessionId}")
    @Operation(summary = "Drops what was planned; a recording stays")
    ResponseEntity<Void> drop(
            @PathVariable long athleteId,
            @PathVariable long sessionId,
            @RequestHeader(name = "If-Match", required = false) String match,
            @AuthenticationPrincipal(expression = "viewer") Viewer viewer) {
        schedule.remove(new Visit(athleteId, viewer), sessionId, IfMatch.version(match));
        return ResponseEntity.noContent().build();
    }
}
