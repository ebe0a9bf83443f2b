package pemblar.app.evidence.page;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.format.annotation.DateTimeFormat;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.Pages;
import pemblar.app.frame.Visit;
import pemblar.app.frame.page.Shown;
import pemblar.app.session.reading.AdoptionPreview;
import pemblar.app.threshold.Amounts;
import pemblar.app.threshold.ThresholdService;
import pemblar.core.threshold.DatedValues;
import pemblar.core.threshold.DatedValues.Dated;
import pemblar.core.threshold.Quantity;

/** Makes values hold from a day on: first what that would change, then the change. */
@Controller
@RequestMapping("/a/{athleteId}/thresholds/adopt")
class AdoptController {
    private final Pages pages;
    private final ThresholdService thresholds;
    private final AdoptionPreview preview;
    private final Shown shown;

    AdoptController(Pages pages, ThresholdService thresholds, AdoptionPreview preview, Shown shown) {
        this.pages = pages;
        this.thresholds = thresholds;
        this.preview = preview;
        this.shown = shown;
    }

    /** A value to adopt, as typed, beside what holds on that day. */
    public record Field(Quantity quantity, String label, String unit, String typed, String before, String problem) {}

    @GetMapping
    String preview(
            Visit visit,
            @RequestParam Map<String, String> asked,
            @RequestParam(required = false) @DateTimeFormat(iso = DateTimeFormat.ISO.DATE) LocalDate from,
            Model model) {
        Pages.Opened page = pages.open(model, visit, "thresholds");
        fill(page.athlete(), asked, from == null ? page.today() : from, model);
        return "evidence/adopt";
    }

    private Map<Quantity, Double> fill(Athlete athlete, Map<String, String> asked, LocalDate from, Model model) {
        DatedValues values = thresholds.of(athlete);
        Map<Quantity, Double> adopted = new EnumMap<>(Quantity.class);
        List<Field> fields = new ArrayList<>();
        for (Quantity quantity : Quantity.values()) {
            String typed = asked.get(quantity.name());
            if (typed == null) continue;
            Optional<String> problem = read(quantity, typed, adopted);
            fields.add(new Field(
                    quantity,
                    Amounts.label(quantity),
                    Amounts.unit(quantity),
                    typed,
                    values.latest(quantity, from)
                            .map(d -> Amounts.shown(quantity, d.value()))
                            .orElse("not set"),
                    problem.orElse(null)));
        }
        boolean sound = fields.stream().allMatch(f -> f.problem() == null) && !fields.isEmpty();
        model.addAttribute("fields", fields);
        model.addAttribute("from", from);
        if (sound) {
            List<Dated> dated = adopted.entrySet().stream()
                    .map(e -> new Dated(e.getKey(), from, e.getValue()))
                    .toList();
            model.addAttribute("effect", preview.of(athlete, from, dated));
            DatedValues.Span span = values.with(dated).spanOf(dated.get(0).quantity(), from);
            model.addAttribute("until", span.until().map(d -> d.minusDays(1)).orElse(null));
            model.addAttribute("first", span.from().getYear() == 1);
        }
        return sound ? adopted : Map.of();
    }

    private static Optional<String> read(Quantity quantity, String typed, Map<Quantity, Double> into) {
        try {
            into.put(quantity, new Dated(quantity, LocalDate.EPOCH, Amounts.parsed(quantity, typed)).value());
            return Optional.empty();
        } catch (IllegalArgumentException e) {
            return Optional.of(Amounts.problem(quantity, typed, e));
        }
    }

    @PostMapping
    String adopt(
            Visit visit,
            @RequestParam Map<String, String> asked,
            @RequestParam @DateTimeFormat(iso = DateTimeFormat.ISO.DATE) LocalDate from,
            Model model,
            RedirectAttributes flash) {
        Pages.Opened page = pages.open(model, visit, "thresholds");
        Map<Quantity, Double> adopted = fill(page.athlete(), asked, from, model);
        AdoptionPreview.Effect effect = (AdoptionPreview.Effect) model.getAttribute("effect");
        boolean asks = asked.containsKey("ask") && effect != null && !effect.isNothing();
        if (adopted.isEmpty() || asks) return "evidence/adopt";
        String label = adopted.entrySet().stream()
                        .map(e -> e.getKey().label() + " is now " + Amounts.withUnit(e.getKey(), e.getValue()))
                        .collect(Collectors.joining(", "))
                + " from " + shown.date(from) + ".";
        String sentence = Character.toUpperCase(label.charAt(0)) + label.substring(1);
        try {
            thresholds.adopt(visit, from, adopted, sentence);
        } catch (IllegalArgumentException e) {
            model.addAttribute("said", e.getMessage());
            return "evidence/adopt";
        }
        flash.addFlashAttribute("said", sentence + " " + consequence(effect));
        flash.addFlashAttribute("changed", true);
        return "redirect:/a/" + visit.athleteId() + "/thresholds";
    }

    private static String consequence(AdoptionPreview.Effect effect) {
        int sessions = effect.recomputed();
        int planned = effect.plannedCount();
        String first = sessions == 0
                ? "No session changes"
                : sessions == 1 ? "1 session is recomputed" : sessions + " sessions are recomputed";
        return first + "; "
                + (planned == 0
                        ? "no planned workout changes."
                        : planned == 1
                                ? "1 planned workout has new targets."
                                : planned + " planned workouts have new targets.");
    }

    @PostMapping("/undo")
    String undo(Visit visit, RedirectAttributes flash) {
        flash.addFlashAttribute("said", thresholds.undo(visit).orElse("There is nothing to take back."));
        flash.addFlashAttribute("changed", true);
        return "redirect:/a/" + visit.athleteId() + "/thresholds";
    }
}
