package pemblar.app.progress.report;

import java.time.LocalDate;
import java.util.List;

/**
 * What a range of days was, on one page.
 *
 * @param load points done of points planned, {@code hours} likewise, in words
 * @param trend chronic load and balance from the first morning to the last evening, in words
 * @param kinds plan against done by purpose
 * @param key hard and long sessions, and events
 * @param body what the mornings said; empty when nothing was noted
 * @param next what is planned and which events come
 * @param words of a coach or the athlete, kept for this range; {@code by} empty when there are none
 */
public record Report(
        LocalDate from,
        LocalDate to,
        String load,
        String hours,
        String trend,
        String rest,
        List<Line> sports,
        List<Line> kinds,
        List<Key> key,
        List<String> body,
        List<Line> next,
        String words,
        String by) {
    public record Line(String name, String value) {}

    /** @param how done of planned, or that it was missed; {@code verdict} in a person's words, may be empty */
    public record Key(LocalDate day, String title, String how, String verdict) {}
}
