package pemblar.core.strength;

import java.util.Locale;

/** How the body moves in an exercise; volume and hard sets are counted by it. */
public enum Movement {
    SQUAT(true),
    HINGE(true),
    LUNGE(true),
    PUSH(false),
    PULL(false),
    CARRY(false),
    TRUNK(false),
    CALF(true),
    HIP(true),
    SHOULDER(false),
    ARM(false),
    JUMP(true);

    private final boolean legs;

    Movement(boolean legs) {
        this.legs = legs;
    }

    /** True where the legs carry the work, so that it is kept away from hard sessions. */
    public boolean legs() {
        return legs;
    }

    public String word() {
        return name().toLowerCase(Locale.ROOT);
    }

    /** @throws IllegalArgumentException when the word names no movement */
    public static Movement of(String word) {
        for (Movement movement : values()) if (movement.word().equals(word)) return movement;
        throw new IllegalArgumentException("there is no movement called '" + word + "'");
    }
}
