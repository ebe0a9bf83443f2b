package pemblar.app.plan;

import java.time.LocalDate;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import pemblar.app.frame.asked.Sent;
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
    String upTo(Sent sent, @RequestParam LocalDate until) {
        return page.changed(sent, () -> sharing.shareUpTo(sent.visit(), until));
    }

    record DaysForm(
            @RequestParam LocalDate first,
            @RequestParam LocalDate last,
            @RequestParam boolean shared) {}

    @PostMapping("/days/share")
    String days(Sent sent, DaysForm form) {
        return page.changed(sent, () -> sharing.shareDays(sent.visit(), form.first(), form.last(), form.shared()));
    }

    @PostMapping("/sessions/{id}/share")
    String session(Sent sent, @PathVariable long id, @RequestParam boolean shared) {
        return page.changed(sent, () -> sharing.share(sent.visit(), id, shared));
    }
}
