package pemblar.app.account;

import com.github.kagkarlsson.scheduler.task.helper.RecurringTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import com.github.kagkarlsson.scheduler.task.schedule.FixedDelay;
import jakarta.servlet.http.HttpServletRequest;
import java.time.Duration;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import pemblar.app.frame.Viewer;
import pemblar.app.frame.door.Limits;

/** Asking for the end of one's account, and keeping it after all. */
@Controller
class LeavingController {
    private final LeavingService leaving;
    private final Limits limits;

    LeavingController(LeavingService leaving, Limits limits) {
        this.leaving = leaving;
        this.limits = limits;
    }

    @PostMapping("/account/leave")
    String leave(
            @RequestParam(defaultValue = "") String present,
            Viewer viewer,
            HttpServletRequest request,
            RedirectAttributes flash) {
        try {
            limits.takePassword(viewer, request.getRemoteAddr());
            leaving.ask(viewer, present);
        } catch (IllegalArgumentException e) {
            flash.addFlashAttribute("said", e.getMessage());
        }
        return "redirect:/account#leaving";
    }

    @PostMapping("/account/keep")
    String keep(Viewer viewer, RedirectAttributes flash) {
        leaving.keep(viewer);
        flash.addFlashAttribute("good", "Your account stays as it is.");
        return "redirect:/account";
    }

    @Configuration
    static class Job {
        @Bean
        RecurringTask<Void> endAccounts(ObjectProvider<LeavingService> service) {
            return Tasks.recurring("end-accounts", FixedDelay.of(Duration.ofHours(1)))
                    .execute((instance, context) -> endAll(service.getObject()));
        }

        /** Each in a transaction of its own. */
        private static void endAll(LeavingService leaving) {
            boolean more = true;
            while (more) more = leaving.endOne();
        }
    }
}
