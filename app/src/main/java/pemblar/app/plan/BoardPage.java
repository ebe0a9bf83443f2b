package pemblar.app.plan;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.Pages;
import pemblar.app.frame.Visit;
import pemblar.app.frame.asked.Sent;
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
    String changed(Sent sent, Runnable change) {
        try {
            change.run();
        } catch (ChangedMeanwhile e) {
            sent.model().addAttribute("theirs", e.theirs());
            again(sent);
        } catch (SeasonChangedMeanwhile | IllegalArgumentException e) {
            sent.model().addAttribute("said", Sent.sentence(e.getMessage()));
            sent.model().addAttribute("problem", Sent.sentence(e.getMessage()));
        }
        fill(sent.visit(), sent.from(), sent.to(), sent.model());
        return "plan/board :: changed";
    }

    private static void again(Sent sent) {
        Map<String, String> fields = sent.again("version");
        sent.model().addAttribute("again", fields);
        sent.model().addAttribute("againTo", sent.address());
        sent.model()
                .addAttribute(
                        "mine",
                        sent.address().replaceAll(".*/", "")
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
