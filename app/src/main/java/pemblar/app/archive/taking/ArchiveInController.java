package pemblar.app.archive.taking;

import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import pemblar.app.frame.Viewer;
import pemblar.app.frame.door.Limits;

/** Takes a person's archive from elsewhere, and shows how far it is. */
@Controller
class ArchiveInController {
    private static final int SHOWN = 20;
    private final ArchiveIn archives;
    private final Limits limits;

    ArchiveInController(ArchiveIn archives, Limits limits) {
        this.archives = archives;
        this.limits = limits;
    }

    /** @param words with their number in front */
    public record Taken(String count, String words) {}

    /** @param more how many were left out beyond those that are said */
    public record View(ArchiveStore.Status status, boolean waits, List<Taken> taken, List<String> leftOut, int more) {
        static View of(ArchiveStore.Status status) {
            List<String> said = status.leftOut().lines().limit(SHOWN).toList();
            return new View(
                    status,
                    status.isOnItsWay(),
                    status.taken()
                            .lines()
                            .filter(line -> !line.isBlank())
                            .map(line -> line.split("\t"))
                            .map(parts -> new Taken(parts[0], parts[1]))
                            .toList(),
                    said,
                    status.leftCount() - said.size());
        }
    }

    @GetMapping("/account/archive/in")
    String state(Viewer viewer, Model model) {
        model.addAttribute("archive", archives.latest(viewer).map(View::of).orElse(null));
        model.addAttribute("empty", archives.isEmpty(viewer));
        return "archive/in";
    }

    /** The body is the archive itself, so that it can be taken off the wire as it comes. */
    @PostMapping("/account/archive/in")
    ResponseEntity<String> bring(Viewer viewer, HttpServletRequest request) throws IOException {
        if (!limits.allowUpload(viewer.accountId()))
            return said(HttpStatus.TOO_MANY_REQUESTS, "Too many uploads. Wait a minute, then try again.");
        try {
            archives.receive(viewer, request.getInputStream());
            return said(HttpStatus.ACCEPTED, "The archive is here. It is being taken in.");
        } catch (IllegalArgumentException e) {
            return said(HttpStatus.UNPROCESSABLE_ENTITY, e.getMessage());
        }
    }

    private static ResponseEntity<String> said(HttpStatus status, String words) {
        return ResponseEntity.status(status).contentType(MediaType.TEXT_PLAIN).body(words);
    }
}
