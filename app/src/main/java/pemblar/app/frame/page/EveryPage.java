package pemblar.app.frame.page;

import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;

/** What every template may use. */
@ControllerAdvice
class EveryPage {
    private final Shown shown;

    EveryPage(Shown shown) {
        this.shown = shown;
    }

    @ModelAttribute("shown")
    Shown shown() {
        return shown;
    }
}
