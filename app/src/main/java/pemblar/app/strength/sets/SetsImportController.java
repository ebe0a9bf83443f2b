package pemblar.app.strength.sets;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import pemblar.app.athlete.Pages;
import pemblar.app.frame.Visit;
import pemblar.app.strength.Exercises;
import pemblar.formats.Reading.Problem;
import pemblar.formats.csv.StrengthSetsCsv;

/** Sets from a file: read, asked about what is not known, taken in. */
@Controller
@RequestMapping("/a/{athleteId}/strength/sets/file")
class SetsImportController {
    private static final String MEANS = "means:";
    private final Pages pages;
    private final SetsImport imports;
    private final Exercises exercises;

    SetsImportController(Pages pages, SetsImport imports, Exercises exercises) {
        this.pages = pages;
        this.imports = imports;
        this.exercises = exercises;
    }

    @PostMapping
    String upload(Visit visit, @RequestParam MultipartFile file, Model model, RedirectAttributes flash)
            throws IOException {
        if (file.getSize() > 4L * StrengthSetsCsv.MOST_CHARACTERS) {
            flash.addFlashAttribute("said", "File: " + file.getSize() + " bytes are too many for sets.");
            return "redirect:/a/" + visit.athleteId() + "/strength/sets";
        }
        return look(visit, new String(file.getBytes(), StandardCharsets.UTF_8), model, flash);
    }

    /** The answers to what was asked, with the file's text as it came. */
    @PostMapping("/names")
    String names(
            Visit visit,
            @RequestParam(defaultValue = "") String text,
            @RequestParam Map<String, String> fields,
            Model model,
            RedirectAttributes flash) {
        Map<String, String> meant = new LinkedHashMap<>();
        fields.forEach((name, value) -> {
            if (name.startsWith(MEANS) && !value.isBlank()) meant.put(name.substring(MEANS.length()), value);
        });
        try {
            imports.remember(visit.viewer(), meant);
        } catch (IllegalArgumentException e) {
            flash.addFlashAttribute("said", e.getMessage() + " Nothing was taken in.");
            return "redirect:/a/" + visit.athleteId() + "/strength/sets";
        }
        return look(visit, text, model, flash);
    }

    private String look(Visit visit, String text, Model model, RedirectAttributes flash) {
        String back = "redirect:/a/" + visit.athleteId() + "/strength/sets";
        SetsImport.Looked looked = imports.look(pages.athlete(visit), visit.viewer(), text);
        if (!looked.problems().isEmpty()) {
            flash.addFlashAttribute("said", "Nothing was taken in. " + words(looked.problems()));
            return back;
        }
        if (looked.unknown().isEmpty()) {
            try {
                SetsImport.Taken taken = imports.take(visit, text);
                flash.addFlashAttribute(
                        "good",
                        "Taken in: " + count(taken.sets(), "set") + " of " + count(taken.sessions(), "session")
                                + (taken.known() > 0 ? "; " + taken.known() + " were here already." : "."));
            } catch (IllegalArgumentException e) {
                flash.addFlashAttribute("said", e.getMessage());
            }
            return back;
        }
        pages.open(model, visit, "workouts");
        model.addAttribute("looked", looked);
        model.addAttribute("text", text);
        model.addAttribute("known", exercises.all(visit.viewer()));
        return "strength/names";
    }

    private static String count(int number, String thing) {
        return number + " " + thing + (number == 1 ? "" : "s");
    }

    private static String words(List<Problem> problems) {
        return String.join("; ", problems.stream().map(Problem::toString).toList()) + ".";
    }
}
