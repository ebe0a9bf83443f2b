package pemblar.formats;

import java.util.List;
import java.util.Optional;
import pemblar.core.recording.Recording;

/**
 * What a file held, and all that was wrong in it. Without a recording the problems say why.
 *
 * @param name what the file calls it, on one line, of at most {@link #LONGEST_NAME} characters; empty when it does not
 */
public record Reading(Optional<Recording> recording, String name, List<Problem> problems) {
    public static final int LONGEST_NAME = 80;

    /**
     * @param place where in the file, such as "byte 812" or "line 40"
     * @param text what was found and what was done about it
     * @param damage true when the file breaks its own format; false for a remark on a sound file
     */
    public record Problem(String place, String text, boolean damage) {
        /** A field that cannot be read: what stood there, and what is accepted. */
        public static Problem expected(String place, String field, String found, String accepted) {
            return new Problem(place, field + " is " + found + "; accepted is " + accepted, true);
        }

        @Override
        public String toString() {
            return place.isEmpty() ? text : place + ": " + text;
        }
    }

    public Reading {
        problems = List.copyOf(problems);
        name = name.replaceAll("[\\p{C}\\s]+", " ").strip();
        if (name.codePointCount(0, name.length()) > LONGEST_NAME)
            name = name.substring(0, name.offsetByCodePoints(0, LONGEST_NAME)).strip();
    }

    public Reading(Optional<Recording> recording, List<Problem> problems) {
        this(recording, "", problems);
    }

    public static Reading refused(String place, String text) {
        return new Reading(Optional.empty(), List.of(new Problem(place, text, true)));
    }

    public boolean isDamaged() {
        return problems.stream().anyMatch(Problem::damage);
    }
}
