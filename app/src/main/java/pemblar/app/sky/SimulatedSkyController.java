package pemblar.app.sky;

import java.time.Instant;
import java.time.format.DateTimeParseException;
import java.util.List;
import java.util.Map;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import pemblar.benchunit.SimulatedSky;

/** The weather service that ships: simulated, the same for everybody, with nobody's data in it. */
@RestController
class SimulatedSkyController {
    @GetMapping("/sky/hours")
    ResponseEntity<Object> hours(
            @RequestParam double latitude,
            @RequestParam double longitude,
            @RequestParam String from,
            @RequestParam String to) {
        try {
            List<SimulatedSky.Hour> hours =
                    new SimulatedSky(latitude, longitude).hours(Instant.parse(from), Instant.parse(to));
            return ResponseEntity.ok(Map.of("hours", hours));
        } catch (IllegalArgumentException | DateTimeParseException e) {
            return ResponseEntity.badRequest().body(Map.of("problem", String.valueOf(e.getMessage())));
        }
    }
}
