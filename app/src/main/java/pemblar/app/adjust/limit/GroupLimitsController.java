package pemblar.app.adjust.limit;

import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import pemblar.app.frame.Viewer;
import pemblar.app.frame.page.Units;
import pemblar.app.season.SeasonSettings;

/** What proposals keep to for each of a group, and one set of limits for all or some of them. */
@Controller
@RequestMapping("/roster/groups/{id}/limits")
class GroupLimitsController {
    private final LimitService limits;

    GroupLimitsController(LimitService limits) {
        this.limits = limits;
    }

    @GetMapping
    String limits(@PathVariable long id, Viewer viewer, Model model) {
        LimitService.Members members = limits.members(id, viewer);
        model.addAttribute("viewer", viewer);
        model.addAttribute("group", members.group());
        model.addAttribute("members", members.members());
        model.addAttribute("usual", LimitStore.usual(SeasonSettings.USUAL));
        model.addAttribute("decides", Limits.Decides.values());
        model.addAttribute("degrees", Units.mine().temperatureUnit());
        return "adjust/group-limits";
    }

    @PostMapping
    String set(
            @PathVariable long id,
            @RequestParam Map<String, String> typed,
            @RequestParam(required = false) List<Long> athletes,
            Viewer viewer,
            RedirectAttributes flash) {
        LimitService.Members members = limits.members(id, viewer);
        try {
            LimitService.Outcome outcome =
                    limits.setMany(members, athletes == null ? List.of() : athletes, viewer, TypedLimits.ofMany(typed));
            flash.addFlashAttribute(
                    outcome.athletes() == 0 ? "said" : "good",
                    "Set for " + outcome.athletes() + (outcome.athletes() == 1 ? " athlete." : " athletes.")
                            + " Each one’s board and proposals can take it back for a day.");
            if (!outcome.refused().isEmpty()) flash.addFlashAttribute("refusals", outcome.refused());
        } catch (IllegalArgumentException e) {
            flash.addFlashAttribute("said", e.getMessage());
            flash.addFlashAttribute("typed", typed);
            flash.addFlashAttribute("ticked", athletes == null ? List.of() : athletes);
        }
        return "redirect:/roster/groups/" + id + "/limits";
    }
}
