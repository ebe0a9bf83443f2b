package pemblar.app.adjust.whatif;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import pemblar.app.adjust.AdjustService;
import pemblar.app.adjust.Shown;
import pemblar.app.adjust.page.ProposalView;
import pemblar.app.athlete.Pages;
import pemblar.app.frame.Visit;
import pemblar.app.frame.page.OneLook;
import pemblar.app.load.TrendService;
import pemblar.app.load.TrendService.Trend;
import pemblar.app.season.PlanService;
import pemblar.core.adjust.Effect;
import pemblar.core.adjust.WhatIf;

/** What would be if: a question to the plan, its two lines and figures, and others that were kept beside it. */
@Controller
@RequestMapping("/a/{athleteId}/what-if")
class WhatIfController {
    private final Pages pages;
    private final AdjustService adjusting;
    private final WhatIfStore store;
    private final PlanService plan;
    private final ThresholdAsked thresholds;
    private final TrendService trends;

    WhatIfController(
            Pages pages,
            AdjustService adjusting,
            WhatIfStore store,
            PlanService plan,
            ThresholdAsked thresholds,
            TrendService trends) {
        this.trends = trends;
        this.thresholds = thresholds;
        this.pages = pages;
        this.adjusting = adjusting;
        this.store = store;
        this.plan = plan;
    }

    /** One line of the table. @param id null for what is not kept @param address of a kept one as it was asked */
    public record Line(Long id, String name, String address, Effect effect, LocalDate until) {}

    @OneLook
    @GetMapping
    String show(Visit visit, @RequestParam Map<String, String> typed, Model model) {
        Pages.Opened page = pages.open(model, visit, "proposals");
        Trend trend = trends.of(page.athlete());
        AdjustService.Open open = adjusting.open(page.athlete(), trend);
        List<Line> lines = new ArrayList<>();
        for (WhatIfStore.Kept kept : store.kept(page.athlete(), page.today()))
            if (isStillAsked(kept.question(), open))
                lines.add(new Line(
                        kept.id(),
                        kept.name(),
                        kept.question().address(),
                        adjusting
                                .asked(open, kept.question().toCore(q -> thresholds.answer(q, page.athlete(), open)))
                                .effect(),
                        kept.until()));
        model.addAttribute("kept", lines);
        model.addAttribute("morning", open.morning());
        model.addAttribute(
                "comingEvents",
                plan.events(page.athlete()).stream()
                        .filter(e -> e.day().isAfter(page.today()))
                        .toList());
        model.addAttribute("thresholds", thresholds.known(page.athlete(), page.today()));
        model.addAttribute("aWeekOn", page.today().plusDays(7));
        model.addAttribute("twoWeeksOn", page.today().plusDays(13));
        model.addAttribute("farEnough", page.today().plusDays(41));
        try {
            Question question = Question.read(typed, page.today());
            model.addAttribute("question", question);
            if (question == null) return "adjust/what-if";
            if (!isStillAsked(question, open))
                throw new IllegalArgumentException("Event: there is none on that day; choose one below.");
            WhatIf asked = question.toCore(q -> thresholds.answer(q, page.athlete(), open));
            String morning = AdjustService.morning(open, asked);
            model.addAttribute("morning", morning);
            model.addAttribute("steps", thresholds.steps(question, page.athlete(), page.today()));
            Shown shown = adjusting.asked(open, asked, question.words());
            model.addAttribute("touched", shown.proposal().changes().size());
            model.addAttribute("view", ProposalView.of(open, shown, null, trend, morning));
        } catch (IllegalArgumentException e) {
            model.addAttribute("said", e.getMessage());
        }
        return "adjust/what-if";
    }

    /** An event that a kept question is about may be gone. */
    private static boolean isStillAsked(Question question, AdjustService.Open open) {
        return question.kind() != Question.Kind.EVENT
                || open.situation().events().stream()
                        .anyMatch(e -> e.event().day().equals(question.first()));
    }

    @PostMapping("/keep")
    String keep(Visit visit, @RequestParam Map<String, String> typed, RedirectAttributes flash) {
        LocalDate today = pages.today(pages.athlete(visit));
        try {
            Question question = Question.read(typed, today);
            if (question == null) throw new IllegalArgumentException("Question: ask one first.");
            store.keep(visit, typed.getOrDefault("name", ""), question);
            flash.addFlashAttribute("good", "Kept for ten days; ask another, and both stand side by side.");
            return "redirect:/a/" + visit.athleteId() + "/what-if?" + question.address();
        } catch (IllegalArgumentException e) {
            flash.addFlashAttribute("said", e.getMessage());
            return "redirect:/a/" + visit.athleteId() + "/what-if";
        }
    }

    @PostMapping("/drop")
    String drop(Visit visit, @RequestParam long id) {
        store.drop(visit, id);
        return "redirect:/a/" + visit.athleteId() + "/what-if";
    }
}
