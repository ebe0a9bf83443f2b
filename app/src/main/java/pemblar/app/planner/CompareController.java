package pemblar.app.planner;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import pemblar.app.frame.Viewer;
import pemblar.app.planner.CompareService.Side;
import pemblar.app.planner.CompareService.Stretch;
import pemblar.app.ribbon.Pages;
import pemblar.app.season.SeasonEvent;
import pemblar.core.season.Priority;

/** Compares two stretches of plan or history, such as a race week and a training week. */
@Controller
@RequestMapping("/a/{athleteId}/season/compare")
class CompareController {
    private static final int MOST_DAYS = 400;
    private static final int USUAL_DAYS = 10;
    private final Pages pages;
    private final CompareService compare;

    CompareController(Pages pages, CompareService compare) {
        this.pages = pages;
        this.compare = compare;
    }

    @GetMapping
    String compare(
            @PathVariable long athleteId,
            @RequestParam(required = false) LocalDate from,
            @RequestParam(required = false) LocalDate to,
            @RequestParam(required = false) LocalDate otherFrom,
            @RequestParam(required = false) LocalDate otherTo,
            @AuthenticationPrincipal(expression = "viewer") Viewer viewer,
            Model model) {
        Pages.Opened page = pages.open(model, athleteId, viewer, "season", from, to);
        LocalDate race = page.events().stream()
                .filter(e -> !e.day().isBefore(page.today()) && e.priority() != Priority.A)
                .map(SeasonEvent::day)
                .findFirst()
                .orElse(page.today().plusDays(USUAL_DAYS));
        Stretch first = new Stretch(
                from == null ? race.minusDays(6) : from,
                to == null ? from == null ? race.plusDays(3) : from.plusDays(USUAL_DAYS - 1L) : to);
        Stretch second = new Stretch(
                otherFrom == null ? page.today().minusDays(USUAL_DAYS) : otherFrom,
                otherTo == null
                        ? otherFrom == null ? page.today().minusDays(1) : otherFrom.plusDays(USUAL_DAYS - 1L)
                        : otherTo);
        model.addAttribute("first", first);
        model.addAttribute("second", second);
        if (first.days() < 1 || second.days() < 1)
            model.addAttribute(
                    "problem", "A stretch ends before it begins; choose a last day that is not before the first.");
        else if (first.days() > MOST_DAYS || second.days() > MOST_DAYS)
            model.addAttribute("problem", "A stretch can have at most " + MOST_DAYS + " days.");
        else fill(page, first, second, model);
        return "planner/compare";
    }

    private void fill(Pages.Opened page, Stretch first, Stretch second, Model model) {
        Optional<SeasonEvent> event = page.events().stream()
                .filter(e -> e.priority() == Priority.A && e.day().isAfter(first.to()))
                .findFirst();
        model.addAttribute("event", event.orElse(null));
        List<Side> sides = compare.compare(page.athlete(), page.trend(), first, second, event);
        model.addAttribute("sides", sides);
        model.addAttribute(
                "zoneKeys",
                sides.stream()
                        .flatMap(side -> side.zones().seconds().keySet().stream())
                        .distinct()
                        .toList());
        model.addAttribute("sport", page.athlete().first());
    }
}
