package pemblar.app.adjust.instead;

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
import pemblar.app.load.TrendService;
import pemblar.core.adjust.Instead.Feeling;

/** Today instead: three workouts for the minutes and the state one is in. */
@Controller
@RequestMapping("/a/{athleteId}/instead")
class InsteadController {
    private final Pages pages;
    private final InsteadService instead;
    private final TrendService trends;

    InsteadController(Pages pages, InsteadService instead, TrendService trends) {
        this.trends = trends;
        this.pages = pages;
        this.instead = instead;
    }

    @OneLook
    @GetMapping
    String offer(
            Visit visit,
            @RequestParam(defaultValue = "60") String minutes,
            @RequestParam(defaultValue = "AS_USUAL") Feeling feeling,
            Model model) {
        Pages.Opened page = pages.open(model, visit, "today");
        model.addAttribute("minutes", minutes);
        model.addAttribute("feeling", feeling);
        model.addAttribute("feelings", Feeling.values());
        try {
            int asked = Typed.whole("Minutes", minutes, InsteadService.LEAST_MINUTES, InsteadService.MOST_MINUTES);
            model.addAttribute(
                    "offers",
                    instead.of(
                            page.athlete(),
                            visit.viewer(),
                            trends.of(page.athlete()),
                            new InsteadService.Left(asked, feeling)));
        } catch (IllegalArgumentException e) {
            model.addAttribute("said", e.getMessage());
        }
        return "adjust/instead";
    }

    @PostMapping
    String put(Visit visit, @RequestParam long workout, @RequestParam int percent, RedirectAttributes flash) {
        try {
            flash.addFlashAttribute("good", instead.put(visit, workout, percent));
            flash.addFlashAttribute("canUndo", true);
        } catch (IllegalArgumentException e) {
            flash.addFlashAttribute("said", e.getMessage());
        }
        return "redirect:/a/" + visit.athleteId() + "/today";
    }
}
