package pemblar.app.program;

import com.fasterxml.jackson.annotation.JsonInclude;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.time.InstantSource;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import org.springdoc.core.annotations.ParameterObject;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.AthleteService;
import pemblar.app.checkin.Checkin;
import pemblar.app.checkin.CheckinService;
import pemblar.app.frame.Viewer;
import pemblar.app.frame.Visit;
import pemblar.app.load.TrendService;
import pemblar.app.program.key.May;
import pemblar.app.program.key.Scope;
import pemblar.app.threshold.ThresholdService;
import pemblar.core.load.LoadTrend;
import pemblar.core.threshold.Quantity;

/** How somebody is: thresholds, check-ins and the load trend. */
@Api
@RequestMapping("/api/v1/athletes/{athleteId}")
@Tag(name = "state")
class StateApi {
    private final AthleteService athletes;
    private final Seeing seeing;
    private final ThresholdService thresholds;
    private final CheckinService checkins;
    private final TrendService trends;
    private final InstantSource clock;

    StateApi(
            AthleteService athletes,
            Seeing seeing,
            ThresholdService thresholds,
            CheckinService checkins,
            TrendService trends,
            InstantSource clock) {
        this.athletes = athletes;
        this.seeing = seeing;
        this.thresholds = thresholds;
        this.checkins = checkins;
        this.trends = trends;
        this.clock = clock;
    }

    /** @param since the day from which it holds */
    record ValueJson(double value, String unit, LocalDate since) {}

    @May(Scope.READ)
    @GetMapping("/thresholds")
    @Operation(summary = "What holds on a day, today unless one is sent; in W, J, bpm, m/s and kg")
    Map<String, ValueJson> thresholds(
            @PathVariable long athleteId,
            @RequestParam(required = false) LocalDate on,
            @AuthenticationPrincipal(expression = "viewer") Viewer viewer) {
        Athlete athlete = athletes.require(new Visit(athleteId, viewer));
        LocalDate day = on == null ? athlete.dayOf(clock.instant()) : on;
        Map<String, ValueJson> all = new TreeMap<>();
        for (Quantity quantity : Quantity.values())
            thresholds
                    .of(athlete)
                    .latest(quantity, day)
                    .ifPresent(d -> all.put(key(quantity), new ValueJson(d.value(), quantity.unit(), d.from())));
        return all;
    }

    private static String key(Quantity quantity) {
        return quantity.name().toLowerCase(Locale.ROOT);
    }

    /** @param from the first day on which they hold @param values by name, as {@code threshold_power} */
    record Adopted(LocalDate from, Map<String, Double> values) {}

    @May(Scope.VALUES)
    @PutMapping("/thresholds")
    @Operation(summary = "Adopts values from a day on, all or none; sessions of their days are computed anew")
    Map<String, ValueJson> adopt(
            @PathVariable long athleteId,
            @RequestBody Adopted adopted,
            @AuthenticationPrincipal(expression = "viewer") Viewer viewer) {
        Athlete athlete = athletes.require(new Visit(athleteId, viewer));
        if (adopted.from() == null) throw new IllegalArgumentException("from: is missing.");
        if (adopted.values() == null || adopted.values().isEmpty())
            throw new IllegalArgumentException("values: send at least one.");
        Map<Quantity, Double> values = new TreeMap<>();
        adopted.values().forEach((name, value) -> {
            if (value == null) throw new IllegalArgumentException(name + ": is missing.");
            values.put(quantity(name), value);
        });
        thresholds.adopt(new Visit(athlete.id(), viewer), adopted.from(), values, "Values were adopted by a program.");
        return thresholds(athleteId, adopted.from(), viewer);
    }

    private static Quantity quantity(String name) {
        for (Quantity quantity : Quantity.values()) if (key(quantity).equals(name)) return quantity;
        throw new IllegalArgumentException("values: " + name.substring(0, Math.min(40, name.length()))
                + " is not known; what holds is listed under the same names.");
    }

    @May(Scope.READ)
    @GetMapping("/checkins")
    @Operation(summary = "Mornings of some days, in order; of the last four weeks unless days are sent")
    Page<MorningJson> checkins(
            @PathVariable long athleteId,
            @ParameterObject Days days,
            @AuthenticationPrincipal(expression = "viewer") Viewer viewer) {
        Seeing.Seen seen = seeing.on(athleteId, viewer, days);
        return new Page<>(
                checkins.between(seen.athlete(), seen.span().from(), seen.span().to()).values().stream()
                        .map(MorningJson::of)
                        .toList(),
                null);
    }

    @May(Scope.LOG)
    @PutMapping("/checkins/{day}")
    @Operation(summary = "Keeps a morning, as from a device: what a person typed by hand stays before it")
    MorningJson keep(
            @PathVariable long athleteId,
            @PathVariable LocalDate day,
            @RequestBody MorningJson morning,
            @AuthenticationPrincipal(expression = "viewer") Viewer viewer) {
        Athlete athlete = athletes.require(new Visit(athleteId, viewer));
        checkins.keep(new Visit(athleteId, viewer), CheckinService.Source.DEVICE, morning.on(day));
        return MorningJson.of(checkins.between(athlete, day, day).getOrDefault(day, Checkin.none(day)));
    }

    /**
     * A day of the load trend, in points; days ahead rest on what is planned. Pages show the chronic load and the
     * balance of the morning, before the day counts.
     */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    record TrendDay(
            LocalDate day,
            double load,
            double chronicMorning,
            double balanceMorning,
            double acuteEvening,
            double chronicEvening) {
        static TrendDay of(LoadTrend.Day d) {
            return new TrendDay(d.date(), d.load(), d.chronicBefore(), d.balance(), d.acute(), d.chronic());
        }
    }

    @May(Scope.READ)
    @GetMapping("/trend")
    @Operation(summary = "Points of each day: load, chronic load and balance of its morning, both loads of its evening")
    Page<TrendDay> trend(
            @PathVariable long athleteId,
            @ParameterObject Days days,
            @AuthenticationPrincipal(expression = "viewer") Viewer viewer) {
        Seeing.Seen seen = seeing.on(athleteId, viewer, days);
        List<TrendDay> trend = new ArrayList<>();
        for (LoadTrend.Day day : trends.of(seen.athlete()).days())
            if (!day.date().isBefore(seen.span().from())
                    && !day.date().isAfter(seen.span().to())) trend.add(TrendDay.of(day));
        return new Page<>(trend, null);
    }
}
