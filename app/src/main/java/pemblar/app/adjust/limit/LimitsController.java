package pemblar.app.adjust.limit;

import java.util.Map;
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
import pemblar.app.frame.page.Units;

/** What proposals keep to for one athlete: each limit with what it means and what is usual. */
@Controller
@RequestMapping("/a/{athleteId}/proposals/limits")
class LimitsController {
    private final Pages pages;
    private final LimitService limits;

    LimitsController(Pages pages, LimitService limits) {
        this.pages = pages;
        this.limits = limits;
    }

    @OneLook
    @GetMapping
    String limits(Visit visit, Model model) {
        Pages.Opened page = pages.open(model, visit, "proposals");
        Limits held = limits.of(page.athlete());
        model.addAttribute("limits", held);
        model.addAttribute("usual", limits.usual(page.athlete()));
        model.addAttribute("decides", Limits.Decides.values());
        hottest(model, held);
        return "adjust/limits";
    }

    static void hottest(Model model, Limits held) {
        Units units = Units.mine();
        model.addAttribute("degrees", units.temperatureUnit());
        model.addAttribute(
                "hottest",
                held.highestCelsius() == null
                        ? ""
                        : String.valueOf(Math.round(units.temperature(held.highestCelsius()))));
    }

    @PostMapping
    String keep(Visit visit, @RequestParam Map<String, String> typed, RedirectAttributes flash) {
        try {
            limits.set(visit, TypedLimits.ofOne(typed));
            flash.addFlashAttribute("good", "The limits hold from now on.");
        } catch (IllegalArgumentException e) {
            flash.addFlashAttribute("said", e.getMessage());
            flash.addFlashAttribute("typed", typed);
        }
        return "redirect:/a/" + visit.athleteId() + "/proposals/limits";
    }
}
