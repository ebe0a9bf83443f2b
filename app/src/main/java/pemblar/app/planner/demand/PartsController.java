package pemblar.app.planner.demand;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.UnaryOperator;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import pemblar.app.athlete.Pages;
import pemblar.app.frame.NotFoundException;
import pemblar.app.frame.Visit;
import pemblar.app.frame.page.Typed;
import pemblar.app.frame.page.Units;
import pemblar.app.planner.SeasonChanges;
import pemblar.app.planner.SeasonChanges.Asking;
import pemblar.app.season.EventPart;
import pemblar.app.season.PlanService;
import pemblar.app.season.SeasonChangedMeanwhile;
import pemblar.app.season.SeasonEvent;
import pemblar.core.sport.Sport;

/** What an event is made of: its stages, and the sports of a day one after another. */
@Controller
@RequestMapping("/a/{athleteId}/season/demands/{id}/parts")
class PartsController {
    private static final int MOST = 60;
    private static final int DAY_SECONDS = 86_400;
    private final Pages pages;
    private final PlanService plan;
    private final SeasonChanges changes;

    PartsController(Pages pages, PlanService plan, SeasonChanges changes) {
        this.pages = pages;
        this.plan = plan;
        this.changes = changes;
    }

    /** A part as it is typed; empty texts are not known. */
    public record Part(String stage, Sport sport, String kilometres, String time, String load)
            implements java.io.Serializable {
        EventPart read() {
            if (sport == null) throw new IllegalArgumentException("Sport: choose one of the list.");
            return new EventPart(
                    isBlank(stage) ? 1 : Typed.whole("Stage", stage, 1, 28),
                    sport,
                    isBlank(kilometres) ? null : (Double) Units.mine().metres("Distance", kilometres, 10, 5_000_000),
                    isBlank(time) ? null : (Integer) Typed.seconds("Expected time", time, 10, DAY_SECONDS),
                    isBlank(load) ? null : (Double) Typed.number("Load", load, 0, 5000));
        }

        private static boolean isBlank(String text) {
            return text == null || text.isBlank();
        }
    }

    @PostMapping
    String add(
            Visit visit,
            @PathVariable long id,
            Part part,
            @RequestParam(required = false) Integer revision,
            RedirectAttributes answer) {
        boolean done = changed(new Asking(visit, revision, false), id, answer, parts -> {
            if (parts.size() >= MOST)
                throw new IllegalArgumentException("Parts: an event has at most " + MOST + "; take one out first.");
            parts.add(part.read());
            parts.sort(Comparator.comparingInt(EventPart::stage));
            return parts;
        });
        if (!done) answer.addFlashAttribute("typedPart", part);
        return back(visit.athleteId(), id);
    }

    record RemoveForm(
            @RequestParam int place,
            @RequestParam(required = false) Integer revision) {}

    @PostMapping("/remove")
    String remove(Visit visit, @PathVariable long id, RemoveForm form, RedirectAttributes answer) {
        changed(new Asking(visit, form.revision(), false), id, answer, parts -> {
            if (form.place() < 0 || form.place() >= parts.size())
                throw new IllegalArgumentException("This part is no longer there.");
            parts.remove(form.place());
            return parts;
        });
        return back(visit.athleteId(), id);
    }

    private boolean changed(Asking asking, long id, RedirectAttributes answer, UnaryOperator<List<EventPart>> change) {
        SeasonEvent event =
                plan.event(pages.athlete(asking.visit()), id).orElseThrow(() -> new NotFoundException("event"));
        try {
            changes.parts(asking, id, change.apply(new ArrayList<>(event.parts())));
            return true;
        } catch (SeasonChangedMeanwhile | IllegalArgumentException e) {
            answer.addFlashAttribute("problem", e.getMessage());
            return false;
        }
    }

    private static String back(long athleteId, long id) {
        return "redirect:/a/" + athleteId + "/season/demands/" + id;
    }
}
