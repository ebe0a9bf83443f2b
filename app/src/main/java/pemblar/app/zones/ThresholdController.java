package pemblar.app.zones;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import pemblar.app.account.AccountService;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.AthleteService;
import pemblar.app.frame.Viewer;
import pemblar.app.ribbon.Pages;
import pemblar.app.session.RecomputationService;
import pemblar.app.threshold.ThresholdService;
import pemblar.core.Sport;
import pemblar.core.threshold.DatedValues;
import pemblar.core.threshold.DatedValues.Dated;
import pemblar.core.threshold.Quantity;
import pemblar.core.threshold.Sex;
import pemblar.core.threshold.Thresholds;
import pemblar.core.workout.Pace;
import pemblar.core.zone.ZoneSchemes;
import pemblar.core.zone.ZoneSet.Measure;

/** Thresholds, each with its day, and the zones that follow from them. */
@Controller
@RequestMapping("/a/{athleteId}/thresholds")
class ThresholdController {
    private final Pages pages;
    private final ThresholdService thresholds;
    private final AthleteService athletes;
    private final RecomputationService recomputations;
    private final AccountService accounts;

    ThresholdController(Pages pages, ThresholdService thresholds, AthleteService athletes, RecomputationService recomputations, AccountService accounts) {
        this.pages = pages;
        this.thresholds = thresholds;
        this.athletes = athletes;
        this.recomputations = recomputations;
        this.accounts = accounts;
    }

    /** A quantity with what holds today and all values so far, newest first. */
    record QuantityView(Quantity quantity, String unit, String example, String now, List<DatedView> history) {}

    record DatedView(LocalDate from, String value) {}

    @GetMapping
    String show(@PathVariable long athleteId, @AuthenticationPrincipal(expression = "viewer") Viewer viewer, Model model) {
        Pages.Opened page = pages.open(model, athleteId, viewer, "thresholds", null, null);
        Athlete athlete = page.athlete();
        DatedValues values = thresholds.of(athlete);
        List<QuantityView> views = new ArrayList<>();
        for (Quantity quantity : Quantity.values()) views.add(view(quantity, values, page.today()));
        model.addAttribute("quantities", views);
        model.addAttribute("zones", zones(athlete, values.on(page.today())));
        model.addAttribute("progress", recomputations.latest(athlete).orElse(null));
        return "zones/thresholds";
    }

    @PostMapping
    String set(@PathVariable long athleteId, @RequestParam Quantity quantity, @RequestParam String value, @RequestParam LocalDate from,
               @AuthenticationPrincipal(expression = "viewer") Viewer viewer, Model model) {
        try {
            thresholds.set(athleteId, viewer, quantity, from, parsed(quantity, value));
            return "redirect:/a/" + athleteId + "/thresholds?set=" + quantity;
        } catch (IllegalArgumentException e) {
            String view = show(athleteId, viewer, model);
            model.addAttribute("refused", quantity);
            model.addAttribute("problem", problem(quantity, value, e));
            model.addAttribute("typed", value);
            model.addAttribute("typedFrom", from);
            return view;
        }
    }

    @PostMapping("/remove")
    String remove(@PathVariable long athleteId, @RequestParam Quantity quantity, @RequestParam LocalDate from,
                  @AuthenticationPrincipal(expression = "viewer") Viewer viewer) {
        thresholds.remove(athleteId, viewer, quantity, from);
        return "redirect:/a/" + athleteId + "/thresholds";
    }

    @PostMapping("/sex")
    String sex(@PathVariable long athleteId, @RequestParam Sex sex, @AuthenticationPrincipal(expression = "viewer") Viewer viewer) {
        thresholds.setSex(athleteId, viewer, sex);
        return "redirect:/a/" + athleteId + "/thresholds";
    }

    /** The athlete lets a coach see and change all of theirs. */
    @PostMapping("/coach")
    String coach(@PathVariable long athleteId, @RequestParam String email, @AuthenticationPrincipal(expression = "viewer") Viewer viewer, Model model) {
        Optional<Viewer> coach = accounts.find(email);
        coach.ifPresent(found -> athletes.accept(athleteId, viewer, found));
        String view = show(athleteId, viewer, model);
        model.addAttribute("coachSaid", coach.map(c -> c.name() + " now sees and plans all of yours.").orElse("There is no account with the address “" + email + "”. Ask your coach to create one first."));
        return view;
    }

    @GetMapping("/progress")
    String progress(@PathVariable long athleteId, @AuthenticationPrincipal(expression = "viewer") Viewer viewer, Model model) {
        Athlete athlete = athletes.require(athleteId, viewer);
        model.addAttribute("athlete", athlete);
        model.addAttribute("progress", recomputations.latest(athlete).orElse(null));
        model.addAttribute("polled", true);
        return "zones/thresholds :: progress";
    }

    private static String problem(Quantity quantity, String value, IllegalArgumentException e) {
        if (e instanceof NumberFormatException) return label(quantity) + ": “" + value + "” is not " + (quantity == Quantity.THRESHOLD_SPEED ? "a pace such as 4:10." : "a number.");
        return label(quantity) + ": “" + value + "” cannot be right; accepted is " + shown(quantity, quantity == Quantity.THRESHOLD_SPEED ? quantity.highest() : quantity.lowest())
            + " to " + shown(quantity, quantity == Quantity.THRESHOLD_SPEED ? quantity.lowest() : quantity.highest()) + " " + unit(quantity) + ".";
    }

    private static String label(Quantity quantity) {
        return Character.toUpperCase(quantity.label().charAt(0)) + quantity.label().substring(1);
    }

    /** Pace is typed as minutes and seconds per kilometre, W′ in kJ, all else in the quantity's unit. */
    private static double parsed(Quantity quantity, String typed) {
        String value = typed.strip().replace(',', '.');
        if (quantity == Quantity.THRESHOLD_SPEED) {
            if (!value.matches("\\d{1,2}:[0-5]\\d")) throw new NumberFormatException(value);
            String[] parts = value.split(":");
            return 1000.0 / (Integer.parseInt(parts[0]) * 60 + Integer.parseInt(parts[1]));
        }
        double number = Double.parseDouble(value);
        return quantity == Quantity.W_PRIME ? number * 1000 : number;
    }

    private static String unit(Quantity quantity) {
        return quantity == Quantity.THRESHOLD_SPEED ? "min/km" : quantity == Quantity.W_PRIME ? "kJ" : quantity.unit();
    }

    private static String shown(Quantity quantity, double value) {
        if (quantity == Quantity.THRESHOLD_SPEED) return Pace.clock(1000 / value);
        if (quantity == Quantity.W_PRIME) return String.format(java.util.Locale.ROOT, "%.1f", value / 1000);
        return quantity == Quantity.BODY_MASS ? String.format(java.util.Locale.ROOT, "%.1f", value) : String.valueOf(Math.round(value));
    }

    private static QuantityView view(Quantity quantity, DatedValues values, LocalDate today) {
        Optional<Dated> now = values.latest(quantity, today);
        List<DatedView> history = values.values().stream().filter(d -> d.quantity() == quantity).sorted(Comparator.comparing(Dated::from).reversed())
            .map(d -> new DatedView(d.from(), shown(quantity, d.value()))).toList();
        String example = switch (quantity) {
            case THRESHOLD_POWER, CRITICAL_POWER -> "e.g. 250";
            case W_PRIME -> "e.g. 18";
            case THRESHOLD_HEART_RATE -> "e.g. 168";
            case MAXIMUM_HEART_RATE -> "e.g. 187";
            case RESTING_HEART_RATE -> "e.g. 48";
            case THRESHOLD_SPEED -> "e.g. 4:10";
            case BODY_MASS -> "e.g. 68";
        };
        return new QuantityView(quantity, unit(quantity), example, now.map(d -> shown(quantity, d.value())).orElse(null), history);
    }

    private static List<ZoneView> zones(Athlete athlete, Thresholds now) {
        List<ZoneView> views = new ArrayList<>();
        ZoneSchemes.of(Measure.POWER, Sport.RIDE, now).ifPresent(set -> views.add(ZoneView.of("Power", set)));
        if (athlete.sport() != Sport.RUN) ZoneSchemes.of(Measure.HEART_RATE, Sport.RIDE, now).ifPresent(set -> views.add(ZoneView.of("Heart rate, riding", set)));
        if (athlete.sport() != Sport.RIDE) {
            ZoneSchemes.of(Measure.HEART_RATE, Sport.RUN, now).ifPresent(set -> views.add(ZoneView.of("Heart rate, running", set)));
            ZoneSchemes.of(Measure.SPEED, Sport.RUN, now).ifPresent(set -> views.add(ZoneView.of("Pace, running", set)));
        }
        return views;
    }
}
