package pemblar.app.program;

import jakarta.servlet.http.HttpServletRequest;
import java.time.LocalDate;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import pemblar.app.account.DoorService;
import pemblar.app.frame.Hidden;
import pemblar.app.frame.Viewer;
import pemblar.app.frame.door.Limits;
import pemblar.app.program.hook.Hooks;
import pemblar.app.program.key.Scope;
import pemblar.app.program.key.TokenStore;

/** The page on which a person lets programs act for them, and ends it. */
@Controller
@RequestMapping("/account/programs")
class ProgramsController {
    private static final int USUAL_DAYS = 90;
    private static final String BACK = "redirect:/account/programs";
    private final TokenStore tokens;
    private final Hooks hooks;
    private final DoorService door;
    private final Limits limits;
    private final String site;

    ProgramsController(
            TokenStore tokens, Hooks hooks, DoorService door, Limits limits, @Value("${pemblar.site}") String site) {
        this.tokens = tokens;
        this.hooks = hooks;
        this.door = door;
        this.limits = limits;
        this.site = site;
    }

    /** Something that a token can be allowed. */
    public record Allowed(String key, String words) {}

    @GetMapping
    String page(@AuthenticationPrincipal(expression = "viewer") Viewer viewer, Model model) {
        model.addAttribute("tokens", tokens.of(viewer));
        model.addAttribute("hooks", hooks.of(viewer));
        model.addAttribute(
                "allowed",
                EnumSet.complementOf(EnumSet.of(Scope.READ)).stream()
                        .map(s -> new Allowed(s.key(), s.words()))
                        .toList());
        model.addAttribute("site", site);
        model.addAttribute("today", tokens.today());
        model.addAttribute("until", tokens.today().plusDays(USUAL_DAYS));
        return "program/programs";
    }

    record MakeForm(
            @RequestParam(defaultValue = "") String name,
            @RequestParam(required = false) List<String> may,
            @RequestParam(required = false) LocalDate until,
            @RequestParam(defaultValue = "") Hidden present) {}

    @PostMapping
    String make(MakeForm form, Viewer viewer, HttpServletRequest request, RedirectAttributes flash) {
        try {
            limits.takePassword(viewer, request.getRemoteAddr());
            door.checkedAddress(viewer, form.present().word());
            Set<Scope> scopes = Scope.read(form.may() == null ? "" : String.join(",", form.may()));
            flash.addFlashAttribute("token", tokens.make(viewer, form.name(), scopes, form.until()));
        } catch (IllegalArgumentException e) {
            flash.addFlashAttribute("said", e.getMessage());
        }
        return BACK;
    }

    @PostMapping("/{id}/end")
    String end(
            @PathVariable long id,
            @AuthenticationPrincipal(expression = "viewer") Viewer viewer,
            RedirectAttributes flash) {
        tokens.end(viewer, id);
        flash.addFlashAttribute("good", "Ended. Programs that used it are turned away from now on.");
        return BACK;
    }

    @PostMapping("/hooks/{id}/end")
    String endHook(
            @PathVariable long id,
            @AuthenticationPrincipal(expression = "viewer") Viewer viewer,
            RedirectAttributes flash) {
        hooks.end(viewer, id);
        flash.addFlashAttribute("good", "This address is not called any more.");
        return BACK;
    }
}
