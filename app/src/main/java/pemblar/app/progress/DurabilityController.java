package pemblar.app.progress;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.Pages;
import pemblar.app.effort.EffortService;
import pemblar.app.effort.EffortService.Scope;
import pemblar.app.frame.Visit;
import pemblar.app.frame.page.OneLook;
import pemblar.app.frame.page.Shown;
import pemblar.core.effort.AfterWork;
import pemblar.core.effort.BestCurve;
import pemblar.core.effort.Durability;
import pemblar.core.range.DayRange;
import pemblar.core.sport.Measure;
import pemblar.core.sport.Sport;

/** What is left of best efforts after work or hours, this half-year and before. */
@Controller
class DurabilityController {
    private static final int HALF_YEAR = 182;
    private static final int[] EFFORTS = {60, 300, 1200};
    private static final int[] JOULES = {1_000_000, 1_500_000, 2_000_000, 2_500_000};
    private static final int[] HOURS = {1, 2, 3};
    private final Pages pages;
    private final EffortService efforts;
    private final Shown shown;

    DurabilityController(Pages pages, EffortService efforts, Shown shown) {
        this.pages = pages;
        this.efforts = efforts;
        this.shown = shown;
    }

    /** A cell: the best after, and what it is of fresh. @param words empty when nobody came so far */
    public record Cell(String value, String words, double width) {}

    /** One effort: fresh, and after each amount. */
    public record Row(String effort, String fresh, List<Cell> after) {}

    /** A half-year. */
    public record Span(String name, List<Row> rows) {}

    @OneLook
    @GetMapping("/a/{athleteId}/progress/durability")
    String show(Visit visit, @RequestParam(defaultValue = "") String sport, Model model) {
        Pages.Opened page = pages.open(model, visit, "progress");
        Athlete athlete = page.athlete();
        Sport of = athlete.orFirst(sport);
        boolean power = of.ownMeasure() == Measure.POWER;
        LocalDate today = page.today();
        List<Span> spans = List.of(
                span("The last half-year", athlete, of, halfYear(today, 0)),
                span("The half-year before", athlete, of, halfYear(today, 1)),
                span("A year before", athlete, of, halfYear(today, 2)));
        model.addAttribute("sport", of);
        model.addAttribute("heads", power ? heads(JOULES, 1000, " kJ") : heads(HOURS, 1, " h"));
        model.addAttribute(
                "spans", spans.stream().filter(s -> !s.rows().isEmpty()).toList());
        model.addAttribute("sentence", sentence(athlete, of, today));
        return "progress/durability";
    }

    private static List<String> heads(int[] amounts, int divisor, String unit) {
        List<String> heads = new ArrayList<>();
        for (int amount : amounts) heads.add("after " + amount / divisor + unit);
        return heads;
    }

    /** Both kinds of best efforts of a stretch of days. */
    private record Bests(BestCurve fresh, AfterWork after, Sport sport) {
        Durability of(int seconds, int amount) {
            boolean power = sport.ownMeasure() == Measure.POWER;
            double later = power ? after.afterJoules(amount, seconds) : after.afterSeconds(amount * 3600.0, seconds);
            return new Durability(fresh(seconds), later);
        }

        double fresh(int seconds) {
            List<BestCurve.Point> points = fresh.points(seconds, (int) (seconds * 1.02));
            return points.isEmpty() ? Double.NaN : points.get(0).value();
        }

        int[] amounts() {
            return sport.ownMeasure() == Measure.POWER ? JOULES : HOURS;
        }
    }

    /** The last one has today in it, and one day more. */
    private static DayRange halfYear(LocalDate today, int back) {
        LocalDate last = today.minusDays((long) back * HALF_YEAR);
        return new DayRange(last.minusDays(HALF_YEAR), back == 0 ? last : last.minusDays(1));
    }

    private Bests bests(Athlete athlete, Sport sport, DayRange days) {
        Scope scope = new Scope(athlete, sport, sport.ownMeasure(), days);
        return new Bests(efforts.curve(scope), efforts.after(scope, day -> 1), sport);
    }

    private Span span(String name, Athlete athlete, Sport sport, DayRange days) {
        Bests bests = bests(athlete, sport, days);
        List<Row> rows = new ArrayList<>();
        for (int seconds : EFFORTS) {
            if (Double.isNaN(bests.fresh(seconds))) continue;
            List<Cell> cells = new ArrayList<>();
            for (int amount : bests.amounts()) cells.add(cell(sport, bests.of(seconds, amount)));
            rows.add(new Row(seconds / 60 + " min", shown.best(sport, bests.fresh(seconds)), cells));
        }
        return new Span(name, rows);
    }

    private Cell cell(Sport sport, Durability durability) {
        if (Double.isNaN(durability.after())) return new Cell("–", "not so far", 0);
        String value = shown.best(sport, durability.after());
        return durability.isTried()
                ? new Cell(value, shown.percent(durability.share()), 100 * durability.share())
                : new Cell(value, "no effort", 0);
    }

    /** The longest effort at the highest amount that was tried, against the half-year before. */
    private String sentence(Athlete athlete, Sport sport, LocalDate today) {
        Bests now = bests(athlete, sport, halfYear(today, 0));
        Bests before = bests(athlete, sport, halfYear(today, 1));
        int[] amounts = now.amounts();
        for (int i = amounts.length - 1; i >= 0; i--) {
            Durability is = now.of(300, amounts[i]);
            if (!is.isTried()) continue;
            Durability was = before.of(300, amounts[i]);
            String amount = sport.ownMeasure() == Measure.POWER ? amounts[i] / 1000 + " kJ" : amounts[i] + " h";
            return "After " + amount + " the best 5 min of the last half-year is " + shown.percent(is.share())
                    + " of the fresh one"
                    + (was.isTried() ? "; in the half-year before it was " + shown.percent(was.share()) + "." : ".");
        }
        String least = sport.ownMeasure() == Measure.POWER ? JOULES[0] / 1000 + " kJ" : HOURS[0] + " h";
        return "No effort of 5 min after " + least + " or more was near a fresh one, so nothing can be said yet.";
    }
}
