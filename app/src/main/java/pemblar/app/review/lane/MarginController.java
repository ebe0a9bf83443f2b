package pemblar.app.review.lane;

import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import pemblar.app.frame.Visit;
import pemblar.app.frame.page.Typed;
import pemblar.app.note.About;
import pemblar.app.note.NoteService;
import pemblar.app.recording.LoadChoices;
import pemblar.app.recording.mend.Corrections.Wanted;
import pemblar.app.review.ReviewPage;
import pemblar.app.review.list.NotesController;
import pemblar.app.session.change.DeletionService;
import pemblar.app.session.done.CostService;
import pemblar.app.session.done.DescriptionService;
import pemblar.app.session.done.DescriptionService.Words;
import pemblar.app.session.done.MendingService;
import pemblar.app.session.reading.SessionService;
import pemblar.app.undo.UndoService;
import pemblar.core.load.SessionLoad.Source;

/**
 * What a person says of a session and mends in it. Every change goes back to the session, with what was refused said
 * there.
 */
@Controller
@RequestMapping("/a/{athleteId}/sessions/{id}")
class MarginController {
    private final ReviewPage page;
    private final MendingService mending;
    private final CostService cost;
    private final DescriptionService descriptions;
    private final DeletionService deletion;
    private final NoteService notes;
    private final UndoService undo;

    MarginController(
            ReviewPage page,
            MendingService mending,
            CostService cost,
            DescriptionService descriptions,
            DeletionService deletion,
            NoteService notes,
            UndoService undo) {
        this.page = page;
        this.mending = mending;
        this.cost = cost;
        this.descriptions = descriptions;
        this.deletion = deletion;
        this.notes = notes;
        this.undo = undo;
    }

    record MendForm(
            @RequestParam String what,
            @RequestParam(defaultValue = "") String channel,
            @RequestParam(required = false) Integer from,
            @RequestParam(required = false) Integer to,
            @RequestParam(defaultValue = "") String reason,
            @RequestParam(required = false) Long other,
            @RequestParam(defaultValue = "0") String shift) {}

    /** A correction by hand. @param from second of the recording as it is shown; without both the whole recording */
    @PostMapping("/mend")
    String mend(Visit visit, @PathVariable long id, MendForm form, RedirectAttributes flash) {
        SessionService.Opened opened = page.recorded(visit, id);
        return LanesController.said(visit.athleteId(), id, flash, () -> {
            int begin = form.from() == null ? 0 : form.from() + opened.trimmed();
            int end = form.to() == null ? opened.originalSeconds() : form.to() + opened.trimmed();
            mending.mend(
                    visit,
                    id,
                    List.of(new Wanted(
                            form.what(),
                            form.channel(),
                            begin,
                            end,
                            form.reason(),
                            form.other(),
                            Typed.number("Clock", form.shift(), -86_400, 86_400))));
        });
    }

    @PostMapping("/mend/{editId}/take-back")
    String takeBack(Visit visit, @PathVariable long id, @PathVariable long editId, RedirectAttributes flash) {
        return LanesController.said(visit.athleteId(), id, flash, () -> mending.takeBack(visit, id, editId));
    }

    record LoadForm(
            @RequestParam(defaultValue = "") String source,
            @RequestParam(defaultValue = "") String points,
            @RequestParam(defaultValue = "") String reason,
            @RequestParam(defaultValue = "") String effort) {}

    /** @param points typed load; counts only when the source is SET */
    @PostMapping("/load")
    String load(Visit visit, @PathVariable long id, LoadForm form, RedirectAttributes flash) {
        try {
            cost.choose(
                    visit,
                    id,
                    new LoadChoices.Wanted(
                            form.source().isBlank() ? null : Typed.choice("Load", Source.class, form.source()),
                            form.points().isBlank() ? null : (Double) Typed.number("Load", form.points(), 0, 2000),
                            form.reason(),
                            form.effort().isBlank() ? null : (Double) Typed.number("Effort", form.effort(), 0, 10)));
        } catch (IllegalArgumentException e) {
            flash.addFlashAttribute("said", e.getMessage());
            flash.addFlashAttribute(
                    "typedLoad",
                    Map.of(
                            "source",
                            form.source(),
                            "points",
                            form.points(),
                            "reason",
                            form.reason(),
                            "effort",
                            form.effort()));
        }
        return "redirect:/a/" + visit.athleteId() + "/sessions/" + id;
    }

    record DescribeForm(
            @RequestParam(required = false) String kind,
            @RequestParam(required = false) String equipment,
            @RequestParam(required = false) String surface,
            @RequestParam(required = false) String weather,
            @RequestParam(required = false) String tags) {}

    @PostMapping("/describe")
    String describe(Visit visit, @PathVariable long id, DescribeForm form, RedirectAttributes flash) {
        return LanesController.said(
                visit.athleteId(),
                id,
                flash,
                () -> descriptions.describe(
                        visit,
                        id,
                        new Words(form.kind(), form.equipment(), form.surface(), form.weather(), form.tags())));
    }

    record VerdictForm(
            @RequestParam String words,
            @RequestParam(defaultValue = "keep") String then) {}

    /** Keeps the verdict in a person's words, or sends them as a note. */
    @PostMapping("/verdict")
    String verdict(Visit visit, @PathVariable long id, VerdictForm form, RedirectAttributes flash) {
        return LanesController.said(visit.athleteId(), id, flash, () -> {
            if (form.then().equals("send")) notes.write(visit, id, null, form.words());
            else descriptions.judge(visit, id, form.then().equals("computed") ? "" : form.words());
        });
    }

    record NoteForm(
            @RequestParam String body,
            @RequestParam(required = false) Integer second,
            @RequestParam(required = false) String part,
            @RequestParam(required = false) MultipartFile file) {}

    /** @param second of the recording as it is shown */
    @PostMapping("/notes")
    String note(Visit visit, @PathVariable long id, NoteForm form, RedirectAttributes flash) {
        Integer stored = form.second() == null
                ? null
                : Integer.valueOf(form.second() + page.recorded(visit, id).trimmed());
        About about = new About.OfSession(id, stored, form.part());
        return LanesController.said(
                visit.athleteId(),
                id,
                flash,
                () -> notes.write(visit, about, form.body(), NotesController.given(form.file())));
    }

    @PostMapping("/notes/{noteId}/take-away")
    String takeAway(Visit visit, @PathVariable long id, @PathVariable long noteId) {
        notes.takeAway(visit, noteId);
        return "redirect:/a/" + visit.athleteId() + "/sessions/" + id;
    }

    @PostMapping("/delete")
    String delete(Visit visit, @PathVariable long id) {
        deletion.delete(visit, List.of(id));
        return "redirect:/a/" + visit.athleteId() + "/sessions";
    }

    @PostMapping("/undo")
    String undo(Visit visit, @PathVariable long id, RedirectAttributes flash) {
        flash.addFlashAttribute("good", undo.undo(visit).orElse("There is nothing to take back."));
        return "redirect:/a/" + visit.athleteId() + "/sessions/" + id;
    }
}
