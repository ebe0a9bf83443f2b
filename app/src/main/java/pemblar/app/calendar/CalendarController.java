package pemblar.app.calendar;

import java.nio.charset.StandardCharsets;
import org.springframework.http.CacheControl;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;
import pemblar.app.athlete.Pages;
import pemblar.app.frame.NotFoundException;
import pemblar.app.frame.Visit;

/** The calendar feed and files. The feed's address is its own key: calendar programs cannot sign in. */
@Controller
class CalendarController {
    private static final MediaType CALENDAR = new MediaType("text", "calendar", StandardCharsets.UTF_8);
    private static final MediaType CSV = new MediaType("text", "csv", StandardCharsets.UTF_8);
    private final Pages pages;
    private final CalendarService calendar;

    CalendarController(Pages pages, CalendarService calendar) {
        this.pages = pages;
        this.calendar = calendar;
    }

    @GetMapping("/a/{athleteId}/season/calendar")
    String show(Visit visit, Model model) {
        Pages.Opened page = pages.open(model, visit, "season");
        model.addAttribute("since", calendar.since(page.athlete()).orElse(null));
        return "calendar/calendar";
    }

    @PostMapping("/a/{athleteId}/season/calendar/renew")
    String renew(Visit visit, RedirectAttributes answer) {
        String token = calendar.renew(visit);
        answer.addFlashAttribute(
                "address",
                ServletUriComponentsBuilder.fromCurrentContextPath()
                        .path("/calendar/" + token + ".ics")
                        .toUriString());
        return "redirect:/a/" + visit.athleteId() + "/season/calendar";
    }

    @PostMapping("/a/{athleteId}/season/calendar/close")
    String close(Visit visit) {
        calendar.close(visit);
        return "redirect:/a/" + visit.athleteId() + "/season/calendar";
    }

    @GetMapping("/a/{athleteId}/season/plan.ics")
    ResponseEntity<byte[]> file(Visit visit) {
        return ResponseEntity.ok()
                .contentType(CALENDAR)
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename("plan.ics")
                                .build()
                                .toString())
                .body(calendar.calendar(pages.athlete(visit)));
    }

    @GetMapping("/a/{athleteId}/season/season.csv")
    ResponseEntity<String> season(Visit visit) {
        return ResponseEntity.ok()
                .contentType(CSV)
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename("season.csv")
                                .build()
                                .toString())
                .body(calendar.season(pages.athlete(visit)));
    }

    @GetMapping("/calendar/{token}.ics")
    ResponseEntity<byte[]> feed(@PathVariable String token) {
        byte[] bytes = calendar.feed(token).orElseThrow(() -> new NotFoundException("calendar"));
        return ResponseEntity.ok()
                .contentType(CALENDAR)
                .cacheControl(CacheControl.noStore())
                .body(bytes);
    }
}
