package pemblar.app.planner.demand;

import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.Pages;
import pemblar.app.frame.NotFoundException;
import pemblar.app.frame.Viewer;
import pemblar.app.frame.Visit;
import pemblar.app.frame.page.OneLook;
import pemblar.app.frame.page.Shown;
import pemblar.app.planner.SeasonChanges;
import pemblar.app.planner.SeasonChanges.Asking;
import pemblar.app.season.PlanService;
import pemblar.app.season.SeasonChangedMeanwhile;
import pemblar.app.season.SeasonEvent;
import pemblar.app.season.SeasonEvent.EventDemand;

/** A stretch of a recording, one's own or somebody else's, as what an event demands. */
@Controller
@RequestMapping("/a/{athleteId}/season/demands/from")
class TakenDemandController {
    private final Pages pages;
    private final PlanService plan;
    private final SeasonChanges changes;
    private final TakenDemand taken;
    private final Shown shown;

    TakenDemandController(Pages pages, PlanService plan, SeasonChanges changes, TakenDemand taken, Shown shown) {
        this.pages = pages;
        this.plan = plan;
        this.changes = changes;
        this.taken = taken;
        this.shown = shown;
    }

    record ChooseForm(
            @RequestParam long session,
            @RequestParam int from,
            @RequestParam int to) {}

    /** Chooses the event that a selected stretch of a recording stands for. */
    @OneLook
    @GetMapping
    String choose(Visit visit, ChooseForm form, Model model) {
        Pages.Opened page = pages.open(model, visit, "season");
        Athlete whose = whose(page.athlete(), visit.viewer());
        model.addAttribute("whose", whose);
        model.addAttribute(
                "events",
                plan.held(whose).events().stream()
                        .filter(e -> !e.last().isBefore(page.today()))
                        .toList());
        taken.of(page.athlete(), whose, visit.viewer(), new TakenDemand.Stretch(form.session(), form.from(), form.to()))
                .ifPresent(d -> {
                    model.addAttribute("demand", d.demand());
                    model.addAttribute("source", d.demand().source());
                    model.addAttribute(
                            "demandWords",
                            shown.clock(d.demand().seconds()) + " at " + amount(d) + ", "
                                    + DemandWords.state(d.demand()));
                });
        model.addAttribute("stretchSession", form.session());
        model.addAttribute("stretchFrom", form.from());
        model.addAttribute("stretchTo", form.to());
        return "planner/demand-from";
    }

    private String amount(TakenDemand.Taken taken) {
        return DemandWords.amount(
                taken.demand().unit(), taken.sport(), taken.demand().amount());
    }

    /** Whom a demand is for: an other's recordings are kept for somebody. */
    private Athlete whose(Athlete athlete, Viewer viewer) {
        return athlete.keptBy() == null ? athlete : pages.athlete(new Visit(athlete.keptBy(), viewer));
    }

    record TakeForm(
            @RequestParam long session,
            @RequestParam int from,
            @RequestParam int to,
            @RequestParam long event,
            @RequestParam(defaultValue = "0") int stage) {}

    @PostMapping
    String take(Visit visit, TakeForm form, RedirectAttributes answer) {
        Athlete athlete = pages.athlete(visit);
        Athlete whose = whose(athlete, visit.viewer());
        TakenDemand.Taken found = taken.of(
                        athlete, whose, visit.viewer(), new TakenDemand.Stretch(form.session(), form.from(), form.to()))
                .orElseThrow(() -> new NotFoundException("stretch"));
        SeasonEvent of = plan.event(whose, form.event()).orElseThrow(() -> new NotFoundException("event"));
        try {
            List<EventDemand> all = new ArrayList<>(of.demands());
            DemandController.room(all);
            all.add(found.in(of, form.stage()));
            changes.demands(new Asking(new Visit(whose.id(), visit.viewer()), null, false), form.event(), all);
        } catch (IllegalArgumentException | SeasonChangedMeanwhile e) {
            answer.addFlashAttribute("problem", e.getMessage());
        }
        return "redirect:/a/" + whose.id() + "/season/demands/" + form.event();
    }
}
