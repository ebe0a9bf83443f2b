package pemblar.app.account.second;

import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.List;
import java.util.function.Supplier;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.GrantedAuthority;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.authentication.SavedRequestAwareAuthenticationSuccessHandler;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import pemblar.app.account.SignedIn;
import pemblar.app.frame.Hidden;
import pemblar.app.frame.NotFoundException;
import pemblar.app.frame.Viewer;
import pemblar.app.frame.door.CodeDue;
import pemblar.app.frame.door.Limits;

/** Turning the second factor on and off, and the code at signing in. */
@Controller
class SecondFactorController {
    private final SecondFactorService second;
    private final Limits limits;
    private final HttpSessionSecurityContextRepository contexts = new HttpSessionSecurityContextRepository();
    private final SavedRequestAwareAuthenticationSuccessHandler onward =
            new SavedRequestAwareAuthenticationSuccessHandler();

    SecondFactorController(SecondFactorService second, Limits limits) {
        this.second = second;
        this.limits = limits;
    }

    @GetMapping(CodeDue.PAGE)
    String ask(Authentication who) {
        return CodeDue.isDue(who) ? "account/code" : "redirect:/";
    }

    @PostMapping(CodeDue.PAGE)
    String code(
            @RequestParam(defaultValue = "") String code,
            Authentication who,
            HttpServletRequest request,
            HttpServletResponse response,
            Model model)
            throws IOException, ServletException {
        if (!CodeDue.isDue(who)) return "redirect:/";
        try {
            Viewer viewer = ((SignedIn) who.getPrincipal()).getViewer();
            limits.takeCode(viewer);
            if (!second.passes(viewer.accountId(), code))
                throw new IllegalArgumentException(second.whyNot(viewer.accountId()));
        } catch (IllegalArgumentException e) {
            model.addAttribute("said", e.getMessage());
            return "account/code";
        }
        onward.onAuthenticationSuccess(request, response, letIn(who, request, response));
        return null;
    }

    /** Wholly signed in from here on, under another number of the web session. */
    private Authentication letIn(Authentication who, HttpServletRequest request, HttpServletResponse response) {
        List<? extends GrantedAuthority> rest = who.getAuthorities().stream()
                .filter(a -> !CodeDue.AUTHORITY.equals(a.getAuthority()))
                .toList();
        Authentication whole = UsernamePasswordAuthenticationToken.authenticated(who.getPrincipal(), null, rest);
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        context.setAuthentication(whole);
        SecurityContextHolder.setContext(context);
        request.changeSessionId();
        contexts.saveContext(context, request, response);
        return whole;
    }

    @PostMapping("/account/second/begin")
    String begin(@RequestParam(defaultValue = "") String present, Viewer viewer, RedirectAttributes flash) {
        try {
            limits.takeCode(viewer);
            second.begin(viewer, present);
            return "redirect:/account/second";
        } catch (IllegalArgumentException e) {
            flash.addFlashAttribute("said", e.getMessage());
            return "redirect:/account";
        }
    }

    @GetMapping("/account/second")
    String begun(Viewer viewer, Model model) {
        SecondFactorService.Begun begun = second.begun(viewer).orElse(null);
        if (begun == null) return "redirect:/account";
        model.addAttribute("begun", begun);
        model.addAttribute("square", QrCode.of(begun.address()));
        return "account/second";
    }

    @PostMapping("/account/second/confirm")
    String confirm(
            @RequestParam(defaultValue = "") String code,
            Viewer viewer,
            HttpServletRequest request,
            Model model,
            RedirectAttributes flash) {
        try {
            limits.takeCode(viewer);
            return codes(
                    model,
                    () -> second.confirm(viewer, code, request.getSession().getId()));
        } catch (IllegalArgumentException e) {
            flash.addFlashAttribute("said", e.getMessage());
        } catch (NotFoundException e) {
            flash.addFlashAttribute("said", "That took longer than a quarter of an hour: begin anew.");
        }
        return "redirect:/account/second";
    }

    record NewCodesForm(
            @RequestParam(defaultValue = "") Hidden present,
            @RequestParam(defaultValue = "") Hidden code) {}

    @PostMapping("/account/second/codes")
    String newCodes(NewCodesForm form, Viewer viewer, Model model, RedirectAttributes flash) {
        try {
            limits.takeCode(viewer);
            return codes(
                    model,
                    () -> second.newCodes(
                            viewer, form.present().word(), form.code().word()));
        } catch (IllegalArgumentException e) {
            flash.addFlashAttribute("said", e.getMessage());
            return "redirect:/account";
        }
    }

    private static String codes(Model model, Supplier<List<String>> make) {
        model.addAttribute("codes", make.get());
        return "account/recovery";
    }

    @PostMapping("/account/second/off")
    String off(
            @RequestParam(defaultValue = "") String present,
            @RequestParam(defaultValue = "") String code,
            Viewer viewer,
            RedirectAttributes flash) {
        try {
            limits.takeCode(viewer);
            second.off(viewer, present, code);
            flash.addFlashAttribute("good", "The second factor is off.");
        } catch (IllegalArgumentException e) {
            flash.addFlashAttribute("said", e.getMessage());
        }
        return "redirect:/account";
    }
}
