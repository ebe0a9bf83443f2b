package pemblar.app.strength.sets;

import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import pemblar.app.athlete.Pages;
import pemblar.app.frame.Viewer;
import pemblar.app.frame.Visit;
import pemblar.app.frame.page.OneLook;
import pemblar.app.frame.page.Shown;
import pemblar.app.strength.Exercises;
import pemblar.app.strength.Kilograms;
import pemblar.app.strength.maximum.MaximaService;
import pemblar.core.range.DayRange;
import pemblar.core.strength.Movement;
import pemblar.core.strength.SetHistory;
import pemblar.core.strength.SetHistory.Lifted;

/** Sets over months: what an exercise came to, best sets, volume of each week, sets by movement; all of them as CSV. */
@Controller
@RequestMapping("/a/{athleteId}/strength/sets")
class SetsController {
    private static final List<Integer> WEEKS = List.of(13, 26, 52);
    private static final int USUAL_WEEKS = 26;
    private static final int COUNTED_WEEKS = 8;
    private static final double CLEARLY_MORE = 1.05;
    private final Pages pages;
    private final SetsStore store;
    private final MaximaService maxima;
    private final Exercises exercises;
    private final Shown shown;

    SetsController(Pages pages, SetsStore store, MaximaService maxima, Exercises exercises, Shown shown) {
        this.pages = pages;
        this.store = store;
        this.maxima = maxima;
        this.exercises = exercises;
        this.shown = shown;
    }

    /** The heaviest set of a number of repetitions. */
    public record Best(String repetitions, String kilograms, LocalDate day, String estimate) {}

    /** Sets of a movement, week by week, oldest first. */
    public record Counted(String movement, List<Integer> sets) {}

    @OneLook
    @GetMapping
    String show(
            Visit visit,
            @RequestParam(defaultValue = "") String exercise,
            @RequestParam(defaultValue = "") String weeks,
            Model model) {
        Pages.Opened page = pages.open(model, visit, "workouts");
        LocalDate today = page.today();
        int back = WEEKS.stream()
                .filter(w -> weeks.equals(String.valueOf(w)))
                .findFirst()
                .orElse(USUAL_WEEKS);
        LocalDate from = SetHistory.monday(today).minusWeeks(back - 1L);
        List<Lifted> sets = store.between(page.athlete(), from, today);
        Map<String, Long> byExercise = sets.stream()
                .collect(Collectors.groupingBy(Lifted::exercise, LinkedHashMap::new, Collectors.counting()));
        List<String> names = byExercise.keySet().stream()
                .sorted(Comparator.<String, Long>comparing(byExercise::get)
                        .reversed()
                        .thenComparing(Comparator.naturalOrder()))
                .toList();
        model.addAttribute("names", names);
        model.addAttribute("weeks", back);
        model.addAttribute("choices", WEEKS);
        if (names.isEmpty()) return "strength/sets";
        String asked = names.contains(exercise) ? exercise : names.get(0);
        model.addAttribute("exercise", asked);
        List<Lifted> own = sets.stream().filter(s -> s.exercise().equals(asked)).toList();
        one(model, page, own, new DayRange(from, sunday(today)));
        counts(model, sets, visit.viewer(), today);
        return "strength/sets";
    }

    /** @param sets of one exercise, at least one */
    private void one(Model model, Pages.Opened page, List<Lifted> sets, DayRange days) {
        String exercise = sets.get(0).exercise();
        List<MaximaService.Dated> used = maxima.history(page.athlete()).stream()
                .filter(m -> m.exercise().equals(exercise))
                .toList();
        Map<LocalDate, Double> estimates = SetHistory.estimates(sets);
        model.addAttribute("drawing", SetsDrawing.of(days, estimates, used, SetHistory.volume(sets)));
        model.addAttribute(
                "bests",
                SetHistory.bests(sets).values().stream()
                        .map(SetsController::best)
                        .toList());
        model.addAttribute("sentence", sentence(exercise, sets, used, page.today()));
    }

    /** The end of the week that is under way, so that its column has its room. */
    private static LocalDate sunday(LocalDate day) {
        return SetHistory.monday(day).plusDays(6);
    }

    private static Best best(Lifted set) {
        var estimate = SetHistory.estimates(List.of(set)).values().stream().findFirst();
        String left = set.inReserve() > 0 ? ", " + set.inReserve() + " left" : "";
        return new Best(
                set.repetitions() + left,
                Kilograms.of(set.kilograms()),
                set.day(),
                estimate.map(e -> Kilograms.rounded(e)).orElse("too many to tell"));
    }

    /**
     * What the sets say of the maximum in use; the formula is good to about 5 % (docs/benchmarks.md), so less says
     * nothing.
     */
    private String sentence(String exercise, List<Lifted> sets, List<MaximaService.Dated> used, LocalDate today) {
        Map<LocalDate, Double> lately = SetHistory.estimates(sets).entrySet().stream()
                .filter(e -> e.getKey().isAfter(today.minusWeeks(6)))
                .collect(Collectors.toMap(Map.Entry::getKey, Map.Entry::getValue));
        if (lately.isEmpty())
            return "No set of 1 to 12 repetitions with a load in the last six weeks: nothing new about the maximum.";
        var best = Collections.max(lately.entrySet(), Map.Entry.comparingByValue());
        String said = "Best of the last six weeks: about " + Kilograms.rounded(best.getValue())
                + " for one repetition, as load and repetitions have it, by the sets of " + shown.date(best.getKey())
                + (saidWhatWasLeft(sets, best.getKey()) ? "." : "; what was left was not said, so it may be more.");
        MaximaService.Dated now = used.stream()
                .filter(m -> !m.day().isAfter(today))
                .reduce((a, b) -> b)
                .orElse(null);
        if (now == null) return said + " No maximum of " + exercise + " is in use.";
        String inUse = " In use: " + Kilograms.of(now.kilograms()) + " since " + shown.date(now.day());
        return best.getValue() > CLEARLY_MORE * now.kilograms()
                ? said + inUse + "; a set to as many as possible would show whether it still holds."
                : said + inUse + ".";
    }

    /** Without it a set that was stopped short looks like all that could be lifted. */
    private static boolean saidWhatWasLeft(List<Lifted> sets, LocalDate day) {
        return sets.stream().filter(s -> s.day().equals(day)).allMatch(s -> s.inReserve() >= 0);
    }

    private void counts(Model model, List<Lifted> sets, Viewer viewer, LocalDate today) {
        Map<String, Movement> movements = exercises.all(viewer).stream()
                .collect(Collectors.toMap(Exercises.Known::name, Exercises.Known::movement, (a, b) -> a));
        List<Lifted> known =
                sets.stream().filter(s -> movements.containsKey(s.exercise())).toList();
        List<LocalDate> mondays = new ArrayList<>();
        for (int w = COUNTED_WEEKS - 1; w >= 0; w--)
            mondays.add(SetHistory.monday(today).minusWeeks(w));
        List<Counted> rows = new ArrayList<>();
        SetHistory.counts(known, movements::get)
                .forEach((movement, byWeek) -> rows.add(new Counted(
                        movement.name().toLowerCase(Locale.ROOT),
                        mondays.stream()
                                .map(m -> byWeek.getOrDefault(m, 0.0).intValue())
                                .toList())));
        rows.removeIf(row -> row.sets().stream().allMatch(n -> n == 0));
        model.addAttribute("mondays", mondays);
        model.addAttribute("counted", rows);
        model.addAttribute("unknown", sets.size() - known.size());
    }

    @GetMapping("/sets.csv")
    ResponseEntity<byte[]> csv(Visit visit) {
        String csv = store.csv(pages.athlete(visit));
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType("text/csv;charset=UTF-8"))
                .header("Content-Disposition", "attachment; filename=\"sets.csv\"")
                .body(csv.getBytes(StandardCharsets.UTF_8));
    }
}
