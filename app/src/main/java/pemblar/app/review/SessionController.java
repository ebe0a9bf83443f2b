package pemblar.app.review;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import pemblar.app.athlete.Pages;
import pemblar.app.frame.Viewer;
import pemblar.app.frame.Visit;
import pemblar.app.frame.page.Shown;
import pemblar.app.recording.RecordingFacts;
import pemblar.app.replica.Elsewhere;
import pemblar.app.review.lane.MendingSheet;
import pemblar.app.session.Slab;
import pemblar.app.session.change.ScheduleService;
import pemblar.app.session.done.DescriptionService;
import pemblar.app.session.done.MendingService;
import pemblar.app.session.reading.Looks;
import pemblar.app.session.reading.SessionService;
import pemblar.app.strength.StrengthReview;
import pemblar.app.workout.Shelved;
import pemblar.app.workout.WorkoutService;
import pemblar.core.design.Design;
import pemblar.core.recording.Channel;
import pemblar.core.recording.Recording;
import pemblar.core.selection.Climbs;
import pemblar.core.sport.Measure;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Quantity;
import pemblar.core.workout.Forecast;
import pemblar.core.workout.ShorthandText;
import pemblar.core.zone.ZoneSet;

/** The review of one session. */
@Controller
@RequestMapping("/a/{athleteId}/sessions")
class SessionController {
    private static final int[] BESTS = {5, 15, 60, 300, 1200, 3600};
    private final Pages pages;
    private final SessionService sessions;
    private final ScheduleService schedule;
    private final WorkoutService workouts;
    private final ReviewPage review;
    private final ReviewStore store;
    private final MendingService mending;
    private final DescriptionService descriptions;
    private final Shown shown;
    private final Looks looks;
    private final StrengthReview strength;

    SessionController(
            Pages pages,
            SessionService sessions,
            ScheduleService schedule,
            WorkoutService workouts,
            ReviewPage review,
            ReviewStore store,
            MendingService mending,
            DescriptionService descriptions,
            Shown shown,
            Looks looks,
            StrengthReview strength) {
        this.strength = strength;
        this.pages = pages;
        this.sessions = sessions;
        this.schedule = schedule;
        this.workouts = workouts;
        this.review = review;
        this.store = store;
        this.mending = mending;
        this.descriptions = descriptions;
        this.shown = shown;
        this.looks = looks;
    }

    @GetMapping("/{id}")
    String session(Visit visit, @PathVariable long id, Model model) {
        SessionService.Opened opened = sessions.open(visit, id);
        Slab slab = opened.slab();
        Pages.Opened page = pages.open(model, visit, "sessions", new Pages.Days(slab.day(), slab.day()));
        model.addAttribute("slab", slab);
        if (opened.stored().isPresent()) Elsewhere.writtenAtMain(() -> looks.looked(visit.viewer(), id));
        model.addAttribute("stored", opened.stored().orElse(null));
        model.addAttribute(
                "threshold",
                opened.thresholds().get(Quantity.THRESHOLD_POWER).isPresent()
                        ? (Double) opened.thresholds()
                                .get(Quantity.THRESHOLD_POWER)
                                .getAsDouble()
                        : null);
        newer(opened, visit.viewer()).ifPresent(version -> model.addAttribute("newerVersion", version.version()));
        opened.workout().ifPresent(workout -> {
            model.addAttribute("shorthand", ShorthandText.of(workout));
            forecast(opened, model);
        });
        opened.recording().ifPresent(recording -> {
            review.stretches(opened, model);
            model.addAttribute("zones", zones(opened));
            model.addAttribute("bests", bests(opened));
            model.addAttribute("sport", recording.sport());
            model.addAttribute("hasPower", recording.has(Channel.POWER));
            model.addAttribute(
                    "zonable",
                    recording.has(Channel.POWER)
                            || recording.has(Channel.HEART_RATE)
                            || recording.sport().trainsBy(Measure.SPEED) && recording.has(Channel.SPEED));
            model.addAttribute("missingChannels", missing(recording));
            model.addAttribute("hasRoute", recording.has(Channel.LATITUDE) && recording.has(Channel.LONGITUDE));
            model.addAttribute("ranges", review.ranges(opened));
            model.addAttribute("climbs", Climbs.of(recording));
            model.addAttribute(
                    "mending",
                    MendingSheet.of(mending.sheet(opened), stored(opened).load(), opened.trimmed(), shown));
            model.addAttribute(
                    "channelKeys",
                    recording.channels().keySet().stream()
                            .sorted(Comparator.comparingInt(SessionController::place))
                            .toList());
            model.addAttribute("derived", store.derived(visit.athleteId()));
            model.addAttribute("sources", stored(opened).loads().keySet());
            if (!slab.planned()) model.addAttribute("candidates", candidates(page, slab));
        });
        model.addAttribute("described", opened.described());
        model.addAttribute("knownWords", descriptions.known(page.athlete(), slab.sport(), slab.day()));
        model.addAttribute("notes", review.notes(opened, visit.viewer()));
        if (slab.sport().isLifted() && opened.design().isPresent())
            model.addAttribute("lifted", strength.of(visit, id));
        model.addAttribute("parts", opened.design().map(Design::parts).orElse(List.of()));
        return "review/session";
    }

    /** Channels in the order in which people name them; a device's own fields last. */
    private static int place(String key) {
        return Channel.ofKey(key).map(Enum::ordinal).orElse(Channel.values().length);
    }

    private static RecordingFacts stored(SessionService.Opened opened) {
        return opened.stored().orElseThrow().facts();
    }

    /** What people look for and this recording does not have. */
    private static List<String> missing(Recording recording) {
        List<String> missing = new ArrayList<>();
        if (recording.sport().ownMeasure() == Measure.POWER && !recording.has(Channel.POWER)) missing.add("power");
        if (!recording.has(Channel.HEART_RATE)) missing.add("heart rate");
        if (!recording.has(Channel.SPEED)) missing.add("speed");
        if (!recording.has(Channel.DISTANCE)) missing.add("distance");
        if (!recording.has(Channel.ALTITUDE)) missing.add("altitude");
        return missing;
    }

    private static void forecast(SessionService.Opened opened, Model model) {
        try {
            Forecast forecast = Forecast.of(opened.workout().orElseThrow(), opened.zones());
            model.addAttribute("forecast", forecast);
            model.addAttribute(
                    "drawing",
                    pemblar.app.workout.Drawing.of(
                            forecast, opened.zones(), opened.workout().get().sport()));
        } catch (IllegalArgumentException e) {
            model.addAttribute("missing", e.getMessage());
        }
    }

    private List<Slab> candidates(Pages.Opened page, Slab slab) {
        return sessions
                .between(page.athlete(), slab.day().minusDays(3), slab.day().plusDays(3))
                .stream()
                .filter(s -> s.planned() && s.done() == null)
                .toList();
    }

    /** A line of time in a zone; {@code width} in percent of the longest. */
    public record ZoneLine(int number, String name, String range, int seconds, double width) {}

    private static Map<String, List<ZoneLine>> zones(SessionService.Opened opened) {
        Map<String, List<ZoneLine>> all = new LinkedHashMap<>();
        opened.stored()
                .orElseThrow()
                .facts()
                .zones()
                .forEach((measure, seconds) -> opened.zones()
                        .of(measure, opened.recording().orElseThrow().sport())
                        .filter(set -> set.count() == seconds.size())
                        .ifPresent(set -> all.put(
                                measure.title(opened.slab().sport()).toLowerCase(Locale.ROOT),
                                lines(set, opened.slab().sport(), seconds))));
        return all;
    }

    private static List<ZoneLine> lines(ZoneSet set, Sport sport, List<Integer> seconds) {
        int most =
                Math.max(1, seconds.stream().mapToInt(Integer::intValue).max().orElse(1));
        List<ZoneLine> lines = new ArrayList<>();
        for (int zone = 1; zone <= set.count(); zone++)
            lines.add(new ZoneLine(
                    zone,
                    set.names().get(zone - 1),
                    pemblar.app.zones.ZoneView.range(set, sport, zone),
                    seconds.get(zone - 1),
                    100.0 * seconds.get(zone - 1) / most));
        return lines;
    }

    /** A best effort of the session. */
    public record Best(int seconds, double value, Double perKilogram) {}

    private static List<Best> bests(SessionService.Opened opened) {
        TreeMap<Integer, Double> curve = opened.stored().orElseThrow().bests();
        double kilograms = opened.thresholds().get(Quantity.BODY_MASS).orElse(Double.NaN);
        List<Best> bests = new ArrayList<>();
        for (int seconds : BESTS) {
            Integer nearest = curve.floorKey(seconds);
            if (nearest == null || curve.lastKey() < seconds) continue;
            bests.add(new Best(
                    nearest,
                    curve.get(nearest),
                    Double.isNaN(kilograms) ? null : (Double) (curve.get(nearest) / kilograms)));
        }
        return bests;
    }

    @PostMapping("/{id}/unmatch")
    String unmatch(Visit visit, @PathVariable long id) {
        return "redirect:/a/" + visit.athleteId() + "/sessions/" + schedule.unmatch(visit, id);
    }

    /** The library's workout of a session that is still to be done, when it is newer than what was planned. */
    private Optional<Shelved> newer(SessionService.Opened opened, Viewer viewer) {
        if (opened.workoutId() == null
                || opened.workoutVersion() == null
                || opened.slab().done() != null) return Optional.empty();
        return workouts.everything(viewer).stream()
                .filter(w -> w.id() == opened.workoutId() && w.version() > opened.workoutVersion())
                .findFirst();
    }

    @PostMapping("/{id}/follow")
    String follow(Visit visit, @PathVariable long id) {
        newer(sessions.open(visit, id), visit.viewer())
                .ifPresent(w -> schedule.follow(
                        visit, id, new ScheduleService.Chosen(w.title(), w.workout(), w.id(), w.version())));
        return "redirect:/a/" + visit.athleteId() + "/sessions/" + id;
    }

    @PostMapping("/{id}/match")
    String match(Visit visit, @PathVariable long id, @RequestParam long planned) {
        schedule.match(visit, id, planned);
        return "redirect:/a/" + visit.athleteId() + "/sessions/" + planned;
    }

    @GetMapping("/{id}/original")
    ResponseEntity<byte[]> original(Visit visit, @PathVariable long id) {
        SessionService.Original original = sessions.original(visit, id);
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_OCTET_STREAM)
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename(original.fileName(), StandardCharsets.UTF_8)
                                .build()
                                .toString())
                .body(original.bytes());
    }
}
