package pemblar.app.bench;

import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import pemblar.app.frame.NotFoundException;
import pemblar.app.frame.Shown;
import pemblar.app.frame.Units;
import pemblar.app.frame.Viewer;
import pemblar.app.ribbon.Pages;
import pemblar.benchunit.LiveUnit;
import pemblar.core.sport.Sport;
import pemblar.core.workout.Basis;
import pemblar.core.workout.Pace;
import pemblar.formats.fit.FitNotes;
import pemblar.formats.fit.FitWorkout.FitStep;

/** The bench unit in the browser: what is on it, a look at the steps, and the unit while it runs. */
@Controller
@RequestMapping("/a/{athleteId}/bench")
class BenchUnitController {
    /** Slower than so many metres a second is standing. */
    private static final double STANDING = 0.2;

    private final Pages pages;
    private final BenchService bench;
    private final DeviceService devices;

    BenchUnitController(Pages pages, BenchService bench, DeviceService devices) {
        this.pages = pages;
        this.bench = bench;
        this.devices = devices;
    }

    /** A step as the device words it. */
    record StepLine(String length, String target, String notes) {}

    record WorkoutLine(
            long sessionId, LocalDate day, boolean isToday, String name, List<StepLine> steps, String problem) {}

    @GetMapping
    String device(
            @PathVariable long athleteId, @AuthenticationPrincipal(expression = "viewer") Viewer viewer, Model model) {
        LocalDate today =
                pages.open(model, athleteId, viewer, "bench", null, null).today();
        BenchService.Device device = bench.device(athleteId, viewer);
        model.addAttribute(
                "workouts",
                device.workouts().stream()
                        .sorted(java.util.Comparator.comparing(w -> w.day() == null ? LocalDate.MAX : w.day()))
                        .map(w -> new WorkoutLine(
                                w.sessionId(),
                                w.day(),
                                w.day() != null && !w.day().isAfter(today),
                                w.name(),
                                w.steps().stream().map(s -> line(s, w.sport())).toList(),
                                w.problem()))
                        .toList());
        model.addAttribute("outdated", device.outdated());
        model.addAttribute("synced", device.isSynced());
        model.addAttribute("devices", devices.of(athleteId, viewer));
        return "bench/device";
    }

    @PostMapping("/sync")
    String sync(
            @PathVariable long athleteId,
            @AuthenticationPrincipal(expression = "viewer") Viewer viewer,
            RedirectAttributes flash) {
        int files = bench.sync(athleteId, viewer);
        flash.addFlashAttribute("said", "Synced: " + files + " files are on the device.");
        return "redirect:/a/" + athleteId + "/bench";
    }

    @PostMapping("/devices")
    String add(
            @PathVariable long athleteId,
            @RequestParam String name,
            @AuthenticationPrincipal(expression = "viewer") Viewer viewer,
            RedirectAttributes flash) {
        try {
            flash.addFlashAttribute("newToken", devices.add(athleteId, viewer, name));
        } catch (IllegalArgumentException e) {
            flash.addFlashAttribute("said", e.getMessage());
        }
        return "redirect:/a/" + athleteId + "/bench";
    }

    @PostMapping("/devices/{id}/revoke")
    String revoke(
            @PathVariable long athleteId,
            @PathVariable long id,
            @RequestParam boolean revoked,
            @AuthenticationPrincipal(expression = "viewer") Viewer viewer) {
        devices.revoke(athleteId, viewer, id, revoked);
        return "redirect:/a/" + athleteId + "/bench";
    }

    @PostMapping("/{sessionId}/start")
    String start(
            @PathVariable long athleteId,
            @PathVariable long sessionId,
            @RequestParam(defaultValue = "1") int speed,
            @AuthenticationPrincipal(expression = "viewer") Viewer viewer,
            RedirectAttributes flash) {
        try {
            bench.start(athleteId, viewer, sessionId, speed);
        } catch (IllegalArgumentException e) {
            flash.addFlashAttribute("said", e.getMessage());
            return "redirect:/a/" + athleteId + "/bench";
        }
        return "redirect:/a/" + athleteId + "/bench/" + sessionId;
    }

    @GetMapping("/{sessionId}")
    String ride(
            @PathVariable long athleteId,
            @PathVariable long sessionId,
            @AuthenticationPrincipal(expression = "viewer") Viewer viewer,
            Model model,
            RedirectAttributes flash) {
        pages.open(model, athleteId, viewer, "bench", null, null);
        if (bench.state(athleteId, viewer, sessionId).isEmpty()) {
            flash.addFlashAttribute("said", "The bench unit is not running this workout.");
            return "redirect:/a/" + athleteId + "/bench";
        }
        model.addAttribute("sessionId", sessionId);
        return "bench/ride";
    }

    @GetMapping("/{sessionId}/state")
    @ResponseBody
    ResponseEntity<Map<String, Object>> state(
            @PathVariable long athleteId,
            @PathVariable long sessionId,
            @AuthenticationPrincipal(expression = "viewer") Viewer viewer) {
        return bench.state(athleteId, viewer, sessionId)
                .map(s -> ResponseEntity.ok(shown(s)))
                .orElseThrow(() -> new NotFoundException("bench unit"));
    }

    @PostMapping("/{sessionId}/key")
    @ResponseBody
    ResponseEntity<Map<String, Object>> key(
            @PathVariable long athleteId,
            @PathVariable long sessionId,
            @RequestParam String key,
            @AuthenticationPrincipal(expression = "viewer") Viewer viewer) {
        return bench.key(athleteId, viewer, sessionId, key)
                .map(s -> ResponseEntity.ok(shown(s)))
                .orElseGet(() -> ResponseEntity.ok(Map.of("finished", true)));
    }

    /** All texts ready to show; the page only places them. */
    private static Map<String, Object> shown(LiveRides.State state) {
        LiveUnit.View v = state.view();
        Map<String, Object> map = new LinkedHashMap<>();
        map.put("clock", clock(v.second()));
        map.put("speed", state.speed());
        map.put("finished", v.finished());
        map.put("paused", v.paused());
        map.put("number", v.number() + " of " + v.count());
        map.put("warning", v.warning().name());
        map.put("countdown", v.countdown());
        map.put("bpm", whole(v.bpm()));
        map.put("cadence", whole(v.cadence()));
        map.put(
                "driver",
                Double.isNaN(v.personWatts())
                        ? "the simulated athlete drives"
                        : "you drive: " + Math.round(v.personWatts()) + " W asked for");
        v.reserve().ifPresent(reserve -> map.put("reserve", ReserveWords.of(reserve)));
        if (v.finished()) return map;
        FitStep step = v.step();
        map.put("step", step.name().isEmpty() ? length(step) : step.name() + ", " + length(step));
        map.put("notes", FitNotes.withoutReserve(step.notes()));
        map.put("target", target(step, state.sport(), v.low(), v.high()));
        map.put("live", value(step.basis(), state.sport(), v.live()));
        map.put("unit", unit(step.basis(), state.sport()));
        ToGo left = ToGo.of(v);
        map.put("toGo", left.figure());
        map.put("toGoWords", left.words());
        map.put(
                "next",
                v.next() == null
                        ? "then it is done"
                        : line(v.next(), state.sport()).length() + " at "
                                + line(v.next(), state.sport()).target());
        map.put("place", place(v));
        return map;
    }

    /**
     * Where the live value stands on the gauge, whose target band reaches from 0.4 to 0.6; null when there is no
     * target.
     */
    private static Double place(LiveUnit.View v) {
        if (Double.isNaN(v.low()) || Double.isNaN(v.live()) || v.high() <= v.low()) return null;
        double place = 0.4 + 0.2 * (v.live() - v.low()) / (v.high() - v.low());
        return Math.max(0, Math.min(1, place));
    }

    private static String whole(double value) {
        return Double.isNaN(value) ? "–" : String.valueOf(Math.round(value));
    }

    private static String value(Basis basis, Sport sport, double live) {
        if (Double.isNaN(live)) return "–";
        return basis == Basis.PACE
                ? live < STANDING ? "–" : Shown.speedFigure(sport, live)
                : String.valueOf(Math.round(live));
    }

    private static String unit(Basis basis, Sport sport) {
        return basis == null ? "W" : Shown.unit(basis.measure(), sport);
    }

    private static StepLine line(FitStep step, Sport sport) {
        if (step.isRepeat())
            return new StepLine(
                    "repeat", step.times() + " times from step " + ((int) step.endValue() + 1), step.name());
        return new StepLine(
                (step.name().isEmpty() ? "" : step.name() + ", ") + length(step),
                target(step, sport, step.low(), step.high()),
                FitNotes.withoutReserve(step.notes()));
    }

    private static String target(FitStep step, Sport sport, double low, double high) {
        return step.basis() == null || Double.isNaN(low)
                ? "no target"
                : Shown.range(step.basis().measure(), sport, low, high);
    }

    private static String length(FitStep step) {
        return switch (step.ends()) {
            case TIME -> clock((int) step.endValue());
            case DISTANCE ->
                step.endValue() >= 2000
                        ? Units.mine().distance(step.endValue(), 1)
                        : Math.round(step.endValue()) + " m";
            case HEART_RATE_BELOW -> "until under " + Math.round(step.endValue()) + " bpm";
            case HEART_RATE_ABOVE -> "until over " + Math.round(step.endValue()) + " bpm";
            case LAP_KEY, REPEAT ->
                FitNotes.reserveOf(step.notes())
                        .map(end -> "until the reserve is " + (end.back() ? "above " : "below ") + end.percent() + " %")
                        .orElse("until the lap key");
        };
    }

    static String clock(int seconds) {
        return seconds >= 3600
                ? String.format(Locale.ROOT, "%d:%02d:%02d", seconds / 3600, seconds / 60 % 60, seconds % 60)
                : Pace.clock(seconds);
    }
}
