package pemblar.app.account;

import jakarta.servlet.http.HttpServletRequest;
import java.time.InstantSource;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.Stream;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import pemblar.app.account.second.SecondFactorService;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.AthleteService;
import pemblar.app.frame.Hidden;
import pemblar.app.frame.NotFoundException;
import pemblar.app.frame.Viewer;
import pemblar.app.frame.Visit;
import pemblar.app.frame.door.Limits;
import pemblar.app.frame.page.Shown;
import pemblar.app.frame.page.Units;

/** One's own account: password, address, where one is signed in; and the way back for who forgot the password. */
@Controller
class DoorController {
    private final DoorService door;
    private final SignIns signIns;
    private final AthleteService athletes;
    private final Limits limits;
    private final LeavingService leaving;
    private final InstantSource clock;
    private final SecondFactorService second;

    DoorController(
            DoorService door,
            SignIns signIns,
            AthleteService athletes,
            Limits limits,
            LeavingService leaving,
            InstantSource clock,
            SecondFactorService second) {
        this.second = second;
        this.leaving = leaving;
        this.clock = clock;
        this.athletes = athletes;
        this.door = door;
        this.signIns = signIns;
        this.limits = limits;
    }

    private static String here(HttpServletRequest request) {
        return request.getSession().getId();
    }

    @GetMapping("/account")
    String account(Viewer viewer, HttpServletRequest request, Model model) {
        String address = door.address(viewer);
        model.addAttribute("viewer", viewer);
        model.addAttribute("ownAthlete", athletes.own(viewer).orElse(null));
        model.addAttribute("address", address);
        model.addAttribute("ends", leaving.ends(viewer).orElse(null));
        model.addAttribute("second", second.state(viewer));
        model.addAttribute("signIns", signIns.of(address, here(request)));
        units(model);
        athletes.own(viewer).ifPresent(id -> zones(athletes.require(new Visit(id, viewer)), model));
        return "account/account";
    }

    private static void units(Model model) {
        Units units = Units.mine();
        model.addAttribute("lengths", choices(Units.Length.values(), Units.Length::words));
        model.addAttribute("masses", choices(Units.Mass.values(), Units.Mass::words));
        model.addAttribute("temperatures", choices(Units.Temperature.values(), Units.Temperature::words));
        model.addAttribute("decimals", choices(Units.Decimal.values(), Units.Decimal::words));
        model.addAttribute("weekStarts", choices(PreferenceController.WEEK_STARTS, Shown::titled));
        model.addAttribute("themes", choices(Units.Theme.values(), Units.Theme::words));
        model.addAttribute(
                "chosen",
                Stream.of(
                                units.length(),
                                units.mass(),
                                units.temperature(),
                                units.decimal(),
                                units.weekStart(),
                                units.theme())
                        .map(Enum::name)
                        .toList());
    }

    /** One of a list to choose from. */
    public record Choice(String value, String words) {}

    private static <E extends Enum<E>> List<Choice> choices(E[] all, Function<E, String> words) {
        return Arrays.stream(all)
                .map(one -> new Choice(one.name(), words.apply(one)))
                .toList();
    }

    private void zones(Athlete athlete, Model model) {
        LocalDate today = athlete.dayOf(clock.instant());
        model.addAttribute("zones", AthleteService.ZONES);
        model.addAttribute("zone", athlete.zones().on(today).getId());
        model.addAttribute("since", athlete.zones().since());
        model.addAttribute("today", today);
    }

    record PasswordForm(
            @RequestParam(defaultValue = "") Hidden present,
            @RequestParam(defaultValue = "") Hidden wanted) {}

    @PostMapping("/account/password")
    String password(PasswordForm form, Viewer viewer, HttpServletRequest request, RedirectAttributes flash) {
        return said(flash, () -> {
            limits.takePassword(viewer, request.getRemoteAddr());
            int ended = door.changePassword(
                    viewer, form.present().word(), form.wanted().word(), here(request));
            return "The password is changed"
                    + (ended == 0
                            ? "."
                            : ", and " + ended + (ended == 1 ? " other sign-in" : " other sign-ins") + " ended.");
        });
    }

    record AddressForm(
            @RequestParam(defaultValue = "") Hidden present,
            @RequestParam(defaultValue = "") String email) {}

    @PostMapping("/account/address")
    String address(AddressForm form, Viewer viewer, HttpServletRequest request, RedirectAttributes flash) {
        return said(flash, () -> {
            limits.takePassword(viewer, request.getRemoteAddr());
            door.askForAddress(viewer, form.present().word(), form.email());
            return "A mail went to " + form.email().strip()
                    + ". The address holds once its link is opened, within an hour.";
        });
    }

    /** The link of the mail; who opens it is asked once more, so that no look ahead of a mail program uses it up. */
    @GetMapping("/account/address/{token}")
    String confirm(@PathVariable String token, Model model) {
        model.addAttribute("token", token);
        return "account/confirm";
    }

    @PostMapping("/account/address/{token}")
    String confirmed(@PathVariable String token, Viewer viewer, HttpServletRequest request, RedirectAttributes flash)
            throws jakarta.servlet.ServletException {
        try {
            door.confirmAddress(viewer, token);
        } catch (IllegalArgumentException e) {
            flash.addFlashAttribute("said", e.getMessage());
            return "redirect:/account";
        } catch (NotFoundException e) {
            flash.addFlashAttribute("said", "This link has been used, is over an hour old, or is not yours.");
            return "redirect:/account";
        }
        request.logout();
        return "redirect:/sign-in?address";
    }

    /** One that is over already is as the person wants it. */
    @PostMapping("/account/sign-ins/end-one")
    String endOne(@RequestParam String which, Viewer viewer, RedirectAttributes flash) {
        boolean ended = signIns.endOne(door.address(viewer), which);
        return said(flash, () -> ended ? "That sign-in is ended." : "That sign-in was over already.");
    }

    @PostMapping("/account/sign-ins/end")
    String end(Viewer viewer, HttpServletRequest request, RedirectAttributes flash) {
        int ended = signIns.end(door.address(viewer), here(request));
        return said(flash, () -> ended == 0 ? "You are signed in nowhere else." : "Ended elsewhere: " + ended + ".");
    }

    @GetMapping("/forgot")
    String forgot() {
        return "account/forgot";
    }

    /** Says the same whether there is such an account or not. */
    @PostMapping("/forgot")
    String forgot(@RequestParam(defaultValue = "") String email, HttpServletRequest request, Model model) {
        if (!limits.allowReset(email, request.getRemoteAddr()))
            model.addAttribute("said", "Too many tries. Wait a few minutes, then try again.");
        else {
            door.forgot(email);
            model.addAttribute(
                    "good", "If there is an account with this address, a mail with a link is on its way to it.");
        }
        model.addAttribute("email", email);
        return "account/forgot";
    }

    @GetMapping("/reset/{token}")
    String reset(@PathVariable String token, Model model) {
        model.addAttribute("token", token);
        model.addAttribute("possible", door.canReset(token));
        return "account/reset";
    }

    @PostMapping("/reset/{token}")
    String reset(@PathVariable String token, @RequestParam(defaultValue = "") String wanted, RedirectAttributes flash) {
        try {
            door.reset(token, wanted);
        } catch (IllegalArgumentException e) {
            flash.addFlashAttribute("said", e.getMessage());
            return "redirect:/reset/" + java.net.URLEncoder.encode(token, java.nio.charset.StandardCharsets.UTF_8);
        } catch (NotFoundException e) {
            return "redirect:/forgot?old";
        }
        return "redirect:/sign-in?changed";
    }

    private static String said(RedirectAttributes flash, Supplier<String> change) {
        try {
            flash.addFlashAttribute("good", change.get());
        } catch (IllegalArgumentException e) {
            flash.addFlashAttribute("said", e.getMessage());
        }
        return "redirect:/account";
    }
}
