package pemblar.app.progress.report;

import java.time.LocalDate;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import pemblar.app.athlete.Pages;
import pemblar.app.frame.Visit;
import pemblar.app.frame.page.OneLook;
import pemblar.app.frame.page.Typed;

/** A range of days on one page, to print or to send. */
@Controller
@RequestMapping("/a/{athleteId}/progress/report")
class ReportController {
    private static final int MOST_DAYS = 400;
    private final Pages pages;
    private final ReportService reports;

    ReportController(Pages pages, ReportService reports) {
        this.pages = pages;
        this.reports = reports;
    }

    @OneLook
    @GetMapping
    String show(
            Visit visit,
            @RequestParam(defaultValue = "") String from,
            @RequestParam(defaultValue = "") String to,
            Model model) {
        Pages.Opened page = pages.open(model, visit, "progress");
        LocalDate first = reports.usualFrom(page);
        LocalDate last = page.today();
        try {
            if (!from.isBlank()) first = Typed.day("From", from);
            if (!to.isBlank()) last = Typed.day("To", to);
            if (last.isBefore(first) || first.plusDays(MOST_DAYS).isBefore(last))
                throw new IllegalArgumentException(
                        "To: choose a day from " + first + " to " + first.plusDays(MOST_DAYS) + ".");
        } catch (IllegalArgumentException e) {
            model.addAttribute("said", e.getMessage());
            first = reports.usualFrom(page);
            last = page.today();
        }
        model.addAttribute("report", reports.of(page, first, last));
        return "progress/report";
    }

    record SayForm(
            @RequestParam String from,
            @RequestParam String to,
            @RequestParam(defaultValue = "") String words) {}

    @PostMapping
    String say(Visit visit, SayForm form, RedirectAttributes flash) {
        String back = "redirect:/a/" + visit.athleteId() + "/progress/report";
        try {
            LocalDate first = Typed.day("From", form.from());
            LocalDate last = Typed.day("To", form.to());
            reports.say(visit, first, last, form.words());
            flash.addFlashAttribute("good", "Kept with this report.");
            return back + "?from=" + first + "&to=" + last;
        } catch (IllegalArgumentException e) {
            flash.addFlashAttribute("said", e.getMessage());
            return back;
        }
    }
}
