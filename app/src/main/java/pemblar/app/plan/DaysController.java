package pemblar.app.plan;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import pemblar.app.frame.asked.Sent;
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

    record SketchForm(
            @RequestParam String day,
            @RequestParam(defaultValue = "") String time,
            @RequestParam(defaultValue = "") String title,
            @RequestParam Sport sport,
            @RequestParam Purpose purpose,
            @RequestParam String length,
            @RequestParam(required = false) List<Integer> weekday,
            @RequestParam(defaultValue = "") String until) {}

    @PostMapping("/sketch")
    String sketch(Sent sent, SketchForm form) {
        return page.changed(sent, () -> {
            String named = form.title().isBlank() ? Shown.titled(form.purpose()) : form.title();
            Sketch sketch = new Sketch(
                    Typed.day("Day", form.day()),
                    Typed.minuteOrNull(form.time()),
                    named,
                    form.sport(),
                    form.purpose(),
                    Typed.seconds("Length", form.length(), 300, 86_400));
            if (form.until().isBlank()) sketches.sketch(sent.visit(), sketch);
            else
                sketches.repeat(
                        sent.visit(), sketch, weekdays(form.weekday(), sketch.day()), Typed.day("Until", form.until()));
        });
    }

    /** Without a choice it is the first day's own weekday. */
    private static Set<DayOfWeek> weekdays(List<Integer> numbers, LocalDate first) {
        Set<DayOfWeek> days = EnumSet.noneOf(DayOfWeek.class);
        if (numbers != null) numbers.forEach(n -> days.add(DayOfWeek.of(Math.floorMod(n - 1, 7) + 1)));
        if (days.isEmpty()) days.add(first.getDayOfWeek());
        return days;
    }

    record FillForm(
            @RequestParam(required = false) Integer version,
            @RequestParam long workout) {}

    @PostMapping("/sessions/{id}/fill")
    String fill(Sent sent, @PathVariable long id, FillForm form) {
        Shelved kept = workouts.require(form.workout(), sent.visit().viewer());
        return page.changed(
                sent,
                () -> sketches.fillIn(
                        sent.visit(),
                        id,
                        form.version(),
                        new Chosen(kept.title(), kept.workout(), kept.id(), kept.version())));
    }

    record DoneFields(
            @RequestParam(required = false) Integer version,
            @RequestParam(defaultValue = "") String length,
            @RequestParam(defaultValue = "") String kilometres,
            @RequestParam(defaultValue = "") String effort,
            @RequestParam(defaultValue = "") String note) {}

    @PostMapping("/sessions/{id}/done")
    String done(Sent sent, @PathVariable long id, DoneFields form) {
        return page.changed(
                sent,
                () -> done.done(
                        sent.visit(),
                        id,
                        form.version(),
                        new DoneService.Told(
                                form.length().isBlank()
                                        ? null
                                        : (Integer) Typed.seconds("Time", form.length(), 60, 864_000),
                                form.kilometres().isBlank()
                                        ? null
                                        : (Double) Units.mine().metres("Distance", form.kilometres(), 0, 2_000_000),
                                form.effort().isBlank() ? null : (Double) Typed.number("Effort", form.effort(), 0, 10),
                                form.note().strip())));
    }

    @PostMapping("/sessions/{id}/not-done")
    String notDone(Sent sent, @PathVariable long id) {
        return page.changed(sent, () -> done.notDone(sent.visit(), id));
    }

    record StartForm(
            @RequestParam(required = false) Integer version,
            @RequestParam String day,
            @RequestParam String time) {}

    @PostMapping("/sessions/{id}/start")
    String start(Sent sent, @PathVariable long id, StartForm form) {
        return page.changed(sent, () -> {
            Integer minute = Typed.minuteOrNull(form.time());
            if (minute == null)
                throw new IllegalArgumentException(
                        "Start: “" + form.time() + "” is not a time; enter one such as 17:40.");
            days.startAt(sent.visit(), id, form.version(), Typed.day("Day", form.day()), minute);
        });
    }

    record CopyForm(
            @RequestParam String first,
            @RequestParam String last,
            @RequestParam String target) {}

    @PostMapping("/days/copy")
    String copy(Sent sent, CopyForm form) {
        return page.changed(
                sent,
                () -> days.copy(
                        sent.visit(),
                        Typed.day("First day", form.first()),
                        Typed.day("Last day", form.last()),
                        Typed.day("Target", form.target())));
    }

    record MoveForm(
            @RequestParam String first,
            @RequestParam String last,
            @RequestParam String target) {}

    @PostMapping("/days/move")
    String move(Sent sent, MoveForm form) {
        return page.changed(sent, () -> {
            int moved = days.move(
                    sent.visit(),
                    Typed.day("First day", form.first()),
                    Typed.day("Last day", form.last()),
                    Typed.day("Target", form.target()));
            if (moved == 0)
                throw new IllegalArgumentException(
                        "On these days nothing is open that could be moved; what is done keeps its day.");
        });
    }

    record DoneForm(
            @RequestParam String first, @RequestParam String last) {}

    @PostMapping("/days/done")
    String done(Sent sent, DoneForm form) {
        return page.changed(
                sent,
                () -> done.doneAsPlanned(
                        sent.visit(), Typed.day("First day", form.first()), Typed.day("Last day", form.last())));
    }

    record ShiftForm(
            @RequestParam String first,
            @RequestParam String by,
            @RequestParam(defaultValue = "false") boolean blocks) {}

    @PostMapping("/days/shift")
    String shift(Sent sent, ShiftForm form) {
        return page.changed(
                sent,
                () -> season.shift(
                        new Asking(sent.visit(), null, false),
                        Typed.day("From", form.first()),
                        Typed.whole("Days", form.by(), -1000, 1000),
                        form.blocks()));
    }

    record MarkForm(
            @RequestParam String day,
            @RequestParam(defaultValue = "false") boolean unavailable,
            @RequestParam(defaultValue = "") String note) {}

    @PostMapping("/days/mark")
    String mark(Sent sent, MarkForm form) {
        return page.changed(
                sent,
                () -> season.mark(
                        new Asking(sent.visit(), null, false),
                        new Marked(
                                Typed.day("Day", form.day()),
                                form.unavailable(),
                                form.note().strip())));
    }

    record BlockForm(
            @RequestParam SeasonChanges.Kind kind,
            @RequestParam String first,
            @RequestParam(defaultValue = "") String day) {}

    @PostMapping("/blocks")
    String block(Sent sent, BlockForm form) {
        return page.changed(
                sent,
                () -> season.change(
                        new Asking(sent.visit(), null, false),
                        new BlockChange(
                                form.kind(),
                                Typed.day("First day", form.first()),
                                form.day().isBlank()
                                        ? 0
                                        : Typed.day("Day", form.day()).toEpochDay())));
    }
}
