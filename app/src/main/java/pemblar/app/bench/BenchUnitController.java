package pemblar.app.bench;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
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
import pemblar.app.bench.sync.DeviceService;
import pemblar.app.frame.NotFoundException;
import pemblar.app.frame.Visit;
import pemblar.app.frame.page.Shown;

/** The bench unit in the browser: what is on it, a look at the steps, and the unit while it runs. */
@Controller
@RequestMapping("/a/{athleteId}/bench")
class BenchUnitController {
    private final Pages pages;
    private final BenchService bench;
    private final DeviceService devices;

    BenchUnitController(Pages pages, BenchService bench, DeviceService devices) {
        this.pages = pages;
        this.bench = bench;
        this.devices = devices;
    }

    public record WorkoutLine(
            long sessionId, LocalDate day, boolean isToday, String name, List<Screen.StepLine> steps, String problem) {
        public String when() {
            if (isToday) return "today";
            return day == null ? "" : new Shown().day(day);
        }
    }

    @GetMapping
    String device(Visit visit, Model model) {
        LocalDate today = pages.open(model, visit, "bench").today();
        BenchService.Device device = bench.device(visit);
        model.addAttribute(
                "workouts",
                device.workouts().stream()
                        .sorted(java.util.Comparator.comparing(w -> w.day() == null ? LocalDate.MAX : w.day()))
                        .map(w -> new WorkoutLine(
                                w.sessionId(),
                                w.day(),
                                w.day() != null && !w.day().isAfter(today),
                                w.name(),
                                w.steps().stream()
                                        .map(s -> Screen.line(s, w.sport()))
                                        .toList(),
                                w.problem()))
                        .toList());
        model.addAttribute("outdated", device.outdated());
        model.addAttribute("synced", device.isSynced());
        model.addAttribute("devices", devices.of(visit));
        return "bench/device";
    }

    @PostMapping("/sync")
    String sync(Visit visit, RedirectAttributes flash) {
        int files = bench.sync(visit);
        flash.addFlashAttribute("said", "Synced: " + files + " files are on the device.");
        return "redirect:/a/" + visit.athleteId() + "/bench";
    }

    @PostMapping("/devices")
    String add(Visit visit, @RequestParam String name, RedirectAttributes flash) {
        try {
            flash.addFlashAttribute("newToken", devices.add(visit, name));
        } catch (IllegalArgumentException e) {
            flash.addFlashAttribute("said", e.getMessage());
        }
        return "redirect:/a/" + visit.athleteId() + "/bench";
    }

    @PostMapping("/devices/{id}/revoke")
    String revoke(Visit visit, @PathVariable long id, @RequestParam boolean revoked) {
        devices.revoke(visit, id, revoked);
        return "redirect:/a/" + visit.athleteId() + "/bench";
    }

    @PostMapping("/{sessionId}/start")
    String start(
            Visit visit,
            @PathVariable long sessionId,
            @RequestParam(defaultValue = "1") int speed,
            RedirectAttributes flash) {
        try {
            bench.start(visit, sessionId, speed);
        } catch (IllegalArgumentException e) {
            flash.addFlashAttribute("said", e.getMessage());
            return "redirect:/a/" + visit.athleteId() + "/bench";
        }
        return "redirect:/a/" + visit.athleteId() + "/bench/" + sessionId;
    }

    @GetMapping("/{sessionId}")
    String ride(Visit visit, @PathVariable long sessionId, Model model, RedirectAttributes flash) {
        pages.open(model, visit, "bench");
        if (bench.state(visit, sessionId).isEmpty()) {
            flash.addFlashAttribute("said", "The bench unit is not running this workout.");
            return "redirect:/a/" + visit.athleteId() + "/bench";
        }
        model.addAttribute("sessionId", sessionId);
        return "bench/ride";
    }

    @GetMapping("/{sessionId}/state")
    @ResponseBody
    ResponseEntity<Screen> state(Visit visit, @PathVariable long sessionId) {
        return bench.state(visit, sessionId)
                .map(s -> ResponseEntity.ok(Screen.of(s)))
                .orElseThrow(() -> new NotFoundException("bench unit"));
    }

    @PostMapping("/{sessionId}/key")
    @ResponseBody
    ResponseEntity<Object> key(Visit visit, @PathVariable long sessionId, @RequestParam String key) {
        return bench.key(visit, sessionId, key)
                .<ResponseEntity<Object>>map(s -> ResponseEntity.ok(Screen.of(s)))
                .orElseGet(() -> ResponseEntity.ok(Map.of("finished", true)));
    }
}
