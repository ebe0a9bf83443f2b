package pemblar.app.checkin;

import java.util.Arrays;
import java.util.EnumSet;
import java.util.Set;
import java.util.stream.Collectors;
import pemblar.core.checkin.Measure;

/**
 * Which fields of the check-in an athlete wants to be asked, and when to be reminded.
 *
 * @param remindMinute local minute of the day; null for no reminder
 */
public record Asked(Set<Field> fields, Integer remindMinute) {
    static final Asked ALL = new Asked(EnumSet.allOf(Field.class), null);

    /** What can be asked; illness, injury and a sentence can always be said. */
    public enum Field {
        RESTING_HEART_RATE("resting heart rate"),
        VARIABILITY("variability"),
        SLEEP("sleep"),
        SORENESS("legs"),
        MOOD("mood"),
        STRESS("stress"),
        ENERGY("energy"),
        BODY_MASS("body mass");

        private final String words;

        Field(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    public Asked {
        fields = Set.copyOf(fields);
        if (remindMinute != null && (remindMinute < 0 || remindMinute > 1439))
            throw new IllegalArgumentException("Reminder: enter a time from 00:00 to 23:59.");
    }

    public boolean asks(Field field) {
        return fields.contains(field);
    }

    boolean asks(Measure measure) {
        return asks(Field.valueOf(measure.name()));
    }

    boolean asks(CheckinForm.Scale scale) {
        return asks(Field.valueOf(scale.name()));
    }

    /** As they are stored; what an earlier version knew and this does not is let go. */
    static Set<Field> read(String stored) {
        return Arrays.stream(Field.values())
                .filter(f -> Arrays.asList(stored.split(",")).contains(f.name()))
                .collect(Collectors.toCollection(() -> EnumSet.noneOf(Field.class)));
    }

    String stored() {
        return fields.stream().map(Enum::name).sorted().collect(Collectors.joining(","));
    }
}
