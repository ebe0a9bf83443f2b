package pemblar.app.others;

import java.io.IOException;
import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.Pages;
import pemblar.app.frame.NotFoundException;
import pemblar.app.frame.Viewer;
import pemblar.app.frame.Visit;
import pemblar.app.frame.WholeFiles;
import pemblar.app.frame.door.Limits;
import pemblar.app.frame.page.Shown;
import pemblar.app.frame.page.Typed;
import pemblar.app.frame.page.Units;
import pemblar.app.others.OthersService.Told;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Quantity;

/** Recordings of others: who rode or ran the event, with what is known of them, and their files. */
@Controller
@RequestMapping("/a/{athleteId}/others")
class OthersController {
    private static final int MOST_FILES = 20;
    private final Pages pages;
    private final OthersService others;
    private final Limits limits;
    private final WholeFiles whole;

    OthersController(Pages pages, OthersService others, Limits limits, WholeFiles whole) {
        this.pages = pages;
        this.others = others;
        this.limits = limits;
        this.whole = whole;
    }

    @GetMapping
    String list(Visit visit, Model model) {
        Pages.Opened page = pages.open(model, visit, "season");
        if (page.athlete().keptBy() != null) throw new NotFoundException("others");
        model.addAttribute("others", others.all(page.athlete()));
        model.addAttribute("sports", Sport.TRAINED);
        model.addAttribute("first", page.athlete().first());
        return "others/others";
    }

    record KeepForm(
            @RequestParam(defaultValue = "") String name,
            @RequestParam(defaultValue = "RIDE") Sport sport,
            @RequestParam(defaultValue = "") String mass,
            @RequestParam(defaultValue = "") String threshold,
            @RequestParam(required = false) List<MultipartFile> files) {}

    @PostMapping
    String keep(Visit visit, KeepForm form, RedirectAttributes flash) {
        Athlete athlete = pages.athlete(visit);
        if (athlete.keptBy() != null) throw new NotFoundException("others");
        try {
            Told told = new Told(
                    form.name(),
                    form.sport(),
                    form.mass().isBlank() ? null : (Double) Units.mine().kilograms("Body mass", form.mass(), 30, 200),
                    form.threshold().isBlank() ? null : (Double) threshold(form.sport(), form.threshold()));
            List<MultipartFile> chosen = chosen(visit.viewer(), form.files());
            take(visit, others.keep(visit, told), chosen);
            flash.addFlashAttribute("good", "Kept. The files are being read; what they hold stands below in a moment.");
        } catch (IllegalArgumentException e) {
            flash.addFlashAttribute("problem", e.getMessage());
            flash.addFlashAttribute("typedName", form.name());
            flash.addFlashAttribute("typedSport", form.sport());
            flash.addFlashAttribute("typedMass", form.mass());
            flash.addFlashAttribute("typedThreshold", form.threshold());
        }
        return back(visit.athleteId());
    }

    private static double threshold(Sport sport, String typed) {
        Quantity quantity = OthersService.quantity(sport);
        if (quantity.kind() != Quantity.Kind.THRESHOLD_SPEED)
            return Typed.number("Threshold, " + quantity.unit(), typed, quantity.lowest(), quantity.highest());
        double metres = Shown.unit(sport).paceMetres();
        return metres
                / Typed.seconds(
                        "Threshold pace " + Shown.unit(sport).unit(),
                        typed,
                        (int) Math.ceil(metres / quantity.highest()),
                        (int) (metres / quantity.lowest()));
    }

    /** @throws IllegalArgumentException when there are none, too many at once or too many in a minute */
    private List<MultipartFile> chosen(Viewer viewer, List<MultipartFile> files) {
        List<MultipartFile> chosen = files == null
                ? List.of()
                : files.stream().filter(f -> !f.isEmpty()).toList();
        if (chosen.isEmpty()) throw new IllegalArgumentException("Recordings: choose at least one file.");
        if (chosen.size() > MOST_FILES)
            throw new IllegalArgumentException("Recordings: at most " + MOST_FILES + " files at once.");
        if (!limits.allowUpload(viewer.accountId()))
            throw new IllegalArgumentException(
                    "That was a lot of uploads in a minute. Wait a minute and send these again.");
        return chosen;
    }

    /** One file after the other, so that no more than a few are held at a time whoever sends them. */
    private void take(Visit visit, long otherId, List<MultipartFile> files) {
        for (MultipartFile file : files)
            whole.with(() -> {
                others.add(visit, otherId, name(file), content(file));
                return otherId;
            });
    }

    private static String name(MultipartFile file) {
        return file.getOriginalFilename() == null ? "recording" : file.getOriginalFilename();
    }

    private static byte[] content(MultipartFile file) {
        try {
            return file.getBytes();
        } catch (IOException e) {
            throw new IllegalArgumentException("Recordings: " + name(file) + " did not arrive whole; send it again.");
        }
    }

    @PostMapping("/{otherId}/files")
    String add(
            Visit visit,
            @PathVariable long otherId,
            @RequestParam(required = false) List<MultipartFile> files,
            RedirectAttributes flash) {
        try {
            take(visit, otherId, chosen(visit.viewer(), files));
        } catch (IllegalArgumentException e) {
            flash.addFlashAttribute("problem", e.getMessage());
        }
        return back(visit.athleteId());
    }

    @PostMapping("/{otherId}/remove")
    String remove(Visit visit, @PathVariable long otherId, RedirectAttributes flash) {
        others.remove(visit, otherId);
        flash.addFlashAttribute("good", "Removed with their recordings. Demands taken from them stay with the event.");
        return back(visit.athleteId());
    }

    private static String back(long athleteId) {
        return "redirect:/a/" + athleteId + "/others";
    }
}
