package pemblar.app.athlete;

import java.time.LocalDate;
import org.springframework.ui.Model;
import pemblar.app.frame.Viewer;

/** What stands around every page of an athlete; an area that knows the season draws it. */
public interface PageFrame {
    /**
     * What a frame is drawn around.
     *
     * @param from first of the days that the page shows, which are bracketed; {@code to} the last of them
     */
    record Around(Athlete athlete, Viewer viewer, LocalDate from, LocalDate to) {}

    /** Gives the model what the frame shows. */
    void draw(Model model, Around around);
}
