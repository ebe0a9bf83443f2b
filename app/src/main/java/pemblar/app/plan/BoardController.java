package pemblar.app.plan;

import java.time.LocalDate;
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
import pemblar.app.frame.Visit;
import pemblar.app.frame.asked.Sent;
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
            Visit visit,
            @RequestParam(required = false) LocalDate from,
            @RequestParam(required = false) LocalDate to,
            Model model) {
        page.fill(visit, from, to, model);
        model.addAttribute("library", offered(pages.athlete(visit), visit.viewer()));
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
    String menu(Visit visit, @PathVariable long id, Model model) {
        model.addAttribute("slab", sessions.slab(visit, id));
        model.addAttribute("athlete", pages.athlete(visit));
        return "plan/slab :: menu";
    }

    /** A block alone, to be printed. */
    @OneLook
    @GetMapping("/board/print")
    String print(Visit visit, @RequestParam LocalDate first, Model model) {
        page.fill(visit, first, first, model);
        return "plan/print";
    }

    record ScheduleForm(
            @RequestParam long workout,
            @RequestParam LocalDate day,
            @RequestParam(defaultValue = "") String time) {}

    @PostMapping("/sessions")
    String schedule(Sent sent, ScheduleForm form) {
        Shelved kept = workouts.require(form.workout(), sent.visit().viewer());
        return page.changed(
                sent,
                () -> schedule.schedule(
                        sent.visit(),
                        form.day(),
                        Typed.minuteOrNull(form.time()),
                        new ScheduleService.Chosen(kept.title(), kept.workout(), kept.id(), kept.version())));
    }

    record MoveForm(
            @RequestParam(required = false) Integer version,
            @RequestParam LocalDate day) {}

    @PostMapping("/sessions/{id}/move")
    String move(Sent sent, @PathVariable long id, MoveForm form) {
        return page.changed(sent, () -> schedule.move(sent.visit(), id, form.version(), form.day()));
    }

    @PostMapping("/sessions/{id}/copy")
    String copy(Sent sent, @PathVariable long id, @RequestParam LocalDate day) {
        return page.changed(sent, () -> schedule.copy(sent.visit(), id, day));
    }

    @PostMapping("/sessions/{id}/remove")
    String remove(Sent sent, @PathVariable long id, @RequestParam(required = false) Integer version) {
        return page.changed(sent, () -> schedule.remove(sent.visit(), id, version));
    }

    record ScaleForm(
            @RequestParam(required = false) Integer version,
            @RequestParam int percent) {}

    @PostMapping("/sessions/{id}/scale")
    String scale(Sent sent, @PathVariable long id, ScaleForm form) {
        return page.changed(sent, () -> schedule.scale(sent.visit(), id, form.version(), form.percent()));
    }

    @PostMapping("/undo")
    String undo(Sent sent) {
        return page.changed(
                sent,
                () -> sent.model()
                        .addAttribute("said", undo.undo(sent.visit()).orElse("There is nothing to take back.")));
    }
}
