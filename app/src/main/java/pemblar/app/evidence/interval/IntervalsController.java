package pemblar.app.evidence.interval;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.AthleteService;
import pemblar.app.athlete.Pages;
import pemblar.app.frame.Visit;
import pemblar.app.frame.page.OneLook;
import pemblar.app.frame.page.Typed;
import pemblar.core.sport.Measure;
import pemblar.core.sport.Sport;

/** What to hold for so many repetitions: for one athlete, and for a coach beside it all athletes with a model. */
@Controller
class IntervalsController {
    private final Pages pages;
    private final AthleteService athletes;
    private final IntervalsService intervals;

    IntervalsController(Pages pages, AthleteService athletes, IntervalsService intervals) {
        this.pages = pages;
        this.athletes = athletes;
        this.intervals = intervals;
    }

    /** What was typed, or the usual example. */
    public record Asked(String sport, String repeats, String length, String rest, String easy, String left) {
        public Asked {
            repeats = repeats == null ? "6" : repeats;
            length = length == null ? "3min" : length;
            rest = rest == null ? "3min" : rest;
            easy = easy == null ? "50" : easy;
            left = left == null ? "10" : left;
        }

        IntervalsService.Question read(Sport of) {
            int count = (int) Typed.number("Repetitions", repeats, 1, 99);
            return new IntervalsService.Question(
                    of,
                    count,
                    Typed.seconds("Each of", length, 10, 3600),
                    count == 1 ? 0 : Typed.seconds("Rest", rest, 0, 3600),
                    Typed.number("Rest at", easy, 0, 100) / 100,
                    Typed.number("Left", left, 0, 90) / 100);
        }
    }

    @OneLook
    @GetMapping("/a/{athleteId}/thresholds/intervals")
    String show(Visit visit, Asked asked, @RequestParam(defaultValue = "false") boolean everybody, Model model) {
        Pages.Opened page = pages.open(model, visit, "thresholds");
        LocalDate today = page.today();
        List<Sport> held = held(page.athlete());
        Sport sport = held.stream()
                .filter(s -> s.key().equals(asked.sport()))
                .findFirst()
                .orElse(held.get(0));
        model.addAttribute("asked", asked);
        model.addAttribute("held", held);
        model.addAttribute("sport", sport);
        model.addAttribute("byPace", sport.ownMeasure() == Measure.SPEED);
        model.addAttribute("everybody", everybody);
        try {
            IntervalsService.Question question = asked.read(sport);
            model.addAttribute("answer", intervals.of(page.athlete(), question, today));
            List<Athlete> roster = athletes.roster(visit.viewer());
            model.addAttribute("several", roster.size() > 1);
            if (everybody)
                model.addAttribute(
                        "answers",
                        roster.stream()
                                .map(a -> intervals.of(a, question, today))
                                .filter(a -> a.held() != null)
                                .toList());
            model.addAttribute("shorthand", shorthand(question));
        } catch (IllegalArgumentException e) {
            model.addAttribute("said", e.getMessage());
        }
        return "evidence/intervals";
    }

    /** Sports of which a pace or a power is held; never empty. */
    private static List<Sport> held(Athlete athlete) {
        List<Sport> held = athlete.sports().stream()
                .filter(s -> s.ownMeasure() == Measure.SPEED || s.ownMeasure() == Measure.POWER)
                .toList();
        return held.isEmpty() ? List.of(Sport.RIDE) : held;
    }

    /** The set as a workout whose watts follow each one's own model; empty when another share is to be left. */
    private static String shorthand(IntervalsService.Question q) {
        if (q.byPace() || Math.abs(q.left() - 0.1) > 1e-9) return "";
        String step = length(q.seconds()) + " max";
        String set = q.repeats() == 1
                ? step
                : q.repeats() + " x (" + step + rest(q).map(r -> ", " + r).orElse("") + ")";
        return "15min 45>65%\n" + set + "\n10min 50%";
    }

    private static Optional<String> rest(IntervalsService.Question q) {
        if (q.restSeconds() == 0) return Optional.empty();
        String target = q.restShare() < 0.01 ? "rest" : Math.round(q.restShare() * 100) + "%";
        return Optional.of(length(q.restSeconds()) + " " + target);
    }

    private static String length(int seconds) {
        return seconds % 60 == 0 ? seconds / 60 + "min" : seconds + "s";
    }
}
