package pemblar.app.evidence.curve;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.format.annotation.DateTimeFormat;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.Pages;
import pemblar.app.effort.EffortService;
import pemblar.app.effort.EffortService.Scope;
import pemblar.app.evidence.EvidenceService;
import pemblar.app.frame.Visit;
import pemblar.app.frame.page.OneLook;
import pemblar.app.frame.page.Shown;
import pemblar.app.frame.page.Typed;
import pemblar.app.recording.mend.SetAsides;
import pemblar.app.session.change.ScheduleService;
import pemblar.app.session.done.DescriptionService;
import pemblar.app.session.reading.DoubtService;
import pemblar.app.session.reading.SessionEfforts;
import pemblar.app.threshold.Amounts;
import pemblar.app.threshold.ThresholdService;
import pemblar.core.effort.BestCurve;
import pemblar.core.effort.BestCurve.Point;
import pemblar.core.model.CriticalPower;
import pemblar.core.model.PowerDuration;
import pemblar.core.profile.OwnModel;
import pemblar.core.range.DayRange;
import pemblar.core.schedule.DemandTest;
import pemblar.core.sport.Measure;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.DatedValues;
import pemblar.core.threshold.Quantity;

/** The power-duration curve of any range of days, its models with their errors, and what to test next. */
@Controller
@RequestMapping("/a/{athleteId}/thresholds/curve")
public class CurveController {
    private static final int YEAR = 365;
    private static final int[] LISTED = {1, 5, 15, 30, 60, 180, 300, 720, 1200, 3600, 7200, 14_400};
    private static final int FIVE_MINUTES = 300;
    private final Pages pages;
    private final DoubtService doubts;
    private final EffortService efforts;
    private final SessionEfforts sessions;
    private final SetAsides setAsides;
    private final ThresholdService thresholds;
    private final DescriptionService descriptions;
    private final ScheduleService schedule;

    CurveController(
            Pages pages,
            EffortService efforts,
            SessionEfforts sessions,
            SetAsides setAsides,
            ThresholdService thresholds,
            DescriptionService descriptions,
            ScheduleService schedule,
            DoubtService doubts) {
        this.doubts = doubts;
        this.setAsides = setAsides;
        this.sessions = sessions;
        this.schedule = schedule;
        this.descriptions = descriptions;
        this.pages = pages;
        this.efforts = efforts;
        this.thresholds = thresholds;
    }

    /** An estimate with its standard error. */
    public record Estimated(String name, String value, String error, String note) {}

    /** A point of the curve with the session that made it. */
    public record Best(
            int seconds,
            String duration,
            String value,
            String otherValue,
            boolean tested,
            SessionEfforts.Named session,
            long recordingId) {}

    record ShowForm(
            @RequestParam(required = false) @DateTimeFormat(iso = DateTimeFormat.ISO.DATE)
            LocalDate from,

            @RequestParam(required = false) @DateTimeFormat(iso = DateTimeFormat.ISO.DATE)
            LocalDate to,

            @RequestParam(required = false) @DateTimeFormat(iso = DateTimeFormat.ISO.DATE)
            LocalDate otherFrom,

            @RequestParam(required = false) @DateTimeFormat(iso = DateTimeFormat.ISO.DATE)
            LocalDate otherTo,

            @RequestParam(defaultValue = "false") boolean perKilogram,
            @RequestParam(defaultValue = "") String only,
            @RequestParam(defaultValue = "") String sport,
            @RequestParam(defaultValue = "") String by) {}

    @OneLook
    @GetMapping
    String show(Visit visit, ShowForm form, Model model) {
        Pages.Opened page = pages.open(model, visit, "thresholds");
        Athlete athlete = page.athlete();
        LocalDate today = page.today();
        LocalDate end = form.to() == null ? today : form.to();
        LocalDate begin = form.from() == null || form.from().isAfter(end)
                ? end.minusDays(EvidenceService.RECENT_DAYS)
                : form.from();
        LocalDate otherEnd = form.otherTo() == null ? begin.minusDays(1) : form.otherTo();
        LocalDate otherBegin = form.otherFrom() == null || form.otherFrom().isAfter(otherEnd)
                ? otherEnd.minusDays(YEAR)
                : form.otherFrom();
        Sport of = athlete.orFirst(form.sport());
        Measure measure = measure(of, form.by());
        DatedValues values = thresholds.of(athlete);
        boolean knowsMass = values.latest(Quantity.BODY_MASS, today).isPresent();
        boolean kilograms = form.perKilogram() && knowsMass && measure == Measure.POWER;
        CurveUnits units = new CurveUnits(measure, of, kilograms);
        Set<Long> chosen = descriptions.recordingsWith(
                athlete,
                form.only(),
                new DayRange(begin.isBefore(otherBegin) ? begin : otherBegin, end.isAfter(otherEnd) ? end : otherEnd));
        Scope scope = new Scope(athlete, of, measure, new DayRange(begin, end));
        BestCurve watts = efforts.curve(scope, chosen);
        BestCurve everything = chosen == null ? watts : efforts.curve(scope);
        PowerDuration fitted = units.isSpeed()
                ? PowerDuration.ofSpeed(everything)
                : PowerDuration.of(everything); // a part of the sessions need not be all-out
        OwnModel own = OwnModel.of(of, measure, values.on(end).forSport(of), fitted);
        double mass = kilograms ? mass(values, end) : 1;
        BestCurve shown = kilograms ? efforts.curve(scope, day -> mass(values, day), chosen) : watts;
        Scope before = scope.on(new DayRange(otherBegin, otherEnd));
        BestCurve other =
                kilograms ? efforts.curve(before, day -> mass(values, day), chosen) : efforts.curve(before, chosen);
        List<Point> points = shown.points();
        model.addAttribute("doubtful", doubts.ofEfforts(athlete, of, scope.days()));
        model.addAttribute("from", begin);
        model.addAttribute("to", end);
        model.addAttribute("otherFrom", otherBegin);
        model.addAttribute("otherTo", otherEnd);
        model.addAttribute("perKilogram", kilograms);
        model.addAttribute("knowsMass", knowsMass);
        model.addAttribute("unit", units.unit());
        model.addAttribute("units", units);
        model.addAttribute("sport", of);
        model.addAttribute(
                "sports",
                athlete.sports().stream()
                        .filter(s -> s.trainsBy(Measure.POWER) || s.trainsBy(Measure.SPEED))
                        .toList());
        model.addAttribute("bothMeasures", of.trainsBy(Measure.POWER) && of.trainsBy(Measure.SPEED));
        model.addAttribute("only", form.only());
        model.addAttribute("words", descriptions.known(athlete, null, today).all());
        if (!points.isEmpty() || !other.points().isEmpty()) {
            model.addAttribute(
                    "drawing",
                    CurveDrawing.of(
                            new CurveDrawing.Curves(points, other.points(), told(fitted, units), own), mass, units));
            model.addAttribute("bests", bests(athlete, new Curves(watts, shown, other), own, units));
            model.addAttribute(
                    "estimates",
                    units.isSpeed()
                            ? paces(told(fitted, units), units)
                            : estimates(fitted, knowsMass ? mass(values, end) : Double.NaN));
            model.addAttribute(
                    "enough", fitted.critical().filter(CriticalPower::isEnough).isPresent());
            model.addAttribute("advice", advice(fitted, units));
            model.addAttribute("tests", tests(fitted));
            model.addAttribute("tomorrow", today.plusDays(1));
            fitted.critical()
                    .filter(c -> c.isEnough() && !units.isSpeed())
                    .ifPresent(c -> model.addAttribute(
                            "adopt",
                            "CRITICAL_POWER=" + Amounts.shown(Quantity.CRITICAL_POWER, c.watts()) + "&W_PRIME="
                                    + Amounts.shown(Quantity.W_PRIME, c.reserveJoules())));
        }
        model.addAttribute("asides", sessions.setAsides(athlete));
        return "evidence/curve";
    }

    private static double mass(DatedValues values, LocalDate day) {
        return values.on(day).get(Quantity.BODY_MASS).orElse(Double.NaN);
    }

    /**
     * The curves of the page.
     *
     * @param watts or m/s, of the asked days; {@code shown} in the units that are shown, and so {@code other}, of the
     *     days that are held against them
     */
    private record Curves(BestCurve watts, BestCurve shown, BestCurve other) {}

    private List<Best> bests(Athlete athlete, Curves curves, OwnModel own, CurveUnits units) {
        List<Long> recordings = curves.shown().points().stream()
                .filter(p -> java.util.Arrays.stream(LISTED).anyMatch(s -> s == p.seconds()))
                .map(Point::source)
                .distinct()
                .toList();
        Map<Long, SessionEfforts.Named> named = sessions.named(athlete, recordings).stream()
                .collect(Collectors.toMap(SessionEfforts.Named::recordingId, n -> n));
        List<Best> bests = new ArrayList<>();
        for (int seconds : LISTED) {
            List<Point> at = curves.shown().points(seconds, seconds);
            if (at.isEmpty()) continue;
            Point point = at.get(0);
            boolean tested = !own.isShownUntested(seconds, curves.watts().at(seconds));
            double before = curves.other().at(seconds);
            bests.add(new Best(
                    seconds,
                    clock(seconds),
                    units.shown(point.value()),
                    Double.isNaN(before) ? "–" : units.shown(before),
                    tested,
                    named.get(point.source()),
                    point.source()));
        }
        return bests;
    }

    /** Power for who asked for it or has no other, else the sport's own. */
    private static Measure measure(Sport sport, String by) {
        if (by.equals("power") && sport.trainsBy(Measure.POWER)) return Measure.POWER;
        return sport.ownMeasure();
    }

    /**
     * A line of speeds that its efforts do not carry is not shown at all: sets of repetitions at one pace are no
     * all-out efforts, and the line through them looks like a critical speed.
     */
    private static PowerDuration told(PowerDuration fitted, CurveUnits units) {
        boolean enough = fitted.critical().filter(CriticalPower::isEnough).isPresent();
        return units.isSpeed() && !enough ? new PowerDuration(Optional.empty(), fitted.maximal()) : fitted;
    }

    /** Critical speed and D′: the same line through distance and time. */
    private static List<Estimated> paces(PowerDuration fitted, CurveUnits units) {
        List<Estimated> all = new ArrayList<>();
        fitted.critical().ifPresent(c -> {
            double share = c.wattsError() / c.watts();
            String range = units.shown(c.watts() - c.wattsError()) + " to " + units.shown(c.watts() + c.wattsError());
            all.add(new Estimated(
                    units.critical(),
                    units.withUnit(c.watts()),
                    range,
                    String.format(Locale.ROOT, "%.1f %%", 100 * share)));
            all.add(new Estimated(
                    units.reserve(),
                    Math.round(c.reserveJoules()) + " m",
                    error(c.reserveError(), 0, "m", c.reserveError() / c.reserveJoules()),
                    "what goes above it"));
            all.add(new Estimated("pace for 5 min", units.withUnit(c.at(FIVE_MINUTES)), "by the line", ""));
        });
        return all;
    }

    private static List<Estimated> estimates(PowerDuration fitted, double kilograms) {
        List<Estimated> all = new ArrayList<>();
        fitted.critical().ifPresent(c -> {
            all.add(estimated("critical power", c.watts(), c.wattsError(), kilograms));
            all.add(new Estimated(
                    "W′",
                    String.format(Locale.ROOT, "%.1f kJ", c.reserveJoules() / 1000),
                    error(c.reserveError() / 1000, 1, "kJ", c.reserveError() / c.reserveJoules()),
                    Double.isNaN(kilograms) ? "" : Math.round(c.reserveJoules() / kilograms) + " J/kg"));
        });
        fitted.maximal().ifPresent(m -> {
            all.add(estimated("maximal power", m.maximalWatts(), m.maximalError(), kilograms));
            all.add(estimated("power at 5 min", m.at(FIVE_MINUTES), m.errorAt(FIVE_MINUTES), kilograms));
        });
        return all;
    }

    private static Estimated estimated(String name, double watts, double error, double kilograms) {
        return new Estimated(
                name,
                Math.round(watts) + " W",
                error(error, 0, "W", error / watts),
                Double.isNaN(kilograms) ? "" : String.format(Locale.ROOT, "%.2f W/kg", watts / kilograms));
    }

    private static String error(double error, int digits, String unit, double share) {
        return String.format(Locale.ROOT, "± %." + digits + "f %s, %.1f %%", error, unit, 100 * share);
    }

    /** An all-out effort that can be put on a day. */
    public record Test(int seconds, String words) {}

    /** The one that helps most first, then what was not tested by itself. */
    private static List<Test> tests(PowerDuration fitted) {
        List<Integer> seconds = new ArrayList<>();
        fitted.critical().ifPresent(c -> seconds.add(c.mostHelpful().seconds()));
        seconds.addAll(fitted.testsMissing().stream().sorted().toList());
        return seconds.stream().distinct().map(s -> new Test(s, clock(s))).toList();
    }

    record TestForm(
            @RequestParam(defaultValue = "") String sport,
            @RequestParam int seconds,
            @RequestParam(defaultValue = "") String day) {}

    @PostMapping("/test")
    String test(Visit visit, TestForm form, RedirectAttributes flash) {
        Sport of = pages.athlete(visit).orFirst(form.sport());
        try {
            LocalDate on = Typed.day("Day", form.day());
            ScheduleService.Chosen test = new ScheduleService.Chosen(
                    "Test: " + clock(form.seconds()) + " all-out", DemandTest.of(of, form.seconds(), 0), null, null);
            String label = "Put “" + test.title() + "” on the board.";
            schedule.scheduleAll(visit, List.of(new ScheduleService.Placed(on, null, test)), label);
            flash.addFlashAttribute("put", "“" + test.title() + "” is on the board, on " + new Shown().day(on) + ".");
        } catch (IllegalArgumentException e) {
            flash.addFlashAttribute("put", e.getMessage());
        }
        return "redirect:/a/" + visit.athleteId() + "/thresholds/curve?sport=" + of.key();
    }

    /** What a test would do for the estimates, in a sentence; or what is missing altogether. */
    private static String advice(PowerDuration fitted, CurveUnits units) {
        List<Integer> missing = fitted.testsMissing().stream().sorted().toList();
        String durations = missing.stream().limit(3).map(CurveController::clock).collect(Collectors.joining(", "));
        if (fitted.critical().isEmpty())
            return "There are too few efforts of 2 to 20 min for a model. Test all-out, on separate days or "
                    + "well rested between: "
                    + durations + ".";
        CriticalPower.Advice advice = fitted.critical().get().mostHelpful();
        String what = advice.parameter() == CriticalPower.Parameter.W_PRIME ? units.reserve() : units.critical();
        double ratio = advice.errorAfter() / advice.errorNow();
        String effect = ratio <= 0.55
                ? "halve the uncertainty of " + what
                : "lower the uncertainty of " + what + " by " + Math.round(100 * (1 - ratio)) + " %";
        String help = "An all-out effort of " + clock(advice.seconds()) + " would " + effect + ".";
        return fitted.critical().get().isEnough()
                ? help
                : help + (missing.isEmpty() ? "" : " Not tested by an effort of its own yet: " + durations + ".");
    }

    record SetAsideForm(
            @RequestParam long recording,
            @RequestParam int seconds,
            @RequestParam String reason,
            @RequestParam(defaultValue = "POWER") String measure,
            @RequestParam(defaultValue = "") String back) {}

    @PostMapping("/set-aside")
    String setAside(Visit visit, SetAsideForm form, RedirectAttributes flash) {
        try {
            Measure of = Typed.choice("Measure", Measure.class, form.measure());
            setAsides.setAside(visit, new SetAsides.Which(form.recording(), of, form.seconds()), form.reason());
            flash.addFlashAttribute("said", "Set aside. The curve is drawn without it; it can be brought back below.");
        } catch (IllegalArgumentException e) {
            flash.addFlashAttribute("said", e.getMessage());
        }
        return back(visit.athleteId(), form.back());
    }

    @PostMapping("/bring-back")
    String bringBack(Visit visit, @RequestParam long id, @RequestParam(defaultValue = "") String back) {
        setAsides.takeBack(visit, id);
        return back(visit.athleteId(), back);
    }

    /** The same view again: only parameters of this page are followed. */
    private static String back(long athleteId, String query) {
        return "redirect:/a/" + athleteId + "/thresholds/curve"
                + (query.matches("[a-zA-Z0-9=&-]{1,200}") ? "?" + query : "");
    }

    public static String clock(int seconds) {
        if (seconds < 60) return seconds + " s";
        if (seconds < 3600)
            return seconds % 60 == 0
                    ? seconds / 60 + " min"
                    : String.format(Locale.ROOT, "%d:%02d min", seconds / 60, seconds % 60);
        return seconds % 3600 == 0
                ? seconds / 3600 + " h"
                : String.format(Locale.ROOT, "%d:%02d h", seconds / 3600, seconds / 60 % 60);
    }
}
