package pemblar.app.checkin;

import java.io.IOException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.NavigableMap;
import java.util.Objects;
import java.util.Set;
import java.util.TreeMap;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.Pages;
import pemblar.app.frame.Visit;
import pemblar.app.frame.page.OneLook;
import pemblar.app.frame.page.Typed;
import pemblar.app.load.TrendService;
import pemblar.core.range.DayRange;

/** The check-in's form, its lanes over 90 days, and files of check-ins. */
@Controller
@RequestMapping("/a/{athleteId}")
class CheckinController {
    private static final int DAYS = 90;
    private static final int DAYS_BEFORE = 35;
    private static final long MOST_BYTES = 5_000_000;
    private final Pages pages;
    private final CheckinService checkins;
    private final DaysAway away;
    private final AskedStore asked;
    private final TrendService trends;

    CheckinController(Pages pages, CheckinService checkins, DaysAway away, AskedStore asked, TrendService trends) {
        this.trends = trends;
        this.asked = asked;
        this.pages = pages;
        this.checkins = checkins;
        this.away = away;
    }

    @OneLook
    @GetMapping("/checkins")
    String lanes(Visit visit, @RequestParam(required = false) LocalDate day, Model model) {
        Pages.Opened page = pages.open(model, visit, "checkins");
        LocalDate from = page.today().minusDays(DAYS - 1L);
        NavigableMap<LocalDate, Checkin> days =
                checkins.between(page.athlete(), from.minusDays(DAYS_BEFORE), page.today());
        Asked choice = asked.of(page.athlete());
        NavigableMap<LocalDate, Double> loads = new TreeMap<>();
        trends.of(page.athlete()).dayLoads(from, page.today()).forEach(d -> loads.put(d.day(), d.doneLoad()));
        model.addAttribute(
                "lanes",
                LanesDrawing.of(days, loads, spans(page.athlete(), days), new DayRange(from, page.today()))
                        .only(choice::asks));
        model.addAttribute("choice", choice);
        model.addAttribute("askable", Asked.Field.values());
        model.addAttribute("empty", days.isEmpty());
        LocalDate on = day == null || day.isAfter(page.today()) ? page.today() : day;
        model.addAttribute(
                "form",
                new CheckinForm(
                        on,
                        on.equals(page.today()),
                        checkins.between(page.athlete(), on, on).getOrDefault(on, Checkin.none(on)),
                        checkins.bands(days, on),
                        choice));
        return "checkin/lanes";
    }

    private List<DaysAway.Span> spans(Athlete athlete, NavigableMap<LocalDate, Checkin> days) {
        List<DaysAway.Span> spans = new ArrayList<>(away.spans(athlete));
        days.values().stream()
                .filter(c -> !c.illness().isEmpty())
                .forEach(c -> spans.add(new DaysAway.Span(c.day(), c.day(), "ill: " + c.illness())));
        days.values().stream()
                .filter(c -> !c.injury().isEmpty())
                .forEach(c -> spans.add(new DaysAway.Span(c.day(), c.day(), "hurt: " + c.injury())));
        return spans;
    }

    @PostMapping("/checkin")
    String keep(
            Visit visit, @RequestParam String day, @RequestParam Map<String, String> typed, RedirectAttributes flash) {
        String back = "redirect:/a/" + visit.athleteId() + ("lanes".equals(typed.get("here")) ? "/checkins" : "/today");
        try {
            checkins.keep(visit, CheckinService.Source.HAND, Typing.of(Typed.day("Day", day), typed));
            flash.addFlashAttribute("good", "Noted.");
        } catch (IllegalArgumentException e) {
            flash.addFlashAttribute("said", e.getMessage());
            flash.addFlashAttribute("typed", typed);
        }
        return back;
    }

    /** What is asked in the morning, and when to be reminded. */
    @PostMapping("/checkins/asked")
    String asked(
            Visit visit,
            @RequestParam(required = false) List<Asked.Field> field,
            @RequestParam(defaultValue = "") String remind,
            RedirectAttributes flash) {
        try {
            Set<Asked.Field> fields = EnumSet.noneOf(Asked.Field.class);
            if (field != null) field.stream().filter(Objects::nonNull).forEach(fields::add);
            Integer minute = Typed.minuteOrNull(remind.strip());
            if (minute == null && !remind.isBlank())
                throw new IllegalArgumentException("Reminder: enter a time of day, e.g. 06:30, or nothing.");
            asked.keep(visit, new Asked(fields, minute));
            flash.addFlashAttribute(
                    "good",
                    minute == null
                            ? "This is asked from now on; no reminder comes."
                            : "This is asked from now on; a mail reminds you when nothing was noted by then.");
        } catch (IllegalArgumentException e) {
            flash.addFlashAttribute("problems", List.of(e.getMessage()));
        }
        return "redirect:/a/" + visit.athleteId() + "/checkins";
    }

    @PostMapping("/checkins/file")
    String file(Visit visit, @RequestParam MultipartFile file, RedirectAttributes flash) throws IOException {
        String back = "redirect:/a/" + visit.athleteId() + "/checkins";
        if (file.getSize() > MOST_BYTES) {
            flash.addFlashAttribute("problems", List.of("file: at most 5 MB are read; import it in parts"));
            return back;
        }
        CheckinCsv.Reading reading = CheckinCsv.read(file.getBytes());
        try {
            if (reading.problems().isEmpty())
                flash.addFlashAttribute(
                        "good",
                        checkins.keepAll(visit, CheckinService.Source.FILE, reading.checkins())
                                + " mornings were read.");
            else flash.addFlashAttribute("problems", reading.problems());
        } catch (IllegalArgumentException e) {
            flash.addFlashAttribute("problems", List.of(e.getMessage()));
        }
        return back;
    }
}
