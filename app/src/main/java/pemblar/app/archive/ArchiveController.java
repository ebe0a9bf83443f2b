package pemblar.app.archive;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.InstantSource;
import java.time.LocalDate;
import java.time.ZoneOffset;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import pemblar.app.account.DoorService;
import pemblar.app.frame.Viewer;
import pemblar.app.frame.door.Limits;

/** Hands a person all of their data, against their password. */
@Controller
class ArchiveController {
    private final ArchiveService archive;
    private final DoorService door;
    private final Limits limits;
    private final InstantSource clock;

    ArchiveController(ArchiveService archive, DoorService door, Limits limits, InstantSource clock) {
        this.archive = archive;
        this.door = door;
        this.limits = limits;
        this.clock = clock;
    }

    @PostMapping("/account/archive")
    String archive(
            @RequestParam(defaultValue = "") String present,
            Viewer viewer,
            HttpServletRequest request,
            HttpServletResponse response,
            RedirectAttributes flash)
            throws IOException {
        try {
            limits.takePassword(viewer, request.getRemoteAddr());
            door.checkedAddress(viewer, present);
        } catch (IllegalArgumentException e) {
            flash.addFlashAttribute("said", e.getMessage());
            return "redirect:/account";
        }
        LocalDate day = LocalDate.ofInstant(clock.instant(), ZoneOffset.UTC);
        response.setContentType("application/zip");
        response.setHeader(
                HttpHeaders.CONTENT_DISPOSITION,
                ContentDisposition.attachment()
                        .filename("pemblar-" + day + ".zip")
                        .build()
                        .toString());
        archive.write(viewer, response.getOutputStream());
        return null;
    }
}
