package pemblar.app.coach.group;

import java.time.InstantSource;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import pemblar.app.athlete.Athlete;
import pemblar.app.coach.group.GroupPlan.By;
import pemblar.app.coach.group.GroupPlan.Wish;
import pemblar.app.coach.group.GroupService.Group;
import pemblar.app.frame.Viewer;
import pemblar.app.frame.page.Typed;
import pemblar.app.session.Slab;
import pemblar.app.template.TemplateService;
import pemblar.app.workout.WorkoutService;

/** The board of a group: what lies ahead for each, and one thing put on all or some of them at once. */
@Controller
@RequestMapping("/roster/groups/{id}")
class GroupController {
    private static final int DAYS_SHOWN = 14;
    private final GroupService groups;
    private final TemplateService templates;
    private final WorkoutService workouts;
    private final InstantSource clock;

    GroupController(GroupService groups, TemplateService templates, WorkoutService workouts, InstantSource clock) {
        this.groups = groups;
        this.templates = templates;
        this.workouts = workouts;
        this.clock = clock;
    }

    /** A day of one athlete. @param words of its sessions; empty for rest */
    public record Cell(LocalDate day, List<Slab> sessions) {}

    public record Row(Athlete athlete, List<Cell> cells) {}

    /** What the form asks for, as it was typed. */
    public record Asked(String what, By by, String day, String daysBefore, String time, List<Long> athletes) {
        public Asked {
            what = what == null ? "" : what;
            by = by == null ? By.FIRST_DAY : by;
            day = day == null ? "" : day;
            daysBefore = daysBefore == null ? "" : daysBefore;
            time = time == null ? "" : time;
            athletes = athletes == null ? List.of() : athletes;
        }

        Wish toWish() {
            if (!what.matches("[tw]:-?\\d{1,18}"))
                throw new IllegalArgumentException("What: choose a workout or a template.");
            long id = Long.parseLong(what.substring(2));
            boolean template = what.startsWith("t");
            return new Wish(
                    template ? id : null,
                    template ? null : id,
                    by,
                    Typed.dayOrNull(day),
                    (int) Typed.number("Days before the event", daysBefore.isBlank() ? "0" : daysBefore, 0, 365),
                    Typed.minuteOrNull(time));
        }
    }

    @GetMapping
    String board(
            @PathVariable long id,
            Asked asked,
            @RequestParam(defaultValue = "") String look,
            Viewer viewer,
            Model model) {
        Group group = groups.require(id, viewer);
        LocalDate today = LocalDate.ofInstant(clock.instant(), ZoneOffset.UTC);
        model.addAttribute("viewer", viewer);
        model.addAttribute("group", group);
        model.addAttribute("today", today);
        model.addAttribute("rows", rows(group, today));
        model.addAttribute("days", today.datesUntil(today.plusDays(DAYS_SHOWN)).toList());
        model.addAttribute("library", workouts.library(viewer));
        model.addAttribute("templates", templates.own(viewer));
        model.addAttribute("puts", groups.puts(group));
        model.addAttribute("asked", asked);
        if (!look.isEmpty())
            try {
                model.addAttribute("shares", groups.preview(group, asked.athletes(), asked.toWish(), viewer));
            } catch (IllegalArgumentException e) {
                model.addAttribute("said", e.getMessage());
            }
        return "coach/group";
    }

    private List<Row> rows(Group group, LocalDate today) {
        Map<Long, List<Slab>> sessions = groups.between(group, today, today.plusDays(DAYS_SHOWN - 1));
        return group.members().stream()
                .map(athlete -> new Row(
                        athlete,
                        today.datesUntil(today.plusDays(DAYS_SHOWN))
                                .map(day -> new Cell(
                                        day,
                                        sessions.get(athlete.id()).stream()
                                                .filter(s -> s.day().equals(day))
                                                .toList()))
                                .toList()))
                .toList();
    }

    @PostMapping("/put")
    String put(@PathVariable long id, Asked asked, Viewer viewer, RedirectAttributes flash) {
        Group group = groups.require(id, viewer);
        return said(id, flash, () -> groups.put(group, asked.athletes(), asked.toWish(), viewer), "Put");
    }

    record ChangeForm(
            @RequestParam GroupService.Change change,
            @RequestParam(defaultValue = "") String by,
            @RequestParam(required = false) Long athlete) {}

    /** Moves, scales or drops what is still open of something that was put, for all or for one. */
    @PostMapping("/puts/{putId}")
    String change(
            @PathVariable long id, @PathVariable long putId, ChangeForm form, Viewer viewer, RedirectAttributes flash) {
        Group group = groups.require(id, viewer);
        return said(
                id,
                flash,
                () -> {
                    int amount = amount(form.change(), form.by());
                    return groups.change(
                            group, putId, new GroupService.Asked(form.change(), amount, form.athlete()), viewer);
                },
                form.change() == GroupService.Change.DROP ? "Dropped" : "Changed");
    }

    private static int amount(GroupService.Change change, String by) {
        return switch (change) {
            case MOVE -> (int) Typed.number("Days", by, -365, 365);
            case SCALE -> (int) Typed.number("Percent", by, 10, 200);
            case DROP -> 0;
        };
    }

    private static String said(
            long id, RedirectAttributes flash, java.util.function.Supplier<GroupService.Outcome> change, String verb) {
        try {
            GroupService.Outcome outcome = change.get();
            flash.addFlashAttribute(
                    "good",
                    verb + " " + outcome.sessions() + (outcome.sessions() == 1 ? " session" : " sessions") + " of "
                            + outcome.athletes() + (outcome.athletes() == 1 ? " athlete." : " athletes."));
            if (!outcome.refused().isEmpty()) flash.addFlashAttribute("refusals", new ArrayList<>(outcome.refused()));
        } catch (IllegalArgumentException e) {
            flash.addFlashAttribute("said", e.getMessage());
        }
        return "redirect:/roster/groups/" + id;
    }
}
