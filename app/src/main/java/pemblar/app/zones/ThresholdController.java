package pemblar.app.zones;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.AthleteService;
import pemblar.app.athlete.Pages;
import pemblar.app.effort.EffortService;
import pemblar.app.effort.EffortService.Scope;
import pemblar.app.frame.Visit;
import pemblar.app.frame.page.OneLook;
import pemblar.app.frame.page.Shown;
import pemblar.app.load.TrendService;
import pemblar.app.recording.anew.RecomputationService;
import pemblar.app.session.reading.DoubtService;
import pemblar.app.threshold.Amounts;
import pemblar.app.threshold.ThresholdService;
import pemblar.core.range.DayRange;
import pemblar.core.sport.Measure;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.DatedValues;
import pemblar.core.threshold.DatedValues.Dated;
import pemblar.core.threshold.Plausibility;
import pemblar.core.threshold.Quantity;
import pemblar.core.threshold.Sex;
import pemblar.core.zone.DatedZones;

/** Thresholds, each with its day, what is doubtful about them, and the zones that follow. */
@Controller
@RequestMapping("/a/{athleteId}/thresholds")
class ThresholdController {
    private static final int YEAR = 365;
    private final Pages pages;
    private final ThresholdService thresholds;
    private final AthleteService athletes;
    private final RecomputationService recomputations;
    private final EffortService efforts;
    private final DoubtService doubts;
    private final Shown shown;
    private final TrendService trends;

    ThresholdController(
            Pages pages,
            ThresholdService thresholds,
            AthleteService athletes,
            RecomputationService recomputations,
            EffortService efforts,
            DoubtService doubts,
            Shown shown,
            TrendService trends) {
        this.trends = trends;
        this.pages = pages;
        this.thresholds = thresholds;
        this.athletes = athletes;
        this.recomputations = recomputations;
        this.efforts = efforts;
        this.doubts = doubts;
        this.shown = shown;
    }

    /**
     * A quantity with what holds today and all values so far, newest first.
     *
     * @param counts which of two values of a kind a sport goes by; empty when there is only one
     */
    public record QuantityView(
            Quantity quantity,
            String label,
            String unit,
            String example,
            String now,
            String counts,
            List<DatedView> history) {}

    public record DatedView(LocalDate from, String value) {}

    @OneLook
    @GetMapping
    String show(Visit visit, Model model) {
        Pages.Opened page = pages.open(model, visit, "thresholds");
        Athlete athlete = page.athlete();
        LocalDate today = page.today();
        DatedZones zones = thresholds.zonesOf(athlete);
        model.addAttribute(
                "quantities",
                quantities(athlete.sports(), zones.values()).stream()
                        .map(q -> view(q, zones.values(), today))
                        .toList());
        model.addAttribute("trainable", Sport.TRAINED);
        model.addAttribute("zones", ZoneView.all(athlete.sports(), zones.on(today)));
        model.addAttribute("doubtful", doubts.waiting(athlete, trends.of(athlete)));
        model.addAttribute("warnings", warnings(athlete, zones, today));
        model.addAttribute("progress", recomputations.latest(athlete).orElse(null));
        model.addAttribute("undoValue", thresholds.latestChange(visit).orElse(null));
        return "zones/thresholds";
    }

    /** What a person of this sport can set; a value that is there is always shown. */
    private static List<Quantity> quantities(List<Sport> sports, DatedValues values) {
        return Arrays.stream(Quantity.values())
                .filter(q -> sports.stream().anyMatch(q::serves)
                        || values.values().stream().anyMatch(d -> d.quantity() == q))
                .toList();
    }

    private List<String> warnings(Athlete athlete, DatedZones zones, LocalDate today) {
        Plausibility.LastYear best = new Plausibility.LastYear(
                best(athlete, Sport.RIDE, Measure.POWER, today),
                best(athlete, Sport.RUN, Measure.SPEED, today),
                best(athlete, Sport.RIDE, Measure.HEART_RATE, today));
        List<Dated> masses = zones.values().values().stream()
                .filter(d -> d.quantity() == Quantity.BODY_MASS && !d.from().isAfter(today))
                .toList();
        OptionalDouble massBefore = masses.size() < 2
                ? OptionalDouble.empty()
                : OptionalDouble.of(masses.get(masses.size() - 2).value());
        List<String> words =
                new ArrayList<>(Warnings.words(Plausibility.of(zones.values().on(today), best, massBefore)));
        if (zones.on(today).ridesWithRunningZones())
            words.add("Riding uses the heart-rate zones of running. Heart rate runs about 5 to 10 beats lower "
                    + "on the bike: give riding its own set, or its own threshold.");
        return words;
    }

    private double best(Athlete athlete, Sport sport, Measure measure, LocalDate today) {
        return efforts.curve(new Scope(athlete, sport, measure, DayRange.upTo(today, YEAR)))
                .at(Plausibility.THRESHOLD_SECONDS);
    }

    @PostMapping("/remove")
    String remove(
            Visit visit, @RequestParam Quantity quantity, @RequestParam LocalDate from, RedirectAttributes flash) {
        thresholds.remove(
                visit, quantity, from, "The " + quantity.label() + " of " + shown.date(from) + " was removed.");
        flash.addFlashAttribute("changed", true);
        return "redirect:/a/" + visit.athleteId() + "/thresholds";
    }

    @PostMapping("/sex")
    String sex(Visit visit, @RequestParam Sex sex) {
        thresholds.setSex(visit, sex);
        return "redirect:/a/" + visit.athleteId() + "/thresholds";
    }

    /** What is trained, in the person's order; places may be left empty. */
    @PostMapping("/sports")
    String sports(Visit visit, @RequestParam(required = false) List<Sport> sports, RedirectAttributes flash) {
        List<Sport> trained = sports == null
                ? List.of()
                : sports.stream()
                        .filter(s -> s != null && Sport.TRAINED.contains(s))
                        .distinct()
                        .toList();
        try {
            thresholds.setSports(visit, trained);
        } catch (IllegalArgumentException e) {
            flash.addFlashAttribute("refused", e.getMessage());
        }
        return "redirect:/a/" + visit.athleteId() + "/thresholds";
    }

    @GetMapping("/progress")
    String progress(Visit visit, Model model) {
        Athlete athlete = athletes.require(visit);
        model.addAttribute("athlete", athlete);
        model.addAttribute("progress", recomputations.latest(athlete).orElse(null));
        model.addAttribute("changed", true);
        return "zones/thresholds :: progress";
    }

    private static QuantityView view(Quantity quantity, DatedValues values, LocalDate today) {
        Optional<Dated> now = values.latest(quantity, today);
        List<DatedView> history = values.values().stream()
                .filter(d -> d.quantity() == quantity)
                .sorted(Comparator.comparing(Dated::from).reversed())
                .map(d -> new DatedView(d.from(), Amounts.shown(quantity, d.value())))
                .toList();
        return new QuantityView(
                quantity,
                Amounts.label(quantity),
                Amounts.unit(quantity),
                "e.g. " + Amounts.example(quantity),
                now.map(d -> Amounts.shown(quantity, d.value())).orElse(null),
                counts(quantity, values, today),
                history);
    }

    /** A value of one sport goes before the one for all of them. */
    private static String counts(Quantity quantity, DatedValues values, LocalDate today) {
        Quantity all = quantity.kind().plain();
        if (all.sport() != null) return "";
        if (quantity != all)
            return values.latest(quantity, today).isPresent()
                    ? "counts for " + quantity.sport().doing()
                    : values.latest(all, today)
                            .map(d -> "until then " + Amounts.withUnit(all, d.value()) + " counts, the one above")
                            .orElse("");
        return Arrays.stream(Quantity.values())
                .filter(q -> q != all && q.kind() == all.kind() && q.sport() != null)
                .flatMap(q -> values.latest(q, today).stream())
                .map(d -> "not for " + d.quantity().sport().doing() + ", which has its own")
                .collect(Collectors.joining("; "));
    }
}
