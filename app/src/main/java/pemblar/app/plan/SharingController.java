package pemblar.app.plan;

import jakarta.servlet.http.HttpServletRequest;
import java.time.LocalDate;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import pemblar.app.frame.Visit;
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
    String upTo(Visit visit, @RequestParam LocalDate until, HttpServletRequest request, Model model) {
        return page.changed(visit, request, model, () -> sharing.shareUpTo(visit, until));
    }

    record DaysForm(
            @RequestParam LocalDate first,
            @RequestParam LocalDate last,
            @RequestParam boolean shared) {}

    @PostMapping("/days/share")
    String days(Visit visit, DaysForm form, HttpServletRequest request, Model model) {
        return page.changed(
                visit, request, model, () -> sharing.shareDays(visit, form.first(), form.last(), form.shared()));
    }

    @PostMapping("/sessions/{id}/share")
    String session(
            Visit visit, @PathVariable long id, @RequestParam boolean shared, HttpServletRequest request, Model model) {
        return page.changed(visit, request, model, () -> sharing.share(visit, id, shared));
    }
}
