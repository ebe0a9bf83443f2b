package pemblar.app.coach.look;

import java.time.LocalDate;
import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import pemblar.app.athlete.Access;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.Pages;
import pemblar.app.coach.beside.Bests;
import pemblar.app.frame.Visit;
import pemblar.app.frame.page.Typed;
import pemblar.app.load.TrendService;
import pemblar.app.season.PlanService;
import pemblar.app.season.SeasonSettings;
import pemblar.app.session.change.ScheduleService;
import pemblar.app.session.reading.DoubtService;
import pemblar.app.threshold.ThresholdService;
import pemblar.app.workout.Shelved;
import pemblar.app.workout.WorkoutService;
import pemblar.core.range.DayRange;

/** The page on which a coach gets to know a new athlete, and from which the first block is planned. */
@Controller
@RequestMapping("/a/{athleteId}/first-look")
class FirstLookController {
    private final Pages pages;
    private final Access access;
    private final AboutStore about;
    private final FirstLook look;
    private final Bests bests;
    private final PlanService plan;
    private final ThresholdService thresholds;
    private final WorkoutService workouts;
    private final ScheduleService schedule;
    private final TrendService trends;
    private final DoubtService doubts;

    FirstLookController(
            Pages pages,
            Access access,
            AboutStore about,
            FirstLook look,
            Bests bests,
            PlanService plan,
            ThresholdService thresholds,
            WorkoutService workouts,
            ScheduleService schedule,
            TrendService trends,
            DoubtService doubts) {
        this.trends = trends;
        this.doubts = doubts;
        this.pages = pages;
        this.access = access;
        this.about = about;
        this.look = look;
        this.bests = bests;
        this.plan = plan;
        this.thresholds = thresholds;
        this.workouts = workouts;
        this.schedule = schedule;
    }

    @GetMapping
    String show(Visit visit, Model model) {
        Pages.Opened page = pages.open(model, visit, "first look");
        Athlete athlete = page.athlete();
        LocalDate today = page.today();
        SeasonSettings settings = plan.held(athlete).settings();
        if (!model.containsAttribute("about")) model.addAttribute("about", about.of(visit.athleteId()));
        model.addAttribute("changeable", access.changeable(visit));
        model.addAttribute(
                "events",
                plan.events(athlete).stream()
                        .filter(e -> !e.last().isBefore(today))
                        .toList());
        model.addAttribute("planned", plan.isSetUp(athlete));
        model.addAttribute(
                "daySeconds",
                settings.dayMinutes().stream().map(m -> m == 0 ? null : 60 * m).toList());
        model.addAttribute("weeklyHours", settings.weeklyHours());
        model.addAttribute("bests", bests.of(athlete, athlete.first(), thresholds.of(athlete), today));
        model.addAttribute("waiting", doubts.ofEfforts(athlete, athlete.first(), DayRange.upTo(today, Bests.DAYS)));
        model.addAttribute(
                "tests",
                workouts.library(visit.viewer()).stream()
                        .filter(w -> w.tags().contains("test") && w.workout().sport() == athlete.first())
                        .toList());
        model.addAttribute("values", look.values(athlete, today));
        model.addAttribute("hours", look.hours(athlete, today));
        model.addAttribute("load", look.load(trends.of(athlete)));
        model.addAttribute("data", look.data(athlete, today));
        return "coach/first-look";
    }

    record WriteForm(
            @RequestParam(defaultValue = "") String goals,
            @RequestParam(defaultValue = "") String history,
            @RequestParam(defaultValue = "") String injuries,
            @RequestParam(defaultValue = "") String wishes) {}

    @PostMapping
    String write(Visit visit, WriteForm form, RedirectAttributes flash) {
        try {
            about.write(visit, form.goals(), form.history(), form.injuries(), form.wishes());
            flash.addFlashAttribute("good", "Kept.");
        } catch (IllegalArgumentException e) {
            flash.addFlashAttribute("said", e.getMessage());
            flash.addFlashAttribute(
                    "about",
                    new AboutStore.About(
                            form.goals(),
                            form.history(),
                            form.injuries(),
                            form.wishes(),
                            visit.viewer().name(),
                            null));
        }
        return "redirect:/a/" + visit.athleteId() + "/first-look";
    }

    /** Puts a test of the library on a day. */
    @PostMapping("/test")
    String test(
            Visit visit,
            @RequestParam long workout,
            @RequestParam(defaultValue = "") String day,
            RedirectAttributes flash) {
        try {
            LocalDate on = Typed.dayOrNull(day);
            if (on == null) throw new IllegalArgumentException("Day: choose one for the test.");
            Shelved test = workouts.require(workout, visit.viewer());
            schedule.scheduleAll(
                    visit,
                    List.of(new ScheduleService.Placed(
                            on,
                            null,
                            new ScheduleService.Chosen(test.title(), test.workout(), test.id(), test.version()))),
                    "Put the test “" + test.title() + "” on the board.");
            flash.addFlashAttribute("good", "“" + test.title() + "” is on the board.");
        } catch (IllegalArgumentException e) {
            flash.addFlashAttribute("said", e.getMessage());
        }
        return "redirect:/a/" + visit.athleteId() + "/first-look";
    }
}
