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
import pemblar.app.adjust.AdjustService;
import pemblar.app.checkin.CheckinForms;
import pemblar.app.frame.Viewer;
import pemblar.app.ribbon.Pages;
import pemblar.app.session.ScheduleService;
import pemblar.app.session.SessionService;
import pemblar.app.undo.UndoService;
import pemblar.app.workout.Shelved;
import pemblar.app.workout.WorkoutService;

/** The board and today. Every change answers with the board as it then is. */
@Controller
@RequestMapping("/a/{athleteId}")
class BoardController {
    private final Pages pages;
    private final BoardPage page;
    private final BoardService board;
    private final ScheduleService schedule;
    private final UndoService undo;
    private final SessionService sessions;
    private final WorkoutService workouts;
    private final CheckinForms forms;
    private final AdjustService adjusting;

    BoardController(
            Pages pages,
            BoardPage page,
            BoardService board,
            ScheduleService schedule,
            UndoService undo,
            SessionService sessions,
            WorkoutService workouts,
            CheckinForms forms,
            AdjustService adjusting) {
        this.forms = forms;
        this.adjusting = adjusting;
        this.pages = pages;
        this.page = page;
        this.board = board;
        this.schedule = schedule;
        this.undo = undo;
        this.sessions = sessions;
        this.workouts = workouts;
    }

    @GetMapping("/today")
    String today(
            @PathVariable long athleteId, @AuthenticationPrincipal(expression = "viewer") Viewer viewer, Model model) {
        Pages.Opened opened = pages.open(model, athleteId, viewer, "today", null, null);
        LocalDate today = opened.today();
        model.addAttribute(
                "rows",
                board.rows(opened.athlete(), today, today, today).stream()
                        .filter(r -> r.block().contains(today))
                        .toList());
        model.addAttribute(
                "next",
                sessions.between(opened.athlete(), today.plusDays(1), today.plusDays(7)).stream()
                        .filter(s -> s.done() == null)
                        .limit(3)
                        .toList());
        model.addAttribute("latest", sessions.lastDone(opened.athlete(), 4));
        model.addAttribute("form", forms.of(opened.athlete(), today));
        model.addAttribute("open", adjusting.open(opened.athlete(), opened.trend()));
        model.addAttribute("trend", opened.trend().on(today));
        model.addAttribute(
                "event",
                opened.events().stream()
                        .filter(e -> !e.day().isBefore(today))
                        .findFirst()
                        .orElse(null));
        return "plan/today";
    }

    @GetMapping("/board")
    String board(
            @PathVariable long athleteId,
            @RequestParam(required = false) LocalDate from,
            @RequestParam(required = false) LocalDate to,
            @AuthenticationPrincipal(expression = "viewer") Viewer viewer,
            Model model) {
        page.fill(athleteId, viewer, from, to, model);
        model.addAttribute("library", workouts.library(viewer));
        return "plan/board";
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
                        minute(time),
                        new ScheduleService.Chosen(kept.title(), kept.workout(), kept.id(), kept.version())));
    }

    /** Minutes since midnight, or null. */
    static Integer minute(String time) {
        return time.matches("([01]?\\d|2[0-3]):[0-5]\\d")
                ? Integer.valueOf(Integer.parseInt(time.split(":")[0]) * 60 + Integer.parseInt(time.split(":")[1]))
                : null;
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
