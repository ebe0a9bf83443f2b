package pemblar.core.recording;

import java.util.Optional;

/**
 * The channels that have a meaning of their own; a device's further fields are channels under the name the file gives.
 */
public enum Channel {
    POWER("power", "W"),
    HEART_RATE("heartRate", "bpm"),
    /** Revolutions per minute; when running, steps per minute. */
    CADENCE("cadence", "rpm"),
    SPEED("speed", "m/s"),
    /** Distance since the start, so it never falls. */
    DISTANCE("distance", "m"),
    ALTITUDE("altitude", "m"),
    TEMPERATURE("temperature", "°C"),
    LATITUDE("latitude", "°"),
    LONGITUDE("longitude", "°"),
    STEP_LENGTH("stepLength", "m"),
    GROUND_CONTACT_TIME("groundContactTime", "s"),
    VERTICAL_OSCILLATION("verticalOscillation", "m");

    private final String key;
    private final String unit;

    Channel(String key, String unit) {
        this.key = key;
        this.unit = unit;
    }

    public String key() {
        return key;
    }

    public String unit() {
        return unit;
    }

    public static Optional<Channel> ofKey(String key) {
        for (Channel channel : values()) if (channel.key.equals(key)) return Optional.of(channel);
        return Optional.empty();
    }

    /** True when a free name reads like this channel's, whatever its case, spaces and underscores. */
    public boolean isNamedLike(String name) {
        return name.replaceAll("[^A-Za-z0-9]", "").equalsIgnoreCase(key);
    }
}
