package pemblar.app.coach;

import java.util.EnumMap;
import java.util.Map;
import pemblar.core.adjust.Trigger;

/** What can put an athlete up a coach's list; a coach switches each off and on. */
public enum Topic {
    BODY("the body: mornings out of band, illness, injury, soreness"),
    MISSED("a session missed, cut, or a week with a gap"),
    LOAD("load over or under plan by 15 % in the block, or over a limit"),
    NOTE("a note that nobody answered"),
    UNSEEN("a recording that you have not looked at"),
    MEND("data to be mended"),
    EVIDENCE("evidence that a threshold is no longer true"),
    PLAN("nothing planned for the next 7 days"),
    DRAFTS("drafts that were not shared"),
    EVENT("an event within 14 days, or one that moved"),
    AWAY("days away, weather, strength beside hard days"),
    REST("no day of rest for 12 days"),
    SILENCE("nothing heard for 7 days"),
    OTHER("");

    private static final Map<Trigger.Kind, Topic> BY_TRIGGER = new EnumMap<>(Map.ofEntries(
            Map.entry(Trigger.Kind.BODY, BODY),
            Map.entry(Trigger.Kind.GAP, MISSED),
            Map.entry(Trigger.Kind.MISSED, MISSED),
            Map.entry(Trigger.Kind.CUT, MISSED),
            Map.entry(Trigger.Kind.LOW_BALANCE, LOAD),
            Map.entry(Trigger.Kind.OVER, LOAD),
            Map.entry(Trigger.Kind.AWAY, AWAY),
            Map.entry(Trigger.Kind.WEATHER, AWAY),
            Map.entry(Trigger.Kind.STRENGTH, AWAY),
            Map.entry(Trigger.Kind.EVENT, EVENT),
            Map.entry(Trigger.Kind.RUNNING_OUT, PLAN),
            Map.entry(Trigger.Kind.READY, EVIDENCE),
            Map.entry(Trigger.Kind.THRESHOLD, EVIDENCE)));

    private final String words;

    Topic(String words) {
        this.words = words;
    }

    /** What it is about, as a coach chooses it. */
    public String words() {
        return words;
    }

    static Topic of(Trigger.Kind kind) {
        return BY_TRIGGER.getOrDefault(kind, OTHER);
    }
}
