package pemblar.app.account;

import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import pemblar.app.athlete.AthleteService;
import pemblar.app.frame.Viewer;
import pemblar.core.Sport;

@Controller
class AccountController {
    private final AccountService accounts;
    private final AthleteService athletes;

    AccountController(AccountService accounts, AthleteService athletes) {
        this.accounts = accounts;
        this.athletes = athletes;
    }

    @GetMapping("/sign-in")
    String signIn(Model model) {
        model.addAttribute("first", accounts.isEmpty());
        return "account/sign-in";
    }

    @GetMapping("/sign-up")
    String signUp() {
        return "account/sign-up";
    }

    @PostMapping("/sign-up")
    String create(@RequestParam String email, @RequestParam String name, @RequestParam String password, @RequestParam String role,
                  @RequestParam(defaultValue = "UTC") String zone, Model model, HttpServletRequest request) throws ServletException {
        try {
            Viewer viewer = accounts.create(email, name, password);
            if (!role.equals("coach")) athletes.create(viewer, Sport.ofKey(role), zone);
            request.logout();        // whoever was signed in here before
            request.login(email, password);
            return "redirect:/";
        } catch (IllegalArgumentException e) {
            model.addAttribute("problem", e.getMessage());
            model.addAttribute("email", email);
            model.addAttribute("name", name);
            model.addAttribute("role", role);
            return "account/sign-up";
        }
    }
}
