package pemblar.app.planner.season;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.Pages;
import pemblar.app.frame.NotFoundException;
import pemblar.app.frame.Visit;
import pemblar.app.frame.asked.Sent;
import pemblar.app.frame.page.OneLook;
import pemblar.app.frame.page.Shown;
import pemblar.app.frame.page.Typed;
import pemblar.app.frame.page.Units;
import pemblar.app.load.DayLoad;
import pemblar.app.load.TrendService;
import pemblar.app.load.TrendService.Trend;
import pemblar.app.planner.Likely;
import pemblar.app.planner.SeasonChanges;
import pemblar.app.planner.SeasonChanges.Asking;
import pemblar.app.planner.SeasonChanges.BlockChange;
import pemblar.app.planner.SeasonPlanner;
import pemblar.app.planner.SeasonRemarks;
import pemblar.app.planner.aim.AimWords;
import pemblar.app.planner.aim.PlannedNow;
import pemblar.app.season.Held;
import pemblar.app.season.PlanAhead;
import pemblar.app.season.PlanService;
import pemblar.app.season.SeasonChangedMeanwhile;
import pemblar.app.season.SeasonEvent;
import pemblar.app.season.SeasonSettings;
import pemblar.app.season.SeasonSettings.Away;
import pemblar.app.undo.UndoService;
import pemblar.core.load.LoadTrend;
import pemblar.core.season.Aim;
import pemblar.core.season.Block;
import pemblar.core.season.Priority;
import pemblar.core.season.Season.Outcome;
import pemblar.core.sport.Sport;

/** The season page: the ribbon opened up. Every change answers with the page as it then is. */
@Controller
@RequestMapping("/a/{athleteId}/season")
class SeasonController {
    private static final int DAYS_BACK = 42;
    private static final int MOST_DAYS = 800;
    /** Points of chronic load from which on the present plan is told apart from what could be planned. */
    private final Pages pages;

    private final PlanService plan;
    private final SeasonPlanner planner;
    private final SeasonChanges changes;
    private final UndoService undo;
    private final Likely likely;
    private final TrendService trends;

    SeasonController(
            Pages pages,
            PlanService plan,
            SeasonPlanner planner,
            SeasonChanges changes,
            UndoService undo,
            Likely likely,
            TrendService trends) {
        this.trends = trends;
        this.likely = likely;
        this.pages = pages;
        this.plan = plan;
        this.planner = planner;
        this.changes = changes;
        this.undo = undo;
    }

    @OneLook
    @GetMapping
    String season(
            Visit visit,
            @RequestParam(required = false) LocalDate from,
            @RequestParam(required = false) LocalDate to,
            Model model) {
        fill(visit, from, to, model);
        return "planner/season";
    }

    /** What can be done to a block besides its load and hours; fetched when its menu is opened. */
    @GetMapping("/menu")
    String menu(Visit visit, @RequestParam LocalDate first, Model model) {
        Athlete athlete = pages.athlete(visit);
        model.addAttribute("athlete", athlete);
        model.addAttribute(
                "block",
                plan.held(athlete).blocks().stream()
                        .filter(b -> b.first().equals(first))
                        .findFirst()
                        .orElseThrow(() -> new NotFoundException("block")));
        return "planner/menu :: menu";
    }

    record PreviewForm(
            @RequestParam SeasonChanges.Kind kind,
            @RequestParam LocalDate first,
            @RequestParam double value,
            @RequestParam(defaultValue = "false") boolean replan,
            @RequestParam(required = false) LocalDate from,
            @RequestParam(required = false) LocalDate to) {}

    /** The drawing as it would be, for a drag; nothing is saved. */
    @PostMapping("/preview")
    String preview(Visit visit, PreviewForm form, Model model) {
        Pages.Opened page = pages.open(model, visit, "season");
        try {
            Held held = changes.preview(
                    new Asking(visit, null, form.replan()), new BlockChange(form.kind(), form.first(), form.value()));
            draw(page, held, new Pages.Days(form.from(), form.to()), model);
        } catch (IllegalArgumentException e) {
            draw(page, plan.held(page.athlete()), new Pages.Days(form.from(), form.to()), model);
        }
        return "planner/season :: drawing";
    }

    record BlockForm(
            @RequestParam SeasonChanges.Kind kind,
            @RequestParam LocalDate first,
            @RequestParam(defaultValue = "0") String value,
            @RequestParam(required = false) LocalDate day,
            @RequestParam(required = false) Integer revision,
            @RequestParam(defaultValue = "false") boolean replan) {}

    @PostMapping("/block")
    String block(Sent sent, BlockForm form) {
        return changed(sent, () -> {
            double amount = form.day() != null
                    ? form.day().toEpochDay()
                    : Typed.number(
                            form.kind() == SeasonChanges.Kind.HOURS ? "Hours" : "Load", form.value(), 0, 100_000);
            changes.change(
                    new Asking(sent.visit(), form.revision(), form.replan()),
                    new BlockChange(form.kind(), form.first(), amount));
        });
    }

    record ShiftForm(
            @RequestParam LocalDate first,
            @RequestParam String by,
            @RequestParam(required = false) Integer revision) {}

    @PostMapping("/shift")
    String shift(Sent sent, ShiftForm form) {
        return changed(
                sent,
                () -> changes.shift(
                        new Asking(sent.visit(), form.revision(), false),
                        form.first(),
                        Typed.whole("Days", form.by(), -1000, 1000),
                        true));
    }

    @PostMapping("/settings")
    String settings(
            Sent sent, @RequestParam Map<String, String> typed, @RequestParam(required = false) Integer revision) {
        return changed(
                sent,
                () -> changes.settings(
                        new Asking(sent.visit(), revision, true), settings(typed, pages.athlete(sent.visit()))));
    }

    private SeasonSettings settings(Map<String, String> typed, pemblar.app.athlete.Athlete athlete) {
        SeasonSettings old = plan.held(athlete).settings();
        Aim.Kind kind = Typed.choice(
                "Aim",
                Aim.Kind.class,
                typed.getOrDefault("aimKind", old.aimKind().name()));
        String last = typed.getOrDefault("lastDay", "");
        boolean inDays = "days".equals(typed.get("easyUnit"));
        int easyEvery = Typed.whole("Easy block every", typed.get("easyEvery"), inDays ? 6 : 2, inDays ? 60 : 12);
        return new SeasonSettings(
                last.isBlank() ? null : Typed.day("Last day", last),
                kind,
                Typed.number("Aim", typed.get("aimValue"), 0.1, kind == Aim.Kind.WEEKLY_HOURS ? 168 : 9999),
                Typed.whole("Days of a block", typed.get("blockDays"), 3, 28),
                easyEvery,
                inDays,
                Typed.whole("Days of an easy block", typed.getOrDefault("easyDays", "7"), 3, 28),
                Typed.number("Highest build rate", typed.get("highestBuild"), 0.1, 30),
                Typed.number("Hours a week", typed.get("weeklyHours"), 0, 100),
                old.dayMinutes(),
                old.longDay(),
                old.stacked(),
                old.shares());
    }

    record EventFields(
            @RequestParam(defaultValue = "0") long id,
            @RequestParam String name,
            @RequestParam String day,
            @RequestParam Priority priority,
            @RequestParam(defaultValue = "RACE") SeasonEvent.Kind kind,
            @RequestParam(required = false) Sport sport,
            @RequestParam(defaultValue = "") String kilometres,
            @RequestParam(defaultValue = "") String time,
            @RequestParam(defaultValue = "1") String days,
            @RequestParam(required = false) Integer revision,
            @RequestParam(defaultValue = "false") boolean replan) {}

    @PostMapping("/event")
    String event(Sent sent, EventFields form) {
        return changed(sent, () -> {
            Sport of = form.sport() == null ? pages.athlete(sent.visit()).first() : form.sport();
            Double metres = form.kilometres().isBlank()
                    ? null
                    : (Double) Units.mine().metres("Distance", form.kilometres(), 100, 5_000_000);
            Integer seconds =
                    form.time().isBlank() ? null : (Integer) Typed.seconds("Expected time", form.time(), 10, 864_000);
            changes.event(
                    new Asking(sent.visit(), form.revision(), form.replan()),
                    new SeasonEvent(
                            form.id(),
                            Typed.day("Day", form.day()),
                            Typed.whole("Days it lasts", form.days(), 1, 28),
                            form.name().strip(),
                            form.priority(),
                            form.kind(),
                            of,
                            metres,
                            seconds,
                            List.of()));
        });
    }

    record RemoveEventForm(
            @RequestParam(required = false) Integer revision,
            @RequestParam(defaultValue = "false") boolean replan) {}

    @PostMapping("/event/{id}/remove")
    String removeEvent(Sent sent, @PathVariable long id, RemoveEventForm form) {
        return changed(sent, () -> changes.removeEvent(new Asking(sent.visit(), form.revision(), form.replan()), id));
    }

    record AwayFields(
            @RequestParam("awayFrom") String first,
            @RequestParam("awayTo") String last,
            @RequestParam String hours,
            @RequestParam String reason,
            @RequestParam(defaultValue = "OTHER") Away.Kind awayKind,
            @RequestParam(required = false) Sport only,
            @RequestParam(required = false) Integer revision,
            @RequestParam(defaultValue = "false") boolean replan) {}

    @PostMapping("/away")
    String away(Sent sent, AwayFields form) {
        return changed(
                sent,
                () -> changes.away(
                        new Asking(sent.visit(), form.revision(), form.replan()),
                        new Away(
                                Typed.day("From", form.first()),
                                Typed.day("To", form.last()),
                                Typed.number("Hours a week", form.hours(), 0, 100),
                                form.reason().strip(),
                                form.awayKind(),
                                form.only())));
    }

    record RemoveAwayForm(
            @RequestParam(required = false) Integer revision,
            @RequestParam(defaultValue = "false") boolean replan) {}

    @PostMapping("/away/{index}/remove")
    String removeAway(Sent sent, @PathVariable int index, RemoveAwayForm form) {
        return changed(sent, () -> changes.removeAway(new Asking(sent.visit(), form.revision(), form.replan()), index));
    }

    @PostMapping("/undo")
    String undo(Sent sent) {
        return changed(
                sent,
                () -> sent.model()
                        .addAttribute("said", undo.undo(sent.visit()).orElse("There is nothing to take back.")));
    }

    /**
     * What was typed is kept when it is refused; when somebody was quicker, both are shown and mine can still be done.
     */
    private String changed(Sent sent, Runnable change) {
        try {
            change.run();
        } catch (SeasonChangedMeanwhile e) {
            sent.model().addAttribute("conflict", e.getMessage());
            sent.model().addAttribute("again", sent.again("revision"));
            sent.model().addAttribute("againTo", sent.address());
        } catch (IllegalArgumentException e) {
            sent.model().addAttribute("problem", Sent.sentence(e.getMessage()));
            sent.model().addAttribute("typed", sent.again("revision"));
        }
        fill(sent.visit(), sent.from(), sent.to(), sent.model());
        return "planner/season :: season";
    }

    private void fill(Visit visit, LocalDate from, LocalDate to, Model model) {
        Pages.Days days = new Pages.Days(from, to);
        Pages.Opened page = pages.open(model, visit, "season", days);
        Held held = plan.held(page.athlete());
        draw(page, held, days, model);
        model.addAttribute("held", held);
        model.addAttribute("foreseen", likely.likely(page.athlete()));
        model.addAttribute("setUp", plan.isSetUp(page.athlete()));
        model.addAttribute("kinds", SeasonEvent.Kind.values());
        model.addAttribute("weekdays", Units.mine().weekdays());
        model.addAttribute("awayKinds", Away.Kind.values());
    }

    private void draw(Pages.Opened page, Held held, Pages.Days days, Model model) {
        LocalDate from = days.from();
        LocalDate to = days.to();
        Trend trend = changes.trend(page.athlete(), trends.of(page.athlete()), held);
        LocalDate first = from == null ? page.today().minusDays(DAYS_BACK) : from;
        LocalDate end = to == null || !to.isAfter(first) ? lastDay(held, page.today()) : to;
        if (end.isAfter(first.plusDays(MOST_DAYS))) end = first.plusDays(MOST_DAYS);
        model.addAttribute("drawing", SeasonDrawing.of(held, trend, first, end));
        model.addAttribute("shownFrom", from);
        model.addAttribute("shownTo", to);
        Outcome outcome = planner.outcome(page.athlete(), held, trend);
        List<Morning> mornings = mornings(held, trend);
        model.addAttribute("outcome", AimWords.sentence(outcome, held, page.today()));
        mornings.stream()
                .filter(m -> outcome.aim().kind() == Aim.Kind.CHRONIC_LOAD
                        && m.event().priority() == Priority.A)
                .reduce((one, later) -> later)
                .filter(m -> PlannedNow.differ(m.chronic(), outcome.reached()))
                .map(m -> plannedNow(page.athlete(), held, trend, m).sentence(outcome))
                .ifPresent(now -> model.addAttribute("now", now));
        model.addAttribute("mornings", mornings);
        model.addAttribute(
                "blocks",
                held.blocks().stream()
                        .filter(b -> !b.last().isBefore(page.today()))
                        .toList());
        model.addAttribute("lifted", lifted(held.blocks(), trend));
        model.addAttribute("remarks", SeasonRemarks.of(held, trend));
    }

    /** A morning as it stands, and as the blocks ask, whatever is on the board in those that can be planned anew. */
    private static PlannedNow plannedNow(Athlete athlete, Held held, Trend trend, Morning morning) {
        LocalDate first = SeasonPlanner.firstAnew(held, trend.today());
        List<DayLoad> before = trend.dayLoads().stream()
                .filter(d -> d.day().isBefore(first) || !d.day().isAfter(trend.today()))
                .toList();
        LoadTrend.Day day = TrendService.trend(athlete, trend.today(), before, PlanAhead.of(held))
                .on(morning.event().day());
        return new PlannedNow(
                morning.chronic(),
                day == null ? morning.chronic() : day.chronicBefore(),
                trend.dayLoads().stream()
                        .anyMatch(d -> d.day().isAfter(trend.today())
                                && !d.day().isBefore(first)
                                && d.day().isBefore(morning.event().day())));
    }

    /** Strength's share of what stands in each block, in words, by its first day; nothing for blocks without. */
    private static Map<LocalDate, String> lifted(List<Block> blocks, Trend trend) {
        Map<LocalDate, String> words = new HashMap<>();
        for (Block block : blocks) {
            List<DayLoad> days = trend.dayLoads(block.first(), block.last());
            long seconds =
                    days.stream().mapToLong(DayLoad::liftedPlannedSeconds).sum();
            double load = days.stream()
                    .mapToDouble(d -> d.liftedDone() + d.liftedOpen())
                    .sum();
            if (seconds > 0)
                words.put(
                        block.first(),
                        "of it strength " + new Shown().duration(seconds) + ", load " + Math.round(load));
        }
        return words;
    }

    /** Chronic load and balance on the morning of an event that is still ahead. */
    public record Morning(SeasonEvent event, double chronic, double balance) {}

    private static List<Morning> mornings(Held held, Trend trend) {
        List<Morning> mornings = new ArrayList<>();
        for (SeasonEvent event : held.events()) {
            LoadTrend.Day day = trend.on(event.day());
            if (day != null && !event.day().isBefore(trend.today()) && event.priority() != Priority.C)
                mornings.add(new Morning(event, day.chronicBefore(), day.balance()));
        }
        return mornings;
    }

    private static LocalDate lastDay(Held held, LocalDate today) {
        LocalDate byBlock = held.blocks().stream()
                .map(b -> b.last())
                .max(LocalDate::compareTo)
                .orElse(today);
        LocalDate byEvent = held.events().stream()
                .map(SeasonEvent::day)
                .max(LocalDate::compareTo)
                .orElse(today);
        LocalDate last = byBlock.isAfter(byEvent) ? byBlock : byEvent;
        return last.isBefore(today.plusDays(28)) ? today.plusDays(28) : last;
    }
}
