package pemblar.app.strength.design;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.Pages;
import pemblar.app.frame.NotFoundException;
import pemblar.app.frame.Viewer;
import pemblar.app.frame.Visit;
import pemblar.app.frame.page.OneLook;
import pemblar.app.frame.page.Typed;
import pemblar.app.session.done.LiftedSessions;
import pemblar.app.strength.Exercises;
import pemblar.app.strength.Kilograms;
import pemblar.app.strength.maximum.MaximaService;
import pemblar.core.strength.Movement;
import pemblar.core.strength.Prescription.Row;
import pemblar.core.strength.StrengthShorthand;
import pemblar.core.strength.StrengthText;
import pemblar.core.strength.StrengthWorkout;

/** Strength workouts: the list, the design in shorthand with what would be on the bar, and putting one on a day. */
@Controller
@RequestMapping("/a/{athleteId}/strength")
class StrengthController {
    private static final String EXAMPLE = """
        warm-up: back squat
        back squat 5 x 5 at 80%, rest 3min
        romanian deadlift 3 x 8 at 2 in reserve, rest 2min
        A1 pull-up 4 x 6 at body mass
        A2 split squat 4 x 8 each at 20kg
        calf raise 2 x 12 at 65%, last as many as possible -> max
        plank 3 x 45s""";
    private final Pages pages;
    private final StrengthLibrary library;
    private final MaximaService maxima;
    private final Exercises exercises;
    private final LiftedSessions sessions;

    StrengthController(
            Pages pages, StrengthLibrary library, MaximaService maxima, Exercises exercises, LiftedSessions sessions) {
        this.pages = pages;
        this.library = library;
        this.maxima = maxima;
        this.exercises = exercises;
        this.sessions = sessions;
    }

    @OneLook
    @GetMapping
    String list(
            Visit visit,
            @RequestParam(defaultValue = "") String folder,
            @RequestParam(defaultValue = "") String words,
            Model model) {
        Pages.Opened page = pages.open(model, visit, "workouts");
        List<StrengthLibrary.Kept> all = library.all(visit.viewer());
        model.addAttribute(
                "kept",
                all.stream()
                        .filter(k -> k.isIn(folder) && k.holds(words))
                        .map(k -> card(k, page.athlete(), page.today()))
                        .toList());
        model.addAttribute(
                "folders",
                all.stream()
                        .map(StrengthLibrary.Kept::folder)
                        .filter(f -> !f.isEmpty())
                        .distinct()
                        .sorted()
                        .toList());
        model.addAttribute("folder", folder);
        model.addAttribute("words", words);
        model.addAttribute("ahead", sessions.ahead(page.athlete(), page.today()));
        return "strength/list";
    }

    /** A kept workout with its figures. */
    public record Card(
            long id,
            String title,
            String owner,
            String folder,
            String tags,
            String text,
            int sets,
            int seconds,
            double load,
            Strokes strokes) {}

    private Card card(StrengthLibrary.Kept kept, Athlete athlete, LocalDate today) {
        StrengthWorkout workout = StrengthShorthand.read(kept.text()).workout().orElseThrow();
        List<Row> rows = rows(workout, athlete, today);
        return new Card(
                kept.id(),
                kept.title(),
                kept.owner(),
                kept.folder(),
                kept.tags(),
                kept.text(),
                workout.sets(),
                workout.seconds(),
                workout.load(),
                Strokes.of(rows));
    }

    private List<Row> rows(StrengthWorkout workout, Athlete athlete, LocalDate day) {
        MaximaService.Strength strength = maxima.on(athlete, day, workout.exercises());
        return strength.rows(workout);
    }

    @OneLook
    @GetMapping("/design")
    String design(Visit visit, @RequestParam(required = false) Long id, Model model) {
        Pages.Opened page = pages.open(model, visit, "workouts");
        StrengthLibrary.Kept kept = id == null ? null : library.require(visit.viewer(), id);
        model.addAttribute("kept", kept);
        model.addAttribute(
                "names",
                exercises.all(visit.viewer()).stream()
                        .map(Exercises.Known::name)
                        .toList());
        model.addAttribute("title", kept == null ? "" : kept.title());
        fill(model, page.athlete(), page.today(), visit.viewer(), kept == null ? EXAMPLE : kept.text());
        return "strength/design";
    }

    /** The drawing and figures of what is typed; nothing is kept. */
    @PostMapping("/preview")
    String preview(Visit visit, @RequestParam String text, Model model) {
        Athlete athlete = pages.athlete(visit);
        model.addAttribute("athlete", athlete);
        fill(model, athlete, pages.today(athlete), visit.viewer(), text);
        return "strength/design :: preview";
    }

    /** What would be on the bar for one exercise. */
    public record OnTheBar(String exercise, String maximum, String exact, String shown, boolean findOut) {}

    /** A movement with its sets. */
    public record Moves(String movement, int sets, int hard, String volume) {}

    private void fill(Model model, Athlete athlete, LocalDate today, Viewer viewer, String text) {
        model.addAttribute("text", text);
        StrengthShorthand.Reading reading = StrengthShorthand.read(text);
        if (reading.problem().isPresent()) {
            model.addAttribute("problem", reading.problem().get());
            return;
        }
        StrengthWorkout workout = reading.workout().orElseThrow();
        MaximaService.Strength strength = maxima.on(athlete, today, workout.exercises());
        List<Row> rows = strength.rows(workout);
        model.addAttribute("workout", workout);
        model.addAttribute("hard", rows.stream().filter(Row::isHard).count());
        model.addAttribute(
                "volume",
                Kilograms.sum(rows.stream()
                        .filter(r -> !r.warmUp())
                        .mapToDouble(r -> volume(r, strength))
                        .sum()));
        model.addAttribute("strokes", Strokes.of(rows));
        model.addAttribute("bar", bar(rows, strength));
        Map<String, Movement> movements = movements(viewer);
        model.addAttribute("moves", moves(rows, strength, movements));
        model.addAttribute(
                "unknown",
                workout.exercises().stream()
                        .filter(e -> !movements.containsKey(e))
                        .toList());
        model.addAttribute(
                "links",
                maxima.links(athlete).stream()
                        .filter(l -> workout.exercises().contains(l.exercise()))
                        .toList());
        model.addAttribute(
                "movers",
                workout.lifts().stream()
                        .filter(l -> l.canMoveAMaximum())
                        .map(l -> l.exercise())
                        .distinct()
                        .toList());
        model.addAttribute(
                "legs",
                workout.isHeavyOnLegs(
                        e -> movements.containsKey(e) && movements.get(e).legs()));
    }

    private Map<String, Movement> movements(Viewer viewer) {
        return exercises.all(viewer).stream()
                .collect(Collectors.toMap(Exercises.Known::name, Exercises.Known::movement, (own, other) -> own));
    }

    /** Kilograms times repetitions, both sides counted; 0 where the load is not known. */
    private static double volume(Row row, MaximaService.Strength strength) {
        boolean body = row.set().load() instanceof pemblar.core.strength.SetLoad.BodyMass;
        double kilograms = row.shownKilograms().orElse(0)
                + (body ? strength.bodyKilograms().orElse(0) : 0);
        return kilograms * row.set().repetitions() * (row.lift().each() ? 2 : 1);
    }

    private static List<OnTheBar> bar(List<Row> rows, MaximaService.Strength strength) {
        Map<String, OnTheBar> all = new LinkedHashMap<>();
        for (Row row : rows) {
            if (row.warmUp() || row.set().heldSeconds() > 0) continue;
            var maximum = strength.maxima().of(row.lift().exercise());
            String exact = row.exactKilograms().isPresent()
                    ? Kilograms.rounded(row.exactKilograms().getAsDouble())
                    : "–";
            String shown = row.shownKilograms().isPresent()
                    ? Kilograms.of(row.shownKilograms().getAsDouble())
                    : "";
            boolean body = row.set().load() instanceof pemblar.core.strength.SetLoad.BodyMass;
            String bar = body ? body(row) : shown;
            all.merge(
                    row.lift().exercise(),
                    new OnTheBar(
                            row.lift().exercise(),
                            maximum.isPresent() ? Kilograms.rounded(maximum.getAsDouble()) : "–",
                            body ? "–" : exact,
                            bar,
                            row.findOut()),
                    (a, b) -> a.shown().equals(b.shown())
                            ? a
                            : new OnTheBar(a.exercise(), a.maximum(), "", a.shown() + " to " + b.shown(), a.findOut()));
        }
        return new ArrayList<>(all.values());
    }

    private static String body(Row row) {
        double more = row.shownKilograms().orElse(0);
        return more == 0 ? "body mass" : "body mass " + (more > 0 ? "+" : "") + Kilograms.of(more);
    }

    private static List<Moves> moves(List<Row> rows, MaximaService.Strength strength, Map<String, Movement> movements) {
        Map<String, int[]> counts = new LinkedHashMap<>();
        Map<String, Double> kilograms = new LinkedHashMap<>();
        for (Row row : rows) {
            if (row.warmUp()) continue;
            String movement = movements.containsKey(row.lift().exercise())
                    ? movements.get(row.lift().exercise()).word()
                    : "not in the list";
            int[] count = counts.computeIfAbsent(movement, m -> new int[2]);
            count[0]++;
            if (row.isHard()) count[1]++;
            kilograms.merge(movement, volume(row, strength), Double::sum);
        }
        List<Moves> all = new ArrayList<>();
        counts.forEach((m, c) ->
                all.add(new Moves(m, c[0], c[1], kilograms.get(m) == 0 ? "–" : Kilograms.sum(kilograms.get(m)))));
        return all;
    }

    @PostMapping
    String save(Visit visit, @RequestParam Map<String, String> typed, Model model, RedirectAttributes flash) {
        Athlete athlete = pages.athlete(visit);
        Long id = typed.getOrDefault("id", "").matches("\\d{1,15}") ? Long.valueOf(typed.get("id")) : null;
        String text = typed.getOrDefault("text", "");
        try {
            if (typed.containsKey("put")) return put(athlete, visit.viewer(), typed, text, flash);
            long saved = library.save(visit.viewer(), id, label(typed), text);
            flash.addFlashAttribute("good", "Kept.");
            return "redirect:/a/" + visit.athleteId() + "/strength/design?id=" + saved;
        } catch (IllegalArgumentException e) {
            Pages.Opened page = pages.open(model, visit, "workouts");
            model.addAttribute("said", e.getMessage());
            model.addAttribute("kept", id == null ? null : library.require(visit.viewer(), id));
            model.addAttribute(
                    "names",
                    exercises.all(visit.viewer()).stream()
                            .map(Exercises.Known::name)
                            .toList());
            model.addAttribute("title", typed.getOrDefault("title", ""));
            fill(model, page.athlete(), page.today(), visit.viewer(), text);
            return "strength/design";
        }
    }

    private static StrengthLibrary.Label label(Map<String, String> typed) {
        return new StrengthLibrary.Label(
                typed.getOrDefault("title", ""),
                typed.getOrDefault("folder", ""),
                typed.getOrDefault("tags", ""),
                typed.containsKey("shared"));
    }

    private String put(
            Athlete athlete, Viewer viewer, Map<String, String> typed, String text, RedirectAttributes flash) {
        LocalDate day = Typed.day("Day", typed.getOrDefault("day", ""));
        StrengthShorthand.Reading reading = StrengthShorthand.read(text);
        StrengthWorkout workout = reading.workout()
                .orElseThrow(() -> new IllegalArgumentException(
                        reading.problem().orElseThrow().toString()));
        List<Double> strokes = Strokes.shares(rows(workout, athlete, day));
        sessions.put(
                new Visit(athlete.id(), viewer),
                day,
                null,
                new LiftedSessions.Prepared(
                        typed.getOrDefault("title", ""),
                        StrengthText.of(workout),
                        workout.seconds(),
                        workout.load(),
                        strokes));
        flash.addFlashAttribute("good", "It is on the board.");
        return "redirect:/a/" + athlete.id() + "/board?from=" + day;
    }

    record OwnForm(
            @RequestParam String name,
            @RequestParam String movement,
            @RequestParam String loaded,
            @RequestParam(defaultValue = "") String cue,
            @RequestParam(defaultValue = "") String link,
            @RequestParam(defaultValue = "") String sharedWith) {}

    @PostMapping("/exercises")
    String own(Visit visit, OwnForm form, RedirectAttributes flash) {
        pages.athlete(visit);
        try {
            exercises.add(
                    visit.viewer(),
                    new Exercises.New(
                            form.name(), form.movement(), form.loaded(), form.cue(), form.link(), form.sharedWith()));
            flash.addFlashAttribute("good", "“" + form.name().strip() + "” is in your list.");
        } catch (IllegalArgumentException e) {
            flash.addFlashAttribute("said", e.getMessage());
        }
        return "redirect:/a/" + visit.athleteId() + "/strength/maxima";
    }

    @PostMapping("/exercises/remove")
    String removeOwn(Visit visit, @RequestParam(defaultValue = "") String name, RedirectAttributes flash) {
        Athlete athlete = pages.athlete(visit);
        if (!exercises.remove(visit.viewer(), name)) throw new NotFoundException("exercise");
        long ahead = sessions.ahead(athlete, pages.today(athlete)).stream()
                .flatMap(session -> StrengthShorthand.read(session.text()).workout().stream())
                .filter(workout -> workout.exercises().contains(name))
                .count();
        boolean known = exercises.named(visit.viewer(), name).isPresent();
        flash.addFlashAttribute(
                "good",
                "“" + name + "” is off your list."
                        + (known || ahead == 0
                                ? " What was lifted keeps its name."
                                : " " + ahead + (ahead == 1 ? " planned session uses" : " planned sessions use")
                                        + " it still: there it counts for no movement."));
        return "redirect:/a/" + visit.athleteId() + "/strength/maxima#own";
    }
}
