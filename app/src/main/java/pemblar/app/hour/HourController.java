package pemblar.app.hour;

import java.time.Instant;
import java.time.InstantSource;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Map;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import pemblar.app.athlete.Memberships;
import pemblar.app.frame.Viewer;
import pemblar.app.frame.page.Typed;
import pemblar.app.workout.WorkoutService;

/** A coach opens hours for a group, and leads one with everybody on one page. */
@Controller
@RequestMapping("/roster/groups/{id}/hours")
class HourController {
    private static final int FASTEST = 60;
    private static final Map<String, String> SAID = Map.of(
            "cue", "Said to all.",
            "LONGER", "The recovery is 30 s longer for all.",
            "NEXT", "The step is ended for all.",
            "END_SET", "The set is ended for all.",
            "STOP", "The hour is ended for all.");
    private final HourService hours;
    private final WorkoutService workouts;
    private final InstantSource clock;

    HourController(HourService hours, WorkoutService workouts, InstantSource clock) {
        this.hours = hours;
        this.workouts = workouts;
        this.clock = clock;
    }

    /** An hour in the list. @param ahead whether it can still be taken back */
    public record Line(long id, String title, LocalDate day, int minute, boolean ahead, boolean over) {
        public String state() {
            if (over) return "over";
            return ahead ? "ahead" : "under way";
        }
    }

    @GetMapping
    String list(@PathVariable long id, @RequestParam(defaultValue = "") String workout, Viewer viewer, Model model) {
        Memberships.Group group = hours.group(id, viewer);
        ZoneId zone = hours.zone(group, viewer);
        Instant now = clock.instant();
        model.addAttribute("viewer", viewer);
        model.addAttribute("group", group);
        model.addAttribute("zone", zone.getId().replace('_', ' '));
        model.addAttribute("today", LocalDate.ofInstant(now, zone));
        model.addAttribute("library", workouts.library(viewer));
        model.addAttribute("chosen", workout);
        model.addAttribute(
                "hours",
                hours.latest(group).stream().map(h -> line(h, zone, now)).toList());
        return "hour/hours";
    }

    private Line line(Hour hour, ZoneId zone, Instant now) {
        var local = hour.startsAt().atZone(zone);
        return new Line(
                hour.id(),
                hour.title(),
                local.toLocalDate(),
                local.toLocalTime().toSecondOfDay() / 60,
                hour.startsAt().isAfter(now),
                hours.clock(hour).at().over());
    }

    record OpenForm(
            @RequestParam(defaultValue = "") String workout,
            @RequestParam(defaultValue = "") String day,
            @RequestParam(defaultValue = "") String time,
            @RequestParam(defaultValue = "1") String speed) {}

    @PostMapping
    String open(@PathVariable long id, OpenForm form, Viewer viewer, RedirectAttributes flash) {
        Memberships.Group group = hours.group(id, viewer);
        try {
            if (!form.workout().matches("-?\\d{1,18}")) throw new IllegalArgumentException("Workout: choose one.");
            LocalDate on = Typed.dayOrNull(form.day());
            Integer minute = Typed.minuteOrNull(form.time());
            if (on == null) throw new IllegalArgumentException("Day: choose one.");
            if (minute == null) throw new IllegalArgumentException("Clock time: choose one, such as 18:00.");
            int times = (int) Typed.number("Speed", form.speed(), 1, FASTEST);
            long hour = hours.open(
                    group, viewer, new HourService.Wanted(Long.parseLong(form.workout()), on, minute, times));
            return "redirect:/roster/groups/" + id + "/hours/" + hour;
        } catch (IllegalArgumentException e) {
            flash.addFlashAttribute("said", e.getMessage());
            return "redirect:/roster/groups/" + id + "/hours"
                    + (form.workout().isEmpty() ? "" : "?workout=" + number(form.workout()));
        }
    }

    private static String number(String typed) {
        return typed.replaceAll("[^-\\d]", "");
    }

    @PostMapping("/{hourId}/drop")
    String drop(@PathVariable long id, @PathVariable long hourId, Viewer viewer, RedirectAttributes flash) {
        try {
            hours.drop(hours.require(id, hourId, viewer));
            flash.addFlashAttribute("good", "The hour is taken back.");
        } catch (IllegalArgumentException e) {
            flash.addFlashAttribute("said", e.getMessage());
        }
        return "redirect:/roster/groups/" + id + "/hours";
    }

    @GetMapping("/{hourId}")
    String lead(@PathVariable long id, @PathVariable long hourId, Viewer viewer, Model model) {
        Hour hour = hours.require(id, hourId, viewer);
        Memberships.Group group = hours.group(id, viewer);
        ZoneId zone = hours.zone(group, viewer);
        model.addAttribute("viewer", viewer);
        model.addAttribute("group", group);
        model.addAttribute("hour", line(hour, zone, clock.instant()));
        model.addAttribute("zone", zone.getId().replace('_', ' '));
        live(hour, viewer, "", model);
        return "hour/hour";
    }

    /** The part of the page that lives, once a second. */
    @GetMapping("/{hourId}/live")
    String live(@PathVariable long id, @PathVariable long hourId, Viewer viewer, Model model) {
        return live(hours.require(id, hourId, viewer), viewer, "", model);
    }

    private String live(Hour hour, Viewer viewer, String said, Model model) {
        model.addAttribute("said", said);
        model.addAttribute("base", "/roster/groups/" + hour.groupId() + "/hours/" + hour.id());
        model.addAttribute("view", HourView.of(hour, hours.clock(hour), hours.riders(hour, viewer)));
        return "hour/hour :: live";
    }

    record KeyForm(
            @RequestParam(defaultValue = "") String key,
            @RequestParam(defaultValue = "") String text) {}

    @PostMapping("/{hourId}/key")
    String key(@PathVariable long id, @PathVariable long hourId, KeyForm form, Viewer viewer, Model model) {
        Hour hour = hours.require(id, hourId, viewer);
        String said;
        try {
            hours.press(hour, form.key(), form.text());
            said = SAID.getOrDefault(form.key(), "");
        } catch (IllegalArgumentException e) {
            said = e.getMessage();
        }
        return live(hour, viewer, said, model);
    }
}
