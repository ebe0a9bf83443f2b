package pemblar.app.people;

import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import pemblar.app.athlete.CoachingService;
import pemblar.app.frame.Viewer;
import pemblar.app.frame.Visit;
import pemblar.app.people.InvitationService.Invitation;
import pemblar.app.people.InvitationService.State;
import pemblar.core.sport.Sport;

/** Inviting athletes, and answering an invitation. */
@Controller
class InvitationController {
    private final InvitationService invitations;
    private final CoachingService coachings;
    private final AwaitedService awaited;

    InvitationController(InvitationService invitations, CoachingService coachings, AwaitedService awaited) {
        this.awaited = awaited;
        this.invitations = invitations;
        this.coachings = coachings;
    }

    @GetMapping("/roster/invitations")
    String sent(Viewer viewer, Model model) {
        model.addAttribute("viewer", viewer);
        model.addAttribute("invitations", invitations.sentBy(viewer));
        return "people/invitations";
    }

    record InviteForm(
            @RequestParam String addresses,
            @RequestParam(defaultValue = "true") boolean plans,
            @RequestParam(defaultValue = "") String word) {}

    @PostMapping("/roster/invitations")
    String invite(InviteForm form, Viewer viewer, RedirectAttributes flash) {
        try {
            flash.addFlashAttribute(
                    "reported", invitations.inviteAthletes(viewer, form.addresses(), form.plans(), form.word()));
        } catch (IllegalArgumentException e) {
            flash.addFlashAttribute("said", e.getMessage());
            flash.addFlashAttribute("addresses", form.addresses());
            flash.addFlashAttribute("word", form.word());
        }
        return "redirect:/roster/invitations";
    }

    @PostMapping("/invitations/{id}/again")
    String again(
            @PathVariable long id,
            @RequestParam(defaultValue = "") String here,
            Viewer viewer,
            RedirectAttributes flash) {
        return AccessController.said(back(here), flash, () -> invitations.again(id, viewer));
    }

    @PostMapping("/invitations/{id}/withdraw")
    String withdraw(
            @PathVariable long id,
            @RequestParam(defaultValue = "") String here,
            Viewer viewer,
            RedirectAttributes flash) {
        return AccessController.said(back(here), flash, () -> invitations.withdraw(id, viewer));
    }

    record BeginForm(
            @RequestParam(defaultValue = "") String name,
            @RequestParam(defaultValue = "RIDE") Sport sport) {}

    /** The coach begins the pages of somebody who has not answered yet. */
    @PostMapping("/invitations/{id}/begin")
    String begin(@PathVariable long id, BeginForm form, Viewer viewer, RedirectAttributes flash) {
        try {
            return "redirect:/a/" + awaited.begin(viewer, id, form.name(), form.sport()) + "/thresholds";
        } catch (IllegalArgumentException e) {
            flash.addFlashAttribute("said", e.getMessage());
            return "redirect:/roster/invitations";
        }
    }

    @PostMapping("/invitations/{id}/forget")
    String forget(@PathVariable long id, Viewer viewer, RedirectAttributes flash) {
        return AccessController.said("/roster/invitations", flash, () -> {
            awaited.drop(viewer, id);
            return "The pages that nobody came for are gone.";
        });
    }

    private static String back(String here) {
        return here.matches("/a/\\d{1,18}/access") ? here : "/roster/invitations";
    }

    /**
     * Who asks for what, before anything is answered; somebody without an account is asked to make one and comes back
     * here.
     */
    @GetMapping("/invitation/{token}")
    String read(@PathVariable String token, Viewer viewer, Model model) {
        Invitation asked = invitations.behind(token);
        model.addAttribute("viewer", viewer);
        model.addAttribute("asked", asked);
        model.addAttribute("token", token);
        if (asked.state() == State.OPEN && viewer != null) model.addAttribute("handed", awaited.preview(asked, viewer));
        model.addAttribute("gone", asked.state() == State.OPEN ? null : InvitationService.gone(asked));
        return "people/invitation";
    }

    record AnswerForm(
            @RequestParam boolean accept,
            @RequestParam(defaultValue = "own") String season) {}

    @PostMapping("/invitation/{token}")
    String answer(@PathVariable String token, AnswerForm form, Viewer viewer, RedirectAttributes flash) {
        try {
            if (!form.accept()) {
                invitations.decline(token, viewer);
                return "redirect:/";
            }
            long athleteId = invitations.accept(token, viewer, form.season().equals("coach"));
            flash.addFlashAttribute("good", "Accepted. Either side can end it at any time on this page.");
            return "redirect:/a/" + athleteId + "/access";
        } catch (IllegalArgumentException e) {
            flash.addFlashAttribute("said", e.getMessage());
            return "redirect:/invitation/" + token;
        }
    }

    /** The coach answers an athlete who asked without a mail, as before invitations. */
    @PostMapping("/roster/requests/{athleteId}")
    String request(Visit visit, @RequestParam boolean accept) {
        if (accept) coachings.accept(visit.athleteId(), visit.viewer());
        else coachings.end(visit.athleteId(), visit.viewer(), visit.viewer().accountId());
        return "redirect:/roster";
    }
}
