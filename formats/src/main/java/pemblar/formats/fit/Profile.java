package pemblar.formats.fit;

import java.time.Instant;
import pemblar.core.Sport;

/** Numbers of the published FIT profile that we read and write. */
final class Profile {
    /** 1989-12-31T00:00:00Z, from which the protocol counts seconds. */
    static final long EPOCH = 631_065_600L;
    static final int FILE_ID = 0;
    static final int ZONES_TARGET = 7;
    static final int HEART_RATE_ZONE = 8;
    static final int POWER_ZONE = 9;
    static final int SPORT = 12;
    static final int SESSION = 18;
    static final int LAP = 19;
    static final int RECORD = 20;
    static final int EVENT = 21;
    static final int WORKOUT = 26;
    static final int WORKOUT_STEP = 27;
    static final int ACTIVITY = 34;
    static final int SPEED_ZONE = 53;
    static final int FIELD_DESCRIPTION = 206;
    static final int DEVELOPER_DATA_ID = 207;
    static final int TYPE_SPORT = 3;
    static final int TYPE_ACTIVITY = 4;
    static final int TYPE_WORKOUT = 5;
    /** The manufacturer number set aside for development. */
    static final int MANUFACTURER_DEVELOPMENT = 255;
    static final int EVENT_TIMER = 0;
    static final double DEGREES_PER_SEMICIRCLE = 180.0 / 0x80000000L;

    private Profile() {}

    static Instant instant(long seconds) {
        return Instant.ofEpochSecond(EPOCH + seconds);
    }

    static long seconds(Instant instant) {
        return instant.getEpochSecond() - EPOCH;
    }

    static Sport sport(long number) {
        if (number == 1) return Sport.RUN;
        return number == 2 || number == 21 ? Sport.RIDE : Sport.OTHER;
    }

    static int sportNumber(Sport sport) {
        return sport == Sport.RUN ? 1 : sport == Sport.RIDE ? 2 : 0;
    }
}
