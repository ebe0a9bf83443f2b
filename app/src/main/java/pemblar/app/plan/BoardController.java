package pemblar.app.plan;

import java.time.LocalDate;
import java.util.List;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import pemblar.app.frame.Viewer;
import pemblar.app.ribbon.Pages;
import pemblar.app.session.ScheduleService;
import pemblar.app.session.SessionService;
import pemblar.app.undo.UndoService;
import pemblar.app.workout.Shelved;
import pemblar.app.workout.WorkoutService;
import pemblar.core.load.LoadTrend;

/** The board and today. Every change answers with the board as it then is. */
@Controller
@RequestMapping("/a/{athleteId}")
class BoardController {
    private static final int DAYS_AHEAD = 16;
    private static final int MOST_DAYS = 120;
    private final Pages pages;
    private final BoardService board;
    private final ScheduleService schedule;
    private final UndoService undo;
    private final SessionService sessions;
    private final WorkoutService workouts;

    BoardController(Pages pages, BoardService board, ScheduleService schedule, UndoService undo, SessionService sessions, WorkoutService workouts) {
        this.pages = pages;
        this.board = board;
        this.schedule = schedule;
        this.undo = undo;
        this.sessions = sessions;
        this.workouts = workouts;
    }

    @GetMapping("/today")
    String today(@PathVariable long athleteId, @AuthenticationPrincipal(expression = "viewer") Viewer viewer, Model model) {
        Pages.Opened page = pages.open(model, athleteId, viewer, "today", null, null);
        LocalDate today = page.today();
        model.addAttribute("rows", board.rows(page.athlete(), today, today, today).stream().filter(r -> r.block().contains(today)).toList());
        model.addAttribute("next", sessions.between(page.athlete(), today.plusDays(1), today.plusDays(7)).stream().filter(s -> s.done() == null).limit(3).toList());
        model.addAttribute("latest", sessions.lastDone(page.athlete(), 4));
        model.addAttribute("trend", page.trend().on(today));
        model.addAttribute("event", page.events().stream().filter(e -> !e.day().isBefore(today)).findFirst().orElse(null));
        return "plan/today";
    }

    @GetMapping("/board")
    String board(@PathVariable long athleteId, @RequestParam(required = false) LocalDate from, @RequestParam(required = false) LocalDate to,
                 @AuthenticationPrincipal(expression = "viewer") Viewer viewer, Model model) {
        fill(athleteId, viewer, from, to, model);
        model.addAttribute("library", workouts.library(viewer));
        return "plan/board";
    }

    @PostMapping("/sessions")
    String schedule(@PathVariable long athleteId, @RequestParam long workout, @RequestParam LocalDate day, @RequestParam(defaultValue = "") String time,
                    @RequestParam(required = false) LocalDate from, @RequestParam(required = false) LocalDate to,
                    @AuthenticationPrincipal(expression = "viewer") Viewer viewer, Model model) {
        Shelved kept = workouts.require(workout, viewer);
        schedule.schedule(athleteId, viewer, day, minute(time), new ScheduleService.Chosen(kept.title(), kept.workout(), kept.id(), kept.version()));
        return answer(athleteId, viewer, from, to, model);
    }

    private static Integer minute(String time) {
        return time.matches("([01]?\\d|2[0-3]):[0-5]\\d") ? Integer.valueOf(Integer.parseInt(time.split(":")[0]) * 60 + Integer.parseInt(time.split(":")[1])) : null;
    }

    @PostMapping("/sessions/{id}/move")
    String move(@PathVariable long athleteId, @PathVariable long id, @RequestParam(required = false) Integer version, @RequestParam LocalDate day, @RequestParam(required = false) LocalDate from,
                @RequestParam(required = false) LocalDate to, @AuthenticationPrincipal(expression = "viewer") Viewer viewer, Model model) {
        return changed(() -> schedule.move(athleteId, viewer, id, version, day), athleteId, viewer, from, to, model);
    }

    @PostMapping("/sessions/{id}/copy")
    String copy(@PathVariable long athleteId, @PathVariable long id, @RequestParam LocalDate day, @RequestParam(required = false) LocalDate from,
                @RequestParam(required = false) LocalDate to, @AuthenticationPrincipal(expression = "viewer") Viewer viewer, Model model) {
        return changed(() -> schedule.copy(athleteId, viewer, id, day), athleteId, viewer, from, to, model);
    }

    @PostMapping("/sessions/{id}/remove")
    String remove(@PathVariable long athleteId, @PathVariable long id, @RequestParam(required = false) Integer version, @RequestParam(required = false) LocalDate from,
                  @RequestParam(required = false) LocalDate to, @AuthenticationPrincipal(expression = "viewer") Viewer viewer, Model model) {
        return changed(() -> schedule.remove(athleteId, viewer, id, version), athleteId, viewer, from, to, model);
    }

    @PostMapping("/sessions/{id}/scale")
    String scale(@PathVariable long athleteId, @PathVariable long id, @RequestParam(required = false) Integer version, @RequestParam int percent, @RequestParam(required = false) LocalDate from,
                 @RequestParam(required = false) LocalDate to, @AuthenticationPrincipal(expression = "viewer") Viewer viewer, Model model) {
        return changed(() -> schedule.scale(athleteId, viewer, id, version, percent), athleteId, viewer, from, to, model);
    }

    @PostMapping("/undo")
    String undo(@PathVariable long athleteId, @RequestParam(required = false) LocalDate from, @RequestParam(required = false) LocalDate to,
                @AuthenticationPrincipal(expression = "viewer") Viewer viewer, Model model) {
        model.addAttribute("said", undo.undo(athleteId, viewer).orElse("There is nothing to take back."));
        return answer(athleteId, viewer, from, to, model);
    }

    private String changed(Runnable change, long athleteId, Viewer viewer, LocalDate from, LocalDate to, Model model) {
        try {
            change.run();
        } catch (IllegalArgumentException e) {
            model.addAttribute("said", e.getMessage());
        }
        return answer(athleteId, viewer, from, to, model);
    }

    private String answer(long athleteId, Viewer viewer, LocalDate from, LocalDate to, Model model) {
        fill(athleteId, viewer, from, to, model);
        return "plan/board :: changed";
    }

    private void fill(long athleteId, Viewer viewer, LocalDate askedFrom, LocalDate askedTo, Model model) {
        Pages.Opened page = pages.open(model, athleteId, viewer, "board", askedFrom, askedTo);
        LocalDate from = askedFrom == null ? page.today() : askedFrom;
        LocalDate to = askedTo == null || askedTo.isBefore(from) ? from.plusDays(DAYS_AHEAD) : askedTo;
        if (to.isAfter(from.plusDays(MOST_DAYS))) to = from.plusDays(MOST_DAYS);
        List<BoardRow> rows = board.rows(page.athlete(), from, to, page.today());
        model.addAttribute("rows", rows);
        model.addAttribute("from", rows.get(0).block().first());
        model.addAttribute("to", rows.get(rows.size() - 1).block().last());
        LocalDate shownTo = to;
        page.events().stream().filter(e -> e.priority() == pemblar.core.season.Priority.A && e.day().isAfter(page.today())).findFirst().ifPresent(event -> {
            LoadTrend.Day before = page.trend().on(event.day());
            model.addAttribute("aEvent", event);
            model.addAttribute("aDay", before);
        });
        model.addAttribute("ribbon", page.ribbon(rows.get(0).block().first(), rows.get(rows.size() - 1).block().last()));
        model.addAttribute("askedFrom", from);
        model.addAttribute("askedTo", shownTo);
    }
}
