package pemblar.app.checkin;

import java.time.LocalDate;

/** One morning; null is not said, and words are empty. Scales are 1 to 5. */
public record Checkin(
        LocalDate day,
        Double restingHeartRate,
        Double rmssd,
        Double sleepMinutes,
        Integer soreness,
        Integer mood,
        Integer stress,
        Integer energy,
        Double bodyMass,
        String illness,
        String injury,
        String note) {
    public static Checkin none(LocalDate day) {
        return new Checkin(day, null, null, null, null, null, null, null, null, "", "", "");
    }

    boolean isEmpty() {
        return equals(none(day));
    }

    /** What this one says, and where it says nothing what the other does. */
    Checkin over(Checkin other) {
        return new Checkin(
                day,
                first(restingHeartRate, other.restingHeartRate),
                first(rmssd, other.rmssd),
                first(sleepMinutes, other.sleepMinutes),
                first(soreness, other.soreness),
                first(mood, other.mood),
                first(stress, other.stress),
                first(energy, other.energy),
                first(bodyMass, other.bodyMass),
                word(illness, other.illness),
                word(injury, other.injury),
                word(note, other.note));
    }

    private static <T> T first(T own, T other) {
        return own == null ? other : own;
    }

    private static String word(String own, String other) {
        return own.isEmpty() ? other : own;
    }
}
