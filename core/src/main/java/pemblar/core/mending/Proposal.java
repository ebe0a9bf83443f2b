package pemblar.core.mending;

import java.util.Arrays;
import java.util.List;
import pemblar.core.recording.Channel;
import pemblar.core.recording.Recording;

/**
 * Something in a recording that is probably not true, and the edit that mends it. Never applied by itself.
 *
 * @param seconds how many seconds it concerns
 * @param value what stands there: the highest power, W; the heart rate, bpm; NaN where there is no one value
 */
public record Proposal(Kind kind, Edit edit, int seconds, double value) {
    /** The same on a grid whose start lies some seconds earlier; an end that is cut off keeps all before it. */
    public Proposal shifted(int by) {
        return by == 0 ? this : new Proposal(kind, moved(by), seconds, value);
    }

    private Edit moved(int by) {
        if (edit instanceof Edit.Hide hide) return new Edit.Hide(hide.channel(), hide.from() + by, hide.to() + by);
        if (edit instanceof Edit.Bridge bridge)
            return new Edit.Bridge(bridge.channel(), bridge.from() + by, bridge.to() + by);
        return new Edit.Trim(edit.from(), edit.to() + by);
    }

    /** What a person keeps who says that it is right. */
    public Edit.Keep keep() {
        if (edit instanceof Edit.Trim trim) return new Edit.Keep("", trim.to(), trim.to() + seconds);
        return new Edit.Keep(channel(), edit.from(), edit.to());
    }

    /** False where it is beyond every person, who then cannot say that it is right. */
    public boolean canBeRight() {
        return switch (kind) {
            case POWER_TOO_LONG -> false;
            case SPIKE -> !Recording.isImpossible(Channel.POWER, value);
            case HEART_RATE_TOO_HIGH -> !Recording.isImpossible(Channel.HEART_RATE, value);
            default -> true;
        };
    }

    /** True when a person has said of all it concerns that it is right. @param kept on the same grid */
    public boolean isKept(List<Edit.Keep> kept) {
        Edit.Keep mine = keep();
        return kept.stream()
                .anyMatch(k -> k.channel().equals(mine.channel()) && k.from() <= mine.from() && k.to() >= mine.to());
    }

    private String channel() {
        return switch (kind) {
            case SPIKE, POWER_TOO_LONG -> Channel.POWER.key();
            case LEFT_RUNNING -> "";
            default -> Channel.HEART_RATE.key();
        };
    }

    /** What is wrong, in the words that are kept of it. */
    public enum Kind {
        SPIKE("power that nobody has", true),
        POWER_TOO_LONG("power that nobody holds for so long", true),
        STUCK_HEART_RATE("a heart rate that stands still", false),
        HEART_RATE_TOO_HIGH("a heart rate over the maximum", false),
        HEART_RATE_IS_CADENCE("a heart rate that is the cadence", false),
        LEFT_RUNNING("a device left running", true);

        private final String words;
        private final boolean ofEfforts;

        Kind(String words, boolean ofEfforts) {
            this.words = words;
            this.ofEfforts = ofEfforts;
        }

        public String words() {
            return words;
        }

        /** Whether words that were kept say that power or speed is in doubt, and not the heart rate alone. */
        public static boolean isOfEfforts(String kept) {
            return Arrays.stream(values()).anyMatch(kind -> kind.ofEfforts && kept.contains(kind.words));
        }
    }
}
