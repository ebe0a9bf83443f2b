package pemblar.app.today;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import pemblar.app.adjust.AdjustService;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.Pages;
import pemblar.app.checkin.CheckinForms;
import pemblar.app.frame.Viewer;
import pemblar.app.frame.Visit;
import pemblar.app.frame.page.OneLook;
import pemblar.app.hour.HourService;
import pemblar.app.load.TrendService;
import pemblar.app.load.TrendService.Trend;
import pemblar.app.note.NoteService;
import pemblar.app.plan.BoardService;
import pemblar.app.plan.row.BoardRow;
import pemblar.app.season.PlanService;
import pemblar.app.session.done.DescriptionService;
import pemblar.app.session.reading.DoubtService;
import pemblar.app.session.reading.SessionService;
import pemblar.app.sharing.PlanNews;
import pemblar.app.sky.SkyService;

/** Today: made for a phone, the athlete's first page. */
@Controller
@RequestMapping("/a/{athleteId}")
class TodayController {
    private static final int NEXT_DAYS = 7;
    private static final int NEXT_SHOWN = 3;
    private static final int LATEST_SHOWN = 4;
    private static final int NOTES_SHOWN = 5;
    private final Pages pages;
    private final BoardService board;
    private final SessionService sessions;
    private final CheckinForms forms;
    private final AdjustService adjusting;
    private final Told told;
    private final Day day;
    private final TrendService trends;
    private final PlanService plan;

    TodayController(
            Pages pages,
            BoardService board,
            SessionService sessions,
            CheckinForms forms,
            AdjustService adjusting,
            Told told,
            Day day,
            TrendService trends,
            PlanService plan) {
        this.plan = plan;
        this.trends = trends;
        this.pages = pages;
        this.board = board;
        this.sessions = sessions;
        this.forms = forms;
        this.adjusting = adjusting;
        this.told = told;
        this.day = day;
    }

    /** What others told the athlete. */
    @org.springframework.stereotype.Component
    record Told(PlanNews news, NoteService notes, DoubtService doubts, HourService hours) {
        void fill(Athlete athlete, Viewer viewer, Model model) {
            model.addAttribute("hours", hours.open(athlete));
            model.addAttribute("news", news.unseen(athlete.id()));
            model.addAttribute("notes", notes.unread(athlete, viewer, NOTES_SHOWN));
        }
    }

    /** What is on, and the sky over it. */
    @org.springframework.stereotype.Component
    record Day(TodaySessions sessions, DescriptionService descriptions, SkyService sky) {
        void fill(Athlete athlete, LocalDate today, List<BoardRow> rows, Model model) {
            List<TodaySession> now = sessions.of(athlete, today, rows);
            model.addAttribute("now", now);
            model.addAttribute("place", sky.place(athlete).orElse(null));
            if (now.stream().anyMatch(TodaySession::isDone))
                model.addAttribute("words", descriptions.known(athlete, null, today));
        }
    }

    @OneLook
    @GetMapping("/today")
    String today(Visit visit, Model model) {
        Pages.Opened opened = pages.open(model, visit, "today");
        LocalDate today = opened.today();
        BoardService.Present present = board.present(opened.athlete(), today, NEXT_DAYS);
        List<BoardRow> rows = List.of(present.row());
        model.addAttribute("rows", rows);
        model.addAttribute(
                "next",
                present.next().stream()
                        .filter(s -> s.done() == null)
                        .limit(NEXT_SHOWN)
                        .toList());
        model.addAttribute("latest", sessions.lastDone(opened.athlete(), LATEST_SHOWN));
        model.addAttribute("form", forms.of(opened.athlete(), today));
        Trend trend = trends.of(opened.athlete());
        model.addAttribute("open", adjusting.open(opened.athlete(), trend));
        model.addAttribute("trend", trend.on(today));
        plan.events(opened.athlete()).stream()
                .filter(e -> !e.day().isBefore(today))
                .findFirst()
                .ifPresent(event -> {
                    model.addAttribute("event", event);
                    model.addAttribute("daysToEvent", ChronoUnit.DAYS.between(today, event.day()));
                });
        day.fill(opened.athlete(), today, rows, model);
        told.fill(opened.athlete(), visit.viewer(), model);
        model.addAttribute("doubtful", told.doubts().waiting(opened.athlete(), trend));
        return "today/today";
    }

    /** The athlete has read what changed. */
    @PostMapping("/news/seen")
    String seen(Visit visit) {
        told.news().seen(visit);
        return "redirect:/a/" + visit.athleteId() + "/today";
    }
}
