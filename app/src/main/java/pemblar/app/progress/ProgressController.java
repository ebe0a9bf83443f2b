package pemblar.app.progress;

import java.time.LocalDate;
import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import pemblar.app.athlete.Pages;
import pemblar.app.frame.Visit;
import pemblar.app.frame.page.OneLook;
import pemblar.app.load.DayLoad;
import pemblar.app.load.TrendService;
import pemblar.app.load.TrendService.Trend;
import pemblar.app.planner.SeasonRemarks;
import pemblar.app.season.PlanService;
import pemblar.app.session.Slab;
import pemblar.app.session.change.ScheduleService;
import pemblar.app.session.reading.DoubtService;
import pemblar.app.session.reading.SessionService;
import pemblar.app.undo.UndoService;
import pemblar.core.load.LoadTrend;

/** The load trend with its forecast, and the sessions ahead that can still change it. */
@Controller
@RequestMapping("/a/{athleteId}/progress")
class ProgressController {
    private static final int DAYS_BACK = 120;
    private static final int DAYS_AHEAD = 84;
    private static final int CHANGEABLE_DAYS = 10;
    private final Pages pages;
    private final SessionService sessions;
    private final ScheduleService schedule;
    private final UndoService undo;
    private final DoubtService doubts;
    private final PlanService plan;
    private final TrendService trends;

    ProgressController(
            Pages pages,
            SessionService sessions,
            ScheduleService schedule,
            UndoService undo,
            DoubtService doubts,
            PlanService plan,
            TrendService trends) {
        this.trends = trends;
        this.plan = plan;
        this.doubts = doubts;
        this.pages = pages;
        this.sessions = sessions;
        this.schedule = schedule;
        this.undo = undo;
    }

    @PostMapping("/scale")
    String scale(Visit visit, @RequestParam long session, @RequestParam int percent, Model model) {
        return changed(() -> schedule.scale(visit, session, null, percent), visit, model);
    }

    @PostMapping("/move")
    String move(Visit visit, @RequestParam long session, @RequestParam LocalDate day, Model model) {
        return changed(() -> schedule.move(visit, session, null, day), visit, model);
    }

    @PostMapping("/drop")
    String drop(Visit visit, @RequestParam long session, Model model) {
        return changed(() -> schedule.remove(visit, session, null), visit, model);
    }

    @PostMapping("/undo")
    String undo(Visit visit, Model model) {
        model.addAttribute("said", undo.undo(visit).orElse("There is nothing to take back."));
        return trend(visit, null, null, model);
    }

    /** The whole page again: the forecast, the ribbon and the list all follow. */
    private String changed(Runnable change, Visit visit, Model model) {
        try {
            change.run();
        } catch (IllegalArgumentException e) {
            model.addAttribute("said", e.getMessage());
        }
        return trend(visit, null, null, model);
    }

    @OneLook
    @GetMapping
    String trend(
            Visit visit,
            @RequestParam(required = false) LocalDate from,
            @RequestParam(required = false) LocalDate to,
            Model model) {
        Pages.Opened page = pages.open(model, visit, "progress", new Pages.Days(from, to));
        LocalDate today = page.today();
        Trend trend = trends.of(page.athlete());
        List<LoadTrend.Day> days = trend.days();
        if (days.isEmpty()) return "progress/trend";
        LocalDate begin = from != null ? from : today.minusDays(DAYS_BACK);
        LocalDate last = days.get(days.size() - 1).date();
        LocalDate end = to != null && to.isAfter(begin)
                ? to
                : last.isAfter(today.plusDays(DAYS_AHEAD))
                        ? today.plusDays(DAYS_AHEAD)
                        : last.isAfter(begin) ? last : begin.plusDays(7);
        model.addAttribute("doubtful", doubts.waiting(page.athlete(), trend));
        model.addAttribute("remarks", SeasonRemarks.of(plan.held(page.athlete()), trend));
        model.addAttribute("now", trend.on(today));
        model.addAttribute("end", trend.on(last));
        model.addAttribute("from", begin);
        model.addAttribute("to", end);
        model.addAttribute("drawing", TrendDrawing.of(trend, begin, end));
        plan.events(page.athlete()).stream()
                .filter(e -> e.day().isAfter(today))
                .findFirst()
                .ifPresent(event -> {
                    model.addAttribute("event", event);
                    model.addAttribute("eventDay", trend.on(event.day()));
                });
        model.addAttribute(
                "withoutLoad",
                trend.dayLoads().stream().mapToLong(DayLoad::withoutLoad).sum());
        List<Slab> ahead = sessions.between(page.athlete(), today, today.plusDays(CHANGEABLE_DAYS)).stream()
                .filter(s -> s.done() == null && s.planned())
                .toList();
        model.addAttribute("ahead", ahead);
        return "progress/trend";
    }
}
