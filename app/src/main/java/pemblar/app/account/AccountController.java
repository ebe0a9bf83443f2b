package pemblar.app.account;

import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import java.util.Arrays;
import java.util.List;
import java.util.regex.Pattern;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.security.web.savedrequest.HttpSessionRequestCache;
import org.springframework.security.web.savedrequest.SavedRequest;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import pemblar.app.frame.Hidden;
import pemblar.app.frame.Viewer;
import pemblar.app.frame.door.SignedInFrom;
import pemblar.core.sport.Sport;

@Controller
class AccountController {
    private final AccountService accounts;
    private static final Pattern ROLE = Pattern.compile("coach|[a-z]{1,10}(,[a-z]{1,10}){0,7}");
    private final SignUpService signUp;
    private final SignUps signUps;

    AccountController(AccountService accounts, SignUpService signUp, SignUps signUps) {
        this.signUps = signUps;
        this.accounts = accounts;
        this.signUp = signUp;
    }

    @GetMapping("/sign-in")
    String signIn(Model model) {
        model.addAttribute("first", accounts.isEmpty());
        model.addAttribute("open", signUps.isOpenToAll());
        return "account/sign-in";
    }

    @GetMapping("/sign-up")
    String signUp(HttpServletRequest request, Model model) {
        model.addAttribute("refused", signUps.refused(invitation(request)));
        return "account/sign-up";
    }

    /** An invitation that brought somebody here is what they want to see next. */
    private static String wanted(HttpServletRequest request) {
        SavedRequest saved = new HttpSessionRequestCache().getRequest(request, null);
        String path =
                saved == null ? "" : java.net.URI.create(saved.getRedirectUrl()).getPath();
        return path.matches("/invitation/[\\w-]{10,80}") ? path : "/";
    }

    private static String invitation(HttpServletRequest request) {
        return wanted(request).replaceFirst("^/(invitation/)?", "");
    }

    /** As “coach”, “run” or “swim,ride,run”, the first sport first. */
    private static List<Sport> sports(String role) {
        if (role.equals("coach")) return List.of();
        try {
            if (ROLE.matcher(role).matches())
                return Arrays.stream(role.split(","))
                        .map(Sport::ofKey)
                        .distinct()
                        .toList();
        } catch (IllegalArgumentException e) {
            // said below, with what to do
        }
        throw new IllegalArgumentException("Role: choose one of the list.");
    }

    record CreateForm(
            @RequestParam String email,
            @RequestParam String name,
            @RequestParam Hidden password,
            @RequestParam String role,
            @RequestParam(defaultValue = "UTC") String zone) {}

    @PostMapping("/sign-up")
    String create(CreateForm form, Model model, HttpServletRequest request) throws ServletException {
        String refused = signUps.refused(invitation(request));
        if (refused != null) {
            model.addAttribute("refused", refused);
            return "account/sign-up";
        }
        try {
            Viewer viewer =
                    signUp.create(form.email(), form.name(), form.password().word(), sports(form.role()), form.zone());
            String wanted = wanted(request);
            request.logout(); // whoever was signed in here before
            request.login(form.email().strip(), form.password().word());
            SignedInFrom.keep(request);
            return "redirect:" + wanted;
        } catch (IllegalArgumentException | DataIntegrityViolationException e) {
            model.addAttribute(
                    "problem", e instanceof DataIntegrityViolationException ? AccountService.TAKEN : e.getMessage());
            model.addAttribute("email", form.email());
            model.addAttribute("name", form.name());
            model.addAttribute("role", form.role());
            return "account/sign-up";
        }
    }
}
