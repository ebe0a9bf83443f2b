package pemblar.app.progress.range;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.Pages;
import pemblar.app.frame.Visit;
import pemblar.app.frame.page.OneLook;
import pemblar.app.frame.page.Shown;
import pemblar.app.progress.range.RangeReader.Asked;
import pemblar.app.season.PlanService;
import pemblar.app.threshold.ThresholdService;
import pemblar.core.range.DayRange;
import pemblar.core.range.RangeSummary;
import pemblar.core.range.RangeSummary.Item;
import pemblar.core.range.RangeSummary.Way;
import pemblar.core.sport.Sport;

/**
 * What a range of days was made of, with another beside it: zones, sports, plan against done, rest, and all of it by
 * week.
 */
@Controller
class RangeController {
    private static final double BAR = 180;
    private static final double MOST_OF_IT = 0.95;
    private final Pages pages;
    private final PlanService plan;
    private final RangeReader reader;
    private final ThresholdService thresholds;
    private final Shown shown;

    RangeController(Pages pages, PlanService plan, RangeReader reader, ThresholdService thresholds, Shown shown) {
        this.pages = pages;
        this.plan = plan;
        this.reader = reader;
        this.thresholds = thresholds;
        this.shown = shown;
    }

    /** A zone with its time in both ranges; bars in pixels. */
    public record ZoneLine(
            int zone,
            String name,
            double width,
            double otherWidth,
            String time,
            String share,
            String before,
            String change) {}

    public record SportLine(String sport, double width, double otherWidth, String words, String before) {}

    public record KeptLine(String purpose, double plannedWidth, double doneWidth, double overWidth, String words) {}

    @OneLook
    @GetMapping("/a/{athleteId}/progress/zones")
    String show(Visit visit, @RequestParam Map<String, String> typed, Model model) {
        Pages.Opened page = pages.open(model, visit, "progress");
        Asked asked = reader.asked(page, typed, model);
        RangeReader.Found found = reader.found(page, asked);
        List<Item> items = found.items();
        Way way = new Way(page.today(), asked.sport(), asked.measure());
        RangeSummary now = RangeSummary.of(items, new DayRange(asked.from(), asked.to()), way);
        RangeSummary other = RangeSummary.of(items, new DayRange(asked.otherFrom(), asked.otherTo()), way);
        List<String> names = names(page.athlete(), asked, page.today());
        model.addAttribute("now", now);
        model.addAttribute("other", other);
        model.addAttribute("span", asked.span());
        model.addAttribute("sport", asked.sport());
        model.addAttribute("measure", asked.measure());
        model.addAttribute("sentence", sentence(now, other, asked));
        model.addAttribute("zones", zones(now, other, names));
        model.addAttribute("sports", sports(now, other));
        model.addAttribute("kept", kept(now));
        model.addAttribute("weeks", RangeDrawing.of(found.weeks(), now, other));
        model.addAttribute(
                "weekCount",
                found.weeks().stream()
                        .filter(w -> !w.from().isAfter(page.today()))
                        .count());
        model.addAttribute("blocks", found.blocks().size());
        model.addAttribute(
                "away",
                new RangeTables(shown, page.today())
                        .away(plan.held(page.athlete()).allAway(), now, other));
        model.addAttribute("hard", hard(now, other));
        return "progress/zones";
    }

    /** Names of the zones that hold today; a set changed within the range is said by the number of zones alone. */
    private List<String> names(Athlete athlete, Asked asked, LocalDate today) {
        return thresholds
                .zonesOf(athlete)
                .on(today)
                .of(asked.measure(), asked.sport())
                .map(set -> set.names())
                .orElse(List.of());
    }

    private String sentence(RangeSummary now, RangeSummary other, Asked asked) {
        RangeSummary.Done done = now.bySport().getOrDefault(asked.sport(), new RangeSummary.Done(0, 0));
        RangeSummary.Done before = other.bySport().getOrDefault(asked.sport(), new RangeSummary.Done(0, 0));
        if (done.sessions() == 0 && before.sessions() == 0)
            return "Nothing of " + asked.sport().doing() + " was done in these days.";
        long more = done.seconds() - before.seconds();
        String change = Math.abs(more) < 60
                ? "as much as"
                : shown.duration(Math.abs(more)) + (more > 0 ? " more than" : " less than");
        String easy = now.allZoneSeconds() == 0
                ? ""
                : "; " + share(now.allZoneSeconds() - now.from(3), now.allZoneSeconds()) + known(now, done)
                        + " in zones 1 and 2";
        return shown.duration(done.seconds()) + " of " + asked.sport().doing() + " in " + now.days() + " days, "
                + change + " in the " + other.days() + " days from " + shown.day(other.from()) + easy + ".";
    }

    /** Of which time the share is, where zones are known of a part of it alone. */
    private String known(RangeSummary now, RangeSummary.Done done) {
        return now.allZoneSeconds() >= MOST_OF_IT * done.seconds()
                ? ""
                : " of the " + shown.duration(now.allZoneSeconds()) + " whose zones are known";
    }

    private static String share(long part, long whole) {
        return whole == 0 ? "–" : Math.round(100.0 * part / whole) + " %";
    }

    private List<ZoneLine> zones(RangeSummary now, RangeSummary other, List<String> names) {
        List<ZoneLine> lines = new ArrayList<>();
        int count = Math.max(now.zoneSeconds().size(), other.zoneSeconds().size());
        double most = 1;
        for (int z = 0; z < count; z++) most = Math.max(most, Math.max(at(now, z), at(other, z)));
        for (int z = 0; z < count; z++) {
            long change = at(now, z) - at(other, z);
            lines.add(new ZoneLine(
                    z + 1,
                    z < names.size() && names.size() == count ? names.get(z) : "zone " + (z + 1),
                    BAR * at(now, z) / most,
                    BAR * at(other, z) / most,
                    shown.duration(at(now, z)),
                    share(at(now, z), now.allZoneSeconds()),
                    share(at(other, z), other.allZoneSeconds()),
                    Math.abs(change) < 30 ? "same" : (change > 0 ? "+" : "−") + shown.duration(Math.abs(change))));
        }
        return lines;
    }

    private static long at(RangeSummary summary, int zone) {
        return zone < summary.zoneSeconds().size() ? summary.zoneSeconds().get(zone) : 0;
    }

    private String hard(RangeSummary now, RangeSummary other) {
        if (now.zoneSeconds().size() < 5) return "";
        long change = now.from(4) - other.from(4);
        String words = Math.abs(change) < 30
                ? "as much as before"
                : shown.duration(Math.abs(change)) + (change > 0 ? " more" : " less") + " than before";
        return "Threshold and above (4 to " + now.zoneSeconds().size() + "): " + shown.duration(now.from(4)) + ", "
                + words + ".";
    }

    private List<SportLine> sports(RangeSummary now, RangeSummary other) {
        List<Sport> all = new ArrayList<>(now.bySport().keySet());
        other.bySport().keySet().stream().filter(s -> !all.contains(s)).forEach(all::add);
        double most = 1;
        for (Sport s : all) most = Math.max(most, Math.max(seconds(now, s), seconds(other, s)));
        List<SportLine> lines = new ArrayList<>();
        for (Sport s : all)
            lines.add(new SportLine(
                    s.doing(),
                    300 * seconds(now, s) / most,
                    300 * seconds(other, s) / most,
                    words(now, s),
                    "before " + words(other, s)));
        return lines;
    }

    private static double seconds(RangeSummary summary, Sport sport) {
        return summary.bySport()
                .getOrDefault(sport, new RangeSummary.Done(0, 0))
                .seconds();
    }

    private String words(RangeSummary summary, Sport sport) {
        RangeSummary.Done done = summary.bySport().getOrDefault(sport, new RangeSummary.Done(0, 0));
        return done.sessions() == 0 ? "nothing" : shown.duration(done.seconds()) + " in " + done.sessions();
    }

    private List<KeptLine> kept(RangeSummary now) {
        double most = now.kept().values().stream()
                .mapToDouble(k -> Math.max(k.plannedSeconds(), k.doneSeconds()))
                .filter(seconds -> seconds > 0)
                .max()
                .orElse(1);
        List<KeptLine> lines = new ArrayList<>();
        now.kept().forEach((purpose, k) -> {
            double planned = 300 * k.plannedSeconds() / most;
            double done = 300 * k.doneSeconds() / most;
            lines.add(new KeptLine(
                    shown.word(purpose),
                    planned,
                    Math.min(planned, done),
                    Math.max(0, done - planned),
                    k.done() + " of " + k.planned() + " · " + shown.duration(k.doneSeconds()) + " of "
                            + shown.duration(k.plannedSeconds())));
        });
        return lines;
    }
}
