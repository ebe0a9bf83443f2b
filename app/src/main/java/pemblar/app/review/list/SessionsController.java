package pemblar.app.review.list;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import org.springframework.web.util.UriComponentsBuilder;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.AthleteService;
import pemblar.app.athlete.Pages;
import pemblar.app.exchange.ImportService;
import pemblar.app.frame.Visit;
import pemblar.app.frame.WholeFiles;
import pemblar.app.frame.door.Limits;
import pemblar.app.frame.page.OneLook;
import pemblar.app.frame.page.Typed;
import pemblar.app.session.change.DeletionService;
import pemblar.app.session.done.DescriptionService;
import pemblar.app.session.done.DescriptionService.Words;
import pemblar.app.session.reading.DoubtService;
import pemblar.app.session.reading.DoubtService.Doubt;
import pemblar.app.session.reading.ExportService;
import pemblar.app.session.reading.SessionSearch;
import pemblar.app.session.reading.SessionSearch.By;
import pemblar.app.session.reading.SessionSearch.Wanted;
import pemblar.app.undo.UndoService;
import pemblar.core.sport.Sport;

/** The list of sessions: found, marked, exported and deleted, many at once; and uploads. */
@Controller
@RequestMapping("/a/{athleteId}/sessions")
class SessionsController {
    private static final int UPLOADS_SHOWN = 12;
    private static final int MOST_FILES = 50;
    private final Pages pages;
    private final SessionSearch search;
    private final DescriptionService descriptions;
    private final DeletionService deletion;
    private final ExportService exports;
    private final ImportService imports;
    private final AthleteService athletes;
    private final UndoService undo;
    private final Limits limits;
    private final DoubtService doubts;
    private final WholeFiles whole;

    SessionsController(
            Pages pages,
            SessionSearch search,
            DescriptionService descriptions,
            DeletionService deletion,
            ExportService exports,
            ImportService imports,
            AthleteService athletes,
            UndoService undo,
            Limits limits,
            DoubtService doubts,
            WholeFiles whole) {
        this.doubts = doubts;
        this.whole = whole;
        this.pages = pages;
        this.search = search;
        this.descriptions = descriptions;
        this.deletion = deletion;
        this.exports = exports;
        this.imports = imports;
        this.athletes = athletes;
        this.undo = undo;
        this.limits = limits;
    }

    @OneLook
    @GetMapping
    String list(Visit visit, @RequestParam Map<String, String> asked, Model model) {
        Pages.Opened page = pages.open(model, visit, "sessions");
        Wanted wanted = wanted(asked);
        SessionSearch.Page found = search.find(page.athlete(), wanted);
        Map<Long, Doubt> doubtful = doubts.of(
                page.athlete(),
                found.sessions().stream().map(f -> f.slab().id()).toList());
        model.addAttribute("found", new FoundRows(visit.athleteId(), page.today(), found.sessions(), doubtful));
        model.addAttribute("doubtful", doubtful);
        model.addAttribute("more", found.more());
        model.addAttribute("onPage", SessionSearch.ON_PAGE);
        model.addAttribute("wanted", wanted);
        model.addAttribute("asked", asked);
        model.addAttribute("words", descriptions.known(page.athlete(), null, page.today()));
        model.addAttribute("columns", columns(visit.athleteId(), asked, wanted));
        model.addAttribute("here", address(visit.athleteId(), asked, Map.of()));
        model.addAttribute(
                "nextPage", address(visit.athleteId(), asked, Map.of("page", String.valueOf(wanted.page() + 1))));
        model.addAttribute(
                "previousPage", address(visit.athleteId(), asked, Map.of("page", String.valueOf(wanted.page() - 1))));
        uploads(page.athlete(), model);
        return "review/sessions";
    }

    /** A heading that sorts. @param state ascending, descending or none, as assistive technology says it */
    public record Column(String name, String address, String state, boolean number) {
        private static final Map<String, String> ARROWS = Map.of("ascending", " ↑", "descending", " ↓");

        /** Its name, with the way it is sorted. */
        public String label() {
            return name + ARROWS.getOrDefault(state, "");
        }
    }

    private static List<Column> columns(long athleteId, Map<String, String> asked, Wanted wanted) {
        Map<By, String> names = new LinkedHashMap<>();
        names.put(By.DAY, "Day");
        names.put(By.TITLE, "Session");
        names.put(By.TIME, "Time");
        names.put(By.DISTANCE, "Distance");
        names.put(By.EQUIVALENT, "Equivalent, pace");
        names.put(By.HEART_RATE, "Heart rate, bpm");
        names.put(By.INTENSITY, "Of threshold");
        names.put(By.LOAD, "Load, points");
        return names.entrySet().stream()
                .map(e -> {
                    boolean now = wanted.by() == e.getKey();
                    boolean rise = now ? !wanted.rising() : e.getKey() == By.TITLE;
                    return new Column(
                            e.getValue(),
                            address(
                                    athleteId,
                                    asked,
                                    Map.of("by", e.getKey().name(), "rising", String.valueOf(rise), "page", "0")),
                            !now ? "none" : wanted.rising() ? "ascending" : "descending",
                            e.getKey() != By.DAY && e.getKey() != By.TITLE);
                })
                .toList();
    }

    private static String address(long athleteId, Map<String, String> asked, Map<String, String> other) {
        UriComponentsBuilder address = UriComponentsBuilder.fromPath("/a/" + athleteId + "/sessions");
        Map<String, String> all = new LinkedHashMap<>(asked);
        all.putAll(other);
        all.forEach((name, value) -> {
            if (!value.isBlank() && !name.equals("_csrf")) address.queryParam(name, "{" + name + "}");
        });
        return address.encode().buildAndExpand(all).toUriString();
    }

    /** What cannot be read asks for nothing. */
    private static Wanted wanted(Map<String, String> asked) {
        return new Wanted(
                text(asked, "text"),
                Arrays.stream(Sport.values())
                        .filter(s -> s.name().equals(asked.get("sport")))
                        .findFirst()
                        .orElse(null),
                text(asked, "kind"),
                text(asked, "equipment"),
                text(asked, "surface"),
                text(asked, "weather"),
                text(asked, "tag"),
                day(asked.get("from")),
                day(asked.get("to")),
                number(asked.get("minutes")),
                number(asked.get("load")),
                text(asked, "with"),
                Arrays.stream(By.values())
                        .filter(b -> b.name().equals(asked.get("by")))
                        .findFirst()
                        .orElse(By.DAY),
                "true".equals(asked.get("rising")),
                number(asked.get("page")) == null
                        ? 0
                        : number(asked.get("page")).intValue());
    }

    private static String text(Map<String, String> asked, String name) {
        String text = asked.getOrDefault(name, "");
        return text.length() > 100 ? text.substring(0, 100) : text;
    }

    private static LocalDate day(String typed) {
        return typed == null ? null : Typed.dayOrNull(typed);
    }

    /** A query as our own pages make it: nothing that could be a template or another header. */
    private static final java.util.regex.Pattern HERE = java.util.regex.Pattern.compile("[\\w.,~%&=+-]{0,2000}");

    private static Double number(String typed) {
        return typed == null || !typed.matches("\\d{1,6}([.,]\\d{1,3})?")
                ? null
                : Double.valueOf(typed.replace(',', '.'));
    }

    @PostMapping("/mark")
    String mark(
            Visit visit,
            @RequestParam(required = false) List<Long> chosen,
            @RequestParam Map<String, String> typed,
            RedirectAttributes flash) {
        return changed(visit.athleteId(), typed.get("here"), flash, () -> {
            int count = descriptions.describeAll(
                    visit,
                    chosen,
                    new Words(
                            given(typed, "kind"),
                            given(typed, "equipment"),
                            given(typed, "surface"),
                            given(typed, "weather"),
                            given(typed, "tags")));
            return count + (count == 1 ? " session was marked." : " sessions were marked.");
        });
    }

    private static String given(Map<String, String> typed, String name) {
        String text = typed.get(name);
        return text == null || text.isBlank() ? null : text;
    }

    @PostMapping("/delete")
    String delete(
            Visit visit,
            @RequestParam(required = false) List<Long> chosen,
            @RequestParam(required = false) String here,
            RedirectAttributes flash) {
        return changed(visit.athleteId(), here, flash, () -> {
            int count = deletion.delete(visit, chosen);
            return count
                    + (count == 1
                            ? " session was deleted. It can be brought back for a day."
                            : " sessions were deleted. They can be brought back for a day.");
        });
    }

    @PostMapping("/undo")
    String undo(Visit visit, @RequestParam(required = false) String here, RedirectAttributes flash) {
        return changed(visit.athleteId(), here, flash, () -> undo.undo(visit).orElse("There is nothing to take back."));
    }

    private static String changed(
            long athleteId, String here, RedirectAttributes flash, java.util.function.Supplier<String> change) {
        try {
            flash.addFlashAttribute("good", change.get());
        } catch (IllegalArgumentException e) {
            flash.addFlashAttribute("said", e.getMessage());
        }
        String list = "/a/" + athleteId + "/sessions";
        return "redirect:"
                + (here != null
                                && (here.equals(list)
                                        || here.startsWith(list + "?")
                                                && HERE.matcher(here.substring(list.length() + 1))
                                                        .matches())
                        ? here
                        : list);
    }

    /** One file as it is, several as an archive. */
    @PostMapping("/export")
    void export(
            Visit visit,
            @RequestParam(required = false) List<Long> chosen,
            @RequestParam ExportService.As as,
            HttpServletResponse response)
            throws IOException {
        List<ExportService.Item> items;
        try {
            items = exports.items(visit, chosen);
            if (items.size() == 1 && as == ExportService.As.GPX && !exports.hasPositions(items.get(0)))
                throw new IllegalArgumentException(
                        "This recording has no positions, so there is no GPX file of it. Export CSV or JSON.");
        } catch (IllegalArgumentException e) {
            response.setStatus(HttpServletResponse.SC_BAD_REQUEST);
            response.setContentType("text/plain;charset=UTF-8");
            response.getWriter().write(e.getMessage());
            return;
        }
        boolean one = items.size() == 1;
        String name = one ? ExportService.fileName(items.get(0), as, false) : "sessions.zip";
        response.setContentType(
                one
                        ? switch (as) {
                            case CSV -> "text/csv;charset=UTF-8";
                            case GPX -> "application/gpx+xml";
                            case JSON -> "application/json";
                            case ORIGINAL -> "application/octet-stream";
                        }
                        : "application/zip");
        response.setHeader(
                HttpHeaders.CONTENT_DISPOSITION,
                ContentDisposition.attachment()
                        .filename(name, StandardCharsets.UTF_8)
                        .build()
                        .toString());
        if (one) exports.write(items.get(0), as, response.getOutputStream());
        else exports.zip(items, as, response.getOutputStream());
    }

    @PostMapping("/upload")
    String upload(Visit visit, @RequestParam("files") List<MultipartFile> files, Model model) throws IOException {
        Athlete athlete = athletes.require(visit);
        List<MultipartFile> chosen = files.stream()
                .filter(f -> f.getOriginalFilename() != null
                        && !f.getOriginalFilename().isBlank())
                .toList();
        if (chosen.isEmpty()) model.addAttribute("refused", "Choose one or more FIT or GPX files first.");
        else if (chosen.size() > MOST_FILES)
            model.addAttribute(
                    "refused",
                    "At most " + MOST_FILES + " files at once; " + chosen.size()
                            + " were chosen. Upload them in parts.");
        else if (!limits.allowUpload(visit.viewer().accountId()))
            model.addAttribute("refused", "That was a lot of uploads in a minute. Wait a minute and send these again.");
        else for (MultipartFile file : chosen) whole.with(() -> take(visit, file));
        uploads(athlete, model);
        return "review/sessions :: uploads";
    }

    private Long take(Visit visit, MultipartFile file) {
        try {
            return imports.upload(visit, file.getOriginalFilename(), file.getBytes());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @GetMapping("/uploads")
    String uploads(Visit visit, Model model) {
        uploads(athletes.require(visit), model);
        return "review/sessions :: uploads";
    }

    private void uploads(Athlete athlete, Model model) {
        List<ImportService.Progress> latest = imports.latest(athlete, UPLOADS_SHOWN);
        model.addAttribute("athlete", athlete);
        model.addAttribute("uploads", latest);
        model.addAttribute("waiting", latest.stream().anyMatch(p -> p.state().equals("WAITING")));
    }
}
