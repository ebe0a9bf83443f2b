package pemblar.app.coach;

import java.util.EnumSet;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.function.Supplier;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import pemblar.app.adjust.AdjustService;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.AthleteService;
import pemblar.app.athlete.CoachingService;
import pemblar.app.frame.Viewer;
import pemblar.app.frame.Visit;
import pemblar.app.load.TrendService;
import pemblar.app.note.NoteService;
import pemblar.app.session.reading.SessionService;

/** Where a person begins: athletes at their own today, coaches at their morning. */
@Controller
class MorningController {
    private static final int NOTES_SHOWN = 4;
    private final AthleteService athletes;
    private final CoachingService coachings;
    private final MorningService morning;
    private final AdjustService adjusting;
    private final TrendService trends;
    private final SessionService sessions;
    private final NoteService notes;

    MorningController(
            AthleteService athletes,
            CoachingService coachings,
            MorningService morning,
            AdjustService adjusting,
            TrendService trends,
            SessionService sessions,
            NoteService notes) {
        this.athletes = athletes;
        this.coachings = coachings;
        this.morning = morning;
        this.adjusting = adjusting;
        this.trends = trends;
        this.sessions = sessions;
        this.notes = notes;
    }

    @GetMapping("/")
    String start(Viewer viewer) {
        return athletes.own(viewer).map(id -> "redirect:/a/" + id + "/today").orElse("redirect:/roster");
    }

    @GetMapping("/roster")
    String morning(MorningPage.Asked asked, @RequestParam(required = false) Long open, Viewer viewer, Model model) {
        model.addAttribute("viewer", viewer);
        model.addAttribute("page", page(viewer, asked));
        List<MorningService.Group> groups = morning.groups(viewer);
        model.addAttribute("groups", groups);
        model.addAttribute("grouped", !groups.isEmpty());
        model.addAttribute("topics", Topic.values());
        model.addAttribute("off", morning.off(viewer));
        model.addAttribute("requests", coachings.open(viewer));
        model.addAttribute("opened", open);
        return "coach/morning";
    }

    /** Those who stand further down, fetched when the end of the list comes into view. */
    @GetMapping("/roster/further")
    String further(MorningPage.Asked asked, Viewer viewer, Model model) {
        model.addAttribute("page", page(viewer, asked));
        model.addAttribute("grouped", !morning.groups(viewer).isEmpty());
        return "coach/strands :: strands";
    }

    private MorningPage page(Viewer viewer, MorningPage.Asked asked) {
        return MorningPage.of(morning.lines(viewer, asked.group(), asked.search()), asked);
    }

    /** What is behind a strand, in place: the last session, notes with a field to answer, proposals. */
    @GetMapping("/roster/{athleteId}")
    String open(Visit visit, Model model) {
        Athlete athlete = athletes.require(visit);
        model.addAttribute("athlete", athlete);
        model.addAttribute("viewer", visit.viewer());
        model.addAttribute("open", adjusting.open(athlete, trends.of(athlete)));
        model.addAttribute(
                "last", sessions.lastDone(athlete, 1).stream().findFirst().orElse(null));
        model.addAttribute("notes", notes.latest(athlete, NOTES_SHOWN));
        return "coach/strand :: opened";
    }

    /** In which groups an athlete is, and could be; fetched when it is asked for. */
    @GetMapping("/roster/{athleteId}/groups")
    String groups(Visit visit, Model model) {
        model.addAttribute("athlete", athletes.require(visit));
        model.addAttribute("groups", morning.groups(visit.viewer()));
        model.addAttribute("in", morning.groupsOf(visit.viewer(), visit.athleteId()));
        return "coach/groups :: groups";
    }

    @PostMapping("/roster/{athleteId}/dealt")
    String dealt(Visit visit, @RequestParam(defaultValue = "true") boolean dealt) {
        if (dealt) morning.dealt(visit.viewer(), visit.athleteId());
        else morning.notDealt(visit.viewer(), visit.athleteId());
        return "redirect:/roster";
    }

    /** Answers a note where it was written. */
    @PostMapping("/roster/{athleteId}/reply")
    String reply(Visit visit, @RequestParam long note, @RequestParam String body, RedirectAttributes flash) {
        return said(flash, () -> {
            notes.answer(visit, note, body);
            return "Answered.";
        });
    }

    /** What the coach wants to be told. */
    @PostMapping("/roster/topics")
    String topics(@RequestParam(required = false) List<Topic> on, Viewer viewer, RedirectAttributes flash) {
        return said(flash, () -> {
            Set<Topic> wanted = EnumSet.noneOf(Topic.class);
            if (on != null) on.stream().filter(Objects::nonNull).forEach(wanted::add);
            morning.choose(viewer, wanted);
            return "The list is made of what you chose.";
        });
    }

    @PostMapping("/roster/groups")
    String group(@RequestParam String name, Viewer viewer, RedirectAttributes flash) {
        return said(flash, () -> {
            morning.addGroup(viewer, name);
            return "The group is there. Put athletes into it below.";
        });
    }

    @PostMapping("/roster/groups/{id}/remove")
    String removeGroup(@PathVariable long id, Viewer viewer) {
        morning.removeGroup(viewer, id);
        return "redirect:/roster";
    }

    @PostMapping("/roster/groups/{id}/members")
    String member(@PathVariable long id, @RequestParam long athleteId, @RequestParam boolean in, Viewer viewer) {
        morning.member(viewer, id, athleteId, in);
        return "redirect:/roster";
    }

    private static String said(RedirectAttributes flash, Supplier<String> change) {
        try {
            flash.addFlashAttribute("good", change.get());
        } catch (IllegalArgumentException e) {
            flash.addFlashAttribute("said", e.getMessage());
        }
        return "redirect:/roster";
    }
}
