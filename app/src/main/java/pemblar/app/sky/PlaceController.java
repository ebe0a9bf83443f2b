package pemblar.app.sky;

import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import pemblar.app.frame.Visit;
import pemblar.app.frame.page.Typed;

/** Where somebody trains. */
@Controller
class PlaceController {
    private final SkyService sky;

    PlaceController(SkyService sky) {
        this.sky = sky;
    }

    record PlaceForm(
            @RequestParam(defaultValue = "") String name,
            @RequestParam(defaultValue = "") String latitude,
            @RequestParam(defaultValue = "") String longitude) {}

    @PostMapping("/a/{athleteId}/place")
    String place(Visit visit, PlaceForm form, RedirectAttributes flash) {
        try {
            if (form.name().isBlank()
                    && form.latitude().isBlank()
                    && form.longitude().isBlank()) {
                sky.forget(visit);
                flash.addFlashAttribute("good", "No place is kept, and no weather is shown.");
            } else {
                Place place = new Place(
                        form.name().strip(),
                        degrees("Latitude", form.latitude(), 90),
                        degrees("Longitude", form.longitude(), 180));
                sky.train(visit, place);
                flash.addFlashAttribute("good", "The sky is now that over " + place.name() + ".");
            }
        } catch (IllegalArgumentException e) {
            flash.addFlashAttribute("said", e.getMessage());
        }
        return "redirect:/a/" + visit.athleteId() + "/today";
    }

    private static double degrees(String field, String typed, double most) {
        return Typed.number(field, typed.replace('−', '-'), -most, most);
    }
}
