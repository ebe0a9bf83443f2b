package pemblar.app.workout;

import java.util.Locale;
import java.util.regex.Pattern;

/**
 * What is looked for in the library; what is null or empty does not matter.
 *
 * @param q words in title, folder, tags or steps, a length as it stands (4 min), a zone or what it is for
 * @param sport ride or run; any for all there are; empty for those that are trained here
 * @param whose own, coach, shipped, or archived, which is shown only when asked for
 * @param from shortest, {@code to} longest time in minutes
 * @param load highest load
 * @param trains a duration of the power profile, s
 */
public record Search(
        String q, String sport, String whose, String tag, Integer from, Integer to, Integer load, Integer trains) {
    private static final String ANY = "any";
    private static final String UNIT = "(min|s|h|m|km)";
    /** A number and its unit, typed with a blank between them or without. */
    private static final Pattern LENGTH = Pattern.compile("(\\d+(?:\\.\\d+)?)\\s*" + UNIT + "\\b");

    private static final Pattern ONE_LENGTH = Pattern.compile("\\d+(?:\\.\\d+)?" + UNIT);

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
                && wordsFit(shelf);
    }

    private boolean whoseFits(Shelved kept) {
        return isEmpty(whose)
                || whose.equals("archived")
                || kept.origin().name().toLowerCase(Locale.ROOT).equals(whose);
    }

    private boolean wordsFit(Shelf shelf) {
        if (isEmpty(q)) return true;
        Shelved kept = shelf.kept();
        String steps = pemblar.core.workout.ShorthandText.of(kept.workout()).toLowerCase(Locale.ROOT);
        String text = (kept.title() + " " + kept.folder() + " " + String.join(" ", kept.tags()) + " " + steps)
                        .toLowerCase(Locale.ROOT)
                + " " + String.join(" ", shelf.foundBy());
        String asked = LENGTH.matcher(q.toLowerCase(Locale.ROOT).strip()).replaceAll("$1$2");
        for (String word : asked.split("\\s+"))
            if (ONE_LENGTH.matcher(word).matches() ? !holds(steps, word) : !text.contains(word)) return false;
        return true;
    }

    /** A length stands there as it is: 4min is neither 24min nor 4min30s. */
    private static boolean holds(String steps, String length) {
        return Pattern.compile("(?<![\\d.:a-z])" + Pattern.quote(length) + "(?![a-z\\d])")
                .matcher(steps)
                .find();
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
