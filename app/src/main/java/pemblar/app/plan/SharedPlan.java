package pemblar.app.plan;

import java.time.LocalDate;
import java.util.List;
import org.springframework.stereotype.Component;
import pemblar.app.athlete.Pages;
import pemblar.app.frame.page.Shown;
import pemblar.app.load.TrendService;
import pemblar.app.plan.row.BoardRow;
import pemblar.app.season.PlanService;
import pemblar.app.season.SeasonEvent;
import pemblar.core.load.LoadTrend;
import pemblar.core.season.Priority;

/** What a coach has to know of the line between what the athlete sees and what is a draft. */
@Component
class SharedPlan {
    private final TrendService trends;
    private final PlanService plan;

    SharedPlan(TrendService trends, PlanService plan) {
        this.plan = plan;
        this.trends = trends;
    }

    /**
     * What stands on the board about it.
     *
     * @param until null when there is no line yet
     * @param drafts ahead on the shown days
     * @param seen the athlete's own forecast of the next A event; empty when it is the same, or there is none
     */
    public record Line(LocalDate until, LocalDate suggested, long drafts, String words, String seen) {}

    Line of(Pages.Opened page, List<BoardRow> rows) {
        LocalDate today = page.today();
        LocalDate until = page.athlete().sharedUntil();
        long drafts = rows.stream()
                .flatMap(row -> row.days().stream())
                .flatMap(day -> day.slabs().stream())
                .filter(view -> view.slab().draft() && !view.slab().day().isBefore(today))
                .count();
        String words = until == null
                ? "What you plan is a draft until you share it."
                : until.isBefore(today) ? "The line lies behind: all that you plan is a draft." : "";
        LocalDate suggested = until == null || until.isBefore(today)
                ? rows.get(0).block().last().isBefore(today)
                        ? today
                        : rows.get(0).block().last()
                : until;
        return new Line(until, suggested, drafts, words, drafts == 0 ? "" : seen(page));
    }

    /** The same event as on the coach's side, in the forecast that the athlete has. */
    private String seen(Pages.Opened page) {
        SeasonEvent event = plan.events(page.athlete()).stream()
                .filter(e -> e.priority() == Priority.A && e.day().isAfter(page.today()))
                .findFirst()
                .orElse(null);
        if (event == null) return "";
        LoadTrend.Day morning = trends.of(page.athlete().seeingDrafts(false)).on(event.day());
        if (morning == null) return "";
        Shown shown = new Shown();
        return "As " + page.athlete().name() + " sees it: chronic " + shown.whole(morning.chronicBefore())
                + ", balance " + shown.signed(morning.balance()) + ".";
    }
}
