package pemblar.app.program;

import com.fasterxml.jackson.annotation.JsonInclude;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import pemblar.app.athlete.AthleteService;
import pemblar.app.frame.Viewer;
import pemblar.app.season.Held;
import pemblar.app.season.PlanService;
import pemblar.app.season.SeasonEvent;
import pemblar.core.season.Block;

/** The season: blocks, events and days away. */
@Api
@RequestMapping("/api/v1/athletes/{athleteId}/plan")
@Tag(name = "plan")
class PlanApi {
    private final AthleteService athletes;
    private final PlanService plan;

    PlanApi(AthleteService athletes, PlanService plan) {
        this.athletes = athletes;
        this.plan = plan;
    }

    record BlockJson(
            LocalDate from,
            LocalDate to,
            String phase,
            String name,
            String aim,
            double targetLoadPoints,
            int targetSeconds) {
        static BlockJson of(Block b) {
            return new BlockJson(
                    b.first(),
                    b.first().plusDays(b.days() - 1L),
                    b.phase().name().toLowerCase(Locale.ROOT),
                    b.name(),
                    b.aim(),
                    b.targetLoad(),
                    b.targetSeconds());
        }
    }

    @JsonInclude(JsonInclude.Include.NON_NULL)
    record EventJson(
            long id,
            LocalDate from,
            LocalDate to,
            String name,
            String priority,
            String sport,
            Double distanceMetres,
            Integer seconds) {
        static EventJson of(SeasonEvent e) {
            return new EventJson(
                    e.id(),
                    e.day(),
                    e.last(),
                    e.name(),
                    e.priority().name(),
                    e.sport() == null ? null : e.sport().key(),
                    e.metres(),
                    e.seconds());
        }
    }

    /** @param revision counts the changes of the season */
    record PlanJson(int revision, List<BlockJson> blocks, List<EventJson> events) {}

    @May(Scope.READ)
    @GetMapping
    @Operation(summary = "Blocks with what they aim at, and events, in order of their days")
    PlanJson plan(@PathVariable long athleteId, @AuthenticationPrincipal(expression = "viewer") Viewer viewer) {
        Held held = plan.held(athletes.require(athleteId, viewer));
        return new PlanJson(
                held.revision(),
                held.blocks().stream().map(BlockJson::of).toList(),
                held.events().stream().map(EventJson::of).toList());
    }
}
