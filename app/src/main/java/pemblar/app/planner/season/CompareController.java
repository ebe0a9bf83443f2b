package pemblar.app.planner.season;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.AthleteService;
import pemblar.app.athlete.Pages;
import pemblar.app.frame.NotFoundException;
import pemblar.app.frame.Visit;
import pemblar.app.frame.page.OneLook;
import pemblar.app.load.TrendService;
import pemblar.app.planner.season.CompareService.Days;
import pemblar.app.planner.season.CompareService.Side;
import pemblar.app.planner.season.CompareService.Whose;
import pemblar.app.season.PlanService;
import pemblar.app.season.SeasonEvent;
import pemblar.core.range.DayRange;
import pemblar.core.season.Priority;

/** Compares two stretches of plan or history, such as a race week and a training week. */
@Controller
@RequestMapping("/a/{athleteId}/season/compare")
class CompareController {
    private static final int MOST_DAYS = 400;
    private static final int USUAL_DAYS = 10;
    private final Pages pages;
    private final CompareService compare;
    private final AthleteService athletes;
    private final TrendService trends;
    private final PlanService plan;

    CompareController(
            Pages pages, CompareService compare, AthleteService athletes, TrendService trends, PlanService plan) {
        this.plan = plan;
        this.pages = pages;
        this.compare = compare;
        this.athletes = athletes;
        this.trends = trends;
    }

    record CompareForm(
            @RequestParam(required = false) LocalDate from,
            @RequestParam(required = false) LocalDate to,
            @RequestParam(required = false) LocalDate otherFrom,
            @RequestParam(required = false) LocalDate otherTo,
            @RequestParam(required = false) Long other) {}

    @OneLook
    @GetMapping
    String compare(Visit visit, CompareForm form, Model model) {
        Pages.Opened page = pages.open(model, visit, "season", new Pages.Days(form.from(), form.to()));
        LocalDate race = plan.events(page.athlete()).stream()
                .filter(e -> !e.day().isBefore(page.today()) && e.priority() != Priority.A)
                .map(SeasonEvent::day)
                .findFirst()
                .orElse(page.today().plusDays(USUAL_DAYS));
        DayRange first = new DayRange(
                form.from() == null ? race.minusDays(6) : form.from(),
                form.to() == null
                        ? form.from() == null ? race.plusDays(3) : form.from().plusDays(USUAL_DAYS - 1L)
                        : form.to());
        DayRange second = new DayRange(
                form.otherFrom() == null ? page.today().minusDays(USUAL_DAYS) : form.otherFrom(),
                form.otherTo() == null
                        ? form.otherFrom() == null
                                ? page.today().minusDays(1)
                                : form.otherFrom().plusDays(USUAL_DAYS - 1L)
                        : form.otherTo());
        model.addAttribute("first", first);
        model.addAttribute("second", second);
        if (first.days() < 1 || second.days() < 1)
            model.addAttribute(
                    "problem", "A stretch ends before it begins; choose a last day that is not before the first.");
        else if (first.days() > MOST_DAYS || second.days() > MOST_DAYS)
            model.addAttribute("problem", "A stretch can have at most " + MOST_DAYS + " days.");
        else fill(page, form.other(), List.of(first, second), model);
        return "planner/compare";
    }

    private Whose theirs(List<Athlete> others, long other) {
        Athlete athlete = others.stream()
                .filter(o -> o.id() == other)
                .findFirst()
                .orElseThrow(() -> new NotFoundException("other"));
        return new Whose(athlete, trends.of(athlete));
    }

    private void fill(Pages.Opened page, Long other, List<DayRange> stretches, Model model) {
        List<Athlete> others = athletes.keptFor(page.athlete());
        Whose own = new Whose(page.athlete(), trends.of(page.athlete()));
        Whose theirs = other == null ? own : theirs(others, other);
        Days first = new Days(own, stretches.get(0));
        Days second = new Days(theirs, stretches.get(1));
        model.addAttribute("others", others);
        model.addAttribute("theirs", other == null ? null : theirs.athlete());
        model.addAttribute("lacksLoad", first.lacksLoad() || second.lacksLoad());
        Optional<SeasonEvent> event = plan.events(page.athlete()).stream()
                .filter(e -> e.priority() == Priority.A
                        && e.day().isAfter(first.days().to()))
                .findFirst();
        model.addAttribute("event", event.orElse(null));
        List<Side> sides = compare.compare(first, second, event);
        model.addAttribute("sides", sides);
        model.addAttribute("less", new SideDifference(sides.get(0), sides.get(1)));
        model.addAttribute(
                "zoneKeys",
                sides.stream()
                        .flatMap(side -> side.zones().seconds().keySet().stream())
                        .distinct()
                        .toList());
        model.addAttribute("sport", page.athlete().first());
    }
}
