package pemblar.app.evidence.profile;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.AthleteService;
import pemblar.app.athlete.Pages;
import pemblar.app.effort.EffortService;
import pemblar.app.effort.EffortService.Scope;
import pemblar.app.evidence.EvidenceService;
import pemblar.app.evidence.curve.CurveController;
import pemblar.app.frame.Visit;
import pemblar.app.frame.page.OneLook;
import pemblar.app.frame.page.Shown;
import pemblar.app.session.done.DescriptionService;
import pemblar.app.session.reading.DoubtService;
import pemblar.app.threshold.ThresholdService;
import pemblar.core.effort.BestCurve;
import pemblar.core.model.PowerDuration;
import pemblar.core.profile.OwnModel;
import pemblar.core.profile.PaceProfile;
import pemblar.core.profile.ProfileBands;
import pemblar.core.profile.ProfileBands.Rung;
import pemblar.core.range.DayRange;
import pemblar.core.sport.Measure;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.DatedValues;
import pemblar.core.threshold.Quantity;

/**
 * Power per kg at five durations against reference bands, so that the weakest stands out; or times over five distances,
 * of which none is called that.
 */
@Controller
@RequestMapping("/a/{athleteId}/thresholds/profile")
class ProfileController {
    private static final int YEAR = 365;
    private final Pages pages;
    private final DoubtService doubts;
    private final EffortService efforts;
    private final ThresholdService thresholds;
    private final ProfileService profile;
    private final AthleteService athletes;
    private final DescriptionService descriptions;
    private final Shown shown;

    ProfileController(
            Pages pages,
            EffortService efforts,
            ThresholdService thresholds,
            ProfileService profile,
            AthleteService athletes,
            DescriptionService descriptions,
            Shown shown,
            DoubtService doubts) {
        this.doubts = doubts;
        this.shown = shown;
        this.pages = pages;
        this.efforts = efforts;
        this.thresholds = thresholds;
        this.profile = profile;
        this.athletes = athletes;
        this.descriptions = descriptions;
    }

    /** A duration with both ranges; places in the bands from 0 to 1 across the drawing. */
    public record Row(
            int seconds,
            String duration,
            String now,
            String before,
            Double nowAt,
            Double beforeAt,
            boolean tested,
            boolean weakest,
            List<String> floors) {}

    @OneLook
    @GetMapping
    String show(
            Visit visit,
            @RequestParam(defaultValue = "") String only,
            @RequestParam(defaultValue = "") String sport,
            Model model) {
        Pages.Opened page = pages.open(model, visit, "thresholds");
        Athlete athlete = page.athlete();
        List<Sport> told = told(athlete);
        Sport asked =
                told.stream().filter(s -> s.key().equals(sport)).findFirst().orElse(told.get(0));
        model.addAttribute("told", told);
        model.addAttribute(
                "doubtful", doubts.ofEfforts(athlete, asked, DayRange.upTo(page.today(), EvidenceService.RECENT_DAYS)));
        model.addAttribute("sport", asked);
        boolean byPace = asked.ownMeasure() == Measure.SPEED;
        model.addAttribute("byPace", byPace);
        return byPace ? byPace(athlete, asked, page.today(), model) : byPower(page, asked, only, model);
    }

    /** Sports whose best efforts can be held against bands; never empty. */
    private static List<Sport> told(Athlete athlete) {
        List<Sport> told = athlete.sports().stream()
                .filter(s -> s.onWheels() || s.hillsCost() || s.restsBetween())
                .toList();
        return told.isEmpty() ? List.of(athlete.first()) : told;
    }

    private String byPace(Athlete athlete, Sport sport, LocalDate today, Model model) {
        LocalDate begin = today.minusDays(EvidenceService.RECENT_DAYS);
        Quantity quantity = Quantity.of(Quantity.threshold(Measure.SPEED).kind(), sport);
        double threshold = thresholds
                .of(athlete)
                .latest(quantity, today)
                .map(d -> d.value())
                .orElse(Double.NaN);
        List<PaceProfile.Rung> now = PaceProfile.of(
                sport,
                athlete.sex(),
                speeds(athlete, sport, DayRange.upTo(today, EvidenceService.RECENT_DAYS)),
                threshold);
        List<PaceProfile.Rung> before = PaceProfile.of(
                sport,
                athlete.sex(),
                speeds(athlete, sport, new DayRange(begin.minusDays(YEAR), begin.minusDays(1))),
                threshold);
        List<Row> rows = new PaceRows(sport, athlete.sex(), !Double.isNaN(threshold), shown).of(now, before);
        model.addAttribute("ladder", Ladder.of(PaceProfile.NAMES, rows, ""));
        model.addAttribute("anything", now.stream().anyMatch(r -> r.seconds().isPresent()));
        model.addAttribute("missing", Double.isNaN(threshold) ? quantity.label() : null);
        return "evidence/pace-profile";
    }

    private BestCurve speeds(Athlete athlete, Sport sport, DayRange days) {
        return efforts.curve(new Scope(athlete, sport, Measure.SPEED, days));
    }

    private String byPower(Pages.Opened page, Sport sport, String only, Model model) {
        Athlete athlete = page.athlete();
        LocalDate today = page.today();
        DatedValues values = thresholds.of(athlete);
        ProfileService.Chosen chosen = profile.bands(page.viewer());
        boolean knowsMass = values.latest(Quantity.BODY_MASS, today).isPresent();
        model.addAttribute("knowsMass", knowsMass);
        model.addAttribute("bandsFile", chosen.fileName().orElse(null));
        if (!knowsMass) return "evidence/profile";
        LocalDate begin = today.minusDays(EvidenceService.RECENT_DAYS);
        Set<Long> like = descriptions.recordingsWith(athlete, only, new DayRange(begin.minusDays(YEAR), today));
        model.addAttribute("only", only);
        model.addAttribute("words", descriptions.known(athlete, null, today).all());
        Asked asked = new Asked(values, chosen.bands(), like);
        Scope scope = new Scope(athlete, sport, Measure.POWER, new DayRange(begin, today));
        List<Rung> now = rungs(scope, asked);
        List<Rung> before = rungs(scope.on(new DayRange(begin.minusDays(YEAR), begin.minusDays(1))), asked);
        Rung weakest = ProfileBands.weakest(now).orElse(null);
        List<Row> rows = new ArrayList<>();
        for (int i = 0; i < now.size(); i++)
            rows.add(row(
                    now.get(i), before.get(i), weakest, chosen.bands().names().size()));
        model.addAttribute("ladder", Ladder.of(chosen.bands().names(), rows, " W/kg"));
        model.addAttribute(
                "anything", now.stream().anyMatch(r -> r.wattsPerKilogram().isPresent()));
        model.addAttribute("from", begin);
        model.addAttribute(
                "knowsCriticalPower",
                values.on(today).forSport(sport).knows(Quantity.CRITICAL_POWER, Quantity.W_PRIME));
        model.addAttribute("weakest", weakest == null ? null : CurveController.clock(weakest.seconds()));
        model.addAttribute("weakestSeconds", weakest == null ? null : weakest.seconds());
        return "evidence/profile";
    }

    /** @param only recordings that are asked for; null for all */
    private record Asked(DatedValues values, ProfileBands bands, Set<Long> only) {
        double massOn(LocalDate day) {
            return values.on(day).get(Quantity.BODY_MASS).orElse(Double.NaN);
        }
    }

    private List<Rung> rungs(Scope scope, Asked asked) {
        BestCurve watts = efforts.curve(scope, asked.only());
        BestCurve everything = asked.only() == null ? watts : efforts.curve(scope);
        OwnModel model = OwnModel.of( // a part of the sessions need not be all-out
                scope.sport(),
                Measure.POWER,
                asked.values().on(scope.days().to()).forSport(scope.sport()),
                PowerDuration.of(everything));
        BestCurve perKilogram = efforts.curve(scope, asked::massOn, asked.only());
        List<Integer> untested = ProfileBands.SECONDS.stream()
                .filter(s -> !model.isTested(s, watts.at(s)))
                .toList();
        return asked.bands().profile(scope.athlete().sex(), ProfileBands.at(perKilogram.points()), untested);
    }

    private static Row row(Rung now, Rung before, Rung weakest, int bands) {
        Double at = now.wattsPerKilogram()
                .map(w -> Math.min(1, ProfileBands.level(now.floors(), w) / bands))
                .orElse(null);
        Double beforeAt = before.wattsPerKilogram()
                .map(w -> Math.min(1, ProfileBands.level(now.floors(), w) / bands))
                .orElse(null);
        return new Row(
                now.seconds(),
                CurveController.clock(now.seconds()),
                now.wattsPerKilogram().map(ProfileController::decimal).orElse("–"),
                before.wattsPerKilogram().map(ProfileController::decimal).orElse("–"),
                at,
                beforeAt,
                now.tested(),
                now == weakest,
                now.floors().stream().map(ProfileController::decimal).toList());
    }

    private static String decimal(double value) {
        return String.format(Locale.ROOT, "%.2f", value);
    }

    @GetMapping("/bands.csv")
    ResponseEntity<byte[]> bands(Visit visit) {
        athletes.require(visit);
        return ResponseEntity.ok()
                .contentType(new MediaType("text", "csv", StandardCharsets.UTF_8))
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename("profile-bands.csv")
                                .build()
                                .toString())
                .body(ProfileService.SHIPPED.getBytes(StandardCharsets.UTF_8));
    }

    @PostMapping("/bands")
    String replace(Visit visit, @RequestParam MultipartFile file, RedirectAttributes flash) throws IOException {
        athletes.require(visit);
        String name =
                file.getOriginalFilename() == null || file.getOriginalFilename().isBlank()
                        ? "the file"
                        : file.getOriginalFilename();
        var problems = file.getSize() > 4L * pemblar.formats.csv.ProfileBandsCsv.MOST_CHARACTERS
                ? List.of(pemblar.formats.Reading.Problem.expected(
                        "file", "size", file.getSize() + " bytes", "a few lines of text"))
                : profile.replace(visit.viewer(), name, new String(file.getBytes(), StandardCharsets.UTF_8));
        if (problems.isEmpty()) flash.addFlashAttribute("said", "The bands of " + name + " are used from now on.");
        else
            flash.addFlashAttribute(
                    "problems",
                    name + " was not taken; the bands stay as they were.\n"
                            + problems.stream().map(Object::toString).collect(Collectors.joining("\n")));
        return "redirect:/a/" + visit.athleteId() + "/thresholds/profile";
    }

    @PostMapping("/bands/reset")
    String reset(Visit visit, RedirectAttributes flash) {
        athletes.require(visit);
        profile.reset(visit.viewer());
        flash.addFlashAttribute("said", "The bands that ship are used again.");
        return "redirect:/a/" + visit.athleteId() + "/thresholds/profile";
    }
}
