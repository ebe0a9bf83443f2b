package pemblar.app.people;

import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import pemblar.app.athlete.AthleteService;
import pemblar.app.athlete.CoachingService;
import pemblar.app.athlete.Pages;
import pemblar.app.frame.NotFoundException;
import pemblar.app.frame.Visit;

/** Who sees an athlete's training, since when, and who looked and changed; the athlete asks and ends. */
@Controller
class AccessController {
    private final Pages pages;
    private final CoachingService coachings;
    private final AthleteService athletes;
    private final InvitationService invitations;
    private final TrailService trail;

    AccessController(
            Pages pages,
            CoachingService coachings,
            AthleteService athletes,
            InvitationService invitations,
            TrailService trail) {
        this.pages = pages;
        this.coachings = coachings;
        this.athletes = athletes;
        this.invitations = invitations;
        this.trail = trail;
    }

    @GetMapping("/a/{athleteId}/access")
    String access(Visit visit, Model model) {
        pages.open(model, visit, "access");
        boolean own = isOwn(visit);
        model.addAttribute("own", own);
        model.addAttribute("coachings", coachings.ofAthlete(visit.athleteId()));
        model.addAttribute("invitations", own ? invitations.sentBy(visit.viewer()) : java.util.List.of());
        model.addAttribute("trail", trail.latest(visit.athleteId()));
        return "people/access";
    }

    private boolean isOwn(Visit visit) {
        Optional<Long> own = athletes.own(visit.viewer());
        return own.isPresent() && own.get() == visit.athleteId();
    }

    record InviteForm(
            @RequestParam String email,
            @RequestParam(defaultValue = "true") boolean plans,
            @RequestParam(defaultValue = "") String word) {}

    /** The athlete invites a coach by address. */
    @PostMapping("/a/{athleteId}/access/invite")
    String invite(Visit visit, InviteForm form, RedirectAttributes flash) {
        if (!isOwn(visit)) throw new NotFoundException("athlete");
        return said(
                "/a/" + visit.athleteId() + "/access",
                flash,
                () -> invitations.inviteCoach(
                        visit.athleteId(), visit.viewer(), form.email(), form.plans(), form.word()));
    }

    @PostMapping("/a/{athleteId}/access/{coachId}/end")
    String end(Visit visit, @PathVariable long coachId, RedirectAttributes flash) {
        boolean own = isOwn(visit);
        coachings.end(visit.athleteId(), visit.viewer(), coachId);
        flash.addFlashAttribute("good", "Ended. What was planned and written stays the athlete's.");
        return own ? "redirect:/a/" + visit.athleteId() + "/access" : "redirect:/roster";
    }

    static String said(String to, RedirectAttributes flash, java.util.function.Supplier<String> change) {
        try {
            flash.addFlashAttribute("good", change.get());
        } catch (IllegalArgumentException e) {
            flash.addFlashAttribute("said", e.getMessage());
        }
        return "redirect:" + to;
    }
}
