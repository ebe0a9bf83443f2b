package pemblar.app.program;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.time.LocalDate;
import java.util.List;
import org.springdoc.core.annotations.ParameterObject;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import pemblar.app.athlete.AthleteService;
import pemblar.app.frame.Viewer;
import pemblar.app.strength.MaximaService;
import pemblar.app.strength.SetsStore;
import pemblar.core.strength.SetHistory.Lifted;

/** What was lifted. */
@Api
@RequestMapping("/api/v1/athletes/{athleteId}/strength")
@Tag(name = "strength")
class StrengthApi {
    private final AthleteService athletes;
    private final SetsStore sets;
    private final MaximaService maxima;
    private final Seeing seeing;

    StrengthApi(AthleteService athletes, SetsStore sets, MaximaService maxima, Seeing seeing) {
        this.athletes = athletes;
        this.sets = sets;
        this.maxima = maxima;
        this.seeing = seeing;
    }

    /** @param inReserve repetitions that were left; null when nobody said */
    record SetJson(LocalDate day, String exercise, double kilograms, int repetitions, Integer inReserve) {
        static SetJson of(Lifted l) {
            return new SetJson(
                    l.day(), l.exercise(), l.kilograms(), l.repetitions(), l.inReserve() < 0 ? null : l.inReserve());
        }
    }

    @May(Scope.READ)
    @GetMapping("/sets")
    @Operation(summary = "Work sets of some days, in order; of the last four weeks unless days are sent")
    Page<SetJson> sets(
            @PathVariable long athleteId,
            @ParameterObject Days days,
            @AuthenticationPrincipal(expression = "viewer") Viewer viewer) {
        Seeing.Seen seen = seeing.on(athleteId, viewer, days);
        return new Page<>(
                sets.between(seen.athlete(), seen.span().from(), seen.span().to()).stream()
                        .map(SetJson::of)
                        .toList(),
                null);
    }

    /** @param said what it rests on */
    record MaximumJson(String exercise, LocalDate day, double kilograms, String said) {}

    @May(Scope.READ)
    @GetMapping("/maxima")
    @Operation(summary = "Dated maxima of one repetition, in order of their days")
    List<MaximumJson> maxima(
            @PathVariable long athleteId, @AuthenticationPrincipal(expression = "viewer") Viewer viewer) {
        return maxima.history(athletes.require(athleteId, viewer)).stream()
                .map(d -> new MaximumJson(d.exercise(), d.day(), d.kilograms(), d.said()))
                .toList();
    }
}
