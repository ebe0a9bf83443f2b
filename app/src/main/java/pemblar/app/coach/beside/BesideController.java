package pemblar.app.coach.beside;

import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import pemblar.app.frame.NotFoundException;
import pemblar.app.frame.Viewer;

/** Athletes side by side: only those whom one may see, and without their names where others look on. */
@Controller
class BesideController {
    private final Beside beside;

    BesideController(Beside beside) {
        this.beside = beside;
    }

    record ShowForm(
            @RequestParam(required = false) List<Long> athlete,
            @RequestParam(defaultValue = "false") boolean hide) {}

    @GetMapping("/roster/beside")
    String show(ShowForm form, @RequestParam Map<String, String> typed, Viewer viewer, Model model) {
        List<Long> asked = form.athlete() == null
                ? List.of()
                : form.athlete().stream().filter(Objects::nonNull).distinct().toList();
        List<Beside.Choice> choices = beside.choices(viewer);
        if (asked.stream().anyMatch(id -> choices.stream().noneMatch(c -> c.id() == id)))
            throw new NotFoundException("athlete");
        model.addAttribute("viewer", viewer);
        model.addAttribute("choices", choices);
        model.addAttribute("asked", asked);
        model.addAttribute("hide", form.hide());
        if (asked.size() > Beside.MOST)
            model.addAttribute("said", "At most " + Beside.MOST + " athletes stand side by side; the first ones do.");
        List<Long> compared = asked.stream().limit(Beside.MOST).toList();
        model.addAttribute("table", beside.of(viewer, compared, form.hide()));
        if (compared.isEmpty()) return "coach/beside";
        model.addAttribute("curve", beside.curve(viewer, compared, form.hide()));
        try {
            model.addAttribute("stretches", beside.stretches(viewer, compared, form.hide(), typed));
        } catch (IllegalArgumentException e) {
            model.addAttribute("said", e.getMessage());
            model.addAttribute("stretches", beside.stretches(viewer, compared, form.hide(), Map.of()));
        }
        return "coach/beside";
    }
}
