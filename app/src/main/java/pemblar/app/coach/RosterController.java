package pemblar.app.coach;

import java.util.ArrayList;
import java.util.List;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.AthleteService;
import pemblar.app.athlete.CoachingService;
import pemblar.app.frame.Viewer;
import pemblar.app.session.TrendService;
import pemblar.core.load.LoadTrend;

/** Where a person begins: athletes at their own today, coaches at their roster. */
@Controller
class RosterController {
    private final AthleteService athletes;
    private static final Logger LOG = LoggerFactory.getLogger(RosterController.class);
    private final TrendService trends;
    private final CoachingService coachings;

    RosterController(AthleteService athletes, TrendService trends, CoachingService coachings) {
        this.coachings = coachings;
        this.athletes = athletes;
        this.trends = trends;
    }

    /** An athlete with where the load trend stands; null before the first session. */
    record Line(Athlete athlete, LoadTrend.Day now) {}

    @GetMapping("/")
    String start(@AuthenticationPrincipal(expression = "viewer") Viewer viewer) {
        return athletes.own(viewer).map(id -> "redirect:/a/" + id + "/today").orElse("redirect:/roster");
    }

    /** One athlete whose data cannot be computed never takes the roster. */
    private Line line(Athlete athlete) {
        try {
            TrendService.Trend trend = trends.of(athlete);
            return new Line(athlete, trend.on(trend.today()));
        } catch (IllegalArgumentException | ArithmeticException | IndexOutOfBoundsException e) {
            LOG.error("the trend of athlete {} cannot be computed", athlete.id(), e);
            return new Line(athlete, null);
        }
    }

    @GetMapping("/roster")
    String roster(@AuthenticationPrincipal(expression = "viewer") Viewer viewer, Model model) {
        List<Line> lines = new ArrayList<>();
        List<Athlete> roster = athletes.roster(viewer);
        for (int i = 0; i < roster.size(); i++) lines.add(line(roster.get(i)));
        model.addAttribute("requests", coachings.open(viewer));
        model.addAttribute("viewer", viewer);
        model.addAttribute("lines", lines);
        return "coach/roster";
    }
}
