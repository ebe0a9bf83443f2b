package pemblar.app.strength.floor;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import pemblar.app.athlete.Pages;
import pemblar.app.frame.Viewer;
import pemblar.app.frame.Visit;
import pemblar.app.frame.page.Typed;
import pemblar.app.frame.page.Units;
import pemblar.app.note.About;
import pemblar.app.note.NoteService;
import pemblar.app.strength.Exercises;
import pemblar.app.strength.Kilograms;
import pemblar.app.strength.SetWords;
import pemblar.app.strength.design.Strokes;
import pemblar.core.strength.Movement;
import pemblar.core.strength.Prescription.Row;
import pemblar.core.strength.SetLoad;
import pemblar.core.strength.StrengthText;

/** A strength session on the floor: one exercise after the other, a set with one touch. */
@Controller
@RequestMapping("/a/{athleteId}/sessions/{sessionId}/floor")
class FloorController {
    private static final int USUAL_REST = 120;
    private final Pages pages;
    private final FloorService floor;
    private final Exercises exercises;
    private final NoteService notes;

    FloorController(Pages pages, FloorService floor, Exercises exercises, NoteService notes) {
        this.notes = notes;
        this.pages = pages;
        this.floor = floor;
        this.exercises = exercises;
    }

    /** A set as the page shows it. @param fixed added to the load that is typed: the body, kg */
    public record SetLine(
            int place,
            String number,
            String asked,
            String load,
            String exact,
            double bodyKilograms,
            boolean added,
            String repetitions,
            String held,
            boolean free,
            boolean warmUp,
            boolean findOut,
            String planned,
            String last,
            FloorService.Logged done,
            String doneWords) {
        /** What the button that keeps it says. */
        public String action() {
            if (done != null) return "Change";
            return free ? "Done" : "Done as planned";
        }
    }

    /** An exercise with its sets. */
    public record Station(
            int index,
            String exercise,
            String asked,
            String cue,
            String ownCue,
            String link,
            int restSeconds,
            String maximum,
            String swapped,
            List<String> alternatives,
            List<SetLine> sets,
            String skipped,
            boolean untouched) {
        /** As people count them. */
        public int number() {
            return index + 1;
        }

        /** Where one more set stands, after those of the plan. */
        public int extraPlace() {
            return FloorService.EXTRA + 10 * index + sets.size();
        }
    }

    @GetMapping
    String show(Visit visit, @PathVariable long sessionId, Model model, RedirectAttributes flash) {
        Pages.Opened page = pages.open(model, visit, "sessions");
        FloorService.Open open;
        try {
            open = floor.open(visit, sessionId);
        } catch (IllegalArgumentException e) {
            flash.addFlashAttribute("said", e.getMessage());
            return "redirect:/a/" + visit.athleteId() + "/strength";
        }
        model.addAttribute("lifted", open.session());
        model.addAttribute("ahead", open.session().day().isAfter(page.today()));
        model.addAttribute("stations", stations(open, visit.viewer()));
        model.addAttribute("strokes", Strokes.of(open.rows()));
        model.addAttribute("would", floor.wouldMove(visit, open));
        model.addAttribute("volume", volume(open, visit.viewer()));
        model.addAttribute("extra", FloorService.EXTRA);
        model.addAttribute(
                "noted",
                notes.ofSession(visit, sessionId).stream()
                        .filter(n -> n.part() != null && !n.takenAway())
                        .toList());
        return "strength/floor";
    }

    /** Volume and hard sets of a movement. */
    public record Volume(String movement, int sets, int hard, String volume) {}

    private List<Volume> volume(FloorService.Open open, Viewer viewer) {
        Map<Movement, int[]> counts = new LinkedHashMap<>();
        Map<Movement, Double> kilograms = new LinkedHashMap<>();
        for (FloorService.Logged set : open.logged()) {
            Movement movement = exercises
                    .named(viewer, set.exercise())
                    .map(Exercises.Known::movement)
                    .orElse(null);
            if (movement == null || set.warmUp() || set.note().startsWith("skipped")) continue;
            int[] count = counts.computeIfAbsent(movement, m -> new int[2]);
            count[0]++;
            double maximum = open.strength().maxima().knows(set.exercise())
                    ? open.strength().maxima().of(set.exercise()).orElse(Double.NaN)
                    : Double.NaN;
            if (set.test() || set.kilograms() >= 0.7 * maximum) count[1]++;
            int sides = open.isEach(set.exercise()) ? 2 : 1;
            kilograms.merge(movement, sides * set.kilograms() * set.repetitions(), Double::sum);
        }
        List<Volume> all = new ArrayList<>();
        counts.forEach((m, c) -> all.add(new Volume(m.word(), c[0], c[1], Kilograms.sum(kilograms.get(m)))));
        return all;
    }

    private List<Station> stations(FloorService.Open open, Viewer viewer) {
        List<Station> stations = new ArrayList<>();
        int place = 0;
        while (place < open.rows().size()) {
            Row first = open.rows().get(place);
            List<SetLine> sets = new ArrayList<>();
            int number = 0;
            for (; place < open.rows().size() && open.rows().get(place).lift() == first.lift(); place++) {
                Row row = open.rows().get(place);
                if (!row.warmUp()) number++;
                sets.add(line(open, row, place, number));
            }
            stations.add(station(open, viewer, stations.size(), first, sets));
        }
        return stations;
    }

    private Station station(FloorService.Open open, Viewer viewer, int index, Row first, List<SetLine> sets) {
        String exercise = first.lift().exercise();
        Optional<Exercises.Known> known = exercises.named(viewer, exercise);
        List<SetLine> all = new ArrayList<>(sets);
        String skipped = "";
        int number = (int) sets.stream().filter(s -> !s.warmUp()).count();
        for (FloorService.Logged set : open.logged()) {
            if (!set.exercise().equals(exercise)) continue;
            if (set.note().startsWith("skipped")) skipped = set.note();
            else if (set.place() >= FloorService.EXTRA) all.add(extra(set, ++number));
        }
        var maximum = open.strength().maxima().of(exercise);
        return new Station(
                index,
                exercise,
                Kilograms.said(StrengthText.sets(first.lift())),
                first.lift().cue(),
                known.map(Exercises.Known::cue).orElse(""),
                known.map(Exercises.Known::link).orElse(""),
                first.lift().restSeconds() > 0 ? first.lift().restSeconds() : USUAL_REST,
                maximum.isPresent() ? Kilograms.of(maximum.getAsDouble()) : "",
                "",
                exercises.alternatives(viewer, exercise),
                all,
                skipped,
                open.logged().stream().noneMatch(l -> l.exercise().equals(exercise)));
    }

    private static SetLine extra(FloorService.Logged set, int number) {
        return new SetLine(
                set.place(),
                String.valueOf(number),
                "added",
                "",
                "",
                0,
                false,
                "",
                "",
                false,
                false,
                false,
                "",
                "",
                set,
                SetWords.done(set));
    }

    private static SetLine line(FloorService.Open open, Row row, int place, int number) {
        boolean body = row.set().load() instanceof SetLoad.BodyMass;
        String load = SetWords.load(row);
        String exact = row.exactKilograms().isPresent()
                        && row.shownKilograms().isPresent()
                        && Math.abs(row.exactKilograms().getAsDouble()
                                        - row.shownKilograms().getAsDouble())
                                > 0.05
                ? "exactly " + Kilograms.of(row.exactKilograms().getAsDouble())
                : "";
        FloorService.Logged done = open.logged().stream()
                .filter(l -> l.place() == place
                        && l.exercise().equals(row.lift().exercise())
                        && !l.note().startsWith("skipped"))
                .findFirst()
                .orElse(null);
        return new SetLine(
                place,
                row.warmUp() ? "w" : String.valueOf(number),
                row.set().load().text(),
                load.replace('−', '-'),
                exact,
                body ? open.strength().bodyKilograms().orElse(0) : 0,
                body,
                row.set().repetitions() == 0 ? "" : String.valueOf(row.set().repetitions()),
                row.set().heldSeconds() == 0 ? "" : String.valueOf(row.set().heldSeconds()),
                row.set().asManyAsPossible(),
                row.warmUp(),
                row.findOut(),
                SetWords.planned(row),
                row.warmUp() ? "" : last(open, row, number),
                done,
                done == null ? "" : SetWords.done(done));
    }

    private static String last(FloorService.Open open, Row row, int number) {
        List<FloorService.Logged> sets = open.lastTime().getOrDefault(row.lift().exercise(), List.of()).stream()
                .filter(s -> !s.warmUp() && (s.repetitions() > 0 || s.heldSeconds() > 0))
                .toList();
        if (sets.isEmpty()) return "";
        return SetWords.done(sets.get(Math.min(sets.size(), number) - 1));
    }

    /** Logs a set; a page without scripts comes back to itself, a script gets what follows from it. */
    @PostMapping("/set")
    @ResponseBody
    ResponseEntity<Object> set(Visit visit, @PathVariable long sessionId, @RequestParam Map<String, String> typed) {
        boolean script = typed.containsKey("script");
        try {
            FloorService.Answer answer = floor.log(visit, sessionId, told(typed));
            if (script) return ResponseEntity.ok(shown(answer));
        } catch (IllegalArgumentException e) {
            if (script) return ResponseEntity.unprocessableEntity().body(Map.of("refused", e.getMessage()));
            throw e;
        }
        return ResponseEntity.status(303)
                .header("Location", "/a/" + visit.athleteId() + "/sessions/" + sessionId + "/floor")
                .build();
    }

    private static FloorService.Told told(Map<String, String> typed) {
        String held = typed.getOrDefault("held", "");
        String reserve = typed.getOrDefault("reserve", "");
        double body = Typed.number("Body mass", typed.getOrDefault("body", "0"), 0, 400);
        String load = typed.getOrDefault("load", "").isBlank() ? "0" : typed.get("load");
        return new FloorService.Told(
                typed.getOrDefault("key", ""),
                Typed.whole("Set", typed.getOrDefault("place", ""), 0, 1000),
                typed.getOrDefault("exercise", "").strip().toLowerCase(java.util.Locale.ROOT),
                body + Units.mine().kilograms("Load", load, -200, 999),
                typed.getOrDefault("repetitions", "").isBlank() && !held.isBlank()
                        ? 0
                        : Typed.whole("Repetitions", typed.getOrDefault("repetitions", ""), 0, 200),
                held.isBlank() ? 0 : Typed.whole("Held", held, 0, 3600),
                reserve.isBlank() ? null : (Integer) Typed.whole("In reserve", reserve, 0, 10),
                typed.getOrDefault("note", "").strip());
    }

    private static Map<String, Object> shown(FloorService.Answer answer) {
        Map<String, Object> map = new LinkedHashMap<>();
        map.put("id", answer.set().id());
        map.put("place", answer.set().place());
        map.put("words", SetWords.done(answer.set()));
        map.put("next", answer.next() == null ? "" : Kilograms.figure(answer.next()));
        FloorService.Would would = answer.would();
        map.put("would", would == null ? "" : would.sentence());
        return map;
    }

    @PostMapping("/take")
    String take(Visit visit, @PathVariable long sessionId, @RequestParam long set, RedirectAttributes flash) {
        return back(visit.athleteId(), sessionId, flash, () -> floor.take(visit, sessionId, set));
    }

    @PostMapping("/remove")
    String remove(Visit visit, @PathVariable long sessionId, @RequestParam long set, RedirectAttributes flash) {
        return back(visit.athleteId(), sessionId, flash, () -> {
            floor.remove(visit, sessionId, set);
            return "The set was removed.";
        });
    }

    record SwapForm(
            @RequestParam String exercise, @RequestParam String with) {}

    @PostMapping("/swap")
    String swap(Visit visit, @PathVariable long sessionId, SwapForm form, RedirectAttributes flash) {
        return back(visit.athleteId(), sessionId, flash, () -> {
            floor.swap(visit, sessionId, form.exercise(), form.with());
            return form.with() + " in the place of " + form.exercise() + ".";
        });
    }

    @PostMapping("/add")
    String add(
            Visit visit,
            @PathVariable long sessionId,
            @RequestParam(defaultValue = "") String line,
            RedirectAttributes flash) {
        return back(visit.athleteId(), sessionId, flash, () -> {
            floor.add(visit, sessionId, line);
            return "Added at the end: " + line.strip() + ".";
        });
    }

    @PostMapping("/drop")
    String drop(
            Visit visit,
            @PathVariable long sessionId,
            @RequestParam(defaultValue = "") String exercise,
            RedirectAttributes flash) {
        return back(visit.athleteId(), sessionId, flash, () -> {
            floor.drop(visit, sessionId, exercise);
            return "Without " + exercise + " this time.";
        });
    }

    record NoteForm(
            @RequestParam(defaultValue = "") String exercise,
            @RequestParam(defaultValue = "") String body) {}

    @PostMapping("/notes")
    String note(Visit visit, @PathVariable long sessionId, NoteForm form, RedirectAttributes flash) {
        return back(visit.athleteId(), sessionId, flash, () -> {
            notes.write(visit, new About.OfSession(sessionId, null, form.exercise()), form.body());
            return "Noted on " + form.exercise() + ".";
        });
    }

    record FinishForm(
            @RequestParam(defaultValue = "") String minutes,
            @RequestParam String effort) {}

    @PostMapping("/finish")
    String finish(Visit visit, @PathVariable long sessionId, FinishForm form, RedirectAttributes flash) {
        return back(visit.athleteId(), sessionId, flash, () -> {
            Integer length = form.minutes().isBlank() ? null : (Integer) Typed.whole("Minutes", form.minutes(), 1, 600);
            floor.finish(visit, sessionId, length, Typed.number("Effort", form.effort(), 0, 10));
            return "Done. It counts in the load with the minutes and the effort.";
        });
    }

    private interface Act {
        String run();
    }

    private static String back(long athleteId, long sessionId, RedirectAttributes flash, Act act) {
        try {
            flash.addFlashAttribute("good", act.run());
        } catch (IllegalArgumentException e) {
            flash.addFlashAttribute("said", e.getMessage());
        }
        return "redirect:/a/" + athleteId + "/sessions/" + sessionId + "/floor";
    }
}
