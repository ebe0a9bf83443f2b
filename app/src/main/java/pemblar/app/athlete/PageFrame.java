package pemblar.app.athlete;

import java.time.LocalDate;
import org.springframework.ui.Model;
import pemblar.app.frame.Viewer;

/** What stands around every page of an athlete; an area that knows the season draws it. */
public interface PageFrame {
    /**
     * Gives the model what the frame shows.
     *
     * @param from first of the days that the page shows, which are bracketed; {@code to} the last of them
     */
    void draw(Model model, Athlete athlete, Viewer viewer, LocalDate from, LocalDate to);
}
