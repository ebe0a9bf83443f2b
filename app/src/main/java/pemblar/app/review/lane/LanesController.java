package pemblar.app.review.lane;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import pemblar.app.athlete.AthleteService;
import pemblar.app.frame.Viewer;
import pemblar.app.frame.Visit;
import pemblar.app.frame.page.Shown;
import pemblar.app.frame.page.Units;
import pemblar.app.review.Cuts;
import pemblar.app.review.Range;
import pemblar.app.review.ReviewPage;
import pemblar.app.review.ReviewStore;
import pemblar.app.session.reading.SessionService;
import pemblar.core.recording.Channel;
import pemblar.core.recording.Derived;
import pemblar.core.recording.Recording;

/** What the lanes draw, how a person likes them, and channels that follow from others; figures of a selection. */
@Controller
@RequestMapping("/a/{athleteId}/sessions/{id}")
class LanesController {
    private static final int MOST_DERIVED = 20;
    /** Values of all lanes in one answer: with their commas they stay under 8 MB. */
    private static final int MOST_VALUES = 1_300_000;

    private static final int LONGEST_NAME = 60;
    private final ReviewPage page;
    private final ReviewStore store;
    private final AthleteService athletes;

    LanesController(ReviewPage page, ReviewStore store, AthleteService athletes) {
        this.page = page;
        this.store = store;
        this.athletes = athletes;
    }

    @GetMapping(value = "/channels", produces = MediaType.APPLICATION_JSON_VALUE)
    @ResponseBody
    Map<String, Object> channels(Visit visit, @PathVariable long id) {
        SessionService.Opened opened = page.recorded(visit, id);
        Recording recording = opened.recording().orElseThrow();
        Cuts cuts = Cuts.of(opened);
        Map<String, Object> answer = new LinkedHashMap<>();
        answer.put("sport", recording.sport().key());
        answer.put("seconds", recording.seconds());
        answer.put("paceMetres", Shown.unit(recording.sport()).paceMetres());
        answer.put("length", Units.mine().lengthUnit());
        answer.put("lengthMetres", Units.mine().lengthMetres());
        answer.put("decimal", Units.mine().decimal(0, 1).substring(1, 2));
        answer.put("trimmed", opened.trimmed());
        List<Lanes.Lane> lanes = Lanes.of(opened, cuts, store.derived(visit.athleteId()));
        int shown = Math.max(1, MOST_VALUES / recording.seconds());
        answer.put("lanes", lanes.subList(0, Math.min(shown, lanes.size())));
        if (lanes.size() > shown)
            answer.put(
                    "leftOut",
                    lanes.subList(shown, lanes.size()).stream()
                            .map(Lanes.Lane::name)
                            .toList());
        recording.channel(Channel.DISTANCE).ifPresent(d -> answer.put("metres", Lanes.deltas(d, 1)));
        answer.put("route", Lanes.route(recording));
        answer.put("marks", marks(opened, cuts, visit.viewer()));
        answer.put(
                "view",
                store.view(visit.viewer().accountId(), recording.sport().key())
                        .map(LaneView::read)
                        .orElse(null));
        return answer;
    }

    @GetMapping(value = "/marks", produces = MediaType.APPLICATION_JSON_VALUE)
    @ResponseBody
    Map<String, Object> marks(Visit visit, @PathVariable long id) {
        SessionService.Opened opened = page.recorded(visit, id);
        return marks(opened, Cuts.of(opened), visit.viewer());
    }

    private Map<String, Object> marks(SessionService.Opened opened, Cuts cuts, Viewer viewer) {
        List<List<Object>> notes = page.notes(opened, viewer).stream()
                .filter(n -> n.second() != null)
                .map(n -> List.<Object>of(n.second(), n.author() + ": " + n.body()))
                .toList();
        List<List<Object>> ranges = page.ranges(opened).stream()
                .map(r -> List.<Object>of(r.from(), r.to(), r.name()))
                .toList();
        return Lanes.marks(opened, cuts, notes, ranges);
    }

    /** Keeps how this person likes the lanes of the session's sport. */
    @PostMapping("/lanes")
    ResponseEntity<Void> keepView(Visit visit, @PathVariable long id, @RequestParam String settings) {
        SessionService.Opened opened = page.recorded(visit, id);
        try {
            store.keepView(
                    visit.viewer().accountId(),
                    opened.recording().orElseThrow().sport().key(),
                    LaneView.read(settings).write());
            return ResponseEntity.noContent().build();
        } catch (IllegalArgumentException e) {
            return ResponseEntity.status(HttpStatus.BAD_REQUEST).build();
        }
    }

    record DeriveForm(
            @RequestParam String name,
            @RequestParam String left,
            @RequestParam Derived.Operation operation,
            @RequestParam String right) {}

    @PostMapping("/derive")
    String derive(Visit visit, @PathVariable long id, DeriveForm form, RedirectAttributes flash) {
        Recording recording = page.recorded(visit, id).recording().orElseThrow();
        return said(visit.athleteId(), id, flash, () -> {
            for (String key : List.of(form.left(), form.right()))
                if (!recording.channels().containsKey(key))
                    throw new IllegalArgumentException("Channel: this recording has no “" + Shown.channel(key) + "”.");
            if (store.derived(visit.athleteId()).size() >= MOST_DERIVED)
                throw new IllegalArgumentException("At most " + MOST_DERIVED + " derived channels. Drop one first.");
            if (!store.derive(
                    visit.athleteId(), new Derived(form.name().strip(), form.left(), form.operation(), form.right())))
                throw new IllegalArgumentException(
                        "Name: there is a derived channel “" + form.name().strip() + "” already.");
        });
    }

    @PostMapping("/derive/{derivedId}/drop")
    String dropDerived(Visit visit, @PathVariable long id, @PathVariable long derivedId) {
        athletes.require(visit);
        store.dropDerived(visit.athleteId(), derivedId);
        return "redirect:/a/" + visit.athleteId() + "/sessions/" + id;
    }

    record RangeForm(@RequestParam int from, @RequestParam int to) {}

    @GetMapping("/range")
    String range(Visit visit, @PathVariable long id, RangeForm form, Model model) {
        SessionService.Opened opened = page.recorded(visit, id);
        model.addAttribute(
                "figures", Range.of(opened.recording().orElseThrow(), opened.thresholds(), form.from(), form.to()));
        model.addAttribute("athlete", opened.athlete());
        model.addAttribute("rangeSession", id);
        model.addAttribute("rangeFrom", form.from());
        model.addAttribute("rangeTo", form.to());
        model.addAttribute("rangeTrimmed", opened.trimmed());
        return "review/selection :: range";
    }

    record KeepForm(
            @RequestParam int from,
            @RequestParam int to,
            @RequestParam String name) {}

    /** Keeps a selection under a name. */
    @PostMapping("/ranges")
    String keep(Visit visit, @PathVariable long id, KeepForm form, RedirectAttributes flash) {
        SessionService.Opened opened = page.recorded(visit, id);
        String redirect = said(visit.athleteId(), id, flash, () -> {
            if (form.name().isBlank() || form.name().strip().length() > LONGEST_NAME)
                throw new IllegalArgumentException("Name: enter 1 to " + LONGEST_NAME + " characters.");
            if (form.from() < 0
                    || form.to() <= form.from()
                    || form.to() > opened.recording().orElseThrow().seconds())
                throw new IllegalArgumentException("Range: select a stretch of the recording first.");
            store.keep(
                    id,
                    form.from() + opened.trimmed(),
                    form.to() + opened.trimmed(),
                    form.name().strip());
        });
        return redirect + "?from=" + form.from() + "&to=" + form.to();
    }

    @PostMapping("/ranges/{rangeId}/forget")
    String forget(Visit visit, @PathVariable long id, @PathVariable long rangeId) {
        page.recorded(visit, id);
        store.forget(id, rangeId);
        return "redirect:/a/" + visit.athleteId() + "/sessions/" + id;
    }

    /** Does something and goes back to the session; a refusal is said there. */
    static String said(long athleteId, long id, RedirectAttributes flash, Runnable change) {
        try {
            change.run();
        } catch (IllegalArgumentException e) {
            flash.addFlashAttribute("said", e.getMessage());
        }
        return "redirect:/a/" + athleteId + "/sessions/" + id;
    }
}
