package pemblar.app.plan.put;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
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
import pemblar.app.frame.page.Shown;
import pemblar.app.frame.page.Typed;
import pemblar.app.season.Held;
import pemblar.app.season.PlanService;
import pemblar.app.season.SeasonEvent;
import pemblar.app.session.Slab;
import pemblar.app.session.change.ScheduleService;
import pemblar.app.session.reading.SessionService;
import pemblar.app.undo.UndoService;
import pemblar.app.workout.Shelved;
import pemblar.app.workout.WorkoutService;

/** Puts a workout of the library on a day from where the workout is: its tile or its own page. */
@Controller
@RequestMapping("/a/{athleteId}/put")
class PutController {
    private static final int DAYS = 14;
    private final Pages pages;
    private final WorkoutService workouts;
    private final ScheduleService schedule;
    private final SessionService sessions;
    private final PlanService plan;
    private final UndoService undo;
    private final Shown shown;

    PutController(
            Pages pages,
            WorkoutService workouts,
            ScheduleService schedule,
            SessionService sessions,
            PlanService plan,
            UndoService undo,
            Shown shown) {
        this.pages = pages;
        this.workouts = workouts;
        this.schedule = schedule;
        this.sessions = sessions;
        this.plan = plan;
        this.undo = undo;
        this.shown = shown;
    }

    /** A day that something can be put on. @param holds what stands there, in words; @param hard something hard does */
    public record Day(LocalDate date, String holds, boolean hard, boolean away) {
        public String words() {
            if (!holds.isEmpty()) return holds;
            return away ? "away" : "free";
        }
    }

    /** The days to come with what stands there. */
    @GetMapping
    String days(Visit visit, @RequestParam long workout, Model model) {
        Athlete athlete = pages.athlete(visit);
        Shelved kept = workouts.require(workout, visit.viewer());
        LocalDate today = pages.today(athlete);
        Map<LocalDate, List<Slab>> there = sessions.between(athlete, today, today.plusDays(DAYS - 1L)).stream()
                .collect(Collectors.groupingBy(Slab::day));
        Held held = plan.held(athlete);
        model.addAttribute("athlete", athlete);
        model.addAttribute("workout", kept);
        model.addAttribute("today", today);
        model.addAttribute(
                "days",
                today.datesUntil(today.plusDays(DAYS))
                        .map(day -> day(day, there.getOrDefault(day, List.of()), held))
                        .toList());
        return "plan/put :: days";
    }

    private static Day day(LocalDate date, List<Slab> there, Held held) {
        String event = held.events().stream()
                .filter(e -> !date.isBefore(e.day()) && !date.isAfter(e.last()))
                .map(SeasonEvent::name)
                .findFirst()
                .orElse("");
        String holds = there.stream().map(Slab::title).collect(Collectors.joining(", "));
        boolean away = held.allAway().stream().anyMatch(a -> a.contains(date) && a.weeklyHours() == 0);
        return new Day(
                date,
                event.isEmpty() ? holds : holds.isEmpty() ? event : event + ", " + holds,
                !event.isEmpty() || there.stream().anyMatch(Slab::hard),
                away);
    }

    record PutForm(
            @RequestParam long workout,
            @RequestParam(defaultValue = "") String day,
            @RequestParam(defaultValue = "") String time,
            @RequestParam(defaultValue = "false") boolean page) {}

    @PostMapping
    String put(Visit visit, PutForm form, RedirectAttributes flash) {
        Shelved kept = workouts.require(form.workout(), visit.viewer());
        try {
            LocalDate on = Typed.day("Day", form.day());
            schedule.schedule(
                    visit,
                    on,
                    Typed.minuteOrNull(form.time()),
                    new ScheduleService.Chosen(kept.title(), kept.workout(), kept.id(), kept.version()));
            flash.addFlashAttribute("put", "“" + kept.title() + "” is on " + shown.day(on) + ".");
        } catch (IllegalArgumentException e) {
            flash.addFlashAttribute("putRefused", e.getMessage());
        }
        return back(visit.athleteId(), form.page() ? form.workout() : null);
    }

    @PostMapping("/undo")
    String undo(Visit visit, @RequestParam(required = false) Long workout, RedirectAttributes flash) {
        try {
            flash.addFlashAttribute("putUndone", undo.undo(visit).orElse("There is nothing to take back."));
        } catch (IllegalArgumentException e) {
            flash.addFlashAttribute("putRefused", e.getMessage());
        }
        return back(visit.athleteId(), workout);
    }

    private static String back(long athleteId, Long workout) {
        return "redirect:/a/" + athleteId + "/workouts" + (workout == null ? "" : "/design?id=" + workout);
    }
}
