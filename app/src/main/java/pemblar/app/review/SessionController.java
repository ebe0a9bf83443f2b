package pemblar.app.review;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.multipart.MultipartFile;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.AthleteService;
import pemblar.app.exchange.ImportService;
import pemblar.app.frame.Limits;
import pemblar.app.frame.NotFoundException;
import pemblar.app.frame.Shown;
import pemblar.app.frame.Viewer;
import pemblar.app.ribbon.Pages;
import pemblar.app.session.ScheduleService;
import pemblar.app.session.SessionService;
import pemblar.app.session.Slab;
import pemblar.app.workout.Shelved;
import pemblar.app.workout.WorkoutService;
import pemblar.core.Sport;
import pemblar.core.matching.StepMatching;
import pemblar.core.model.Reserve;
import pemblar.core.recording.Channel;
import pemblar.core.recording.Recording;
import pemblar.core.recording.Series;
import pemblar.core.threshold.Quantity;
import pemblar.core.workout.Forecast;
import pemblar.core.workout.Plan;
import pemblar.core.workout.ShorthandText;
import pemblar.core.zone.ZoneSet;
import pemblar.core.zone.ZoneSet.Measure;

/** The list of sessions with uploads, and the review of one session. */
@Controller
@RequestMapping("/a/{athleteId}/sessions")
class SessionController {
    private static final int LISTED = 40;
    private static final int UPLOADS_SHOWN = 12;
    private static final int MOST_FILES = 50;
    private static final int[] BESTS = {5, 15, 60, 300, 1200, 3600};
    private final Pages pages;
    private final SessionService sessions;
    private final ScheduleService schedule;
    private final ImportService imports;
    private final AthleteService athletes;
    private final Limits limits;
    private final WorkoutService workouts;
    private final Shown shown;

    SessionController(Pages pages, SessionService sessions, ScheduleService schedule, ImportService imports, AthleteService athletes, Limits limits, WorkoutService workouts, Shown shown) {
        this.pages = pages;
        this.sessions = sessions;
        this.schedule = schedule;
        this.imports = imports;
        this.athletes = athletes;
        this.limits = limits;
        this.workouts = workouts;
        this.shown = shown;
    }

    @GetMapping
    String list(@PathVariable long athleteId, @AuthenticationPrincipal(expression = "viewer") Viewer viewer, Model model) {
        Pages.Opened page = pages.open(model, athleteId, viewer, "sessions", null, null);
        model.addAttribute("sessions", sessions.lastDone(page.athlete(), LISTED));
        uploads(page.athlete(), model);
        return "review/sessions";
    }

    @PostMapping("/upload")
    String upload(@PathVariable long athleteId, @RequestParam("files") List<MultipartFile> files, @AuthenticationPrincipal(expression = "viewer") Viewer viewer, Model model) throws IOException {
        Athlete athlete = athletes.require(athleteId, viewer);
        List<MultipartFile> chosen = files.stream().filter(f -> f.getOriginalFilename() != null && !f.getOriginalFilename().isBlank()).toList();
        if (chosen.isEmpty()) model.addAttribute("refused", "Choose one or more FIT or GPX files first.");
        else if (chosen.size() > MOST_FILES) model.addAttribute("refused", "At most " + MOST_FILES + " files at once; " + chosen.size() + " were chosen. Upload them in parts.");
        else if (!limits.allowUpload(viewer.accountId())) model.addAttribute("refused", "That was a lot of uploads in a minute. Wait a minute and send these again.");
        else for (MultipartFile file : chosen) imports.upload(athleteId, viewer, file.getOriginalFilename(), file.getBytes());
        uploads(athlete, model);
        return "review/sessions :: uploads";
    }

    @GetMapping("/uploads")
    String uploads(@PathVariable long athleteId, @AuthenticationPrincipal(expression = "viewer") Viewer viewer, Model model) {
        uploads(athletes.require(athleteId, viewer), model);
        return "review/sessions :: uploads";
    }

    private void uploads(Athlete athlete, Model model) {
        List<ImportService.Progress> latest = imports.latest(athlete, UPLOADS_SHOWN);
        model.addAttribute("athlete", athlete);
        model.addAttribute("uploads", latest);
        model.addAttribute("waiting", latest.stream().anyMatch(p -> p.state().equals("WAITING")));
    }

    @GetMapping("/{id}")
    String session(@PathVariable long athleteId, @PathVariable long id, @AuthenticationPrincipal(expression = "viewer") Viewer viewer, Model model) {
        SessionService.Opened opened = sessions.open(athleteId, viewer, id);
        Slab slab = opened.slab();
        Pages.Opened page = pages.open(model, athleteId, viewer, "sessions", slab.day(), slab.day());
        model.addAttribute("slab", slab);
        model.addAttribute("stored", opened.stored().orElse(null));
        model.addAttribute("threshold", opened.thresholds().get(Quantity.THRESHOLD_POWER).isPresent() ? (Double) opened.thresholds().get(Quantity.THRESHOLD_POWER).getAsDouble() : null);
        newer(opened, viewer).ifPresent(version -> model.addAttribute("newerVersion", version.version()));
        opened.workout().ifPresent(workout -> {
            model.addAttribute("shorthand", ShorthandText.of(workout));
            forecast(opened, model);
        });
        opened.recording().ifPresent(recording -> {
            Optional<StepMatching.Result> matched = match(opened);
            matched.ifPresent(result -> model.addAttribute("steps", StepTable.of(result, recording)));
            RepetitionTable.of(recording, matched, floor(opened), shown).ifPresent(table -> model.addAttribute("repetitions", table));
            model.addAttribute("zones", zones(opened));
            model.addAttribute("bests", bests(opened));
            model.addAttribute("isRun", recording.sport() == Sport.RUN);
            model.addAttribute("hasPower", recording.has(Channel.POWER));
            if (!slab.planned()) model.addAttribute("candidates", candidates(page, slab));
        });
        return "review/session";
    }

    /** Lower boundary of power zone 3, or NaN. */
    private static double floor(SessionService.Opened opened) {
        return opened.zones().of(ZoneSet.Measure.POWER, opened.slab().sport()).filter(set -> set.count() >= 3).map(set -> set.floorOf(3)).orElse(Double.NaN);
    }

    private static void forecast(SessionService.Opened opened, Model model) {
        try {
            Forecast forecast = Forecast.of(opened.workout().orElseThrow(), opened.zones());
            model.addAttribute("forecast", forecast);
            model.addAttribute("drawing", pemblar.app.workout.Drawing.of(forecast, opened.zones(), opened.workout().get().sport()));
        } catch (IllegalArgumentException e) {
            model.addAttribute("missing", e.getMessage());
        }
    }

    private List<Slab> candidates(Pages.Opened page, Slab slab) {
        return sessions.between(page.athlete(), slab.day().minusDays(3), slab.day().plusDays(3)).stream().filter(s -> s.planned() && s.done() == null).toList();
    }

    private static Optional<StepMatching.Result> match(SessionService.Opened opened) {
        if (opened.workout().isEmpty() || opened.recording().isEmpty()) return Optional.empty();
        try {
            return Optional.of(StepMatching.match(Plan.resolve(opened.workout().get(), opened.zones()), opened.recording().get()));
        } catch (IllegalArgumentException e) {
            return Optional.empty();      // a threshold is missing; the page says which
        }
    }

    /** A line of time in a zone; {@code width} in percent of the longest. */
    record ZoneLine(int number, String name, String range, int seconds, double width) {}

    private static Map<String, List<ZoneLine>> zones(SessionService.Opened opened) {
        Map<String, List<ZoneLine>> all = new LinkedHashMap<>();
        opened.stored().orElseThrow().facts().zones().forEach((measure, seconds) ->
            opened.zones().of(measure, opened.recording().orElseThrow().sport()).filter(set -> set.count() == seconds.size())
                .ifPresent(set -> all.put(measure == Measure.HEART_RATE ? "heart rate" : measure == Measure.SPEED ? "pace" : "power", lines(set, seconds))));
        return all;
    }

    private static List<ZoneLine> lines(ZoneSet set, List<Integer> seconds) {
        int most = Math.max(1, seconds.stream().mapToInt(Integer::intValue).max().orElse(1));
        List<ZoneLine> lines = new ArrayList<>();
        for (int zone = 1; zone <= set.count(); zone++)
            lines.add(new ZoneLine(zone, set.names().get(zone - 1), pemblar.app.zones.ZoneView.range(set, zone), seconds.get(zone - 1), 100.0 * seconds.get(zone - 1) / most));
        return lines;
    }

    /** A best effort of the session. */
    record Best(int seconds, double value, Double perKilogram) {}

    private static List<Best> bests(SessionService.Opened opened) {
        TreeMap<Integer, Double> curve = opened.stored().orElseThrow().bests();
        double kilograms = opened.thresholds().get(Quantity.BODY_MASS).orElse(Double.NaN);
        List<Best> bests = new ArrayList<>();
        for (int seconds : BESTS) {
            Integer nearest = curve.floorKey(seconds);
            if (nearest == null || curve.lastKey() < seconds) continue;
            bests.add(new Best(nearest, curve.get(nearest), Double.isNaN(kilograms) ? null : (Double) (curve.get(nearest) / kilograms)));
        }
        return bests;
    }

    @GetMapping("/{id}/range")
    String range(@PathVariable long athleteId, @PathVariable long id, @RequestParam int from, @RequestParam int to,
                 @AuthenticationPrincipal(expression = "viewer") Viewer viewer, Model model) {
        SessionService.Opened opened = sessions.open(athleteId, viewer, id);
        Recording recording = opened.recording().orElseThrow(() -> new NotFoundException("recording"));
        model.addAttribute("figures", Range.of(recording, opened.thresholds(), from, to));
        model.addAttribute("athlete", opened.athlete());
        model.addAttribute("rangeSession", id);
        model.addAttribute("rangeFrom", from);
        model.addAttribute("rangeTo", to);
        return "review/session :: range";
    }

    /** All samples of the lanes' channels, the bands of the targets, and the laps. */
    @GetMapping(value = "/{id}/channels", produces = MediaType.APPLICATION_JSON_VALUE)
    @ResponseBody
    Map<String, Object> channels(@PathVariable long athleteId, @PathVariable long id, @AuthenticationPrincipal(expression = "viewer") Viewer viewer) {
        SessionService.Opened opened = sessions.open(athleteId, viewer, id);
        Recording recording = opened.recording().orElseThrow(() -> new NotFoundException("recording"));
        Map<String, Object> channels = new LinkedHashMap<>();
        for (Channel channel : List.of(Channel.POWER, Channel.HEART_RATE, Channel.CADENCE, Channel.SPEED, Channel.ALTITUDE))
            recording.channel(channel).ifPresent(series -> channels.put(channel.key(), values(series, channel == Channel.SPEED ? 100 : 10)));
        if (recording.has(Channel.POWER) && opened.thresholds().knows(Quantity.CRITICAL_POWER, Quantity.W_PRIME)) {
            Reserve reserve = new Reserve(opened.thresholds().require(Quantity.CRITICAL_POWER), opened.thresholds().require(Quantity.W_PRIME));
            channels.put("reserve", values(reserve.over(recording.channel(Channel.POWER).orElseThrow(), recording.pauses()), 1));
        }
        Map<String, Object> answer = new LinkedHashMap<>();
        answer.put("sport", recording.sport().key());
        answer.put("seconds", recording.seconds());
        answer.put("channels", channels);
        answer.put("bands", match(opened).map(StepTable::bands).orElse(List.of()));
        answer.put("laps", recording.laps().stream().map(lap -> List.of(lap.from(), lap.to())).toList());
        return answer;
    }

    /** Rounded for the wire; a gap is null. */
    private static Double[] values(Series series, double precision) {
        Double[] values = new Double[series.size()];
        for (int i = 0; i < values.length; i++) values[i] = series.isPresent(i) ? (Double) (Math.rint(series.at(i) * precision) / precision) : null;
        return values;
    }

    @PostMapping("/{id}/unmatch")
    String unmatch(@PathVariable long athleteId, @PathVariable long id, @AuthenticationPrincipal(expression = "viewer") Viewer viewer) {
        return "redirect:/a/" + athleteId + "/sessions/" + schedule.unmatch(athleteId, viewer, id);
    }

    /** The library's workout of a session that is still to be done, when it is newer than what was planned. */
    private Optional<Shelved> newer(SessionService.Opened opened, Viewer viewer) {
        if (opened.workoutId() == null || opened.workoutVersion() == null || opened.slab().done() != null) return Optional.empty();
        return workouts.everything(viewer).stream().filter(w -> w.id() == opened.workoutId() && w.version() > opened.workoutVersion()).findFirst();
    }

    @PostMapping("/{id}/follow")
    String follow(@PathVariable long athleteId, @PathVariable long id, @AuthenticationPrincipal(expression = "viewer") Viewer viewer) {
        newer(sessions.open(athleteId, viewer, id), viewer).ifPresent(w -> schedule.follow(athleteId, viewer, id, new ScheduleService.Chosen(w.title(), w.workout(), w.id(), w.version())));
        return "redirect:/a/" + athleteId + "/sessions/" + id;
    }

    @PostMapping("/{id}/match")
    String match(@PathVariable long athleteId, @PathVariable long id, @RequestParam long planned, @AuthenticationPrincipal(expression = "viewer") Viewer viewer) {
        schedule.match(athleteId, viewer, id, planned);
        return "redirect:/a/" + athleteId + "/sessions/" + planned;
    }

    @GetMapping("/{id}/original")
    ResponseEntity<byte[]> original(@PathVariable long athleteId, @PathVariable long id, @AuthenticationPrincipal(expression = "viewer") Viewer viewer) {
        SessionService.Original original = sessions.original(athleteId, viewer, id);
        return ResponseEntity.ok().contentType(MediaType.APPLICATION_OCTET_STREAM)
            .header(HttpHeaders.CONTENT_DISPOSITION, ContentDisposition.attachment().filename(original.fileName(), StandardCharsets.UTF_8).build().toString())
            .body(original.bytes());
    }
}
