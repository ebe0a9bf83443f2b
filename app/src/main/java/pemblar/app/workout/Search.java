package pemblar.app.workout;

import java.util.Locale;

/**
 * What is looked for in the library; what is null or empty does not matter.
 *
 * @param q words in title, folder, tags or steps
 * @param sport ride or run; any for all there are; empty for those that are trained here
 * @param whose own, coach, shipped, or archived, which is shown only when asked for
 * @param from shortest, {@code to} longest time in minutes
 * @param load highest load
 * @param trains a duration of the power profile, s
 */
public record Search(
        String q, String sport, String whose, String tag, Integer from, Integer to, Integer load, Integer trains) {
    private static final String ANY = "any";

    /** Else only workouts of the sports that are trained here are looked through. */
    boolean namesASport() {
        return !isEmpty(sport);
    }

    boolean finds(Shelf shelf) {
        Shelved kept = shelf.kept();
        return kept.archived() == "archived".equals(whose)
                && whoseFits(kept)
                && (isEmpty(sport)
                        || sport.equals(ANY)
                        || kept.workout().sport().key().equals(sport))
                && (isEmpty(tag) || kept.tags().contains(tag))
                && (from == null || shelf.seconds() != null && shelf.seconds() >= from * 60)
                && (to == null || shelf.seconds() != null && shelf.seconds() <= to * 60)
                && (load == null || shelf.load() != null && shelf.load() <= load)
                && (trains == null || shelf.trains().contains(trains))
                && wordsFit(kept);
    }

    private boolean whoseFits(Shelved kept) {
        return isEmpty(whose)
                || whose.equals("archived")
                || kept.origin().name().toLowerCase(Locale.ROOT).equals(whose);
    }

    private boolean wordsFit(Shelved kept) {
        if (isEmpty(q)) return true;
        String text = (kept.title() + " " + kept.folder() + " " + String.join(" ", kept.tags()) + " "
                        + pemblar.core.workout.ShorthandText.of(kept.workout()))
                .toLowerCase(Locale.ROOT);
        for (String word : q.toLowerCase(Locale.ROOT).strip().split("\\s+")) if (!text.contains(word)) return false;
        return true;
    }

    private static boolean isEmpty(String text) {
        return text == null || text.isBlank();
    }

    public boolean isNothing() {
        return isEmpty(q)
                && isEmpty(sport)
                && isEmpty(whose)
                && isEmpty(tag)
                && from == null
                && to == null
                && load == null
                && trains == null;
    }
}
