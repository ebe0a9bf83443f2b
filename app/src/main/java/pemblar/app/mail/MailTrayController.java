package pemblar.app.mail;

import java.util.Arrays;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import pemblar.app.frame.Viewer;
import pemblar.app.operator.Operator;

/** The mail tray: in the demo everybody reads it, else only the operator, whose address is a setting. */
@Controller
class MailTrayController {
    private static final Pattern LINK = Pattern.compile("https?://[^/\\s]+(/\\S*)");
    private final MailService mail;
    private final Operator operator;

    MailTrayController(MailService mail, Operator operator) {
        this.mail = mail;
        this.operator = operator;
    }

    /** @param path the page that the mail leads to; null without one */
    public record Shown(MailService.Mail mail, List<String> lines, String path) {}

    @GetMapping("/mail-tray")
    String tray(Viewer viewer, @AuthenticationPrincipal(expression = "username") String address, Model model) {
        operator.require(address);
        model.addAttribute("viewer", viewer);
        model.addAttribute(
                "mails", mail.tray().stream().map(MailTrayController::shown).toList());
        model.addAttribute("tray", mail.isTray());
        return "people/mail-tray";
    }

    private static Shown shown(MailService.Mail mail) {
        Matcher link = LINK.matcher(mail.body());
        return new Shown(
                mail,
                Arrays.stream(mail.body().split("\n"))
                        .filter(line -> !LINK.matcher(line).matches())
                        .toList(),
                link.find() ? link.group(1) : null);
    }
}
