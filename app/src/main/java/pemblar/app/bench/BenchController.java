package pemblar.app.bench;

import java.nio.charset.StandardCharsets;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import pemblar.app.frame.Viewer;

@Controller
@RequestMapping("/a/{athleteId}/sessions/{id}")
class BenchController {
    private final BenchService bench;

    BenchController(BenchService bench) {
        this.bench = bench;
    }

    @GetMapping("/workout.fit")
    ResponseEntity<byte[]> workout(
            @PathVariable long athleteId,
            @PathVariable long id,
            @AuthenticationPrincipal(expression = "viewer") Viewer viewer) {
        return sent(bench.workoutFile(athleteId, viewer, id));
    }

    @GetMapping("/zones.fit")
    ResponseEntity<byte[]> zones(
            @PathVariable long athleteId,
            @PathVariable long id,
            @AuthenticationPrincipal(expression = "viewer") Viewer viewer) {
        return sent(bench.zonesFile(athleteId, viewer, id));
    }

    private static ResponseEntity<byte[]> sent(BenchService.WorkoutFile file) {
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_OCTET_STREAM)
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename(file.name(), StandardCharsets.UTF_8)
                                .build()
                                .toString())
                .body(file.bytes());
    }

    @PostMapping("/bench-unit")
    String perform(
            @PathVariable long athleteId,
            @PathVariable long id,
            @AuthenticationPrincipal(expression = "viewer") Viewer viewer,
            RedirectAttributes flash) {
        try {
            bench.perform(athleteId, viewer, id);
            flash.addFlashAttribute("benchRan", true);
        } catch (IllegalArgumentException e) {
            flash.addFlashAttribute("said", e.getMessage());
        }
        return "redirect:/a/" + athleteId + "/sessions/" + id;
    }
}
