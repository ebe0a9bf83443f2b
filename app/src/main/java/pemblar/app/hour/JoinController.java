package pemblar.app.hour;

import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import pemblar.app.frame.Viewer;

/** An athlete joins an hour of a group of theirs. */
@Controller
class JoinController {
    private final HourService hours;

    JoinController(HourService hours) {
        this.hours = hours;
    }

    @PostMapping("/a/{athleteId}/hours/{hourId}/join")
    String join(
            @PathVariable long athleteId,
            @PathVariable long hourId,
            @AuthenticationPrincipal(expression = "viewer") Viewer viewer,
            RedirectAttributes flash) {
        try {
            return "redirect:/a/" + athleteId + "/bench/" + hours.join(athleteId, viewer, hourId);
        } catch (IllegalArgumentException e) {
            flash.addFlashAttribute("said", e.getMessage());
            return "redirect:/a/" + athleteId + "/today";
        }
    }
}
