package pemblar.app.workout;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.InstantSource;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.AthleteService;
import pemblar.app.frame.Viewer;
import pemblar.app.frame.Visit;
import pemblar.app.frame.page.Download;
import pemblar.app.threshold.ThresholdService;
import pemblar.core.workout.Forecast;
import pemblar.core.workout.Shorthand;
import pemblar.core.workout.ShorthandText;
import pemblar.core.workout.Workout;
import pemblar.core.zone.Zones;
import pemblar.formats.fit.FitWorkout;
import pemblar.formats.fit.FitWorkouts;
import pemblar.formats.json.WorkoutJson;

/** Workouts out as FIT, JSON, shorthand and a sheet to print; in from FIT, JSON and shorthand. */
@Controller
@RequestMapping("/a/{athleteId}/workouts")
class ExchangeController {
    private static final long SERIAL = 4711;
    private static final int MOST_FILES = 50;
    private static final long MOST_BYTES = 1_000_000;
    private final WorkoutService workouts;
    private final ThresholdService thresholds;
    private final AthleteService athletes;
    private final InstantSource clock;

    ExchangeController(
            WorkoutService workouts, ThresholdService thresholds, AthleteService athletes, InstantSource clock) {
        this.workouts = workouts;
        this.thresholds = thresholds;
        this.athletes = athletes;
        this.clock = clock;
    }

    @GetMapping("/{id}/workout.{form}")
    ResponseEntity<byte[]> out(Visit visit, @PathVariable long id, @PathVariable String form) {
        Athlete athlete = athletes.require(visit);
        Shelved kept = workouts.require(id, visit.viewer());
        return switch (form) {
            case "fit" ->
                Download.of(
                        kept.title(),
                        form,
                        MediaType.APPLICATION_OCTET_STREAM,
                        FitWorkouts.of(kept.title(), kept.workout(), zones(athlete))
                                .write(SERIAL, clock.instant()));
            case "json" ->
                Download.of(
                        kept.title(),
                        form,
                        MediaType.APPLICATION_JSON,
                        WorkoutJson.write(kept.workout()).getBytes(StandardCharsets.UTF_8));
            case "txt" ->
                Download.of(
                        kept.title(),
                        form,
                        new MediaType("text", "plain", StandardCharsets.UTF_8),
                        ShorthandText.of(kept.workout()).getBytes(StandardCharsets.UTF_8));
            default -> ResponseEntity.notFound().build();
        };
    }

    private Zones zones(Athlete athlete) {
        return thresholds.zonesOf(athlete).on(athlete.dayOf(clock.instant()));
    }

    /** One page for the handlebar or the pocket. */
    @GetMapping("/{id}/sheet")
    String sheet(Visit visit, @PathVariable long id, Model model) {
        Athlete athlete = athletes.require(visit);
        Shelved kept = workouts.require(id, visit.viewer());
        Zones zones = zones(athlete);
        model.addAttribute("athlete", athlete);
        model.addAttribute("kept", kept);
        try {
            Forecast forecast = Forecast.of(kept.workout(), zones);
            model.addAttribute("forecast", forecast);
            model.addAttribute(
                    "drawing", Drawing.of(forecast, zones, kept.workout().sport()));
            model.addAttribute("lines", SheetLine.of(kept.workout(), zones));
        } catch (IllegalArgumentException e) {
            model.addAttribute("missing", e.getMessage());
        }
        return "workout/sheet";
    }

    @PostMapping("/import")
    String in(Visit visit, @RequestParam("files") List<MultipartFile> files, RedirectAttributes flash)
            throws IOException {
        Athlete athlete = athletes.require(visit);
        List<String> results = new ArrayList<>();
        List<MultipartFile> chosen = files.stream()
                .filter(f -> f.getOriginalFilename() != null
                        && !f.getOriginalFilename().isBlank())
                .limit(MOST_FILES)
                .toList();
        for (MultipartFile file : chosen)
            results.add(file.getOriginalFilename() + ": " + taken(file, athlete, visit.viewer()));
        flash.addFlashAttribute(
                "imported", results.isEmpty() ? List.of("Choose FIT, JSON or text files of workouts first.") : results);
        return "redirect:/a/" + visit.athleteId() + "/workouts?whose=own";
    }

    private String taken(MultipartFile file, Athlete athlete, Viewer viewer) throws IOException {
        if (file.getSize() > MOST_BYTES) return "too large for a workout; at most 1 MB.";
        String name = file.getOriginalFilename();
        String title = name.replaceAll("\\.[A-Za-z]+$", "").replace('-', ' ');
        try {
            Read read = read(name.toLowerCase(Locale.ROOT), file.getBytes(), athlete);
            String called = read.title().isBlank() ? title : read.title();
            workouts.save(
                    null,
                    viewer,
                    WorkoutService.Label.titled(called.substring(0, Math.min(80, called.length()))),
                    read.workout());
            return "in the library as “" + called + "”.";
        } catch (IllegalArgumentException e) {
            return "refused: " + e.getMessage();
        }
    }

    private record Read(String title, Workout workout) {}

    private static Read read(String name, byte[] bytes, Athlete athlete) {
        if (name.endsWith(".fit")) {
            FitWorkout.Answer answer = FitWorkout.read(bytes);
            if (answer.workout() == null)
                throw new IllegalArgumentException(String.join(
                        "; ", answer.problems().stream().map(Object::toString).toList()));
            return new Read(answer.workout().name(), FitWorkouts.design(answer.workout()));
        }
        String text = new String(bytes, StandardCharsets.UTF_8);
        if (name.endsWith(".json")) return new Read("", WorkoutJson.read(text));
        if (!name.endsWith(".txt"))
            throw new IllegalArgumentException("a name that ends in .fit, .json or .txt is accepted");
        Shorthand.Reading reading = Shorthand.read(text, athlete.first());
        return new Read(
                "",
                reading.workout()
                        .orElseThrow(() -> new IllegalArgumentException(
                                reading.problem().orElseThrow().toString())));
    }
}
