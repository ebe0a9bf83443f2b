package pemblar.app.review.lane;

import java.util.List;
import java.util.function.Predicate;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import pemblar.app.frame.Visit;
import pemblar.app.recording.mend.Corrections.Wanted;
import pemblar.app.review.ReviewPage;
import pemblar.app.session.done.MendingService;
import pemblar.core.mending.Edit;
import pemblar.core.mending.Proposal;

/** What is probably wrong in a recording: a person mends it, or says that it is right. */
@Controller
@RequestMapping("/a/{athleteId}/sessions/{id}/mend")
class DoubtedController {
    private static final String RIGHT = "right";
    private final ReviewPage page;
    private final MendingService mending;

    DoubtedController(ReviewPage page, MendingService mending) {
        this.page = page;
        this.mending = mending;
    }

    /** @param from second of one; without it all of the kind @param then {@code right} where nothing is to be mended */
    record AcceptForm(
            @RequestParam Proposal.Kind kind,
            @RequestParam(required = false) Integer from,
            @RequestParam(defaultValue = "") String then) {}

    /** Answers proposals of a kind, in the session. */
    @PostMapping("/accept")
    String accept(Visit visit, @PathVariable long id, AcceptForm form, RedirectAttributes flash) {
        Predicate<Proposal> which =
                p -> p.kind() == form.kind() && (form.from() == null || p.edit().from() == form.from());
        List<Proposal> found = found(visit, id, which);
        return LanesController.said(visit.athleteId(), id, flash, () -> answer(new At(visit, id), found, form.then()));
    }

    /** @param here where to go back to @param then {@code right} where nothing is to be mended */
    record AllForm(
            @RequestParam(defaultValue = "") String here,
            @RequestParam(defaultValue = "") String then) {}

    /** Answers all proposals in one click, from a page that rests on the recording. */
    @PostMapping("/all")
    String acceptAll(Visit visit, @PathVariable long id, AllForm form, RedirectAttributes flash) {
        List<Proposal> found = found(visit, id, p -> true);
        String back = LanesController.said(visit.athleteId(), id, flash, () -> {
            answer(new At(visit, id), found, form.then());
            flash.addFlashAttribute("good", done(found, form.then()));
        });
        String mine = "redirect:/a/" + visit.athleteId();
        return switch (form.here()) {
            case "today", "proposals", "progress", "thresholds", "sessions" -> mine + "/" + form.here();
            case "curve", "evidence", "profile" -> mine + "/thresholds/" + form.here();
            case "fitness" -> mine + "/progress/fitness";
            case "first-look" -> mine + "/first-look";
            case "morning" -> "redirect:/roster";
            default -> back;
        };
    }

    private List<Proposal> found(Visit visit, long id, Predicate<Proposal> which) {
        return mending.sheet(page.recorded(visit, id)).proposals().stream()
                .filter(which)
                .toList();
    }

    private record At(Visit visit, long id) {}

    private void answer(At at, List<Proposal> found, String then) {
        if (found.isEmpty()) throw new IllegalArgumentException("This was mended or found right already.");
        boolean right = then.equals(RIGHT);
        List<Wanted> wanted = found.stream()
                .filter(p -> !right || p.canBeRight())
                .map(p -> right ? kept(p) : mended(p))
                .toList();
        if (wanted.isEmpty())
            throw new IllegalArgumentException("Nobody can reach this, so it cannot be right. Mend it instead.");
        mending.mend(at.visit(), at.id(), wanted);
    }

    private static String done(List<Proposal> found, String then) {
        if (!then.equals(RIGHT)) return "Mended. The original stays; it can be taken back in the session.";
        return "It counts as it was recorded; that can be taken back in the session."
                + (found.stream().allMatch(Proposal::canBeRight)
                        ? ""
                        : " What nobody can reach is still to be mended.");
    }

    private static Wanted kept(Proposal p) {
        Edit.Keep keep = p.keep();
        return new Wanted("KEEP", keep.channel(), keep.from(), keep.to(), "", null, 0);
    }

    private static Wanted mended(Proposal p) {
        Edit edit = p.edit();
        String reason = MendingSheet.reason(p);
        if (edit instanceof Edit.Hide hide)
            return new Wanted("HIDE", hide.channel(), hide.from(), hide.to(), reason, null, 0);
        if (edit instanceof Edit.Bridge bridge)
            return new Wanted("BRIDGE", bridge.channel(), bridge.from(), bridge.to(), reason, null, 0);
        return new Wanted("TRIM", "", edit.from(), edit.to(), reason, null, 0);
    }
}
