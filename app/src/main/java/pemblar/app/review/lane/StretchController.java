package pemblar.app.review.lane;

import java.util.function.UnaryOperator;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import pemblar.app.frame.Visit;
import pemblar.app.frame.page.Typed;
import pemblar.app.review.Cuts;
import pemblar.app.review.ReviewPage;
import pemblar.app.session.done.DescriptionService;
import pemblar.app.session.reading.SessionService;
import pemblar.app.undo.UndoService;
import pemblar.core.matching.Stretches;

/** Cutting a session by hand. Every change answers with the steps and repetitions as they then are. */
@Controller
@RequestMapping("/a/{athleteId}/sessions/{id}/stretches")
class StretchController {
    private static final int MOST_SECONDS = 864_000;
    private final ReviewPage page;
    private final DescriptionService descriptions;
    private final UndoService undo;

    StretchController(ReviewPage page, DescriptionService descriptions, UndoService undo) {
        this.page = page;
        this.descriptions = descriptions;
        this.undo = undo;
    }

    record MoveForm(
            @RequestParam int index,
            @RequestParam int from,
            @RequestParam int to) {}

    @PostMapping("/move")
    String move(Visit visit, @PathVariable long id, MoveForm form, Model model) {
        return changed(visit, id, model, "Moved a boundary", cut -> cut.move(form.index(), form.from(), form.to()));
    }

    @PostMapping("/split")
    String split(Visit visit, @PathVariable long id, @RequestParam String at, Model model) {
        return changed(
                visit, id, model, "Split a stretch", cut -> cut.split(Typed.seconds("Split at", at, 1, MOST_SECONDS)));
    }

    @PostMapping("/join")
    String join(Visit visit, @PathVariable long id, @RequestParam int index, Model model) {
        return changed(visit, id, model, "Joined two stretches", cut -> cut.join(index));
    }

    record AddForm(
            @RequestParam int from,
            @RequestParam int to,
            @RequestParam(defaultValue = "-1") int step) {}

    @PostMapping("/add")
    String add(Visit visit, @PathVariable long id, AddForm form, Model model) {
        return changed(visit, id, model, "Added a stretch", cut -> cut.add(form.from(), form.to(), form.step()));
    }

    @PostMapping("/remove")
    String remove(Visit visit, @PathVariable long id, @RequestParam int index, Model model) {
        return changed(visit, id, model, "Took a stretch away", cut -> cut.remove(index));
    }

    record IgnoreForm(@RequestParam int index, @RequestParam boolean ignored) {}

    @PostMapping("/ignore")
    String ignore(Visit visit, @PathVariable long id, IgnoreForm form, Model model) {
        return changed(
                visit,
                id,
                model,
                form.ignored() ? "Left a stretch out" : "Took a stretch in again",
                cut -> cut.ignore(form.index(), form.ignored()));
    }

    record AssignForm(@RequestParam int index, @RequestParam int step) {}

    @PostMapping("/assign")
    String assign(Visit visit, @PathVariable long id, AssignForm form, Model model) {
        return changed(visit, id, model, "Gave a stretch another step", cut -> cut.assign(form.index(), form.step()));
    }

    /** Goes back to what laps or the pattern say. */
    @PostMapping("/reset")
    String reset(Visit visit, @PathVariable long id, Model model) {
        SessionService.Opened opened = page.recorded(visit, id);
        if (opened.described().stretches().isPresent())
            descriptions.cut(
                    visit, id, null, "Stretches of “" + opened.slab().title() + "” follow the recording again.");
        return answer(visit, id, model);
    }

    private String changed(Visit visit, long id, Model model, String label, UnaryOperator<Stretches> change) {
        SessionService.Opened opened = page.recorded(visit, id);
        try {
            Stretches after = change.apply(Cuts.of(opened).stretches());
            descriptions.cut(
                    visit,
                    id,
                    Cuts.stored(after, opened),
                    label + " of “" + opened.slab().title() + "”.");
        } catch (IllegalArgumentException e) {
            model.addAttribute("stretchProblem", e.getMessage());
        }
        return answer(visit, id, model);
    }

    private String answer(Visit visit, long id, Model model) {
        page.stretches(page.recorded(visit, id), model);
        model.addAttribute("undo", undo.latestChange(visit).orElse(null));
        return "review/stretches :: changed";
    }
}
