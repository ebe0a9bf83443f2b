package pemblar.app.adjust.page;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import pemblar.app.adjust.AdjustService;
import pemblar.app.adjust.AdjustService.Open;
import pemblar.app.adjust.Shown;
import pemblar.app.adjust.Words;
import pemblar.app.adjust.limit.LimitService;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.AthleteService;
import pemblar.app.athlete.Pages;
import pemblar.app.frame.Visit;
import pemblar.app.frame.page.OneLook;
import pemblar.app.frame.page.Typed;
import pemblar.app.load.TrendService;
import pemblar.app.season.SeasonSettings.Away;
import pemblar.app.session.reading.DoubtService;
import pemblar.core.sport.Sport;

/** What the plan could answer: what is open, one proposal in detail, days away, and what became of earlier ones. */
@Controller
@RequestMapping("/a/{athleteId}/proposals")
class ProposalController {
    private final Pages pages;
    private final AdjustService adjusting;
    private final LimitService limits;
    private final AthleteService athletes;
    private final TrendService trends;
    private final DoubtService doubts;

    ProposalController(
            Pages pages,
            AdjustService adjusting,
            LimitService limits,
            AthleteService athletes,
            TrendService trends,
            DoubtService doubts) {
        this.doubts = doubts;
        this.athletes = athletes;
        this.trends = trends;
        this.pages = pages;
        this.adjusting = adjusting;
        this.limits = limits;
    }

    @OneLook
    @GetMapping
    String open(
            Visit visit,
            @RequestParam(defaultValue = "1") int number,
            @RequestParam(required = false) List<Integer> on,
            Model model) {
        Pages.Opened page = pages.open(model, visit, "proposals");
        TrendService.Trend trend = trends.of(page.athlete());
        Open open = adjusting.open(page.athlete(), trend);
        Shown chosen = open.proposals().stream()
                .filter(p -> p.number() == number)
                .findFirst()
                .orElse(open.proposals().isEmpty() ? null : open.proposals().get(0));
        model.addAttribute("open", open);
        model.addAttribute("chosen", chosen);
        if (chosen != null)
            model.addAttribute("view", ProposalView.of(open, chosen, on == null ? null : new HashSet<>(on), trend));
        model.addAttribute("doubtful", doubts.waiting(page.athlete(), trend));
        model.addAttribute("learning", adjusting.answered(page.athlete(), trend));
        model.addAttribute("coached", adjusting.hasCoach(visit));
        model.addAttribute("coaching", adjusting.isCoaching(visit));
        model.addAttribute("limits", limits.of(page.athlete()));
        model.addAttribute("kinds", Away.Kind.values());
        return "adjust/proposals";
    }

    /** A day that a proposal would touch, for its mark on the board. */
    record Mark(LocalDate day, int number, String title) {}

    @GetMapping("/days")
    String days(Visit visit, Model model) {
        Athlete athlete = athletes.require(visit);
        Open open = adjusting.open(athlete, trends.of(athlete));
        List<Mark> marks = new ArrayList<>();
        for (Shown p : open.proposals())
            for (LocalDate day : ChangedDay.touched(open, p.proposal().changes()))
                if (marks.stream().noneMatch(m -> m.day().equals(day))) marks.add(new Mark(day, p.number(), p.title()));
        model.addAttribute("athlete", athlete);
        model.addAttribute("marks", marks);
        return "adjust/touched";
    }

    record TakeForm(
            @RequestParam String fingerprint,
            @RequestParam(required = false) List<Integer> on,
            @RequestParam(defaultValue = "") String here) {}

    @PostMapping("/take")
    String take(Visit visit, TakeForm form, RedirectAttributes flash) {
        return said(visit.athleteId(), form.here(), flash, () -> {
            String taken =
                    adjusting.take(visit, form.fingerprint(), form.on() == null ? null : new HashSet<>(form.on()));
            flash.addFlashAttribute("canUndo", true);
            return taken;
        });
    }

    /** Takes what is switched on along to the board, where it can be changed; one undo takes it back. */
    @PostMapping("/board")
    String carry(
            Visit visit,
            @RequestParam String fingerprint,
            @RequestParam(required = false) List<Integer> on,
            RedirectAttributes flash) {
        try {
            AdjustService.Carried carried = adjusting.carry(visit, fingerprint, on == null ? null : new HashSet<>(on));
            flash.addFlashAttribute("carried", carried.sessions());
            flash.addFlashAttribute(
                    "carriedWords",
                    "Here is the plan with it: " + carried.title()
                            + ". What it moved or changed is outlined twice. Change what you like; "
                            + "Undo takes it all back.");
            return "redirect:/a/" + visit.athleteId() + "/board"
                    + (carried.first() == null ? "" : "?from=" + carried.first());
        } catch (IllegalArgumentException e) {
            flash.addFlashAttribute("said", e.getMessage());
            return "redirect:/a/" + visit.athleteId() + "/proposals";
        }
    }

    @PostMapping("/suggest")
    String suggest(
            Visit visit,
            @RequestParam String fingerprint,
            @RequestParam(defaultValue = "") String word,
            RedirectAttributes flash) {
        return said(visit.athleteId(), "", flash, () -> adjusting.suggest(visit, fingerprint, word));
    }

    @PostMapping("/undo")
    String undo(Visit visit, @RequestParam(defaultValue = "") String here, RedirectAttributes flash) {
        return said(visit.athleteId(), here, flash, () -> adjusting.undo(visit));
    }

    record LeaveForm(
            @RequestParam String fingerprint,
            @RequestParam(defaultValue = "") String reason,
            @RequestParam(defaultValue = "") String here) {}

    @PostMapping("/leave")
    String leave(Visit visit, LeaveForm form, RedirectAttributes flash) {
        return said(
                visit.athleteId(), form.here(), flash, () -> adjusting.leave(visit, form.fingerprint(), form.reason()));
    }

    @PostMapping("/ask")
    String ask(
            Visit visit,
            @RequestParam String fingerprint,
            @RequestParam(defaultValue = "") String word,
            RedirectAttributes flash) {
        return said(visit.athleteId(), "", flash, () -> adjusting.ask(visit, fingerprint, word));
    }

    record AwayForm(
            @RequestParam String first,
            @RequestParam String last,
            @RequestParam Away.Kind kind,
            @RequestParam(defaultValue = "0") String hours,
            @RequestParam(defaultValue = "") String reason,
            @RequestParam(required = false) Sport only) {}

    @PostMapping("/away")
    String away(Visit visit, AwayForm form, RedirectAttributes flash) {
        return said(visit.athleteId(), "", flash, () -> {
            LocalDate from = Typed.day("From", form.first());
            Away away = new Away(
                    from,
                    Typed.day("To", form.last()),
                    Typed.number("Hours a week", form.hours(), 0, 100),
                    form.reason().isBlank()
                            ? form.kind().name().toLowerCase(java.util.Locale.ROOT)
                            : form.reason().strip(),
                    form.kind(),
                    form.only());
            adjusting.away(visit, away);
            return "Away from " + Words.day(from) + " to " + Words.day(away.to())
                    + ". What falls into it is answered below.";
        });
    }

    private static String said(
            long athleteId, String here, RedirectAttributes flash, java.util.function.Supplier<String> change) {
        try {
            flash.addFlashAttribute("good", change.get());
        } catch (IllegalArgumentException e) {
            flash.addFlashAttribute("said", e.getMessage());
        }
        return switch (here) {
            case "today" -> "redirect:/a/" + athleteId + "/today";
            case "morning" -> "redirect:/roster";
            default -> "redirect:/a/" + athleteId + "/proposals";
        };
    }
}
