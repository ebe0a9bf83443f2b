package pemblar.app.plan;

import jakarta.servlet.http.HttpServletRequest;
import java.time.LocalDate;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import pemblar.app.frame.Viewer;
import pemblar.app.session.change.SharingService;

/** A coach shares what is a draft, or calls it back. */
@Controller
@RequestMapping("/a/{athleteId}")
class SharingController {
    private final BoardPage page;
    private final SharingService sharing;

    SharingController(BoardPage page, SharingService sharing) {
        this.page = page;
        this.sharing = sharing;
    }

    @PostMapping("/share")
    String upTo(
            @PathVariable long athleteId,
            @RequestParam LocalDate until,
            HttpServletRequest request,
            @AuthenticationPrincipal(expression = "viewer") Viewer viewer,
            Model model) {
        return page.changed(athleteId, viewer, request, model, () -> sharing.shareUpTo(athleteId, viewer, until));
    }

    @PostMapping("/days/share")
    String days(
            @PathVariable long athleteId,
            @RequestParam LocalDate first,
            @RequestParam LocalDate last,
            @RequestParam boolean shared,
            HttpServletRequest request,
            @AuthenticationPrincipal(expression = "viewer") Viewer viewer,
            Model model) {
        return page.changed(
                athleteId, viewer, request, model, () -> sharing.shareDays(athleteId, viewer, first, last, shared));
    }

    @PostMapping("/sessions/{id}/share")
    String session(
            @PathVariable long athleteId,
            @PathVariable long id,
            @RequestParam boolean shared,
            HttpServletRequest request,
            @AuthenticationPrincipal(expression = "viewer") Viewer viewer,
            Model model) {
        return page.changed(athleteId, viewer, request, model, () -> sharing.share(athleteId, viewer, id, shared));
    }
}
