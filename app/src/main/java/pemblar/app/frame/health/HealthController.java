package pemblar.app.frame.health;

import jakarta.servlet.http.HttpServletRequest;
import java.net.InetAddress;
import java.net.UnknownHostException;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;
import pemblar.app.frame.NotFoundException;

/** For whoever looks after it: whether it lives, whether it can work, and a few figures without anything personal. */
@RestController
class HealthController {
    private static final MediaType FIGURES = MediaType.parseMediaType("text/plain;version=0.0.4;charset=UTF-8");
    private final Health health;

    HealthController(Health health) {
        this.health = health;
    }

    /** The process answers; nothing else is asked. */
    @GetMapping(value = "/alive", produces = MediaType.TEXT_PLAIN_VALUE)
    String alive() {
        return "alive";
    }

    /** The database answers as well: only then should people be sent here. */
    @GetMapping(value = "/ready", produces = MediaType.TEXT_PLAIN_VALUE)
    ResponseEntity<String> ready() {
        return health.isReady()
                ? ResponseEntity.ok("ready")
                : ResponseEntity.status(HttpStatus.SERVICE_UNAVAILABLE).body("the database does not answer");
    }

    /** In the text form that Prometheus reads; for this machine alone. */
    @GetMapping("/metrics")
    ResponseEntity<String> metrics(HttpServletRequest request) {
        if (!isLocal(request)) throw new NotFoundException("metrics");
        return ResponseEntity.ok().contentType(FIGURES).body(health.figures());
    }

    /** Asked from this machine, and not passed on by a proxy on it. */
    private static boolean isLocal(HttpServletRequest request) {
        try {
            return request.getHeader("X-Forwarded-For") == null
                    && InetAddress.getByName(request.getRemoteAddr()).isLoopbackAddress();
        } catch (UnknownHostException e) {
            return false;
        }
    }
}
