package pemblar.app.plan;

import jakarta.servlet.http.HttpServletRequest;
import java.time.LocalDate;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.Pages;
import pemblar.app.frame.Viewer;
import pemblar.app.frame.page.OneLook;
import pemblar.app.frame.page.Typed;
import pemblar.app.session.change.ScheduleService;
import pemblar.app.session.reading.SessionService;
import pemblar.app.undo.UndoService;
import pemblar.app.workout.Shelved;
import pemblar.app.workout.WorkoutService;

/** The board. Every change answers with the board as it then is. */
@Controller
@RequestMapping("/a/{athleteId}")
class BoardController {
    private final Pages pages;
    private final BoardPage page;
    private final ScheduleService schedule;
    private final UndoService undo;
    private final SessionService sessions;
    private final WorkoutService workouts;

    BoardController(
            Pages pages,
            BoardPage page,
            ScheduleService schedule,
            UndoService undo,
            SessionService sessions,
            WorkoutService workouts) {
        this.pages = pages;
        this.page = page;
        this.schedule = schedule;
        this.undo = undo;
        this.sessions = sessions;
        this.workouts = workouts;
    }

    @OneLook
    @GetMapping("/board")
    String board(
            @PathVariable long athleteId,
            @RequestParam(required = false) LocalDate from,
            @RequestParam(required = false) LocalDate to,
            @AuthenticationPrincipal(expression = "viewer") Viewer viewer,
            Model model) {
        page.fill(athleteId, viewer, from, to, model);
        model.addAttribute("library", offered(pages.athlete(athleteId, viewer), viewer));
        return "plan/board";
    }

    /** Of the sports that are trained here: two hundred others would only be in the way. */
    private Offered offered(Athlete athlete, Viewer viewer) {
        return new Offered(workouts.library(viewer).stream()
                .filter(w -> w.isOwn() || athlete.trains(w.workout().sport()))
                .toList());
    }

    /**
     * What can be done with one session; fetched when its menu is first opened, as it would be most of a long board's
     * page.
     */
    @GetMapping("/board/menu/{id}")
    String menu(
            @PathVariable long athleteId,
            @PathVariable long id,
            @AuthenticationPrincipal(expression = "viewer") Viewer viewer,
            Model model) {
        model.addAttribute("slab", sessions.slab(athleteId, viewer, id));
        model.addAttribute("athlete", pages.athlete(athleteId, viewer));
        return "plan/slab :: menu";
    }

    /** A block alone, to be printed. */
    @OneLook
    @GetMapping("/board/print")
    String print(
            @PathVariable long athleteId,
            @RequestParam LocalDate first,
            @AuthenticationPrincipal(expression = "viewer") Viewer viewer,
            Model model) {
        page.fill(athleteId, viewer, first, first, model);
        return "plan/print";
    }

    @PostMapping("/sessions")
    String schedule(
            @PathVariable long athleteId,
            @RequestParam long workout,
            @RequestParam LocalDate day,
            @RequestParam(defaultValue = "") String time,
            HttpServletRequest request,
            @AuthenticationPrincipal(expression = "viewer") Viewer viewer,
            Model model) {
        Shelved kept = workouts.require(workout, viewer);
        return page.changed(
                athleteId,
                viewer,
                request,
                model,
                () -> schedule.schedule(
                        athleteId,
                        viewer,
                        day,
                        Typed.minuteOrNull(time),
                        new ScheduleService.Chosen(kept.title(), kept.workout(), kept.id(), kept.version())));
    }

    @PostMapping("/sessions/{id}/move")
    String move(
            @PathVariable long athleteId,
            @PathVariable long id,
            @RequestParam(required = false) Integer version,
            @RequestParam LocalDate day,
            HttpServletRequest request,
            @AuthenticationPrincipal(expression = "viewer") Viewer viewer,
            Model model) {
        return page.changed(
                athleteId, viewer, request, model, () -> schedule.move(athleteId, viewer, id, version, day));
    }

    @PostMapping("/sessions/{id}/copy")
    String copy(
            @PathVariable long athleteId,
            @PathVariable long id,
            @RequestParam LocalDate day,
            HttpServletRequest request,
            @AuthenticationPrincipal(expression = "viewer") Viewer viewer,
            Model model) {
        return page.changed(athleteId, viewer, request, model, () -> schedule.copy(athleteId, viewer, id, day));
    }

    @PostMapping("/sessions/{id}/remove")
    String remove(
            @PathVariable long athleteId,
            @PathVariable long id,
            @RequestParam(required = false) Integer version,
            HttpServletRequest request,
            @AuthenticationPrincipal(expression = "viewer") Viewer viewer,
            Model model) {
        return page.changed(athleteId, viewer, request, model, () -> schedule.remove(athleteId, viewer, id, version));
    }

    @PostMapping("/sessions/{id}/scale")
    String scale(
            @PathVariable long athleteId,
            @PathVariable long id,
            @RequestParam(required = false) Integer version,
            @RequestParam int percent,
            HttpServletRequest request,
            @AuthenticationPrincipal(expression = "viewer") Viewer viewer,
            Model model) {
        return page.changed(
                athleteId, viewer, request, model, () -> schedule.scale(athleteId, viewer, id, version, percent));
    }

    @PostMapping("/undo")
    String undo(
            @PathVariable long athleteId,
            HttpServletRequest request,
            @AuthenticationPrincipal(expression = "viewer") Viewer viewer,
            Model model) {
        return page.changed(
                athleteId,
                viewer,
                request,
                model,
                () -> model.addAttribute(
                        "said", undo.undo(athleteId, viewer).orElse("There is nothing to take back.")));
    }
}
