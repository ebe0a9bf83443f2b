package pemblar.app.bench;

import java.nio.charset.StandardCharsets;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import pemblar.app.frame.Visit;

@Controller
@RequestMapping("/a/{athleteId}/sessions/{id}")
class BenchController {
    private final BenchService bench;

    BenchController(BenchService bench) {
        this.bench = bench;
    }

    @GetMapping("/workout.fit")
    ResponseEntity<byte[]> workout(Visit visit, @PathVariable long id) {
        return sent(bench.workoutFile(visit, id));
    }

    @GetMapping("/zones.fit")
    ResponseEntity<byte[]> zones(Visit visit, @PathVariable long id) {
        return sent(bench.zonesFile(visit, id));
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
    String perform(Visit visit, @PathVariable long id, RedirectAttributes flash) {
        try {
            bench.perform(visit, id);
            flash.addFlashAttribute("benchRan", true);
        } catch (IllegalArgumentException e) {
            flash.addFlashAttribute("said", e.getMessage());
        }
        return "redirect:/a/" + visit.athleteId() + "/sessions/" + id;
    }
}
