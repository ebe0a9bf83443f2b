package pemblar.app.account;

import java.time.DayOfWeek;
import java.time.InstantSource;
import java.time.LocalDate;
import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.AthleteService;
import pemblar.app.frame.NotFoundException;
import pemblar.app.frame.Viewer;
import pemblar.app.frame.Visit;
import pemblar.app.frame.page.Typed;
import pemblar.app.frame.page.Units;

/** How figures read for oneself, and where one's days begin. */
@Controller
class PreferenceController {
    static final DayOfWeek[] WEEK_STARTS = {DayOfWeek.MONDAY, DayOfWeek.SATURDAY, DayOfWeek.SUNDAY};
    private final PreferenceStore preferences;
    private final AthleteService athletes;
    private final InstantSource clock;

    PreferenceController(PreferenceStore preferences, AthleteService athletes, InstantSource clock) {
        this.preferences = preferences;
        this.athletes = athletes;
        this.clock = clock;
    }

    record UnitsForm(
            @RequestParam Units.Length length,
            @RequestParam Units.Mass mass,
            @RequestParam Units.Temperature temperature,
            @RequestParam Units.Decimal decimal,
            @RequestParam DayOfWeek weekStart,
            @RequestParam Units.Theme theme) {}

    @PostMapping("/account/units")
    String units(UnitsForm form, Viewer viewer, RedirectAttributes flash) {
        if (!List.of(WEEK_STARTS).contains(form.weekStart())) {
            flash.addFlashAttribute("said", "Week: choose Monday, Saturday or Sunday as its first day.");
            return "redirect:/account";
        }
        preferences.set(
                viewer,
                new Units(
                        form.length(),
                        form.mass(),
                        form.temperature(),
                        form.decimal(),
                        form.weekStart(),
                        form.theme()));
        flash.addFlashAttribute("good", "From now on, pages read like this. Files keep their own units.");
        return "redirect:/account";
    }

    @PostMapping("/account/zone")
    String zone(
            @RequestParam(defaultValue = "") String zone,
            @RequestParam(defaultValue = "") String from,
            Viewer viewer,
            RedirectAttributes flash) {
        long athleteId = athletes.own(viewer).orElseThrow(() -> new NotFoundException("athlete"));
        try {
            Athlete athlete = athletes.require(new Visit(athleteId, viewer));
            LocalDate today = athlete.dayOf(clock.instant());
            LocalDate day = from.isBlank() ? today : Typed.near("From", Typed.day("From", from), today);
            athletes.moveTo(new Visit(athleteId, viewer), zone, day);
            flash.addFlashAttribute("good", "Days from " + day + " are those of " + zone + ".");
        } catch (IllegalArgumentException e) {
            flash.addFlashAttribute("said", e.getMessage());
        }
        return "redirect:/account";
    }
}
