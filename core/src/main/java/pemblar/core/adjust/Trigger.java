package pemblar.core.adjust;

import java.util.List;

/**
 * Something that happened to which the plan could answer.
 *
 * @param sessions ids of the sessions that it is about
 * @param text a sentence with its facts
 */
public record Trigger(Kind kind, List<String> sessions, String text) {
    /** In order of urgency: what the body says comes before what the calendar says. */
    public enum Kind {
        BODY("body"),
        AWAY("away"),
        LOW_BALANCE("lowBalance"),
        OVER("over"),
        EVENT("event"),
        WEATHER("weather"),
        STRENGTH("strength"),
        MISSED("missed"),
        GAP("gap"),
        CUT("cut"),
        THRESHOLD("threshold"),
        READY("ready"),
        RUNNING_OUT("runningOut");

        private final String key;

        Kind(String key) {
            this.key = key;
        }

        /** The word used in files. */
        public String key() {
            return key;
        }
    }

    public Trigger {
        sessions = List.copyOf(sessions);
    }
}
