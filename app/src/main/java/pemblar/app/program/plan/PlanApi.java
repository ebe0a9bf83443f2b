package pemblar.app.program.plan;

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
import pemblar.app.frame.Visit;
import pemblar.app.program.Api;
import pemblar.app.program.Kinds;
import pemblar.app.program.key.May;
import pemblar.app.program.key.Scope;
import pemblar.app.season.Held;
import pemblar.app.season.PlanService;
import pemblar.app.season.SeasonEvent;
import pemblar.app.season.SeasonSettings.Away;
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
            int targetSeconds,
            boolean easy,
            boolean pinned) {
        static BlockJson of(Block b) {
            return new BlockJson(
                    b.first(),
                    b.first().plusDays(b.days() - 1L),
                    b.phase().name().toLowerCase(Locale.ROOT),
                    b.name(),
                    b.aim(),
                    b.targetLoad(),
                    b.targetSeconds(),
                    b.easy(),
                    b.pinned());
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

    /** Days with other hours. @param sport the only one that can be trained then; null for all */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    record AwayJson(LocalDate from, LocalDate to, double weeklyHours, String reason, String kind, String sport) {
        static AwayJson of(Away a) {
            return new AwayJson(
                    a.from(),
                    a.to(),
                    a.weeklyHours(),
                    a.reason(),
                    Kinds.key(a.kind()),
                    a.only() == null ? null : a.only().key());
        }
    }

    /** @param revision counts the changes of the season; a change sends it as If-Match */
    record PlanJson(int revision, List<BlockJson> blocks, List<EventJson> events, List<AwayJson> away) {
        static PlanJson of(Held held) {
            return new PlanJson(
                    held.revision(),
                    held.blocks().stream().map(BlockJson::of).toList(),
                    held.events().stream().map(EventJson::of).toList(),
                    held.away().stream().map(AwayJson::of).toList());
        }
    }

    @May(Scope.READ)
    @GetMapping
    @Operation(summary = "Blocks with what they aim at, events and days away, in order of their days")
    PlanJson plan(@PathVariable long athleteId, @AuthenticationPrincipal(expression = "viewer") Viewer viewer) {
        return PlanJson.of(plan.held(athletes.require(new Visit(athleteId, viewer))));
    }
}
