package pemblar.app.workout;

import java.time.InstantSource;
import java.time.LocalDate;
import java.util.List;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.AthleteService;
import pemblar.app.frame.Viewer;
import pemblar.app.ribbon.Pages;
import pemblar.app.threshold.ThresholdService;
import pemblar.core.Sport;
import pemblar.core.workout.Basis;
import pemblar.core.workout.Forecast;
import pemblar.core.workout.Shorthand;
import pemblar.core.workout.ShorthandText;
import pemblar.core.workout.TrainedDurations;
import pemblar.core.workout.Workout;
import pemblar.core.zone.Zones;

/** The library and the designer. The forecast is computed here as the person types. */
@Controller
@RequestMapping("/a/{athleteId}/workouts")
class WorkoutController {
    private static final String EXAMPLE = "warm-up: 15min 45>65%\n5 x (4min 105-110%, 4min 50%)\ncool-down: 10min 60>45%";
    private static final String RUN_EXAMPLE = "warm-up: 12min z1-2\n6 x (800m 102%, 400m z1)\ncool-down: 10min z1";
    private final WorkoutService workouts;
    private final ThresholdService thresholds;
    private final AthleteService athletes;
    private final Pages pages;
    private final InstantSource clock;

    WorkoutController(WorkoutService workouts, ThresholdService thresholds, AthleteService athletes, Pages pages, InstantSource clock) {
        this.workouts = workouts;
        this.thresholds = thresholds;
        this.athletes = athletes;
        this.pages = pages;
        this.clock = clock;
    }

    /** A workout of the library with what it takes for this athlete; the forecast is null when a threshold is missing. */
    public record Shelf(long id, String title, String sport, Forecast forecast, Drawing drawing) {}

    @GetMapping
    String library(@PathVariable long athleteId, @RequestParam(required = false) Integer trains, @AuthenticationPrincipal(expression = "viewer") Viewer viewer, Model model) {
        Pages.Opened page = pages.open(model, athleteId, viewer, "workouts", null, null);
        Zones values = thresholds.zonesOf(page.athlete()).on(page.today());
        List<Shelf> shelves = workouts.library(viewer).stream().map(kept -> shelf(kept, values)).filter(s -> trains == null || s.forecast() != null && TrainedDurations.of(s.forecast()).contains(trains)).toList();
        model.addAttribute("trains", trains);
        model.addAttribute("shelves", shelves);
        return "workout/library";
    }

    private static Shelf shelf(WorkoutService.Kept kept, Zones values) {
        try {
            Forecast forecast = Forecast.of(kept.workout(), values);
            return new Shelf(kept.id(), kept.title(), kept.workout().sport().key(), forecast, Drawing.of(forecast, values, kept.workout().sport()));
        } catch (IllegalArgumentException e) {
            return new Shelf(kept.id(), kept.title(), kept.workout().sport().key(), null, null);
        }
    }

    @GetMapping("/design")
    String design(@PathVariable long athleteId, @RequestParam(required = false) Long id, @AuthenticationPrincipal(expression = "viewer") Viewer viewer, Model model) {
        Pages.Opened page = pages.open(model, athleteId, viewer, "workouts", null, null);
        Sport sport = page.athlete().sport() == Sport.RUN ? Sport.RUN : Sport.RIDE;
        if (id == null) {
            form(model, null, "", sport, Basis.usualFor(sport), sport == Sport.RUN ? RUN_EXAMPLE : EXAMPLE);
        } else {
            WorkoutService.Kept kept = workouts.require(id, viewer);
            form(model, id, kept.title(), kept.workout().sport(), kept.workout().basis(), ShorthandText.of(kept.workout()));
        }
        forecast(page.athlete(), model, page.today());
        return "workout/design";
    }

    @PostMapping("/forecast")
    String forecast(@PathVariable long athleteId, @RequestParam String text, @RequestParam Sport sport, @RequestParam Basis basis,
                    @AuthenticationPrincipal(expression = "viewer") Viewer viewer, Model model) {
        Athlete athlete = athletes.require(athleteId, viewer);
        model.addAttribute("athlete", athlete);
        form(model, null, "", sport, basis, text);
        forecast(athlete, model, athlete.dayOf(clock.instant()));
        return "workout/design :: forecast";
    }

    @PostMapping
    String save(@PathVariable long athleteId, @RequestParam(required = false) Long id, @RequestParam String title, @RequestParam String text, @RequestParam Sport sport,
                @RequestParam Basis basis, @AuthenticationPrincipal(expression = "viewer") Viewer viewer, Model model) {
        Shorthand.Reading reading = Shorthand.read(text, sport, basis);
        String problem = reading.problem().map(Shorthand.Problem::toString).orElse(null);
        if (reading.workout().isPresent()) {
            try {
                workouts.save(id, viewer, title, reading.workout().get());
                return "redirect:/a/" + athleteId + "/workouts";
            } catch (IllegalArgumentException e) {
                problem = e.getMessage();
            }
        }
        Pages.Opened page = pages.open(model, athleteId, viewer, "workouts", null, null);
        form(model, id, title, sport, basis, text);
        forecast(page.athlete(), model, page.today());
        model.addAttribute("refused", problem);
        return "workout/design";
    }

    private static void form(Model model, Long id, String title, Sport sport, Basis basis, String text) {
        model.addAttribute("id", id);
        model.addAttribute("title", title);
        model.addAttribute("sport", sport);
        model.addAttribute("basis", basis);
        model.addAttribute("text", text);
    }

    private void forecast(Athlete athlete, Model model, LocalDate day) {
        Sport sport = (Sport) model.getAttribute("sport");
        Shorthand.Reading reading = Shorthand.read((String) model.getAttribute("text"), sport, (Basis) model.getAttribute("basis"));
        if (reading.problem().isPresent()) {
            model.addAttribute("problem", reading.problem().get());
            return;
        }
        Workout workout = reading.workout().orElseThrow();
        Zones values = thresholds.zonesOf(athlete).on(day);
        try {
            Forecast forecast = Forecast.of(workout, values);
            model.addAttribute("forecast", forecast);
            model.addAttribute("drawing", Drawing.of(forecast, values, sport));
            model.addAttribute("normal", ShorthandText.of(workout));
        } catch (IllegalArgumentException e) {
            model.addAttribute("missing", e.getMessage());
        }
    }
}
