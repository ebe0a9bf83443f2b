package pemblar.app.workout;

import java.time.InstantSource;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.AthleteService;
import pemblar.app.athlete.Pages;
import pemblar.app.frame.Viewer;
import pemblar.app.frame.Visit;
import pemblar.app.frame.page.OneLook;
import pemblar.app.recording.RecordingReading;
import pemblar.app.threshold.ThresholdService;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Quantity;
import pemblar.core.workout.Basis;
import pemblar.core.workout.Editing;
import pemblar.core.workout.Forecast;
import pemblar.core.workout.Rescue;
import pemblar.core.workout.Shorthand;
import pemblar.core.workout.ShorthandText;
import pemblar.core.workout.SpeedOfPower;
import pemblar.core.workout.Workout;
import pemblar.core.zone.ZoneSet;
import pemblar.core.zone.Zones;

/** The library and the designer. The forecast is computed here as the person types. */
@Controller
@RequestMapping("/a/{athleteId}/workouts")
class WorkoutController {
    /** Of a design that another page begins. */
    private static final int LONGEST_BEGUN = 2000;

    private static final int RECENT_DAYS = 180;
    private final WorkoutService workouts;
    private final ThresholdService thresholds;
    private final AthleteService athletes;
    private final Pages pages;
    private final InstantSource clock;
    private final Shelves shelves;
    private final RecordingReading recordings;

    WorkoutController(
            WorkoutService workouts,
            ThresholdService thresholds,
            AthleteService athletes,
            Pages pages,
            InstantSource clock,
            Shelves shelves,
            RecordingReading recordings) {
        this.workouts = workouts;
        this.thresholds = thresholds;
        this.athletes = athletes;
        this.pages = pages;
        this.clock = clock;
        this.shelves = shelves;
        this.recordings = recordings;
    }

    @OneLook
    @GetMapping
    String library(Visit visit, Search search, Model model) {
        Pages.Opened page = pages.open(model, visit, "workouts");
        Zones zones = thresholds.zonesOf(page.athlete()).on(page.today());
        List<Shelf> all = workouts.everything(visit.viewer()).stream()
                .filter(kept -> search.namesASport()
                        || kept.isOwn()
                        || page.athlete().trains(kept.workout().sport()))
                .map(kept -> shelves.of(kept, zones))
                .toList();
        List<Shelf> found = all.stream().filter(search::finds).toList();
        java.util.Map<String, List<Shelf>> folders = new java.util.LinkedHashMap<>();
        for (Shelf shelf : found)
            folders.computeIfAbsent(folder(shelf), f -> new ArrayList<>()).add(shelf);
        model.addAttribute(
                "folders",
                folders.entrySet().stream()
                        .map(f -> new ShelfRows(f.getKey(), f.getValue()))
                        .toList());
        model.addAttribute("count", found.size());
        model.addAttribute("search", search);
        model.addAttribute(
                "tags",
                all.stream()
                        .flatMap(s -> s.kept().tags().stream())
                        .distinct()
                        .sorted()
                        .toList());
        return "workout/library";
    }

    private static String folder(Shelf shelf) {
        Shelved kept = shelf.kept();
        String whose = switch (kept.origin()) {
            case OWN -> "Own";
            case COACH -> "From the coach";
            case SHIPPED -> "Ships with Pemblar";
        };
        return kept.folder().isEmpty() ? whose : whose + " · " + kept.folder();
    }

    @PostMapping("/{id}/copy")
    String copy(Visit visit, @PathVariable long id) {
        athletes.require(visit);
        return "redirect:/a/" + visit.athleteId() + "/workouts/design?id=" + workouts.copy(id, visit.viewer());
    }

    @PostMapping("/{id}/archive")
    String archive(Visit visit, @PathVariable long id, @RequestParam boolean archived, RedirectAttributes flash) {
        athletes.require(visit);
        workouts.archive(id, visit.viewer(), archived);
        flash.addFlashAttribute(
                "said",
                archived
                        ? "Archived. It is no longer offered; sessions that come from it stay. Find it under "
                                + "“archived”."
                        : "It is offered again.");
        return "redirect:/a/" + visit.athleteId() + "/workouts" + (archived ? "" : "?whose=archived");
    }

    @OneLook
    @GetMapping("/design")
    String design(
            Visit visit,
            @RequestParam(required = false) Long id,
            @RequestParam(defaultValue = "") String text,
            Model model) {
        Pages.Opened page = pages.open(model, visit, "workouts");
        Sport sport = page.athlete().first();
        if (id == null) {
            String begun = text.isBlank() || text.length() > LONGEST_BEGUN ? Examples.of(sport) : text;
            fields(model, new Written(null, "", sport, Basis.usualFor(sport), begun));
        } else {
            Shelved kept = workouts.require(id, visit.viewer());
            fields(
                    model,
                    new Written(
                            kept.isOwn() ? id : null,
                            kept.title(),
                            kept.workout().sport(),
                            kept.workout().basis(),
                            ShorthandText.of(kept.workout())));
            model.addAttribute("kept", kept);
            model.addAttribute(
                    "label",
                    new WorkoutService.Label(
                            kept.title(), kept.folder(), String.join(", ", kept.tags()), kept.shared()));
        }
        forecast(page.athlete(), visit.viewer(), model, page.today());
        return "workout/design";
    }

    record ForecastForm(
            @RequestParam String text,
            @RequestParam Sport sport,
            @RequestParam Basis basis,
            @RequestParam(defaultValue = "time") String axis) {}

    @PostMapping("/forecast")
    String forecast(Visit visit, ForecastForm form, Model model) {
        Athlete athlete = athletes.require(visit);
        model.addAttribute("athlete", athlete);
        model.addAttribute("axis", form.axis());
        fields(model, new Written(null, "", form.sport(), form.basis(), form.text()));
        forecast(athlete, visit.viewer(), model, athlete.dayOf(clock.instant()));
        return "workout/design :: forecast";
    }

    record EditForm(
            @RequestParam String text,
            @RequestParam Sport sport,
            @RequestParam Basis basis,
            @RequestParam String edit,
            @RequestParam String path,
            @RequestParam(defaultValue = "") String other,
            @RequestParam(defaultValue = "0") double amount,
            @RequestParam(defaultValue = "time") String axis) {}

    /**
     * An edit made in the drawing: the text follows, and the figures with it. A refused edit says why and leaves all as
     * it was.
     */
    @PostMapping("/edit")
    String edit(Visit visit, EditForm form, Model model) {
        Athlete athlete = athletes.require(visit);
        Zones zones = thresholds.zonesOf(athlete).on(athlete.dayOf(clock.instant()));
        String after = form.text();
        Shorthand.Reading reading = Shorthand.read(form.text(), form.sport(), form.basis());
        try {
            if (reading.workout().isPresent())
                after = ShorthandText.of(DrawnEdit.of(form.edit(), form.path(), form.other(), form.amount())
                        .on(reading.workout().get(), zones));
        } catch (IllegalArgumentException e) {
            model.addAttribute("editRefused", e.getMessage());
        }
        return forecast(visit, new ForecastForm(after, form.sport(), form.basis(), form.axis()), model);
    }

    record SaveForm(
            @RequestParam(required = false) Long id,
            @RequestParam String title,
            @RequestParam(defaultValue = "") String folder,
            @RequestParam(defaultValue = "") String tags,
            @RequestParam(defaultValue = "false") boolean shared,
            @RequestParam String text,
            @RequestParam Sport sport,
            @RequestParam Basis basis) {}

    @PostMapping
    String save(Visit visit, SaveForm form, Model model) {
        Shorthand.Reading reading = Shorthand.read(form.text(), form.sport(), form.basis());
        String problem = reading.problem().map(Shorthand.Problem::toString).orElse(null);
        if (reading.workout().isPresent()) {
            try {
                workouts.save(
                        form.id(),
                        visit.viewer(),
                        new WorkoutService.Label(form.title(), form.folder(), form.tags(), form.shared()),
                        reading.workout().get());
                return "redirect:/a/" + visit.athleteId() + "/workouts";
            } catch (IllegalArgumentException e) {
                problem = e.getMessage();
            }
        }
        Pages.Opened page = pages.open(model, visit, "workouts");
        fields(model, new Written(form.id(), form.title(), form.sport(), form.basis(), form.text()));
        model.addAttribute("label", new WorkoutService.Label(form.title(), form.folder(), form.tags(), form.shared()));
        forecast(page.athlete(), visit.viewer(), model, page.today());
        model.addAttribute("refused", problem);
        return "workout/design";
    }

    /** What stands in the fields. @param id null for what is not on the shelf, or on another's */
    private record Written(Long id, String title, Sport sport, Basis basis, String text) {}

    private static void fields(Model model, Written written) {
        model.addAttribute("id", written.id());
        model.addAttribute("title", written.title());
        model.addAttribute("sport", written.sport());
        model.addAttribute("basis", written.basis());
        model.addAttribute("text", written.text());
    }

    private void forecast(Athlete athlete, Viewer viewer, Model model, LocalDate day) {
        Sport sport = (Sport) model.getAttribute("sport");
        model.addAttribute("axis", model.getAttribute("axis") == null ? "time" : model.getAttribute("axis"));
        Shorthand.Reading reading =
                Shorthand.read((String) model.getAttribute("text"), sport, (Basis) model.getAttribute("basis"));
        if (reading.problem().isPresent()) {
            model.addAttribute("problem", reading.problem().get());
            return;
        }
        Workout workout = reading.workout().orElseThrow();
        model.addAttribute("normal", ShorthandText.of(workout));
        Zones zones = thresholds.zonesOf(athlete).on(day);
        try {
            Forecast forecast = Forecast.of(workout, zones);
            model.addAttribute("forecast", forecast);
            model.addAttribute("remarks", Remarks.of(forecast));
            model.addAttribute(
                    "drawing",
                    Drawing.of(
                            forecast,
                            zones,
                            sport,
                            new Drawing.Way(Editing.paths(workout), "distance".equals(model.getAttribute("axis")))));
            if (sport.onWheels() && forecast.metres().isEmpty())
                recordings
                        .speedOfPower(athlete, day.minusDays(RECENT_DAYS))
                        .ifPresent(relation -> distance(forecast, zones, relation, model));
            model.addAttribute("rescue", Rescue.of(workout, zones, forecast).orElse(null));
            model.addAttribute("zoneTimes", zoneTimes(forecast, zones, workout));
            roster(workout, athlete, viewer, model);
        } catch (IllegalArgumentException e) {
            model.addAttribute("missing", e.getMessage());
        }
    }

    /** The distance of a ride by power, from the athlete's own rides of half a year. */
    private static void distance(Forecast forecast, Zones zones, SpeedOfPower relation, Model model) {
        double threshold = zones.thresholds().get(Quantity.THRESHOLD_POWER).orElse(Double.NaN);
        relation.metres(forecast.steps(), threshold).ifPresent(metres -> {
            model.addAttribute("likelyMetres", metres);
            model.addAttribute("likelyFrom", relation.rides());
            model.addAttribute("likelyPercent", Math.round(100 * relation.deviation()));
        });
    }

    /** Planned time in a zone; {@code width} in percent of the longest. */
    public record ZoneTime(int number, String name, int seconds, double width) {}

    private static List<ZoneTime> zoneTimes(Forecast forecast, Zones zones, Workout workout) {
        List<Integer> seconds = forecast.secondsInZones(zones, workout);
        int most =
                Math.max(1, seconds.stream().mapToInt(Integer::intValue).max().orElse(1));
        List<ZoneTime> times = new ArrayList<>();
        ZoneSet set = zones.of(workout.basis().measure(), workout.sport()).orElse(null);
        for (int i = 0; set != null && i < seconds.size(); i++)
            times.add(new ZoneTime(i + 1, set.names().get(i), seconds.get(i), 100.0 * seconds.get(i) / most));
        return times;
    }

    /** What the workout takes for one of the athletes that a coach may mean it for. */
    public record ForAthlete(String name, Forecast forecast, String missing) {}

    private void roster(Workout workout, Athlete shown, Viewer viewer, Model model) {
        List<Athlete> roster = athletes.roster(viewer).stream()
                .filter(a -> a.trains(workout.sport()))
                .toList();
        if (roster.size() < 2) return;
        List<ForAthlete> all = new ArrayList<>();
        for (var entry : thresholds.zonesOf(roster).entrySet()) {
            Athlete athlete = entry.getKey();
            try {
                all.add(new ForAthlete(
                        athlete.name(),
                        Forecast.of(workout, entry.getValue().on(athlete.dayOf(clock.instant()))),
                        null));
            } catch (IllegalArgumentException e) {
                all.add(new ForAthlete(athlete.name(), null, e.getMessage()));
            }
        }
        model.addAttribute("roster", all);
    }
}
