package pemblar.app.today;

import java.util.function.Supplier;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import pemblar.app.frame.Visit;
import pemblar.app.note.NoteService;
import pemblar.app.session.done.CostService;
import pemblar.app.session.done.DescriptionService;

/** What is said after a session without leaving today: how it felt, with what and on what, a sentence to the coach. */
@Controller
@RequestMapping("/a/{athleteId}/today/{sessionId}")
class AfterwardsController {
    private final CostService cost;
    private final DescriptionService descriptions;
    private final NoteService notes;

    AfterwardsController(CostService cost, DescriptionService descriptions, NoteService notes) {
        this.cost = cost;
        this.descriptions = descriptions;
        this.notes = notes;
    }

    @PostMapping("/effort")
    String effort(Visit visit, @PathVariable long sessionId, @RequestParam int effort, RedirectAttributes flash) {
        return said(visit.athleteId(), flash, () -> {
            cost.felt(visit, sessionId, effort);
            return "Noted: it felt like " + effort + " of 10.";
        });
    }

    record DescribeForm(
            @RequestParam(required = false) String kind,
            @RequestParam(required = false) String equipment,
            @RequestParam(required = false) String surface) {}

    @PostMapping("/describe")
    String describe(Visit visit, @PathVariable long sessionId, DescribeForm form, RedirectAttributes flash) {
        return said(visit.athleteId(), flash, () -> {
            DescriptionService.Words words =
                    new DescriptionService.Words(form.kind(), form.equipment(), form.surface(), null, null);
            descriptions.describe(visit, sessionId, words);
            return "Noted.";
        });
    }

    @PostMapping("/notes")
    String say(Visit visit, @PathVariable long sessionId, @RequestParam String body, RedirectAttributes flash) {
        return said(visit.athleteId(), flash, () -> {
            notes.write(visit, sessionId, null, body);
            return "Your note stands beside the session.";
        });
    }

    private static String said(long athleteId, RedirectAttributes flash, Supplier<String> change) {
        try {
            flash.addFlashAttribute("good", change.get());
        } catch (IllegalArgumentException e) {
            flash.addFlashAttribute("said", e.getMessage());
        }
        return "redirect:/a/" + athleteId + "/today";
    }
}
