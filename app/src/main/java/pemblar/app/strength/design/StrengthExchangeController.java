package pemblar.app.strength.design;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
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
import pemblar.app.athlete.Pages;
import pemblar.app.frame.Viewer;
import pemblar.app.frame.Visit;
import pemblar.app.frame.page.Download;
import pemblar.app.strength.Kilograms;
import pemblar.app.strength.maximum.MaximaService;
import pemblar.core.strength.Prescription.Row;
import pemblar.core.strength.SetLoad;
import pemblar.core.strength.StrengthShorthand;
import pemblar.core.strength.StrengthText;
import pemblar.core.strength.StrengthWorkout;
import pemblar.formats.json.StrengthJson;

/** Strength workouts out as JSON, shorthand and a sheet to print; in from JSON and shorthand. */
@Controller
@RequestMapping("/a/{athleteId}/strength")
class StrengthExchangeController {
    private static final int MOST_FILES = 50;
    private static final long MOST_BYTES = 200_000;
    private static final int LONGEST_TITLE = 80;
    private final Pages pages;
    private final StrengthLibrary library;
    private final MaximaService maxima;

    StrengthExchangeController(Pages pages, StrengthLibrary library, MaximaService maxima) {
        this.pages = pages;
        this.library = library;
        this.maxima = maxima;
    }

    private static StrengthWorkout workout(StrengthLibrary.Kept kept) {
        return StrengthShorthand.read(kept.text()).workout().orElseThrow();
    }

    @GetMapping("/{id}/workout.{form}")
    ResponseEntity<byte[]> out(Visit visit, @PathVariable long id, @PathVariable String form) {
        pages.athlete(visit);
        StrengthLibrary.Kept kept = library.require(visit.viewer(), id);
        return switch (form) {
            case "json" ->
                Download.of(kept.title(), form, MediaType.APPLICATION_JSON, bytes(StrengthJson.write(workout(kept))));
            case "txt" ->
                Download.of(
                        kept.title(), form, new MediaType("text", "plain", StandardCharsets.UTF_8), bytes(kept.text()));
            default -> ResponseEntity.notFound().build();
        };
    }

    private static byte[] bytes(String text) {
        return text.getBytes(StandardCharsets.UTF_8);
    }

    /** A set to be ticked with a pencil. @param load what is on the bar, in words */
    public record Line(String exercise, boolean first, String number, String asked, String load, String also) {}

    /** One page for the gym's floor. */
    @GetMapping("/{id}/sheet")
    String sheet(Visit visit, @PathVariable long id, Model model) {
        Athlete athlete = pages.athlete(visit);
        StrengthLibrary.Kept kept = library.require(visit.viewer(), id);
        StrengthWorkout workout = workout(kept);
        MaximaService.Strength strength = maxima.on(athlete, pages.today(athlete), workout.exercises());
        model.addAttribute("athlete", athlete);
        model.addAttribute("kept", kept);
        model.addAttribute("workout", workout);
        model.addAttribute("today", pages.today(athlete));
        model.addAttribute("lines", lines(strength.rows(workout)));
        return "strength/sheet";
    }

    private static List<Line> lines(List<Row> rows) {
        List<Line> lines = new ArrayList<>();
        String before = "";
        for (Row row : rows) {
            String exercise = (row.lift().letter() + " " + row.lift().exercise()).strip();
            lines.add(new Line(
                    exercise,
                    !exercise.equals(before),
                    row.warmUp() ? "warm-up" : String.valueOf(row.number()),
                    asked(row),
                    load(row),
                    exercise.equals(before) ? "" : also(row)));
            before = exercise;
        }
        return lines;
    }

    private static String asked(Row row) {
        String each = row.lift().each() ? " each side" : "";
        if (row.set().heldSeconds() > 0) return row.set().heldSeconds() + " s" + each;
        return (row.set().asManyAsPossible() ? "as many as possible" : row.set().repetitions() + " times") + each;
    }

    private static String load(Row row) {
        if (row.findOut()) return "find out: 5 with 2 in reserve";
        OptionalDouble kilograms = row.shownKilograms();
        if (row.set().load() instanceof SetLoad.BodyMass)
            return "body mass"
                    + (kilograms.orElse(0) == 0 ? "" : ", " + Kilograms.of(kilograms.getAsDouble()) + " more");
        String asked = row.set().load().text();
        return kilograms.isPresent() ? Kilograms.of(kilograms.getAsDouble()) : asked;
    }

    private static String also(Row row) {
        List<String> parts = new ArrayList<>();
        if (row.lift().restSeconds() > 0)
            parts.add("rest " + pemblar.app.frame.page.Shown.clock(row.lift().restSeconds()));
        if (!row.lift().tempo().isEmpty()) parts.add("tempo " + row.lift().tempo());
        if (!row.lift().cue().isEmpty()) parts.add("“" + row.lift().cue() + "”");
        return String.join(" · ", parts);
    }

    @PostMapping("/files")
    String in(Visit visit, @RequestParam("files") List<MultipartFile> files, RedirectAttributes flash)
            throws IOException {
        pages.athlete(visit);
        List<String> results = new ArrayList<>();
        for (MultipartFile file : files) {
            String name = file.getOriginalFilename();
            if (name != null && !name.isBlank() && results.size() < MOST_FILES)
                results.add(name + ": " + taken(file, name, visit.viewer()));
        }
        flash.addFlashAttribute(
                "good", results.isEmpty() ? "Choose JSON or text files of workouts first." : String.join(" ", results));
        return "redirect:/a/" + visit.athleteId() + "/strength";
    }

    private String taken(MultipartFile file, String name, Viewer viewer) throws IOException {
        if (file.getSize() > MOST_BYTES) return "too large for a workout; at most 200 kB.";
        String title = name.replaceAll("\\.[A-Za-z]+$", "").replace('-', ' ').strip();
        String called = title.isEmpty() ? "Strength" : title.substring(0, Math.min(LONGEST_TITLE, title.length()));
        try {
            String text = text(name.toLowerCase(Locale.ROOT), new String(file.getBytes(), StandardCharsets.UTF_8));
            library.save(viewer, null, new StrengthLibrary.Label(called, "", "", false), text);
            return "in the library as “" + called + "”.";
        } catch (IllegalArgumentException e) {
            return "refused: " + e.getMessage() + ".";
        }
    }

    private static String text(String name, String body) {
        if (name.endsWith(".json")) return StrengthText.of(StrengthJson.read(body));
        if (name.endsWith(".txt")) return body;
        throw new IllegalArgumentException("a name that ends in .json or .txt is accepted");
    }
}
