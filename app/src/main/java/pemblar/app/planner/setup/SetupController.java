package pemblar.app.planner.setup;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.Pages;
import pemblar.app.frame.Visit;
import pemblar.app.frame.page.OneLook;
import pemblar.app.frame.page.Units;
import pemblar.app.load.DayLoad;
import pemblar.app.load.TrendService;
import pemblar.app.load.TrendService.Trend;
import pemblar.app.planner.aim.AimWords;
import pemblar.app.season.PlanService;
import pemblar.app.season.SeasonChangedMeanwhile;
import pemblar.app.season.SeasonEvent;
import pemblar.app.season.SeasonSettings;

/** Asks a self-coached athlete what a season needs, shows what would be planned, and puts the whole on the board. */
@Controller
@RequestMapping("/a/{athleteId}/season")
class SetupController {
    private static final int WEEKS_LOOKED_AT = 6;
    private final Pages pages;
    private final PlanService plan;
    private final SetupService setup;
    private final TrendService trends;

    SetupController(Pages pages, PlanService plan, SetupService setup, TrendService trends) {
        this.trends = trends;
        this.pages = pages;
        this.plan = plan;
        this.setup = setup;
    }

    @OneLook
    @GetMapping("/setup")
    String ask(Visit visit, Model model) {
        Pages.Opened page = pages.open(model, visit, "season");
        Athlete athlete = page.athlete();
        SeasonSettings settings = plan.held(athlete).settings();
        model.addAttribute("sport", athlete.first().name());
        model.addAttribute("presentHours", presentHours(trends.of(page.athlete())));
        model.addAttribute("minutes", settings.dayMinutes());
        model.addAttribute("shares", settings.shares());
        model.addAttribute(
                "longDay",
                settings.longDay() == null
                        ? ""
                        : String.valueOf(settings.longDay().getValue()));
        return show(model, Map.of());
    }

    private static double presentHours(Trend trend) {
        LocalDate from = trend.today().minusDays(7L * WEEKS_LOOKED_AT);
        return Math.rint(trend.dayLoads(from, trend.today().minusDays(1)).stream()
                                .mapToDouble(DayLoad::doneSeconds)
                                .sum()
                        / 3600
                        / WEEKS_LOOKED_AT
                        * 2)
                / 2;
    }

    private static String show(Model model, Map<String, String> typed) {
        model.addAttribute("typed", typed);
        Object usual = model.getAttribute("minutes");
        Map<DayOfWeek, Object> minutes = new EnumMap<>(DayOfWeek.class);
        for (DayOfWeek day : DayOfWeek.values()) {
            String own = typed.get("minutes" + day.getValue());
            minutes.put(day, own != null ? own : usual instanceof List<?> all ? all.get(day.getValue() - 1) : 0);
        }
        model.addAttribute("dayMinutes", minutes);
        model.addAttribute("kinds", SeasonEvent.Kind.values());
        model.addAttribute("weekdays", Units.mine().weekdays());
        return "planner/setup";
    }

    /** Shows what would be planned; nothing is saved yet. */
    @PostMapping("/setup")
    String review(Visit visit, @RequestParam Map<String, String> typed, Model model) {
        Pages.Opened page = pages.open(model, visit, "season");
        try {
            SetupService.Review review = setup.review(
                    page.athlete(), visit.viewer(), trends.of(page.athlete()), SetupAnswers.read(typed, page.today()));
            model.addAttribute("review", review);
            model.addAttribute("revision", plan.held(page.athlete()).revision());
            model.addAttribute("word", AimWords.sentence(review.outcome(), review.held(), page.today()));
        } catch (IllegalArgumentException e) {
            model.addAttribute("problem", e.getMessage());
        }
        return show(model, typed);
    }

    @PostMapping("/setup/save")
    String save(
            Visit visit,
            @RequestParam Map<String, String> typed,
            @RequestParam(required = false) Integer revision,
            Model model,
            RedirectAttributes after) {
        Pages.Opened page = pages.open(model, visit, "season");
        try {
            SetupAnswers answers = SetupAnswers.read(typed, page.today());
            int sessions = setup.save(page.athlete(), visit.viewer(), trends.of(page.athlete()), answers, revision);
            after.addFlashAttribute("said", "The season is planned, and " + sessions + " sessions are on the board.");
            return "redirect:/a/" + visit.athleteId() + "/board";
        } catch (SeasonChangedMeanwhile | IllegalArgumentException e) {
            model.addAttribute("problem", e.getMessage());
            return show(model, typed);
        }
    }

    /** Fills the blocks ahead with workouts; what was put by hand stays. */
    @PostMapping("/fill")
    String fill(Visit visit, Model model, RedirectAttributes after) {
        Athlete athlete = pages.athlete(visit);
        int sessions = setup.fill(athlete, visit.viewer(), pages.today(athlete), Map.of());
        after.addFlashAttribute(
                "said",
                sessions == 0
                        ? "No block ahead has a target, so there is nothing to fill. Plan the season first."
                        : sessions + " sessions are on the board.");
        return "redirect:/a/" + visit.athleteId() + "/board";
    }
}
