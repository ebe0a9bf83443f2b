package pemblar.app.plan;

import jakarta.servlet.http.HttpServletRequest;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.Pages;
import pemblar.app.frame.Visit;
import pemblar.app.frame.page.Typed;
import pemblar.app.load.TrendService;
import pemblar.app.load.TrendService.Trend;
import pemblar.app.note.NoteService;
import pemblar.app.plan.row.BoardDays;
import pemblar.app.plan.row.BoardRow;
import pemblar.app.season.PlanService;
import pemblar.app.season.SeasonChangedMeanwhile;
import pemblar.app.session.ChangedMeanwhile;
import pemblar.core.schedule.Purpose;
import pemblar.core.season.Priority;

/** Fills the model of the board, also after a change that was refused or came too late. */
@Component
class BoardPage {
    private static final int DAYS_AHEAD = 16;
    private static final int MOST_DAYS = 120;
    private final Pages pages;
    private final BoardService board;
    private final SharedPlan sharing;
    private final NoteService notes;
    private final TrendService trends;
    private final PlanService plan;

    BoardPage(
            Pages pages,
            BoardService board,
            SharedPlan sharing,
            NoteService notes,
            TrendService trends,
            PlanService plan) {
        this.plan = plan;
        this.trends = trends;
        this.notes = notes;
        this.pages = pages;
        this.board = board;
        this.sharing = sharing;
    }

    /**
     * Makes a change and answers with the board as it then is; a refusal is said, and when somebody was quicker both
     * are shown.
     */
    String changed(Visit visit, HttpServletRequest request, Model model, Runnable change) {
        try {
            change.run();
        } catch (ChangedMeanwhile e) {
            model.addAttribute("theirs", e.theirs());
            again(request, model);
        } catch (SeasonChangedMeanwhile | IllegalArgumentException e) {
            model.addAttribute("said", sentence(e.getMessage()));
            model.addAttribute("problem", sentence(e.getMessage()));
        }
        fill(visit, Typed.dayOrNull(request.getParameter("from")), Typed.dayOrNull(request.getParameter("to")), model);
        return "plan/board :: changed";
    }

    private static String sentence(String message) {
        return Character.toUpperCase(message.charAt(0)) + message.substring(1) + (message.endsWith(".") ? "" : ".");
    }

    private static void again(HttpServletRequest request, Model model) {
        Map<String, String> fields = new LinkedHashMap<>();
        request.getParameterMap().forEach((name, values) -> {
            if (!name.equals("version") && !name.equals("_csrf")) fields.put(name, values[0]);
        });
        model.addAttribute("again", fields);
        model.addAttribute("againTo", request.getRequestURI());
        model.addAttribute(
                "mine",
                request.getRequestURI().replaceAll(".*/", "")
                        + fields.entrySet().stream()
                                .filter(f -> !f.getKey().equals("from")
                                        && !f.getKey().equals("to")
                                        && !f.getValue().isBlank())
                                .map(f -> " " + f.getKey() + " " + f.getValue())
                                .reduce("", String::concat));
    }

    void fill(Visit visit, LocalDate askedFrom, LocalDate askedTo, Model model) {
        Athlete athlete = pages.begin(visit);
        LocalDate today = pages.today(athlete);
        LocalDate from = askedFrom == null ? today : askedFrom;
        LocalDate to = askedTo == null || askedTo.isBefore(from) ? from.plusDays(DAYS_AHEAD) : askedTo;
        if (to.isAfter(from.plusDays(MOST_DAYS))) to = from.plusDays(MOST_DAYS);
        BoardService.Board shown = board.board(athlete, from, to, today);
        List<BoardRow> rows = shown.rows();
        LocalDate first = rows.get(0).block().first();
        LocalDate last = rows.get(rows.size() - 1).block().last();
        Pages.Opened page = pages.open(model, visit, "board", new Pages.Days(first, last));
        model.addAttribute("rows", rows);
        model.addAttribute("displaced", shown.displaced());
        model.addAttribute("days", new BoardDays(athlete, today, notes.days(athlete, first, last)));
        model.addAttribute("from", first);
        model.addAttribute("to", last);
        if (athlete.draftsSeen()) {
            model.addAttribute("sharing", sharing.of(page, rows));
            model.addAttribute("sharedUntil", athlete.sharedUntil());
        }
        Trend trend = trends.of(athlete);
        plan.events(athlete).stream()
                .filter(e -> e.priority() == Priority.A && e.day().isAfter(today))
                .findFirst()
                .ifPresent(event -> {
                    model.addAttribute("aEvent", event);
                    model.addAttribute("aDay", trend.on(event.day()));
                    model.addAttribute("aEve", trend.on(event.day().minusDays(1)));
                });
        model.addAttribute("askedFrom", from);
        model.addAttribute("askedTo", to);
        model.addAttribute("purposes", Purpose.values());
    }
}
