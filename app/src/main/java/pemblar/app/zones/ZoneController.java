package pemblar.app.zones;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.InstantSource;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.springframework.format.annotation.DateTimeFormat;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.AthleteService;
import pemblar.app.athlete.Pages;
import pemblar.app.frame.Viewer;
import pemblar.app.frame.Visit;
import pemblar.app.frame.page.OneLook;
import pemblar.app.frame.page.Shown;
import pemblar.app.session.change.ScheduleService;
import pemblar.app.threshold.ThresholdService;
import pemblar.app.threshold.ZoneSchemeService;
import pemblar.core.sport.Sport;
import pemblar.core.zone.DatedZones;
import pemblar.core.zone.ZoneScheme;
import pemblar.core.zone.ZoneScheme.Reference;
import pemblar.core.zone.ZoneSchemes;
import pemblar.core.zone.ZoneSet;
import pemblar.core.zone.Zones;
import pemblar.formats.json.ZoneSchemeJson;

/**
 * Zone sets: choose a scheme, edit it, let it hold from a day on, keep it as one's own. All edits are computed here.
 */
@Controller
@RequestMapping("/a/{athleteId}/thresholds/zones")
class ZoneController {
    private static final double BAR = 1000;
    private static final double LAST_ZONE_SHARE = 0.16;
    private static final String FROM_THEN = " Time in zones of the sessions from then on is computed anew.";
    private static final String BEFORE_TOO = " They are the first that were typed, so they hold for the sessions before"
            + " that day too; time in zones of all of them is computed anew.";
    private final Pages pages;
    private final ThresholdService thresholds;
    private final ZoneSchemeService schemes;
    private final ScheduleService schedule;
    private final AthleteService athletes;
    private final Shown shown;
    private final InstantSource clock;

    ZoneController(
            Pages pages,
            ThresholdService thresholds,
            ZoneSchemeService schemes,
            ScheduleService schedule,
            AthleteService athletes,
            Shown shown,
            InstantSource clock) {
        this.pages = pages;
        this.thresholds = thresholds;
        this.schemes = schemes;
        this.schedule = schedule;
        this.athletes = athletes;
        this.shown = shown;
        this.clock = clock;
    }

    /** A zone of the editor: its upper boundary as typed, null for the last; where it stands in a bar of 1000. */
    public record Edited(
            int number, String name, String boundary, Double value, String range, double left, double width) {
        private static final double LEAST_FOR_A_NUMBER = 24;

        public double middle() {
            return left + width / 2;
        }

        public double right() {
            return left + width;
        }

        public boolean hasRoom() {
            return width > LEAST_FOR_A_NUMBER;
        }

        /** Of its upper boundary, from 0. */
        public int index() {
            return number - 1;
        }

        public int next() {
            return number + 1;
        }
    }

    /** A set that held or holds, by its first day. */
    public record History(LocalDate from, String name, boolean now, boolean before) {}

    /** A scheme to start from. */
    public record Choice(String value, String name) {}

    @OneLook
    @GetMapping
    String show(Visit visit, @RequestParam Map<String, String> asked, Model model) {
        Pages.Opened page = pages.open(model, visit, "thresholds");
        ZoneView.Kind kind = kind(page.athlete(), asked);
        DatedZones zones = thresholds.zonesOf(page.athlete());
        ZoneScheme start = chosen(asked.getOrDefault("scheme", ""), kind, visit.viewer())
                .or(() -> zones.on(page.today()).scheme(kind.measure(), kind.sport()))
                .orElseThrow();
        fill(page, kind, zones, Draft.of(start, kind.sport()), model);
        return "zones/zones";
    }

    private static ZoneView.Kind kind(Athlete athlete, Map<String, String> asked) {
        List<ZoneView.Kind> kinds = ZoneView.kinds(athlete.sports());
        return kinds.stream()
                .filter(k -> k.sport().name().equals(asked.get("sport"))
                        && k.measure().name().equals(asked.get("measure")))
                .findFirst()
                .orElse(kinds.get(0));
    }

    private Optional<ZoneScheme> chosen(String value, ZoneView.Kind kind, Viewer viewer) {
        if (value.matches("own-\\d{1,15}"))
            return Optional.of(schemes.require(Long.parseLong(value.substring(4)), viewer)
                            .scheme())
                    .filter(s -> s.measure() == kind.measure());
        return value.matches("\\d") && Integer.parseInt(value) < ZoneSchemes.ALL.size()
                ? Optional.of(ZoneSchemes.ALL.get(Integer.parseInt(value))).filter(s -> s.measure() == kind.measure())
                : Optional.empty();
    }

    private void fill(Pages.Opened page, ZoneView.Kind kind, DatedZones zones, Draft draft, Model model) {
        Athlete athlete = page.athlete();
        LocalDate today = page.today();
        List<Choice> choices = new ArrayList<>();
        for (int i = 0; i < ZoneSchemes.ALL.size(); i++)
            if (ZoneSchemes.ALL.get(i).measure() == kind.measure())
                choices.add(new Choice(String.valueOf(i), ZoneSchemes.ALL.get(i).name()));
        List<ZoneSchemeService.Kept> own = schemes.own(page.viewer());
        own.stream()
                .filter(k -> k.scheme().measure() == kind.measure())
                .forEach(k -> choices.add(new Choice("own-" + k.id(), k.scheme().name() + " (own)")));
        Zones now = zones.on(today);
        model.addAttribute("kind", kind);
        model.addAttribute("kinds", ZoneView.kinds(athlete.sports()));
        model.addAttribute("choices", choices);
        model.addAttribute("own", own);
        model.addAttribute("history", history(zones, kind, today));
        model.addAttribute("undoValue", thresholds.latestChange(page.visit()).orElse(null));
        model.addAttribute("holdsFrom", today);
        model.addAttribute("isUsual", now.chosen().get(new Zones.Key(kind.sport(), kind.measure())) == null);
        editor(model, kind, now, draft);
    }

    private static List<History> history(DatedZones zones, ZoneView.Kind kind, LocalDate today) {
        Zones.Key key = new Zones.Key(kind.sport(), kind.measure());
        LocalDate holds = zones.latest(key, today).map(DatedZones.Dated::from).orElse(null);
        return zones.sets().stream()
                .filter(s -> s.key().equals(key))
                .map(s -> new History(s.from(), s.scheme().name(), s.from().equals(holds), zones.holdsBackwards(s)))
                .sorted(java.util.Comparator.comparing(History::from).reversed())
                .toList();
    }

    private static void editor(Model model, ZoneView.Kind kind, Zones now, Draft draft) {
        ZoneScheme scheme = draft.scheme();
        Optional<ZoneSet> set = scheme.with(now.thresholds().forSport(kind.sport()));
        int last = scheme.boundaries().size() - 1;
        double low = scheme.boundaries().get(0) * 0.75;
        double high = scheme.boundaries().get(last) + (scheme.boundaries().get(last) - low) * LAST_ZONE_SHARE;
        List<Edited> zones = new ArrayList<>();
        double left = 0;
        for (int i = 0; i <= scheme.boundaries().size(); i++) {
            int zone = i + 1;
            boolean top = i == scheme.boundaries().size();
            double right = top ? BAR : BAR * (scheme.boundaries().get(i) - low) / (high - low);
            zones.add(new Edited(
                    zone,
                    scheme.names().get(i),
                    top ? null : Draft.shown(scheme, kind.sport(), i),
                    top ? null : scheme.boundaries().get(i),
                    set.map(s -> ZoneView.range(s, kind.sport(), zone)).orElse("–"),
                    left,
                    right - left));
            left = right;
        }
        model.addAttribute("zones", zones);
        model.addAttribute("scheme", scheme);
        model.addAttribute("drawn", ZoneSchemeJson.write(scheme));
        model.addAttribute("low", low);
        model.addAttribute("high", high);
        model.addAttribute("unitOfBoundary", unit(scheme, kind.sport()));
        model.addAttribute("referenceWord", reference(scheme, kind.sport()));
        model.addAttribute("known", set.isPresent());
        model.addAttribute("absolutes", Draft.absolutes(scheme, now.thresholds().forSport(kind.sport()), kind.sport()));
        model.addAttribute("unitTyped", Shown.unit(scheme.measure(), kind.sport()));
        model.addAttribute("problems", draft.problems());
    }

    private static String unit(ZoneScheme scheme, Sport sport) {
        return scheme.reference() == Reference.ABSOLUTE ? Shown.unit(scheme.measure(), sport) : "%";
    }

    private static String reference(ZoneScheme scheme, Sport sport) {
        return switch (scheme.reference()) {
            case THRESHOLD -> "% of threshold";
            case MAXIMUM -> "% of maximum heart rate";
            case RESERVE -> "% of heart-rate reserve (maximum less resting)";
            case CRITICAL_POWER -> "% of critical power";
            case ABSOLUTE -> "absolute, in " + unit(scheme, sport);
        };
    }

    /**
     * The editor after an edit: computed, not saved. The day that is typed stays as it is, also while it is half typed.
     */
    @PostMapping("/edit")
    String edit(Visit visit, @RequestParam Map<String, String> form, Model model) {
        Athlete athlete = athletes.require(visit);
        LocalDate today = athlete.dayOf(clock.instant());
        ZoneView.Kind kind = kind(athlete, form);
        model.addAttribute("athlete", athlete);
        model.addAttribute("kind", kind);
        model.addAttribute("holdsFrom", form.getOrDefault("from", today.toString()));
        editor(model, kind, thresholds.zonesOf(athlete).on(today), Draft.typed(form, kind.sport()));
        return "zones/zones :: editor";
    }

    /** Lets the edited scheme hold from a day on, or keeps it as one's own. */
    @PostMapping
    String save(
            Visit visit,
            @RequestParam Map<String, String> form,
            @RequestParam @DateTimeFormat(iso = DateTimeFormat.ISO.DATE) LocalDate from,
            Model model,
            RedirectAttributes flash) {
        Athlete athlete = athletes.require(visit);
        ZoneView.Kind kind = kind(athlete, form);
        Draft draft = Draft.typed(form, kind.sport());
        if (!draft.problems().isEmpty()) {
            Pages.Opened page = pages.open(model, visit, "thresholds");
            fill(page, kind, thresholds.zonesOf(athlete), draft, model);
            return "zones/zones";
        }
        try {
            if (form.getOrDefault("do", "").equals("keep")) {
                schemes.save(visit.viewer(), draft.scheme());
                flash.addFlashAttribute(
                        "said",
                        "Saved as your own scheme “" + draft.scheme().name()
                                + "”. It can be used for every athlete you see.");
            } else {
                Long ownId = schemes.own(visit.viewer()).stream()
                        .filter(k -> k.scheme().equals(draft.scheme()))
                        .map(ZoneSchemeService.Kept::id)
                        .findFirst()
                        .orElse(null);
                String label = kind.title() + " has “" + draft.scheme().name() + "” from " + shown.date(from) + ".";
                DatedZones.Dated set =
                        new DatedZones.Dated(new Zones.Key(kind.sport(), kind.measure()), from, draft.scheme());
                thresholds.takeUp(visit, set, ownId, label);
                boolean before = thresholds.zonesOf(athlete).holdsBackwards(set);
                flash.addFlashAttribute("said", label + (before ? BEFORE_TOO : FROM_THEN));
            }
        } catch (IllegalArgumentException e) {
            flash.addFlashAttribute("said", e.getMessage());
        }
        return back(visit.athleteId(), kind);
    }

    /** Takes a dated set away, unless planned sessions name zones that would then not be there. */
    @PostMapping("/drop")
    String drop(
            Visit visit,
            @RequestParam Map<String, String> form,
            @RequestParam @DateTimeFormat(iso = DateTimeFormat.ISO.DATE) LocalDate from,
            RedirectAttributes flash) {
        Athlete athlete = athletes.require(visit);
        ZoneView.Kind kind = kind(athlete, form);
        Zones.Key key = new Zones.Key(kind.sport(), kind.measure());
        List<String> users = schedule.usersOfZones(athlete, key, from);
        if (users.isEmpty())
            thresholds.dropZoneSet(
                    visit,
                    key,
                    from,
                    "The " + kind.title().toLowerCase(Locale.ROOT) + " zones of " + shown.date(from)
                            + " were taken away.");
        else
            flash.addFlashAttribute(
                    "said",
                    "This set is in use and stays: planned sessions have targets in its zones: "
                            + String.join("; ", users) + ". Change their targets or drop them first.");
        return back(visit.athleteId(), kind);
    }

    @PostMapping("/own/delete")
    String delete(
            Visit visit, @RequestParam long id, @RequestParam Map<String, String> form, RedirectAttributes flash) {
        Athlete athlete = athletes.require(visit);
        try {
            schemes.delete(visit.viewer(), id);
            flash.addFlashAttribute("said", "The scheme was deleted.");
        } catch (IllegalArgumentException e) {
            flash.addFlashAttribute("said", e.getMessage());
        }
        return back(visit.athleteId(), kind(athlete, form));
    }

    @GetMapping("/own.json")
    ResponseEntity<byte[]> export(Visit visit) {
        athletes.require(visit);
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_JSON)
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename("pemblar-zones.json")
                                .build()
                                .toString())
                .body(schemes.export(visit.viewer()).getBytes(StandardCharsets.UTF_8));
    }

    @PostMapping("/import")
    String takeIn(
            Visit visit,
            @RequestParam MultipartFile file,
            @RequestParam Map<String, String> form,
            RedirectAttributes flash)
            throws IOException {
        Athlete athlete = athletes.require(visit);
        String name = Optional.ofNullable(file.getOriginalFilename())
                .filter(n -> !n.isBlank())
                .orElse("the file");
        if (file.getSize() > ZoneSchemeJson.MOST_BYTES)
            flash.addFlashAttribute(
                    "said",
                    name + " is too large for a file of zones: at most " + ZoneSchemeJson.MOST_BYTES / 1000 + " kB.");
        else
            flash.addFlashAttribute(
                    "said",
                    schemes.importFrom(visit.viewer(), name, new String(file.getBytes(), StandardCharsets.UTF_8)));
        return back(visit.athleteId(), kind(athlete, form));
    }

    private static String back(long athleteId, ZoneView.Kind kind) {
        return "redirect:/a/" + athleteId + "/thresholds/zones?" + kind.address();
    }
}
