package pemblar.app.planner.demand;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.Pages;
import pemblar.app.frame.NotFoundException;
import pemblar.app.frame.Visit;
import pemblar.app.frame.page.OneLook;
import pemblar.app.frame.page.Shown;
import pemblar.app.frame.page.Typed;
import pemblar.app.planner.SeasonChanges;
import pemblar.app.planner.SeasonChanges.Asking;
import pemblar.app.season.EventPart;
import pemblar.app.season.PlanService;
import pemblar.app.season.SeasonEvent;
import pemblar.app.season.SeasonEvent.After;
import pemblar.app.season.SeasonEvent.EventDemand;
import pemblar.app.season.SeasonEvent.Unit;
import pemblar.app.session.change.ScheduleService;
import pemblar.app.session.reading.SessionService;
import pemblar.core.effort.AfterWork;
import pemblar.core.schedule.DemandCheck.Verdict;
import pemblar.core.sport.Measure;
import pemblar.core.sport.Sport;

/** What an event demands, against what the athlete has shown; typed, or taken from a stretch of a recording. */
@Controller
@RequestMapping("/a/{athleteId}/season/demands")
class DemandController {
    private static final int MOST = 20;
    private static final int LONGEST_SECONDS = 86_400;
    private static final int LONGEST_TIRED_SECONDS = 7200;
    private static final int JOULES = 1000;
    private static final int SECONDS = 3600;
    private final Pages pages;
    private final PlanService plan;
    private final SeasonChanges changes;
    private final DemandService demands;
    private final SessionService sessions;
    private final ScheduleService schedule;
    private final Shown shown;

    DemandController(
            Pages pages,
            PlanService plan,
            SeasonChanges changes,
            DemandService demands,
            SessionService sessions,
            ScheduleService schedule,
            Shown shown) {
        this.schedule = schedule;
        this.pages = pages;
        this.plan = plan;
        this.changes = changes;
        this.demands = demands;
        this.sessions = sessions;
        this.shown = shown;
    }

    /** One demand as it is shown; widths in percent of the largest value. */
    public record Line(
            int index,
            String duration,
            String state,
            String needed,
            String best,
            String fresh,
            String missing,
            String train,
            Verdict verdict,
            double neededAt,
            double bestWidth,
            double freshAt,
            String source) {}

    @OneLook
    @GetMapping("/{id}")
    String show(Visit visit, @PathVariable long id, Model model) {
        Pages.Opened page = pages.open(model, visit, "season");
        SeasonEvent event = plan.event(page.athlete(), id).orElseThrow(() -> new NotFoundException("event"));
        List<Line> lines = new ArrayList<>();
        for (DemandService.Answer answer : demands.answers(page.athlete(), event, page.today()))
            lines.add(line(lines.size(), answer, DemandService.sport(page.athlete(), event, answer.demand())));
        model.addAttribute("event", event);
        model.addAttribute("lines", lines);
        model.addAttribute("days", event.day().toEpochDay() - page.today().toEpochDay());
        model.addAttribute("afterWork", after(AfterWork.joules(), "after %d kJ", JOULES));
        model.addAttribute("afterTime", after(AfterWork.seconds(), "after %d h", SECONDS));
        List<Sport> sports = DemandService.sports(page.athlete(), event);
        List<Measured> measures = measures(sports);
        model.addAttribute("measures", measures);
        model.addAttribute("powered", sports.stream().anyMatch(s -> s.ownMeasure() != Measure.SPEED));
        model.addAttribute("running", sports.get(0).ownMeasure() == Measure.SPEED);
        model.addAttribute("partSports", Sport.TRAINED);
        model.addAttribute("nextSport", sports.get(0));
        model.addAttribute("nextStage", nextStage(event));
        model.addAttribute("revision", plan.held(page.athlete()).revision());
        return "planner/demands";
    }

    /** A unit of a sport that an effort can be typed in. */
    public record Measured(String value, String words) {}

    private static List<Measured> measures(List<Sport> sports) {
        List<Measured> all = new ArrayList<>();
        for (Sport sport : sports) {
            String of = sports.size() > 1 ? ", " + new Shown().word(sport) : "";
            if (sport.ownMeasure() == Measure.SPEED)
                all.add(new Measured("SPEED:" + sport, Shown.unit(sport).axisUnit() + of));
            else {
                all.add(new Measured("WATTS_PER_KG:" + sport, "W/kg" + of));
                all.add(new Measured("WATTS:" + sport, "W" + of));
            }
        }
        return all;
    }

    /** The day after the last that has a part. */
    private static int nextStage(SeasonEvent event) {
        int last = event.parts().stream().mapToInt(EventPart::stage).max().orElse(0);
        return Math.min(event.days(), last + 1);
    }

    /** What work or time a demand may come after, in words, by its amount. */
    private static Map<Integer, String> after(int[] amounts, String words, int unit) {
        Map<Integer, String> all = new LinkedHashMap<>();
        for (int amount : amounts) all.put(amount, String.format(Locale.ROOT, words, amount / unit));
        return all;
    }

    private Line line(int index, DemandService.Answer answer, Sport sport) {
        EventDemand d = answer.demand();
        double most = 1.08 * Math.max(d.amount(), Math.max(zero(answer.check().best()), zero(answer.fresh())));
        Verdict verdict = answer.check().verdict();
        String missing = verdict == Verdict.THERE
                ? "there"
                : verdict == Verdict.NOT_TRIED
                        ? "not tried all-out in the last half-year" + modelled(answer, sport)
                        : d.unit() == Unit.SPEED
                                ? seconds(Shown.unit(sport).paceMetres()
                                                * (1 / answer.check().best() - 1 / d.amount())) + " "
                                        + Shown.unit(sport).unit() + " missing"
                                : DemandWords.amount(
                                                d.unit(), sport, answer.check().missing()) + " missing, "
                                        + shown.percent(answer.check().missing() / d.amount());
        return new Line(
                index,
                shown.clock(d.seconds()),
                DemandWords.state(d),
                DemandWords.amount(d.unit(), sport, d.amount()),
                DemandWords.amount(d.unit(), sport, answer.check().best()),
                DemandWords.amount(d.unit(), sport, answer.fresh()),
                missing,
                answer.check().train() == null ? "" : shown.word(answer.check().train()),
                verdict,
                100 * d.amount() / most,
                100 * zero(answer.check().best()) / most,
                100 * zero(answer.fresh()) / most,
                d.source());
    }

    private String modelled(DemandService.Answer answer, Sport sport) {
        if (Double.isNaN(answer.modelled())) return "";
        return "; critical power and W′ give "
                + DemandWords.amount(answer.demand().unit(), sport, answer.modelled())
                + (answer.demand().after() == After.FRESH ? "" : " fresh");
    }

    record TestForm(
            @RequestParam int index,
            @RequestParam(defaultValue = "") String day) {}

    /** Puts the test of what was not tried on a day. */
    @PostMapping("/{id}/test")
    String test(Visit visit, @PathVariable long id, TestForm form, RedirectAttributes flash) {
        Athlete athlete = pages.athlete(visit);
        SeasonEvent event = plan.event(athlete, id).orElseThrow(() -> new NotFoundException("event"));
        try {
            LocalDate on = Typed.day("Day", form.day());
            ScheduleService.Chosen test = demands.test(athlete, event, form.index(), pages.today(athlete));
            schedule.scheduleAll(
                    visit,
                    List.of(new ScheduleService.Placed(on, null, test)),
                    "Put “" + test.title() + "” on the board.");
            flash.addFlashAttribute("good", "“" + test.title() + "” is on the board, on " + shown.day(on) + ".");
        } catch (IllegalArgumentException e) {
            flash.addFlashAttribute("problem", e.getMessage());
        }
        return "redirect:/a/" + visit.athleteId() + "/season/demands/" + id;
    }

    private static double zero(double value) {
        return Double.isNaN(value) ? 0 : value;
    }

    private static String seconds(double seconds) {
        return Math.round(seconds) + " s";
    }

    record AddForm(
            @RequestParam String length,
            @RequestParam("unit") String measure,
            @RequestParam String amount,
            @RequestParam(defaultValue = "0") String stage,
            @RequestParam(defaultValue = "FRESH") String after,
            @RequestParam(required = false) Integer revision) {}

    @PostMapping("/{id}")
    String add(Visit visit, @PathVariable long id, AddForm form, RedirectAttributes answer) {
        String back = "redirect:/a/" + visit.athleteId() + "/season/demands/" + id;
        try {
            SeasonEvent event = plan.event(pages.athlete(visit), id).orElseThrow(() -> new NotFoundException("event"));
            Unit unit = named(Unit.values(), "Effort in", form.measure().split(":")[0]);
            Sport sport = sport(pages.athlete(visit), event, form.measure());
            int longest = form.after().equals("FRESH") ? LONGEST_SECONDS : LONGEST_TIRED_SECONDS;
            int seconds = Typed.seconds("Duration", form.length(), 5, longest);
            double value = unit == Unit.SPEED
                    ? speed(sport, form.amount())
                    : Typed.number(
                            "Effort", form.amount(), unit == Unit.WATTS ? 30 : 0.5, unit == Unit.WATTS ? 3000 : 30);
            String[] state = form.after().split(":");
            add(
                    visit,
                    id,
                    form.revision(),
                    new EventDemand(
                            seconds,
                            unit,
                            value,
                            named(After.values(), "State", state[0]),
                            state.length > 1 ? Typed.number("After", state[1], 0, 1e8) : 0,
                            "",
                            Typed.whole("Stage", form.stage(), 0, event.days()),
                            event.sports().size() > 1 ? sport : null));
        } catch (pemblar.app.season.SeasonChangedMeanwhile | IllegalArgumentException e) {
            answer.addFlashAttribute("problem", e.getMessage());
            answer.addFlashAttribute("typedLength", form.length());
            answer.addFlashAttribute("typedAmount", form.amount());
        }
        return back;
    }

    /** @param measure the unit, and after a colon the sport where the form names one */
    private static Sport sport(Athlete athlete, SeasonEvent event, String measure) {
        String[] named = measure.split(":");
        return named.length > 1 ? named(Sport.values(), "Effort in", named[1]) : DemandService.sport(athlete, event);
    }

    private static <E extends Enum<E>> E named(E[] all, String field, String name) {
        return Arrays.stream(all)
                .filter(value -> value.name().equals(name))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException(field + ": choose one of the list."));
    }

    private static double speed(Sport sport, String pace) {
        return Shown.unit(sport).paceMetres()
                / Typed.seconds("Pace " + Shown.unit(sport).unit(), pace, 40, 1200);
    }

    private void add(Visit visit, long id, Integer revision, EventDemand demand) {
        SeasonEvent event = plan.event(pages.athlete(visit), id).orElseThrow(() -> new NotFoundException("event"));
        List<EventDemand> all = new ArrayList<>(event.demands());
        room(all);
        all.add(demand);
        changes.demands(new Asking(visit, revision, false), id, all);
    }

    /** @throws IllegalArgumentException when an event has as many demands as it can */
    static void room(List<EventDemand> demands) {
        if (demands.size() >= MOST)
            throw new IllegalArgumentException("At most " + MOST + " efforts fit; remove one first.");
    }

    record RemoveForm(
            @RequestParam int index,
            @RequestParam(required = false) Integer revision) {}

    @PostMapping("/{id}/remove")
    String remove(Visit visit, @PathVariable long id, RemoveForm form, RedirectAttributes answer) {
        SeasonEvent event = plan.event(pages.athlete(visit), id).orElseThrow(() -> new NotFoundException("event"));
        if (form.index() < 0 || form.index() >= event.demands().size()) throw new NotFoundException("demand");
        List<EventDemand> all = new ArrayList<>(event.demands());
        all.remove(form.index());
        try {
            changes.demands(new Asking(visit, form.revision(), false), id, all);
        } catch (pemblar.app.season.SeasonChangedMeanwhile e) {
            answer.addFlashAttribute("problem", e.getMessage());
        }
        return "redirect:/a/" + visit.athleteId() + "/season/demands/" + id;
    }
}
