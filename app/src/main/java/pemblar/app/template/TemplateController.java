package pemblar.app.template;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import org.springframework.format.annotation.DateTimeFormat;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import pemblar.app.athlete.AthleteService;
import pemblar.app.athlete.Pages;
import pemblar.app.frame.Visit;
import pemblar.app.frame.page.OneLook;
import pemblar.app.frame.page.Units;
import pemblar.app.template.TemplateService.How;
import pemblar.app.workout.WorkoutService;

/** The page of templates. */
@Controller
@RequestMapping("/a/{athleteId}/templates")
class TemplateController {
    private final Pages pages;
    private final TemplateService templates;
    private final TemplateEditing editing;
    private final WorkoutService workouts;
    private final AthleteService athletes;

    TemplateController(
            Pages pages,
            TemplateService templates,
            TemplateEditing editing,
            WorkoutService workouts,
            AthleteService athletes) {
        this.editing = editing;
        this.workouts = workouts;
        this.pages = pages;
        this.templates = templates;
        this.athletes = athletes;
    }

    @OneLook
    @GetMapping
    String show(Visit visit, Model model) {
        Pages.Opened page = pages.open(model, visit, "board");
        model.addAttribute("templates", templates.own(visit.viewer()));
        model.addAttribute("lacking", editing.lacking(visit.viewer(), page.athlete(), page.today()));
        model.addAttribute("weekdays", Units.mine().weekdays());
        return "template/templates";
    }

    record MakeForm(
            @RequestParam @DateTimeFormat(iso = DateTimeFormat.ISO.DATE)
            LocalDate from,

            @RequestParam @DateTimeFormat(iso = DateTimeFormat.ISO.DATE)
            LocalDate to,

            @RequestParam String title) {}

    @PostMapping
    String make(Visit visit, MakeForm form, RedirectAttributes flash) {
        try {
            templates.make(visit, form.from(), form.to(), form.title());
            flash.addFlashAttribute(
                    "said", "Kept as the template “" + form.title().strip() + "”.");
        } catch (IllegalArgumentException e) {
            flash.addFlashAttribute("said", e.getMessage());
        }
        return "redirect:/a/" + visit.athleteId() + "/templates";
    }

    @OneLook
    @GetMapping("/{id}")
    String one(Visit visit, @PathVariable long id, Model model) {
        Pages.Opened page = pages.open(model, visit, "board");
        model.addAttribute("template", editing.opened(visit.viewer(), id, page.athlete(), page.today()));
        model.addAttribute("library", workouts.library(visit.viewer()));
        return "template/template";
    }

    @PostMapping("/{id}")
    String change(
            Visit visit,
            @PathVariable long id,
            @RequestParam Map<String, String> typed,
            @RequestParam(required = false) Set<Integer> out,
            RedirectAttributes flash) {
        athletes.require(visit);
        try {
            flash.addFlashAttribute("said", editing.change(visit.viewer(), id, typed, out == null ? Set.of() : out));
        } catch (IllegalArgumentException e) {
            flash.addFlashAttribute("problem", e.getMessage());
            flash.addFlashAttribute("typed", typed);
        }
        return "redirect:/a/" + visit.athleteId() + "/templates/" + id;
    }

    record PutForm(
            @RequestParam How how,

            @RequestParam @DateTimeFormat(iso = DateTimeFormat.ISO.DATE)
            LocalDate day,

            @RequestParam(required = false) List<DayOfWeek> weekdays) {}

    @PostMapping("/{id}/put")
    String put(Visit visit, @PathVariable long id, PutForm form, RedirectAttributes flash) {
        athletes.require(visit);
        Set<DayOfWeek> allowed = EnumSet.noneOf(DayOfWeek.class);
        if (form.weekdays() != null)
            form.weekdays().stream().filter(Objects::nonNull).forEach(allowed::add); // a blank is no form.day()
        try {
            templates.put(visit, id, form.how(), form.day(), allowed);
        } catch (IllegalArgumentException e) {
            flash.addFlashAttribute("said", "That does not go: " + e.getMessage() + ".");
            return "redirect:/a/" + visit.athleteId() + "/templates";
        }
        return "redirect:/a/" + visit.athleteId() + "/board"
                + (form.how() == How.ENDING ? "?to=" + form.day() : "?from=" + form.day());
    }

    @PostMapping("/{id}/delete")
    String delete(Visit visit, @PathVariable long id, RedirectAttributes flash) {
        athletes.require(visit);
        templates.delete(visit.viewer(), id);
        flash.addFlashAttribute("said", "The template was deleted; what was put on boards from it stays.");
        return "redirect:/a/" + visit.athleteId() + "/templates";
    }
}
