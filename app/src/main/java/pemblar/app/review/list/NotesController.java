package pemblar.app.review.list;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.List;
import java.util.stream.Stream;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import pemblar.app.account.AccountService;
import pemblar.app.athlete.Pages;
import pemblar.app.frame.Visit;
import pemblar.app.frame.page.Typed;
import pemblar.app.note.About;
import pemblar.app.note.Note;
import pemblar.app.note.NoteFiles;
import pemblar.app.note.NoteService;

/** All that athlete and coaches write to each other, by thread; a day's or a block's alone when asked for. */
@Controller
@RequestMapping("/a/{athleteId}/notes")
public class NotesController {
    private final Pages pages;
    private final NoteService notes;
    private final AccountService accounts;

    NotesController(Pages pages, NoteService notes, AccountService accounts) {
        this.accounts = accounts;
        this.pages = pages;
        this.notes = notes;
    }

    /** What was new is shown as new this once, and counts as read from now on. */
    @GetMapping
    String all(
            Visit visit,
            @RequestParam(defaultValue = "") String about,
            @RequestParam(defaultValue = "") String day,
            Model model) {
        LocalDate on = Typed.dayOrNull(day);
        About asked = on != null && (about.equals("DAY") || about.equals("BLOCK")) ? About.of(about, on) : null;
        List<NoteService.Thread> threads = notes.threads(visit, asked);
        notes.read(
                visit.viewer(),
                visit.athleteId(),
                threads.stream()
                        .flatMap(t -> Stream.concat(Stream.of(t.first()), t.answers().stream()))
                        .filter(Note::unread)
                        .map(Note::id)
                        .toList());
        pages.open(model, visit, "notes", new Pages.Days(on, on));
        model.addAttribute("threads", threads);
        model.addAttribute("asked", asked);
        model.addAttribute("dailyMail", accounts.wantsDailyMail(visit.viewer()));
        return "review/threads";
    }

    record WriteForm(
            @RequestParam(defaultValue = "ATHLETE") String about,
            @RequestParam(defaultValue = "") String day,
            @RequestParam(defaultValue = "") String body,
            @RequestParam(required = false) MultipartFile file) {}

    @PostMapping
    String write(Visit visit, WriteForm form, RedirectAttributes flash) {
        LocalDate on = Typed.dayOrNull(form.day());
        String back = on == null || form.about().equals("ATHLETE") ? "" : "?about=" + form.about() + "&day=" + on;
        return said(
                visit.athleteId(),
                back,
                flash,
                form.body(),
                () -> notes.write(visit, About.of(form.about(), on), form.body(), given(form.file())));
    }

    /** What a form brought beside a note; null for nothing. @throws IllegalArgumentException as {@link NoteFiles} */
    public static NoteFiles.Given given(MultipartFile file) {
        if (file == null || file.isEmpty()) return null;
        try {
            String name = file.getOriginalFilename() == null ? "" : file.getOriginalFilename();
            return NoteFiles.Given.of(name, file.getBytes());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Pictures open in the page's place, without any right to run or load a thing; all else is kept. */
    @GetMapping("/{noteId}/files/{fileId}")
    ResponseEntity<byte[]> file(Visit visit, @PathVariable long noteId, @PathVariable long fileId) {
        NoteFiles.Given file = notes.file(visit, noteId, fileId);
        ContentDisposition.Builder how =
                file.type().startsWith("image/") ? ContentDisposition.inline() : ContentDisposition.attachment();
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType(file.type()))
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        how.filename(file.name(), StandardCharsets.UTF_8)
                                .build()
                                .toString())
                .header("Content-Security-Policy", "sandbox; default-src 'none'")
                .body(file.bytes());
    }

    /** Of the person who asks, whoever the athlete is. */
    @PostMapping("/mail")
    String mail(Visit visit, @RequestParam(defaultValue = "false") boolean wanted) {
        pages.athlete(visit);
        accounts.setDailyMail(visit.viewer(), wanted);
        return "redirect:/a/" + visit.athleteId() + "/notes";
    }

    @PostMapping("/{noteId}/answer")
    String answer(
            Visit visit,
            @PathVariable long noteId,
            @RequestParam(defaultValue = "") String body,
            RedirectAttributes flash) {
        return said(visit.athleteId(), "#note-" + noteId, flash, body, () -> notes.answer(visit, noteId, body));
    }

    @PostMapping("/{noteId}/edit")
    String edit(
            Visit visit,
            @PathVariable long noteId,
            @RequestParam(defaultValue = "") String body,
            RedirectAttributes flash) {
        return said(visit.athleteId(), "#note-" + noteId, flash, body, () -> notes.edit(visit, noteId, body));
    }

    @PostMapping("/{noteId}/take-away")
    String takeAway(Visit visit, @PathVariable long noteId) {
        notes.takeAway(visit, noteId);
        return "redirect:/a/" + visit.athleteId() + "/notes";
    }

    /** What was typed is kept when it is refused. */
    private static String said(long athleteId, String back, RedirectAttributes flash, String body, Runnable change) {
        try {
            change.run();
        } catch (IllegalArgumentException e) {
            flash.addFlashAttribute("said", e.getMessage());
            flash.addFlashAttribute("typed", body);
        }
        return "redirect:/a/" + athleteId + "/notes" + back;
    }
}
