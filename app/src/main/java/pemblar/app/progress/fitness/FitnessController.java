package pemblar.app.progress.fitness;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.Pages;
import pemblar.app.frame.Visit;
import pemblar.app.frame.page.OneLook;
import pemblar.app.frame.page.Shown;
import pemblar.app.frame.page.Typed;
import pemblar.app.frame.page.Units;
import pemblar.app.prediction.Foreseen;
import pemblar.app.prediction.PredictionService;
import pemblar.app.session.reading.DoubtService;
import pemblar.core.aerobic.AerobicTrend;
import pemblar.core.prediction.Prediction;
import pemblar.core.prediction.RideCourse;
import pemblar.core.range.DayRange;
import pemblar.core.sport.Measure;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Endurance;

/** Fitness: what a heart beat buys, compared like with like, and what could be run or ridden. */
@Controller
class FitnessController {
    private static final int DOUBTS_DAYS = 365;
    private final Pages pages;
    private final DoubtService doubts;
    private final FitnessService fitness;
    private final PredictionService predictions;
    private final Shown shown;

    FitnessController(
            Pages pages, FitnessService fitness, PredictionService predictions, Shown shown, DoubtService doubts) {
        this.doubts = doubts;
        this.pages = pages;
        this.fitness = fitness;
        this.predictions = predictions;
        this.shown = shown;
    }

    /** A predicted result as the table shows it. */
    public record Line(String over, String best, String range, String leansOn) {}

    record FitnessForm(
            @RequestParam(defaultValue = "") String sport,
            @RequestParam(defaultValue = "") String length,
            @RequestParam(defaultValue = "") String gradient) {}

    @OneLook
    @GetMapping("/a/{athleteId}/progress/fitness")
    String fitness(Visit visit, FitnessForm form, Model model) {
        Pages.Opened page = pages.open(model, visit, "progress");
        List<Sport> told = FitnessService.told(page.athlete());
        Sport asked = told.stream()
                .filter(s -> s.key().equals(form.sport()))
                .findFirst()
                .orElse(told.get(0));
        boolean run = asked.ownMeasure() == Measure.SPEED;
        FitnessService.Aerobic aerobic = fitness.aerobic(page.athlete(), asked);
        AerobicTrend trend = aerobic.trend();
        model.addAttribute("run", run);
        model.addAttribute(
                "axis",
                run ? "pace at 70 % of reserve, " + Shown.unit(Sport.RUN).axisUnit() : "power at 70 % of reserve, W");
        model.addAttribute("sport", asked);
        model.addAttribute(
                "doubtful", doubts.ofEfforts(page.athlete(), asked, DayRange.upTo(page.today(), DOUBTS_DAYS)));
        model.addAttribute("told", told);
        model.addAttribute("aerobic", trend);
        model.addAttribute("sentence", FitnessWords.sentence(trend, asked));
        model.addAttribute("costs", FitnessWords.costs(trend));
        model.addAttribute("rests", FitnessWords.rests(aerobic.basis(), trend, run));
        model.addAttribute("surface", trend.commonest().isEmpty() ? "the commonest surface" : trend.commonest());
        if (trend.notEnough().isEmpty()) model.addAttribute("drawing", FitnessDrawing.of(trend, run));
        PredictionService.Usual usual = predictions.usual(page.athlete(), asked);
        model.addAttribute(
                "predictions", usual.all().stream().map(p -> line(p, run)).toList());
        model.addAttribute("missing", usual.missing());
        model.addAttribute("exponent", exponent(usual));
        EventLines events = new EventLines(shown, page.today());
        List<Foreseen> foreseen = predictions.events(page.athlete());
        model.addAttribute("events", events.of(foreseen));
        model.addAttribute("score", EventLines.score(foreseen));
        if (!run) way(page.athlete(), asked, form, model);
        return "progress/fitness";
    }

    /** A climb or a flat way that was asked for, with its answer or why there is none. */
    private void way(Athlete athlete, Sport sport, FitnessForm form, Model model) {
        String length = form.length();
        String gradient = form.gradient();
        model.addAttribute("typedLength", length);
        model.addAttribute("typedGradient", gradient);
        if (length.isBlank()) return;
        try {
            double metres = Units.mine().metres("Length", length, 100, 1e6);
            double percent = gradient.isBlank() ? 0 : Typed.number("Gradient", gradient, 0, 25);
            PredictionService.Way way = predictions.way(athlete, sport, metres, percent / 100);
            Prediction p = way.prediction();
            model.addAttribute("wayTime", Shown.clock(p.value()));
            model.addAttribute(
                    "wayWords",
                    "between " + Shown.clock(p.low()) + " and " + Shown.clock(p.high()) + ", at "
                            + shown.whole(way.watts())
                            + " W"
                            + (percent == 0
                                    ? ", on roads like those of your rides."
                                    : ", with " + shown.kilograms(RideCourse.BIKE_KILOGRAMS) + " for bike and bottle.")
                            + (p.outside() ? " That is beyond what your all-out efforts of 90 days span." : ""));
        } catch (IllegalArgumentException e) {
            model.addAttribute("wayRefused", e.getMessage());
        }
    }

    private static String exponent(PredictionService.Usual p) {
        if (p.all().isEmpty()) return "";
        String from = p.origin() == Endurance.Origin.OWN_EFFORTS
                ? "from your own efforts of 20 min to 4 h"
                : p.origin() == Endurance.Origin.WORLD_BEST
                        ? "by how your pace stands to the best over 10 km"
                        : "the usual one, as your efforts do not tell it";
        return String.format(
                Locale.ROOT,
                "Endurance exponent %.3f, %s. The range takes %.2f of it either way, and %.0f %% of the threshold: of "
                        + "simulated athletes it held the result in 9 of 10.",
                p.k(),
                from,
                Prediction.USUAL_REACH,
                100 * Prediction.USUAL_WIDTH);
    }

    private Line line(PredictionService.Predicted p, boolean run) {
        Prediction q = p.prediction();
        String over = run ? shown.kilometres(p.asked()) : shown.duration(p.asked());
        List<String> figures = new ArrayList<>();
        for (double v : new double[] {q.value(), q.low(), q.high()})
            figures.add(run ? Shown.clock(v) : Math.round(v) + " W");
        String leans = q.leansOn()
                .map(r -> "leans on " + Shown.clock(r.seconds()) + " of " + shown.date(r.day())
                        + (q.outside() ? "; beyond what your all-out efforts span" : ""))
                .orElse("leans on no effort: nothing all-out over 20 min or more in 90 days");
        return new Line(over, figures.get(0), figures.get(1) + " to " + figures.get(2), leans);
    }
}
