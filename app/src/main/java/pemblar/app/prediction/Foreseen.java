package pemblar.app.prediction;

import java.time.LocalDate;
import java.util.List;
import pemblar.app.frame.page.Shown;
import pemblar.app.planner.Likely;
import pemblar.app.season.SeasonEvent;

/**
 * An event with what was predicted for it, week by week, and what came.
 *
 * @param day of the event, or of the stage
 * @param part one of several stages or sports, predicted as if it stood alone
 * @param made in order of day; for one that is over none on its day or after it
 * @param came seconds or watts, null while it is ahead or when no recording of its day tells
 */
public record Foreseen(SeasonEvent event, LocalDate day, Course course, boolean part, List<Made> made, Double came) {
    /** One prediction. Seconds for a distance, watts for a time. */
    public record Made(LocalDate day, double value, double low, double high) {}

    public Foreseen {
        made = List.copyOf(made);
    }

    public Made latest() {
        return made.isEmpty() ? null : made.get(made.size() - 1);
    }

    public Made first() {
        return made.isEmpty() ? null : made.get(0);
    }

    /** Whether the range of the last day before it held the result; null when one of the two is missing. */
    public Boolean held() {
        Made last = latest();
        return last == null || came == null ? null : (Boolean) (came >= last.low() && came <= last.high());
    }

    /** A result as it is read: a time, or watts. */
    public String words(double value) {
        return course.isDistance() ? Shown.clock(value) : Math.round(value) + " W";
    }

    /** The latest prediction in words, as “3:05:32, 2:57:33 to 3:14:16”, with its day; there must be one. */
    Likely.Said likely() {
        Made last = latest();
        return new Likely.Said(
                words(last.value()) + ", " + words(last.low()) + " to " + words(last.high()), last.day());
    }
}
