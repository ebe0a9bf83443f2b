package pemblar.app.program;

import com.fasterxml.jackson.annotation.JsonInclude;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.time.LocalDate;
import java.util.List;
import org.springdoc.core.annotations.ParameterObject;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import pemblar.app.athlete.AthleteService;
import pemblar.app.frame.Viewer;
import pemblar.app.frame.Visit;
import pemblar.app.program.key.May;
import pemblar.app.program.key.Scope;
import pemblar.app.strength.floor.FloorService;
import pemblar.app.strength.maximum.MaximaService;
import pemblar.app.strength.sets.SetsStore;
import pemblar.core.strength.SetHistory.Lifted;

/** What was lifted, and what can be. */
@Api
@RequestMapping("/api/v1/athletes/{athleteId}/strength")
@Tag(name = "strength")
class StrengthApi {
    private final AthleteService athletes;
    private final SetsStore sets;
    private final MaximaService maxima;
    private final FloorService floor;
    private final Seeing seeing;

    StrengthApi(AthleteService athletes, SetsStore sets, MaximaService maxima, FloorService floor, Seeing seeing) {
        this.floor = floor;
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

    /** A set as it is sent. @param place in the session, from 0 @param inReserve repetitions left, if known */
    record SetIn(
            Integer place,
            String exercise,
            Double kilograms,
            Integer repetitions,
            Integer heldSeconds,
            Integer inReserve,
            String note) {
        private FloorService.Told told(String key) {
            if (place == null) throw new IllegalArgumentException("place: is missing.");
            if (exercise == null) throw new IllegalArgumentException("exercise: is missing.");
            return new FloorService.Told(
                    key,
                    place,
                    exercise.strip(),
                    kilograms == null ? 0 : kilograms,
                    repetitions == null ? 0 : repetitions,
                    heldSeconds == null ? 0 : heldSeconds,
                    inReserve,
                    note == null ? "" : note.strip());
        }
    }

    /** What was kept. @param wouldMove a maximum that this set would move, in words; nothing moves by itself */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    record Kept(int place, String exercise, double kilograms, int repetitions, String wouldMove) {}

    @May(Scope.LOG)
    @PutMapping("/sessions/{sessionId}/sets/{key}")
    @Operation(summary = "Keeps a set of a strength session; the same key again says it anew")
    Kept log(
            @PathVariable long athleteId,
            @PathVariable long sessionId,
            @PathVariable String key,
            @RequestBody SetIn set,
            @AuthenticationPrincipal(expression = "viewer") Viewer viewer) {
        FloorService.Answer kept = floor.log(new Visit(athleteId, viewer), sessionId, set.told(key));
        return new Kept(
                set.place(),
                kept.set().exercise(),
                kept.set().kilograms(),
                kept.set().repetitions(),
                kept.would() == null ? null : kept.would().sentence());
    }

    /** @param day the first day on which it holds */
    record MaximumIn(String exercise, LocalDate day, Double kilograms) {}

    @May(Scope.VALUES)
    @PostMapping("/maxima")
    @ResponseStatus(HttpStatus.CREATED)
    @Operation(summary = "Sets the maximum of one repetition from a day on; loads ahead that rest on it follow")
    List<MaximumJson> set(
            @PathVariable long athleteId,
            @RequestBody MaximumIn maximum,
            @AuthenticationPrincipal(expression = "viewer") Viewer viewer) {
        if (maximum.exercise() == null) throw new IllegalArgumentException("exercise: is missing.");
        if (maximum.day() == null) throw new IllegalArgumentException("day: is missing.");
        if (maximum.kilograms() == null) throw new IllegalArgumentException("kilograms: is missing.");
        maxima.set(
                new Visit(athleteId, viewer),
                new MaximaService.New(
                        maximum.exercise(), maximum.day(), maximum.kilograms(), "sent by a program", null));
        return maxima(athleteId, viewer);
    }

    /** @param said what it rests on */
    record MaximumJson(String exercise, LocalDate day, double kilograms, String said) {}

    @May(Scope.READ)
    @GetMapping("/maxima")
    @Operation(summary = "Dated maxima of one repetition, in order of their days")
    List<MaximumJson> maxima(
            @PathVariable long athleteId, @AuthenticationPrincipal(expression = "viewer") Viewer viewer) {
        return maxima.history(athletes.require(new Visit(athleteId, viewer))).stream()
                .map(d -> new MaximumJson(d.exercise(), d.day(), d.kilograms(), d.said()))
                .toList();
    }
}
