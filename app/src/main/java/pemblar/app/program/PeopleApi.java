package pemblar.app.program;

import com.fasterxml.jackson.annotation.JsonInclude;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.time.InstantSource;
import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.AthleteService;
import pemblar.app.frame.Viewer;
import pemblar.app.frame.Visit;
import pemblar.app.program.key.May;
import pemblar.app.program.key.Program;
import pemblar.app.program.key.Scope;
import pemblar.core.sport.Sport;

/** Who asks, and whom they see. */
@Api
@RequestMapping("/api/v1")
@Tag(name = "people")
class PeopleApi {
    private final AthleteService athletes;
    private final InstantSource clock;

    PeopleApi(AthleteService athletes, InstantSource clock) {
        this.athletes = athletes;
        this.clock = clock;
    }

    /** @param athlete one's own number; left out for who only coaches @param may what this token may */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    record Me(String name, Long athlete, Set<String> may) {}

    @May(Scope.READ)
    @GetMapping("/me")
    @Operation(summary = "Whose token this is and what it may")
    Me me(@AuthenticationPrincipal Program.Acting acting) {
        Set<String> may = new TreeSet<>();
        acting.may().forEach(scope -> may.add(scope.key()));
        return new Me(acting.viewer().name(), athletes.own(acting.viewer()).orElse(null), may);
    }

    /** @param today the day that it is where the athlete lives */
    record AthleteJson(long id, String name, List<String> sports, String timeZone, LocalDate today) {}

    private AthleteJson of(Athlete athlete) {
        LocalDate today = athlete.dayOf(clock.instant());
        return new AthleteJson(
                athlete.id(),
                athlete.name(),
                athlete.sports().stream().map(Sport::key).toList(),
                athlete.zoneOn(today).getId(),
                today);
    }

    @May(Scope.READ)
    @GetMapping("/athletes")
    @Operation(summary = "Oneself and the athletes who accepted the person as a coach")
    Page<AthleteJson> athletes(
            @RequestParam(required = false) Long after,
            @RequestParam(defaultValue = "50") int limit,
            @AuthenticationPrincipal(expression = "viewer") Viewer viewer) {
        return Page.of(athletes.roster(viewer).stream().map(this::of).toList(), after, limit, AthleteJson::id);
    }

    @May(Scope.READ)
    @GetMapping("/athletes/{athleteId}")
    @Operation(summary = "One athlete")
    AthleteJson athlete(@PathVariable long athleteId, @AuthenticationPrincipal(expression = "viewer") Viewer viewer) {
        return of(athletes.require(new Visit(athleteId, viewer)));
    }
}
