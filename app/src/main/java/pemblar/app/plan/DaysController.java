package pemblar.app.plan;

import jakarta.servlet.http.HttpServletRequest;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import pemblar.app.frame.Visit;
import pemblar.app.frame.page.Shown;
import pemblar.app.frame.page.Typed;
import pemblar.app.frame.page.Units;
import pemblar.app.planner.SeasonChanges;
import pemblar.app.planner.SeasonChanges.Asking;
import pemblar.app.planner.SeasonChanges.BlockChange;
import pemblar.app.season.SeasonSettings.Marked;
import pemblar.app.session.change.DaysService;
import pemblar.app.session.change.ScheduleService.Chosen;
import pemblar.app.session.change.SketchService;
import pemblar.app.session.change.SketchService.Sketch;
import pemblar.app.session.done.DoneService;
import pemblar.app.workout.Shelved;
import pemblar.app.workout.WorkoutService;
import pemblar.core.schedule.Purpose;
import pemblar.core.sport.Sport;

/**
 * The board's changes beyond one session's place: sketches, sessions done without a recording, whole days and blocks.
 */
@Controller
@RequestMapping("/a/{athleteId}")
class DaysController {
    private final BoardPage page;
    private final SketchService sketches;
    private final DoneService done;
    private final DaysService days;
    private final SeasonChanges season;
    private final WorkoutService workouts;

    DaysController(
            BoardPage page,
            SketchService sketches,
            DoneService done,
            DaysService days,
            SeasonChanges season,
            WorkoutService workouts) {
        this.page = page;
        this.sketches = sketches;
        this.done = done;
        this.days = days;
        this.season = season;
        this.workouts = workouts;
    }

    @PostMapping("/sketch")
    String sketch(
            Visit visit,
            @RequestParam String day,
            @RequestParam(defaultValue = "") String time,
            @RequestParam(defaultValue = "") String title,
            @RequestParam Sport sport,
            @RequestParam Purpose purpose,
            @RequestParam String length,
            @RequestParam(required = false) List<Integer> weekday,
            @RequestParam(defaultValue = "") String until,
            HttpServletRequest request,
            Model model) {
        return page.changed(visit, request, model, () -> {
            String named = title.isBlank() ? Shown.titled(purpose) : title;
            Sketch sketch = new Sketch(
                    Typed.day("Day", day),
                    Typed.minuteOrNull(time),
                    named,
                    sport,
                    purpose,
                    Typed.seconds("Length", length, 300, 86_400));
            if (until.isBlank()) sketches.sketch(visit, sketch);
            else sketches.repeat(visit, sketch, weekdays(weekday, sketch.day()), Typed.day("Until", until));
        });
    }

    /** Without a choice it is the first day's own weekday. */
    private static Set<DayOfWeek> weekdays(List<Integer> numbers, LocalDate first) {
        Set<DayOfWeek> days = EnumSet.noneOf(DayOfWeek.class);
        if (numbers != null) numbers.forEach(n -> days.add(DayOfWeek.of(Math.floorMod(n - 1, 7) + 1)));
        if (days.isEmpty()) days.add(first.getDayOfWeek());
        return days;
    }

    @PostMapping("/sessions/{id}/fill")
    String fill(
            Visit visit,
            @PathVariable long id,
            @RequestParam(required = false) Integer version,
            @RequestParam long workout,
            HttpServletRequest request,
            Model model) {
        Shelved kept = workouts.require(workout, visit.viewer());
        return page.changed(
                visit,
                request,
                model,
                () -> sketches.fillIn(
                        visit, id, version, new Chosen(kept.title(), kept.workout(), kept.id(), kept.version())));
    }

    @PostMapping("/sessions/{id}/done")
    String done(
            Visit visit,
            @PathVariable long id,
            @RequestParam(required = false) Integer version,
            @RequestParam(defaultValue = "") String length,
            @RequestParam(defaultValue = "") String kilometres,
            @RequestParam(defaultValue = "") String effort,
            @RequestParam(defaultValue = "") String note,
            HttpServletRequest request,
            Model model) {
        return page.changed(
                visit,
                request,
                model,
                () -> done.done(
                        visit,
                        id,
                        version,
                        new DoneService.Told(
                                length.isBlank() ? null : (Integer) Typed.seconds("Time", length, 60, 864_000),
                                kilometres.isBlank()
                                        ? null
                                        : (Double) Units.mine().metres("Distance", kilometres, 0, 2_000_000),
                                effort.isBlank() ? null : (Double) Typed.number("Effort", effort, 0, 10),
                                note.strip())));
    }

    @PostMapping("/sessions/{id}/not-done")
    String notDone(Visit visit, @PathVariable long id, HttpServletRequest request, Model model) {
        return page.changed(visit, request, model, () -> done.notDone(visit, id));
    }

    @PostMapping("/sessions/{id}/start")
    String start(
            Visit visit,
            @PathVariable long id,
            @RequestParam(required = false) Integer version,
            @RequestParam String day,
            @RequestParam String time,
            HttpServletRequest request,
            Model model) {
        return page.changed(visit, request, model, () -> {
            Integer minute = Typed.minuteOrNull(time);
            if (minute == null)
                throw new IllegalArgumentException("Start: “" + time + "” is not a time; enter one such as 17:40.");
            days.startAt(visit, id, version, Typed.day("Day", day), minute);
        });
    }

    @PostMapping("/days/copy")
    String copy(
            Visit visit,
            @RequestParam String first,
            @RequestParam String last,
            @RequestParam String target,
            HttpServletRequest request,
            Model model) {
        return page.changed(
                visit,
                request,
                model,
                () -> days.copy(
                        visit,
                        Typed.day("First day", first),
                        Typed.day("Last day", last),
                        Typed.day("Target", target)));
    }

    @PostMapping("/days/move")
    String move(
            Visit visit,
            @RequestParam String first,
            @RequestParam String last,
            @RequestParam String target,
            HttpServletRequest request,
            Model model) {
        return page.changed(visit, request, model, () -> {
            int moved = days.move(
                    visit, Typed.day("First day", first), Typed.day("Last day", last), Typed.day("Target", target));
            if (moved == 0)
                throw new IllegalArgumentException(
                        "On these days nothing is open that could be moved; what is done keeps its day.");
        });
    }

    @PostMapping("/days/done")
    String done(
            Visit visit,
            @RequestParam String first,
            @RequestParam String last,
            HttpServletRequest request,
            Model model) {
        return page.changed(
                visit,
                request,
                model,
                () -> done.doneAsPlanned(visit, Typed.day("First day", first), Typed.day("Last day", last)));
    }

    @PostMapping("/days/shift")
    String shift(
            Visit visit,
            @RequestParam String first,
            @RequestParam String by,
            @RequestParam(defaultValue = "false") boolean blocks,
            HttpServletRequest request,
            Model model) {
        return page.changed(
                visit,
                request,
                model,
                () -> season.shift(
                        new Asking(visit, null, false),
                        Typed.day("From", first),
                        Typed.whole("Days", by, -1000, 1000),
                        blocks));
    }

    @PostMapping("/days/mark")
    String mark(
            Visit visit,
            @RequestParam String day,
            @RequestParam(defaultValue = "false") boolean unavailable,
            @RequestParam(defaultValue = "") String note,
            HttpServletRequest request,
            Model model) {
        return page.changed(
                visit,
                request,
                model,
                () -> season.mark(
                        new Asking(visit, null, false), new Marked(Typed.day("Day", day), unavailable, note.strip())));
    }

    @PostMapping("/blocks")
    String block(
            Visit visit,
            @RequestParam SeasonChanges.Kind kind,
            @RequestParam String first,
            @RequestParam(defaultValue = "") String day,
            HttpServletRequest request,
            Model model) {
        return page.changed(
                visit,
                request,
                model,
                () -> season.change(
                        new Asking(visit, null, false),
                        new BlockChange(
                                kind,
                                Typed.day("First day", first),
                                day.isBlank() ? 0 : Typed.day("Day", day).toEpochDay())));
    }
}
