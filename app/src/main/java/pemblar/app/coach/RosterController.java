package pemblar.app.coach;

import java.util.ArrayList;
import java.util.List;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.AthleteService;
import pemblar.app.frame.Viewer;
import pemblar.app.session.TrendService;
import pemblar.core.load.LoadTrend;

/** Where a person begins: athletes at their own today, coaches at their roster. */
@Controller
class RosterController {
    private final AthleteService athletes;
    private final TrendService trends;

    RosterController(AthleteService athletes, TrendService trends) {
        this.athletes = athletes;
        this.trends = trends;
    }

    /** An athlete with where the load trend stands; null before the first session. */
    record Line(Athlete athlete, LoadTrend.Day now) {}

    @GetMapping("/")
    String start(@AuthenticationPrincipal(expression = "viewer") Viewer viewer) {
        return athletes.own(viewer).map(id -> "redirect:/a/" + id + "/today").orElse("redirect:/roster");
    }

    @GetMapping("/roster")
    String roster(@AuthenticationPrincipal(expression = "viewer") Viewer viewer, Model model) {
        List<Line> lines = new ArrayList<>();
        List<Athlete> roster = athletes.roster(viewer);
        List<TrendService.Trend> each = trends.of(roster);
        for (int i = 0; i < roster.size(); i++) lines.add(new Line(roster.get(i), each.get(i).on(each.get(i).today())));
        model.addAttribute("viewer", viewer);
        model.addAttribute("lines", lines);
        return "coach/roster";
    }
}
