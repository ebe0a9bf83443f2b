package pemblar.app.compare.page;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
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
import pemblar.app.frame.Viewer;
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
    String list(
            @PathVariable long athleteId, @AuthenticationPrincipal(expression = "viewer") Viewer viewer, Model model) {
        pages.open(model, athleteId, viewer, "sessions", null, null);
        model.addAttribute("comparisons", comparisons.all(athleteId, viewer));
        return "compare/list";
    }

    /** Where a session's repetitions, or a stretch of it, go. */
    @GetMapping("/add")
    String choose(
            @PathVariable long athleteId,
            @RequestParam long session,
            @RequestParam(required = false) Integer from,
            @RequestParam(required = false) Integer to,
            @AuthenticationPrincipal(expression = "viewer") Viewer viewer,
            Model model) {
        pages.open(model, athleteId, viewer, "sessions", null, null);
        model.addAttribute("slab", sessions.slab(athleteId, viewer, session));
        model.addAttribute("from", from);
        model.addAttribute("to", to);
        model.addAttribute("comparisons", comparisons.all(athleteId, viewer));
        return "compare/add";
    }

    @PostMapping("/add")
    String add(
            @PathVariable long athleteId,
            @RequestParam long session,
            @RequestParam(required = false) Integer from,
            @RequestParam(required = false) Integer to,
            @RequestParam(required = false) Long comparison,
            @RequestParam(defaultValue = "") String name,
            @RequestParam String group,
            @AuthenticationPrincipal(expression = "viewer") Viewer viewer,
            RedirectAttributes flash) {
        try {
            return "redirect:/a/" + athleteId + "/compare/"
                    + comparisons.add(athleteId, viewer, comparison, name, group, session, from, to);
        } catch (IllegalArgumentException e) {
            flash.addFlashAttribute("said", e.getMessage());
            flash.addFlashAttribute("typedName", name);
            flash.addFlashAttribute("typedGroup", group);
            return "redirect:/a/" + athleteId + "/compare/add?session=" + session
                    + (from == null ? "" : "&from=" + from) + (to == null ? "" : "&to=" + to);
        }
    }

    @PostMapping("/workout")
    String overMonths(
            @PathVariable long athleteId,
            @RequestParam long session,
            @AuthenticationPrincipal(expression = "viewer") Viewer viewer,
            RedirectAttributes flash) {
        try {
            return "redirect:/a/" + athleteId + "/compare/" + comparisons.overMonths(athleteId, viewer, session);
        } catch (IllegalArgumentException e) {
            flash.addFlashAttribute("said", e.getMessage());
            return "redirect:/a/" + athleteId + "/sessions/" + session;
        }
    }

    @GetMapping("/{id}")
    String comparison(
            @PathVariable long athleteId,
            @PathVariable long id,
            @RequestParam(defaultValue = "") String sort,
            @RequestParam(defaultValue = "false") boolean falling,
            @AuthenticationPrincipal(expression = "viewer") Viewer viewer,
            Model model) {
        pages.open(model, athleteId, viewer, "sessions", null, null);
        Held held = comparisons.open(athleteId, viewer, id);
        int cut = ComparisonService.cutTo(held.content());
        model.addAttribute("held", held);
        model.addAttribute(
                "view", ComparisonView.of(held.content(), ComparisonService.cut(held.content()), cut, sort, falling));
        model.addAttribute("figures", Figure.values());
        model.addAttribute("groupings", Grouping.values());
        model.addAttribute("sort", sort);
        model.addAttribute("falling", falling);
        return "compare/comparison";
    }

    /** The repetitions over one another; fetched on request, as it reads the recordings. */
    @GetMapping("/{id}/overlay")
    String overlay(
            @PathVariable long athleteId,
            @PathVariable long id,
            @AuthenticationPrincipal(expression = "viewer") Viewer viewer,
            Model model) {
        Held held = comparisons.open(athleteId, viewer, id);
        model.addAttribute("overlay", overlay.of(athleteId, viewer, held.content()));
        return "compare/comparison :: overlay";
    }

    /** @param what hide, show, remove, group or enter */
    @PostMapping("/{id}/line")
    String line(
            @PathVariable long athleteId,
            @PathVariable long id,
            @RequestParam int line,
            @RequestParam String what,
            @RequestParam(defaultValue = "") String group,
            @RequestParam(defaultValue = "") String column,
            @RequestParam(defaultValue = "") String value,
            @AuthenticationPrincipal(expression = "viewer") Viewer viewer,
            RedirectAttributes flash) {
        return changed(
                athleteId,
                id,
                flash,
                () -> comparisons.change(athleteId, viewer, id, "Changed a comparison.", content -> switch (what) {
                    case "hide" -> content.change(line, l -> l.shown(false));
                    case "show" -> content.change(line, l -> l.shown(true));
                    case "remove" -> content.remove(line);
                    case "group" -> content.change(line, l -> l.in(Content.group(group)));
                    case "enter" -> enter(content, line, column, value);
                    default -> throw new IllegalArgumentException("This cannot be done with a repetition.");
                }));
    }

    /** Groups by what the sessions are described with, or by date. */
    @PostMapping("/{id}/group")
    String group(
            @PathVariable long athleteId,
            @PathVariable long id,
            @RequestParam Grouping by,
            @AuthenticationPrincipal(expression = "viewer") Viewer viewer,
            RedirectAttributes flash) {
        return changed(athleteId, id, flash, () -> comparisons.group(athleteId, viewer, id, by));
    }

    private static Content enter(Content content, int line, String column, String value) {
        Figure figure = Figure.named(column).orElseThrow(() -> new IllegalArgumentException("Choose a quantity."));
        Double kept = value.isBlank() ? null : (Double) FigureUnits.kept(figure, value);
        return content.change(line, l -> l.with(figure.name(), kept));
    }

    @PostMapping("/{id}/columns")
    String columns(
            @PathVariable long athleteId,
            @PathVariable long id,
            @RequestParam(required = false) List<String> column,
            @AuthenticationPrincipal(expression = "viewer") Viewer viewer,
            RedirectAttributes flash) {
        return changed(
                athleteId,
                id,
                flash,
                () -> comparisons.change(
                        athleteId,
                        viewer,
                        id,
                        "Chose other columns.",
                        content -> content.columns(column == null ? List.of() : column)));
    }

    @PostMapping("/{id}/axes")
    String axes(
            @PathVariable long athleteId,
            @PathVariable long id,
            @RequestParam String x,
            @RequestParam String y,
            @AuthenticationPrincipal(expression = "viewer") Viewer viewer,
            RedirectAttributes flash) {
        return changed(
                athleteId,
                id,
                flash,
                () -> comparisons.change(athleteId, viewer, id, "Chose other axes.", content -> content.axes(x, y)));
    }

    @PostMapping("/{id}/derive")
    String derive(
            @PathVariable long athleteId,
            @PathVariable long id,
            @RequestParam String name,
            @RequestParam String left,
            @RequestParam pemblar.core.recording.Derived.Operation operation,
            @RequestParam String right,
            @AuthenticationPrincipal(expression = "viewer") Viewer viewer,
            RedirectAttributes flash) {
        return changed(
                athleteId,
                id,
                flash,
                () -> comparisons.change(
                        athleteId,
                        viewer,
                        id,
                        "Derived a column.",
                        content -> content.derive(new Derivation(name, left, operation.name(), right))));
    }

    @PostMapping("/{id}/drop-derived")
    String dropDerived(
            @PathVariable long athleteId,
            @PathVariable long id,
            @RequestParam String name,
            @AuthenticationPrincipal(expression = "viewer") Viewer viewer,
            RedirectAttributes flash) {
        return changed(
                athleteId,
                id,
                flash,
                () -> comparisons.change(
                        athleteId, viewer, id, "Dropped a column.", content -> content.dropDerived(name)));
    }

    @PostMapping("/{id}/drop")
    String drop(
            @PathVariable long athleteId,
            @PathVariable long id,
            @AuthenticationPrincipal(expression = "viewer") Viewer viewer) {
        comparisons.drop(athleteId, viewer, id);
        return "redirect:/a/" + athleteId + "/compare";
    }

    /** @param id of the comparison to go back to; -1 for the list */
    @PostMapping("/{id}/undo")
    String undo(
            @PathVariable long athleteId,
            @PathVariable long id,
            @AuthenticationPrincipal(expression = "viewer") Viewer viewer,
            RedirectAttributes flash) {
        flash.addFlashAttribute("good", undo.undo(athleteId, viewer).orElse("There is nothing to take back."));
        return "redirect:/a/" + athleteId + "/compare" + (id < 0 ? "" : "/" + id);
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
    ResponseEntity<String> csv(
            @PathVariable long athleteId,
            @PathVariable long id,
            @AuthenticationPrincipal(expression = "viewer") Viewer viewer) {
        Held held = comparisons.open(athleteId, viewer, id);
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
