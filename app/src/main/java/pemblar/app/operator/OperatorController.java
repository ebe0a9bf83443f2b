package pemblar.app.operator;

import java.time.InstantSource;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import pemblar.app.frame.Viewer;
import pemblar.app.replica.Elsewhere;
import pemblar.app.replica.Replica;
import pemblar.app.seal.Seal;

/** What whoever runs this Pemblar looks after. */
@Controller
@RequestMapping("/operator")
class OperatorController {
    private final Operator operator;
    private final JobFailures jobs;
    private final Sizes sizes;
    private final WhereRecordingsLie recordings;
    private final Seal seal;
    private final InstantSource clock;
    private final ObjectProvider<Replica> copy;

    OperatorController(
            Operator operator,
            JobFailures jobs,
            Sizes sizes,
            WhereRecordingsLie recordings,
            Seal seal,
            InstantSource clock,
            ObjectProvider<Replica> copy) {
        this.copy = copy;
        this.recordings = recordings;
        this.seal = seal;
        this.operator = operator;
        this.jobs = jobs;
        this.sizes = sizes;
        this.clock = clock;
    }

    @GetMapping
    String show(Viewer viewer, @AuthenticationPrincipal(expression = "username") String address, Model model) {
        operator.require(address);
        model.addAttribute("viewer", viewer);
        model.addAttribute("jobs", jobs.failing());
        model.addAttribute("whole", Elsewhere.atMain(sizes::wholeMegabytes));
        model.addAttribute("tables", Elsewhere.atMain(sizes::largest)); // a copy counts no rows
        model.addAttribute("sealed", seal.key().isPresent());
        model.addAttribute("lying", Elsewhere.atMain(recordings::lying).orElse(null));
        copy.ifAvailable(c -> model.addAttribute("copy", c.figures()));
        return "operator/operator";
    }

    @PostMapping("/jobs/again")
    String again(
            @RequestParam(defaultValue = "") String task,
            @RequestParam(defaultValue = "") String instance,
            @AuthenticationPrincipal(expression = "username") String address,
            RedirectAttributes flash) {
        operator.require(address);
        if (jobs.again(task, instance, clock.instant()))
            flash.addFlashAttribute("good", task + " is tried again now; look again in a moment.");
        else flash.addFlashAttribute("said", "That job runs already, or is gone.");
        return "redirect:/operator";
    }
}
