package pemblar.app.evidence.page;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.Pages;
import pemblar.app.evidence.Combined;
import pemblar.app.evidence.EvidenceService;
import pemblar.app.evidence.Piece;
import pemblar.app.frame.Visit;
import pemblar.app.frame.page.OneLook;
import pemblar.app.frame.page.Units;
import pemblar.app.session.reading.DoubtService;
import pemblar.app.session.reading.SessionService;
import pemblar.app.threshold.Amounts;
import pemblar.app.threshold.ThresholdService;
import pemblar.core.range.DayRange;
import pemblar.core.recording.Channel;
import pemblar.core.recording.Recording;
import pemblar.core.sport.Measure;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Calculators;
import pemblar.core.threshold.DatedValues;
import pemblar.core.threshold.Endurance;
import pemblar.core.threshold.Estimate;
import pemblar.core.threshold.Method;
import pemblar.core.threshold.Quantity;
import pemblar.core.threshold.Suggestion;
import pemblar.core.workout.Pace;

/** All evidence for a quantity on one axis, and the calculators that make more of it. */
@Controller
@RequestMapping("/a/{athleteId}/thresholds/evidence")
class EvidenceController {
    private static final int SHOWN_DAYS = 365;
    private final Pages pages;
    private final DoubtService doubts;
    private final EvidenceService evidence;
    private final ThresholdService thresholds;
    private final SessionService sessions;

    EvidenceController(
            Pages pages,
            EvidenceService evidence,
            ThresholdService thresholds,
            SessionService sessions,
            DoubtService doubts) {
        this.doubts = doubts;
        this.pages = pages;
        this.evidence = evidence;
        this.thresholds = thresholds;
        this.sessions = sessions;
    }

    /** A suggestion with what holds now and the parameters that adopt it. */
    public record Suggested(Quantity quantity, String words, String width, String now, String adopt, int kind) {}

    @OneLook
    @GetMapping
    String show(Visit visit, @RequestParam(required = false) String of, Model model) {
        Pages.Opened page = pages.open(model, visit, "thresholds");
        Athlete athlete = page.athlete();
        Screen screen = Screen.of(athlete.sports(), of);
        LocalDate today = page.today();
        List<Piece> pieces = evidence.of(athlete, screen.quantities());
        DatedValues adopted = thresholds.of(athlete);
        Combined combined = EvidenceService.combined(
                pieces,
                today,
                adopted.latest(Quantity.W_PRIME, today)
                        .map(d -> java.util.OptionalDouble.of(d.value()))
                        .orElse(java.util.OptionalDouble.empty()));
        Map<Quantity, Suggestion> suggestions = combined.suggestions();
        model.addAttribute("sentences", combined.sentences());
        model.addAttribute(
                "doubtful",
                doubts.ofEfforts(athlete, screen.sport(), DayRange.upTo(today, EvidenceService.RECENT_DAYS)));
        model.addAttribute("screen", screen);
        model.addAttribute("screens", Screen.of(athlete.sports()));
        model.addAttribute(
                "pieces",
                pieces.stream().map(p -> line(p, combined.contradicting())).toList());
        model.addAttribute("suggested", suggested(screen, suggestions, adopted, today));
        boolean anything = pieces.stream()
                        .anyMatch(p -> screen.drawn().contains(p.evidence().quantity()))
                || adopted.values().stream().anyMatch(d -> screen.drawn().contains(d.quantity()));
        if (anything)
            model.addAttribute(
                    "drawing",
                    EvidenceDrawing.of(
                            new EvidenceDrawing.Drawn(screen.drawn(), pieces, suggestions),
                            adopted,
                            today.minusDays(SHOWN_DAYS),
                            today));
        model.addAttribute("undoValue", thresholds.latestChange(visit).orElse(null));
        return "evidence/evidence";
    }

    private static List<Suggested> suggested(
            Screen screen, Map<Quantity, Suggestion> suggestions, DatedValues adopted, LocalDate today) {
        List<Suggested> all = new ArrayList<>();
        for (Quantity quantity : screen.quantities()) {
            Suggestion s = suggestions.get(quantity);
            String now = adopted.latest(quantity, today)
                    .map(d -> Amounts.withUnit(quantity, d.value()))
                    .orElse(null);
            if (s != null)
                all.add(new Suggested(
                        quantity,
                        Words.of(quantity, s),
                        Words.width(s),
                        now,
                        quantity.name() + "="
                                + Amounts.shown(quantity, s.estimate().best()),
                        screen.drawn().indexOf(quantity)));
        }
        return all;
    }

    /**
     * A piece as the table shows it.
     *
     * @param adopt parameters that adopt it alone, where the pieces contradict each other; else empty
     */
    public record Line(
            String key,
            LocalDate day,
            String quantity,
            String method,
            String source,
            String remark,
            String best,
            String range,
            Long sessionId,
            String setAside,
            boolean kept,
            long id,
            int kind,
            String adopt) {}

    private Line line(Piece piece, Set<Quantity> contradicting) {
        Estimate e = piece.evidence().estimate();
        String range = e.isOpenAbove() ? "at least this" : Amounts.range(e.quantity(), e.low(), e.high());
        long id = piece.kept() ? Long.parseLong(piece.key().substring(5)) : 0;
        return new Line(
                piece.key(),
                piece.evidence().day(),
                e.quantity().label(),
                piece.evidence().method().label(),
                piece.evidence().source(),
                piece.evidence().remark(),
                Amounts.withUnit(e.quantity(), e.best()),
                range,
                piece.sessionId(),
                piece.setAside(),
                piece.kept(),
                id,
                e.quantity() == Quantity.CRITICAL_POWER ? 1 : e.quantity() == Quantity.W_PRIME ? 2 : 0,
                piece.setAside() == null && !e.isOpenAbove() && contradicting.contains(e.quantity())
                        ? e.quantity().name() + "=" + Amounts.shown(e.quantity(), e.best())
                        : "");
    }

    @GetMapping("/try")
    String tryOut(Visit visit, @RequestParam Map<String, String> asked, Model model) {
        Pages.Opened page = pages.open(model, visit, "thresholds");
        Map<String, String> typed = new LinkedHashMap<>(asked);
        Optional<SessionService.Opened> session = number(asked.get("session")).map(id -> sessions.open(visit, id));
        List<Sport> sports = tested(page.athlete());
        Sport trained = session.map(s -> s.slab().sport())
                .filter(TESTED::contains)
                .orElseGet(() -> asked(sports, asked.get("sport")));
        session.ifPresent(s -> fromSession(typed, s));
        List<Method> methods = Screen.of(List.of(trained)).stream()
                .flatMap(s -> s.methods().stream())
                .distinct()
                .toList();
        Method method = methods.stream()
                .filter(m -> m.name().equals(typed.get("method")))
                .findFirst()
                .orElse(methods.get(0));
        typed.putIfAbsent("factor", String.valueOf(Calculators.USUAL_FACTOR));
        for (String day : new String[] {"day", "shortDay", "longDay"})
            typed.putIfAbsent(day, page.today().toString());
        model.addAttribute("methods", methods);
        model.addAttribute("method", method);
        model.addAttribute("sport", trained);
        model.addAttribute("sports", sports);
        model.addAttribute("typed", typed);
        model.addAttribute("sessionId", session.map(s -> s.slab().id()).orElse(null));
        model.addAttribute("sessionTitle", session.map(s -> s.slab().title()).orElse(null));
        if (typed.containsKey("calculate")) answer(model, trial(page.athlete(), method, trained, typed));
        return "evidence/try";
    }

    /** Sports that have tests of their own. */
    private static final List<Sport> TESTED =
            Arrays.stream(Screen.values()).map(Screen::sport).distinct().toList();

    private static List<Sport> tested(Athlete athlete) {
        List<Sport> own = athlete.sports().stream().filter(TESTED::contains).toList();
        return own.isEmpty() ? List.of(TESTED.get(0)) : own;
    }

    private static Sport asked(List<Sport> sports, String name) {
        return sports.stream().filter(s -> s.name().equals(name)).findFirst().orElse(sports.get(0));
    }

    private Trial trial(Athlete athlete, Method method, Sport sport, Map<String, String> typed) {
        return new Trial(method, sport, typed, new Trial.Exponents() {
            @Override
            public Endurance power(Sport what) {
                return evidence.endurance(athlete, what);
            }

            @Override
            public Endurance running(double metres, double seconds) {
                return evidence.endurance(athlete, metres, seconds);
            }
        });
    }

    /** An estimate as the calculator shows it. */
    public record Answer(String quantity, String best, String range) {}

    private static void answer(Model model, Trial trial) {
        Map<String, String> refused = new LinkedHashMap<>();
        trial.calculation().refusals().forEach(r -> refused.merge(r.field(), r.reason(), (a, b) -> a + "; " + b));
        model.addAttribute("refused", refused);
        if (trial.calculation().isRefused()) return;
        model.addAttribute(
                "answers",
                trial.calculation().estimates().stream()
                        .map(e -> new Answer(
                                Amounts.label(e.quantity()),
                                Amounts.withUnit(e.quantity(), e.best()),
                                Amounts.range(e.quantity(), e.low(), e.high())))
                        .toList());
        trial.fiveMinutes()
                .ifPresent(five -> model.addAttribute(
                        "fiveMinutes",
                        "Power at 5 min, by the line through both: " + Math.round(five[0]) + " W, range "
                                + Math.round(five[1]) + " to " + Math.round(five[2]) + " W."));
        model.addAttribute("whyThisWide", trial.whyThisWide());
        if (trial.endurance() != null)
            model.addAttribute(
                    "exponent",
                    String.format(
                            java.util.Locale.ROOT,
                            "Exponent %.3f: %s.",
                            trial.endurance().k(),
                            trial.origin()));
    }

    /** Fills the form from a stretch of a session; what the person typed stays. */
    private static void fromSession(Map<String, String> typed, SessionService.Opened session) {
        Recording recording = session.recording().orElse(null);
        if (recording == null) return;
        int from = second(typed.get("from")).orElse(0);
        int to = second(typed.get("to")).orElse(recording.seconds());
        int begin = Math.max(0, Math.min(from, recording.seconds() - 1));
        int end = Math.max(begin + 1, Math.min(to, recording.seconds()));
        int seconds = end - begin;
        String clock = seconds >= 3600
                ? String.format(Locale.ROOT, "%d:%02d:%02d", seconds / 3600, seconds / 60 % 60, seconds % 60)
                : Pace.clock(seconds);
        String day = session.slab().day().toString();
        for (String field : new String[] {"day", "shortDay", "longDay"}) typed.putIfAbsent(field, day);
        typed.putIfAbsent("time", clock);
        typed.putIfAbsent("name", session.slab().title());
        recording.channel(Channel.POWER).filter(s -> s.present(begin, end) > 0).ifPresent(s -> {
            String watts = String.valueOf(Math.round(s.mean(begin, end)));
            typed.putIfAbsent("watts", watts);
            String which = seconds <= 300 ? "short" : "long";
            typed.putIfAbsent(which + "Time", clock);
            typed.putIfAbsent(which + "Watts", watts);
        });
        recording
                .channel(Channel.HEART_RATE)
                .filter(s -> s.present(begin, end) > 0)
                .ifPresent(s -> typed.putIfAbsent("bpm", String.valueOf(Math.round(s.mean(begin, end)))));
        recording.channel(Channel.DISTANCE).ifPresent(s -> {
            double metres = s.lastBefore(end) - (begin == 0 ? 0 : s.lastBefore(begin));
            if (metres > 0) typed.putIfAbsent("distance", Units.mine().distanceFigure(metres, 2));
            String which = metres < SHORT_SWIM ? "short" : "long";
            if (metres > 0 && recording.sport().restsBetween()) {
                typed.putIfAbsent(which + "Distance", String.valueOf(Math.round(metres)));
                typed.putIfAbsent(which + "Time", clock);
            }
        });
        typed.putIfAbsent("method", method(recording, seconds).name());
    }

    /** Under so many metres a stretch is taken as the short one of two swims. */
    private static final double SHORT_SWIM = 300;

    /** The likeliest method for a stretch of that length. */
    private static Method method(Recording recording, int seconds) {
        if (recording.sport().restsBetween()) return Method.TWO_SWIMS;
        if (recording.sport().trainsBy(Measure.SPEED)) return Method.RACE_BY_PACE;
        if (!recording.has(Channel.POWER)) return Method.HEART_RATE_TWENTY;
        return seconds >= 1170 && seconds <= 1230
                ? Method.TWENTY_MINUTES
                : seconds <= 75 ? Method.RAMP : seconds < 1170 ? Method.TWO_EFFORTS : Method.RACE_BY_POWER;
    }

    private static Optional<Integer> second(String text) {
        return text != null && text.matches("\\d{1,9}") ? Optional.of(Integer.parseInt(text)) : Optional.empty();
    }

    private static Optional<Long> number(String text) {
        return text != null && text.matches("\\d{1,15}") ? Optional.of(Long.parseLong(text)) : Optional.empty();
    }

    @PostMapping
    String keep(Visit visit, @RequestParam Map<String, String> typed, Model model, RedirectAttributes flash) {
        Map<String, String> again = new LinkedHashMap<>(typed);
        again.put("calculate", "");
        String form = tryOut(visit, again, model);
        Athlete athlete = (Athlete) model.getAttribute("athlete");
        Sport sport = (Sport) model.getAttribute("sport");
        Trial trial = trial(athlete, (Method) model.getAttribute("method"), sport, again);
        if (trial.calculation().isRefused()) return form;
        LocalDate day;
        try {
            day = LocalDate.parse(typed.getOrDefault(trial.isOfTwo() ? "longDay" : "day", ""));
        } catch (java.time.DateTimeException e) {
            model.addAttribute("refused", Map.of("day", "choose the day of the test"));
            return form;
        }
        if (day.isAfter((LocalDate) model.getAttribute("today"))) {
            model.addAttribute("refused", Map.of("day", "a result cannot lie ahead"));
            return form;
        }
        evidence.keep(visit, trial.evidence(day), (Long) model.getAttribute("sessionId"));
        flash.addFlashAttribute("said", "Kept as evidence.");
        Quantity quantity = trial.calculation().estimates().get(0).quantity();
        return back(visit.athleteId(), Screen.about(quantity).key());
    }

    record SetAsideForm(
            @RequestParam String key,
            @RequestParam String reason,
            @RequestParam String of) {}

    @PostMapping("/set-aside")
    String setAside(Visit visit, SetAsideForm form, RedirectAttributes flash) {
        try {
            evidence.setAside(visit, form.key(), form.reason());
        } catch (IllegalArgumentException e) {
            flash.addFlashAttribute("said", e.getMessage());
        }
        return back(visit.athleteId(), form.of());
    }

    @PostMapping("/bring-back")
    String bringBack(Visit visit, @RequestParam String key, @RequestParam String of) {
        evidence.bringBack(visit, key);
        return back(visit.athleteId(), of);
    }

    @PostMapping("/delete")
    String delete(Visit visit, @RequestParam long id, @RequestParam String of) {
        evidence.delete(visit, id);
        return back(visit.athleteId(), of);
    }

    private static String back(long athleteId, String of) {
        return "redirect:/a/" + athleteId + "/thresholds/evidence?of=" + (of.matches("[a-z-]{1,20}") ? of : "");
    }
}
