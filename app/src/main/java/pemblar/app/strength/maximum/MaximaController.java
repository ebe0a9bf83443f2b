package pemblar.app.strength.maximum;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.OptionalDouble;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import pemblar.app.athlete.Pages;
import pemblar.app.frame.Visit;
import pemblar.app.frame.page.OneLook;
import pemblar.app.frame.page.Shown;
import pemblar.app.frame.page.Typed;
import pemblar.app.frame.page.Units;
import pemblar.app.strength.Exercises;
import pemblar.app.strength.Kilograms;
import pemblar.core.strength.Maxima;
import pemblar.core.strength.Movement;

/** Maxima with the sets behind them, links, own exercises, and what can be loaded. */
@Controller
@RequestMapping("/a/{athleteId}/strength/maxima")
class MaximaController {
    private final Pages pages;
    private final MaximaService maxima;
    private final Exercises exercises;
    private final Shown shown;

    MaximaController(Pages pages, MaximaService maxima, Exercises exercises, Shown shown) {
        this.pages = pages;
        this.maxima = maxima;
        this.exercises = exercises;
        this.shown = shown;
    }

    /**
     * An exercise with its maximum. @param path of its history as a line in a box of 160 by 30; empty with fewer than
     * two
     */
    public record Line(
            String exercise,
            String now,
            String rests,
            LocalDate since,
            String path,
            List<MaximaService.Dated> history,
            List<Branch> branches) {}

    /** An exercise that follows another's maximum. */
    public record Branch(String exercise, String percent, String now, boolean reportsBack, int depth) {}

    record ShowForm(
            @RequestParam(required = false) String ask,
            @RequestParam(required = false) String kilograms,
            @RequestParam(required = false) String day) {}

    @OneLook
    @GetMapping
    String show(Visit visit, ShowForm form, Model model) {
        Pages.Opened page = pages.open(model, visit, "workouts");
        List<MaximaService.Dated> history = maxima.history(page.athlete());
        List<MaximaService.Link> links = maxima.links(page.athlete());
        MaximaService.Strength now = maxima.on(page.athlete(), page.today(), List.of());
        model.addAttribute("lines", lines(history, links, now.maxima(), page.today()));
        LinkTree tree = LinkTree.of(links, name -> words(now.maxima(), name));
        model.addAttribute("tree", tree.isEmpty() ? null : tree);
        model.addAttribute("step", Kilograms.figure(now.loadable().step()));
        model.addAttribute("bar", Kilograms.figure(now.loadable().bar()));
        model.addAttribute("plate", Kilograms.figure(now.loadable().plate()));
        model.addAttribute(
                "names",
                exercises.all(visit.viewer()).stream()
                        .map(Exercises.Known::name)
                        .toList());
        model.addAttribute(
                "movements",
                java.util.Arrays.stream(Movement.values()).map(Movement::word).toList());
        model.addAttribute("loaded", Exercises.LOADED);
        model.addAttribute("groups", exercises.groups(visit.viewer()));
        model.addAttribute(
                "own",
                exercises.all(visit.viewer()).stream()
                        .filter(Exercises.Known::own)
                        .toList());
        if (form.ask() != null) preview(model, page, form);
        return "strength/maxima";
    }

    /** What a maximum that is not taken yet would change. */
    private void preview(Model model, Pages.Opened page, ShowForm form) {
        try {
            double value = Units.mine().kilograms("Maximum", form.kilograms(), 1, 999);
            String day = form.day();
            LocalDate from = day == null || day.isBlank() ? page.today() : Typed.day("Day", day);
            String name = form.ask().strip().toLowerCase(Locale.ROOT);
            model.addAttribute("asked", name);
            model.addAttribute("askedKilograms", Kilograms.figure(value));
            model.addAttribute("askedWords", Kilograms.of(value));
            model.addAttribute("askedDay", from);
            model.addAttribute(
                    "changes", maxima.ahead(page.athlete(), new MaximaService.New(name, from, value, "typed", null)));
        } catch (IllegalArgumentException e) {
            model.addAttribute("said", e.getMessage());
        }
    }

    private static List<Line> lines(
            List<MaximaService.Dated> history, List<MaximaService.Link> links, Maxima now, LocalDate today) {
        Map<String, List<MaximaService.Dated>> byName = new LinkedHashMap<>();
        history.forEach(d ->
                byName.computeIfAbsent(d.exercise(), e -> new ArrayList<>()).add(d));
        List<String> linked = links.stream().map(MaximaService.Link::exercise).toList();
        links.forEach(l -> {
            if (!linked.contains(l.of())) byName.computeIfAbsent(l.of(), e -> new ArrayList<>());
        });
        List<Line> lines = new ArrayList<>();
        byName.forEach((name, all) -> {
            if (linked.contains(name)) return;
            MaximaService.Dated last = all.stream()
                    .filter(d -> !d.day().isAfter(today))
                    .reduce((a, b) -> b)
                    .orElse(null); // one that is set ahead does not hold yet
            List<Branch> branches = new ArrayList<>();
            branches(branches, name, links, now, 1);
            List<MaximaService.Dated> newest = new ArrayList<>(all);
            java.util.Collections.reverse(newest);
            lines.add(new Line(
                    name,
                    words(now, name),
                    last == null ? "" : Kilograms.said(last.said()),
                    last == null ? null : last.day(),
                    path(all),
                    newest,
                    branches));
        });
        lines.sort(java.util.Comparator.comparing(Line::exercise));
        return lines;
    }

    private static void branches(List<Branch> all, String of, List<MaximaService.Link> links, Maxima now, int depth) {
        for (MaximaService.Link link : links) {
            if (!link.of().equals(of)) continue;
            all.add(new Branch(
                    link.exercise(),
                    Kilograms.figure(link.percent()) + " %",
                    words(now, link.exercise()),
                    link.reportsBack(),
                    depth));
            branches(all, link.exercise(), links, now, depth + 1);
        }
    }

    private static String words(Maxima now, String name) {
        OptionalDouble maximum = now.knows(name) ? now.of(name) : OptionalDouble.empty();
        return maximum.isPresent() ? Kilograms.rounded(maximum.getAsDouble()) : "";
    }

    private static String path(List<MaximaService.Dated> all) {
        if (all.size() < 2) return "";
        double low =
                all.stream().mapToDouble(MaximaService.Dated::kilograms).min().orElse(0);
        double high =
                all.stream().mapToDouble(MaximaService.Dated::kilograms).max().orElse(1);
        long first = all.get(0).day().toEpochDay();
        double days = Math.max(1, all.get(all.size() - 1).day().toEpochDay() - first);
        StringBuilder path = new StringBuilder();
        for (MaximaService.Dated d : all)
            path.append(String.format(
                    Locale.ROOT,
                    "%s%.1f %.1f",
                    path.isEmpty() ? "M" : "L",
                    2 + 156 * (d.day().toEpochDay() - first) / days,
                    27 - 24 * (d.kilograms() - low) / Math.max(0.1, high - low)));
        return path.toString();
    }

    record SetForm(
            @RequestParam String exercise,
            @RequestParam String kilograms,
            @RequestParam String day) {}

    @PostMapping
    String set(Visit visit, SetForm form, RedirectAttributes flash) {
        return back(visit.athleteId(), flash, () -> {
            LocalDate day = Typed.day("Day", form.day());
            maxima.set(
                    visit,
                    new MaximaService.New(
                            form.exercise(),
                            day,
                            Units.mine().kilograms("Maximum", form.kilograms(), 1, 999),
                            "typed",
                            null));
            return "The maximum of " + form.exercise().strip() + " is "
                    + form.kilograms().strip() + " " + Units.mine().massUnit() + " from " + shown.date(day)
                    + maxima.next(pages.athlete(visit), form.exercise(), day)
                            .map(next -> " until " + shown.date(next) + ", from when another holds.")
                            .orElse(".");
        });
    }

    @PostMapping("/remove")
    String remove(Visit visit, @RequestParam long id, RedirectAttributes flash) {
        return back(visit.athleteId(), flash, () -> {
            maxima.remove(visit, id);
            return "Removed.";
        });
    }

    record LinkForm(
            @RequestParam String exercise,
            @RequestParam String of,
            @RequestParam String percent,
            @RequestParam(defaultValue = "false") boolean reportsBack) {}

    @PostMapping("/link")
    String link(Visit visit, LinkForm form, RedirectAttributes flash) {
        return back(visit.athleteId(), flash, () -> {
            maxima.link(
                    visit,
                    new MaximaService.Link(
                            form.exercise(),
                            form.of(),
                            Typed.number("Percent", form.percent(), 1, 300),
                            form.reportsBack()));
            return form.exercise().strip() + " takes its maximum from "
                    + form.of().strip() + ".";
        });
    }

    @PostMapping("/unlink")
    String unlink(Visit visit, @RequestParam String exercise, RedirectAttributes flash) {
        return back(visit.athleteId(), flash, () -> {
            maxima.unlink(visit, exercise);
            return exercise + " has a maximum of its own again.";
        });
    }

    record LoadableForm(
            @RequestParam(defaultValue = "") String bar,
            @RequestParam(defaultValue = "") String plate,
            @RequestParam(defaultValue = "") String step) {}

    @PostMapping("/loadable")
    String loadable(Visit visit, LoadableForm form, RedirectAttributes flash) {
        Units units = Units.mine();
        return back(visit.athleteId(), flash, () -> {
            maxima.setLoadable(
                    visit,
                    units.kilograms("Bar", form.bar(), 0, 60),
                    units.kilograms("Smallest plate", form.plate(), 0.25, 25),
                    units.kilograms("Step", form.step(), 0.25, 20));
            return "Loads with a bar are now " + form.bar().strip() + " " + units.massUnit()
                    + " and more, two plates of " + form.plate().strip() + " at a time; all else goes in steps of "
                    + form.step().strip() + ".";
        });
    }

    private interface Act {
        String run();
    }

    private static String back(long athleteId, RedirectAttributes flash, Act act) {
        try {
            flash.addFlashAttribute("good", act.run());
        } catch (IllegalArgumentException e) {
            flash.addFlashAttribute("said", e.getMessage());
        }
        return "redirect:/a/" + athleteId + "/strength/maxima";
    }
}
