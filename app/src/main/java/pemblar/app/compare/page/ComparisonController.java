package pemblar.app.compare.page;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import pemblar.app.athlete.Pages;
import pemblar.app.compare.ComparisonService;
import pemblar.app.compare.ComparisonStore.Held;
import pemblar.app.compare.Content;
import pemblar.app.compare.Content.Derivation;
import pemblar.app.compare.Content.Line;
import pemblar.app.compare.FigureUnits;
import pemblar.app.compare.Grouping;
import pemblar.app.frame.Visit;
import pemblar.app.session.reading.SessionService;
import pemblar.app.undo.UndoService;
import pemblar.core.comparison.Figure;
import pemblar.formats.csv.ChannelsCsv;

/** Comparisons: their list, one of them, and all that can be changed in it. */
@Controller
@RequestMapping("/a/{athleteId}/compare")
class ComparisonController {
    private final Pages pages;
    private final ComparisonService comparisons;
    private final Overlay overlay;
    private final SessionService sessions;
    private final UndoService undo;

    ComparisonController(
            Pages pages, ComparisonService comparisons, Overlay overlay, SessionService sessions, UndoService undo) {
        this.pages = pages;
        this.comparisons = comparisons;
        this.overlay = overlay;
        this.sessions = sessions;
        this.undo = undo;
    }

    @GetMapping
    String list(Visit visit, Model model) {
        pages.open(model, visit, "sessions");
        model.addAttribute("comparisons", comparisons.all(visit));
        return "compare/list";
    }

    record ChooseForm(
            @RequestParam long session,
            @RequestParam(required = false) Integer from,
            @RequestParam(required = false) Integer to) {}

    /** Where a session's repetitions, or a stretch of it, go. */
    @GetMapping("/add")
    String choose(Visit visit, ChooseForm form, Model model) {
        pages.open(model, visit, "sessions");
        model.addAttribute("slab", sessions.slab(visit, form.session()));
        model.addAttribute("from", form.from());
        model.addAttribute("to", form.to());
        model.addAttribute("comparisons", comparisons.all(visit));
        return "compare/add";
    }

    record AddForm(
            @RequestParam long session,
            @RequestParam(required = false) Integer from,
            @RequestParam(required = false) Integer to,
            @RequestParam(required = false) Long comparison,
            @RequestParam(defaultValue = "") String name,
            @RequestParam String group) {}

    @PostMapping("/add")
    String add(Visit visit, AddForm form, RedirectAttributes flash) {
        try {
            return "redirect:/a/" + visit.athleteId() + "/compare/"
                    + comparisons.add(
                            visit,
                            new ComparisonService.Where(form.comparison(), form.name(), form.group()),
                            new ComparisonService.Part(form.session(), form.from(), form.to()));
        } catch (IllegalArgumentException e) {
            flash.addFlashAttribute("said", e.getMessage());
            flash.addFlashAttribute("typedName", form.name());
            flash.addFlashAttribute("typedGroup", form.group());
            return "redirect:/a/" + visit.athleteId() + "/compare/add?session=" + form.session()
                    + (form.from() == null ? "" : "&from=" + form.from())
                    + (form.to() == null ? "" : "&to=" + form.to());
        }
    }

    @PostMapping("/workout")
    String overMonths(Visit visit, @RequestParam long session, RedirectAttributes flash) {
        try {
            return "redirect:/a/" + visit.athleteId() + "/compare/" + comparisons.overMonths(visit, session);
        } catch (IllegalArgumentException e) {
            flash.addFlashAttribute("said", e.getMessage());
            return "redirect:/a/" + visit.athleteId() + "/sessions/" + session;
        }
    }

    record ComparisonForm(
            @RequestParam(defaultValue = "") String sort,
            @RequestParam(defaultValue = "false") boolean falling) {}

    @GetMapping("/{id}")
    String comparison(Visit visit, @PathVariable long id, ComparisonForm form, Model model) {
        pages.open(model, visit, "sessions");
        Held held = comparisons.open(visit, id);
        int cut = ComparisonService.cutTo(held.content());
        model.addAttribute("held", held);
        model.addAttribute(
                "view",
                ComparisonView.of(
                        held.content(),
                        new ComparisonView.Cut(ComparisonService.cut(held.content()), cut),
                        form.sort(),
                        form.falling()));
        model.addAttribute("figures", Figure.values());
        model.addAttribute("groupings", Grouping.values());
        model.addAttribute("sort", form.sort());
        model.addAttribute("falling", form.falling());
        model.addAttribute("sorted", form.falling() ? "descending" : "ascending");
        return "compare/comparison";
    }

    /** The repetitions over one another; fetched on request, as it reads the recordings. */
    @GetMapping("/{id}/overlay")
    String overlay(Visit visit, @PathVariable long id, Model model) {
        Held held = comparisons.open(visit, id);
        model.addAttribute("overlay", overlay.of(visit, held.content()));
        return "compare/comparison :: overlay";
    }

    record LineForm(
            @RequestParam int line,
            @RequestParam String what,
            @RequestParam(defaultValue = "") String group,
            @RequestParam(defaultValue = "") String column,
            @RequestParam(defaultValue = "") String value) {}

    /** @param what hide, show, remove, group or enter */
    @PostMapping("/{id}/line")
    String line(Visit visit, @PathVariable long id, LineForm form, RedirectAttributes flash) {
        return changed(
                visit.athleteId(),
                id,
                flash,
                () -> comparisons.change(visit, id, "Changed a comparison.", content -> switch (form.what()) {
                    case "hide" -> content.change(form.line(), l -> l.shown(false));
                    case "show" -> content.change(form.line(), l -> l.shown(true));
                    case "remove" -> content.remove(form.line());
                    case "group" -> content.change(form.line(), l -> l.in(Content.group(form.group())));
                    case "enter" -> enter(content, form.line(), form.column(), form.value());
                    default -> throw new IllegalArgumentException("This cannot be done with a repetition.");
                }));
    }

    /** Groups by what the sessions are described with, or by date. */
    @PostMapping("/{id}/group")
    String group(Visit visit, @PathVariable long id, @RequestParam Grouping by, RedirectAttributes flash) {
        return changed(visit.athleteId(), id, flash, () -> comparisons.group(visit, id, by));
    }

    private static Content enter(Content content, int line, String column, String value) {
        Figure figure = Figure.named(column).orElseThrow(() -> new IllegalArgumentException("Choose a quantity."));
        Double kept = value.isBlank() ? null : (Double) FigureUnits.kept(figure, value);
        return content.change(line, l -> l.with(figure.name(), kept));
    }

    @PostMapping("/{id}/columns")
    String columns(
            Visit visit,
            @PathVariable long id,
            @RequestParam(required = false) List<String> column,
            RedirectAttributes flash) {
        return changed(
                visit.athleteId(),
                id,
                flash,
                () -> comparisons.change(
                        visit,
                        id,
                        "Chose other columns.",
                        content -> content.columns(column == null ? List.of() : column)));
    }

    record AxesForm(@RequestParam String x, @RequestParam String y) {}

    @PostMapping("/{id}/axes")
    String axes(Visit visit, @PathVariable long id, AxesForm form, RedirectAttributes flash) {
        return changed(
                visit.athleteId(),
                id,
                flash,
                () -> comparisons.change(visit, id, "Chose other axes.", content -> content.axes(form.x(), form.y())));
    }

    record DeriveForm(
            @RequestParam String name,
            @RequestParam String left,
            @RequestParam pemblar.core.recording.Derived.Operation operation,
            @RequestParam String right) {}

    @PostMapping("/{id}/derive")
    String derive(Visit visit, @PathVariable long id, DeriveForm form, RedirectAttributes flash) {
        return changed(
                visit.athleteId(),
                id,
                flash,
                () -> comparisons.change(
                        visit,
                        id,
                        "Derived a column.",
                        content -> content.derive(new Derivation(
                                form.name(), form.left(), form.operation().name(), form.right()))));
    }

    @PostMapping("/{id}/drop-derived")
    String dropDerived(Visit visit, @PathVariable long id, @RequestParam String name, RedirectAttributes flash) {
        return changed(
                visit.athleteId(),
                id,
                flash,
                () -> comparisons.change(visit, id, "Dropped a column.", content -> content.dropDerived(name)));
    }

    @PostMapping("/{id}/drop")
    String drop(Visit visit, @PathVariable long id) {
        comparisons.drop(visit, id);
        return "redirect:/a/" + visit.athleteId() + "/compare";
    }

    /** @param id of the comparison to go back to; -1 for the list */
    @PostMapping("/{id}/undo")
    String undo(Visit visit, @PathVariable long id, RedirectAttributes flash) {
        flash.addFlashAttribute("good", undo.undo(visit).orElse("There is nothing to take back."));
        return "redirect:/a/" + visit.athleteId() + "/compare" + (id < 0 ? "" : "/" + id);
    }

    private static String changed(long athleteId, long id, RedirectAttributes flash, Runnable change) {
        try {
            change.run();
        } catch (IllegalArgumentException e) {
            flash.addFlashAttribute("said", e.getMessage());
        }
        return "redirect:/a/" + athleteId + "/compare/" + id;
    }

    @GetMapping("/{id}/comparison.csv")
    ResponseEntity<String> csv(Visit visit, @PathVariable long id) {
        Held held = comparisons.open(visit, id);
        Content content = held.content();
        List<String> header = new ArrayList<>(List.of("repetition", "day", "group", "hidden", "surface"));
        for (String key : content.columns()) {
            ComparisonView.Column column = ComparisonView.column(content, key);
            header.add(column.name() + " [" + column.unit() + "]");
        }
        header.add("entered_by_hand");
        List<List<Object>> rows = new ArrayList<>();
        for (Line line : content.lines()) {
            List<Object> row =
                    new ArrayList<>(List.of(line.label(), line.day(), line.group(), line.hidden(), line.surface()));
            for (String key : content.columns()) row.add(content.value(line, key));
            row.add(String.join(
                    " ",
                    line.entered().keySet().stream()
                            .map(k -> k.toLowerCase(Locale.ROOT))
                            .sorted()
                            .toList()));
            rows.add(row);
        }
        return ResponseEntity.ok()
                .contentType(new MediaType("text", "csv", StandardCharsets.UTF_8))
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename(held.name() + ".csv", StandardCharsets.UTF_8)
                                .build()
                                .toString())
                .body(ChannelsCsv.table(header, rows));
    }
}
