package pemblar.app.hour;

import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import pemblar.app.frame.Visit;

/** An athlete joins an hour of a group of theirs. */
@Controller
class JoinController {
    private final HourService hours;

    JoinController(HourService hours) {
        this.hours = hours;
    }

    @PostMapping("/a/{athleteId}/hours/{hourId}/join")
    String join(Visit visit, @PathVariable long hourId, RedirectAttributes flash) {
        try {
            return "redirect:/a/" + visit.athleteId() + "/bench/" + hours.join(visit, hourId);
        } catch (IllegalArgumentException e) {
            flash.addFlashAttribute("said", e.getMessage());
            return "redirect:/a/" + visit.athleteId() + "/today";
        }
    }
}
