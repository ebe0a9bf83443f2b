package pemblar.formats.fit;

import java.time.Instant;
import pemblar.core.sport.Sport;

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
    static final int LENGTH = 101;
    static final long NO_SUB_SPORT = -1;
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
        return sport(number, NO_SUB_SPORT);
    }

    /** @param sub tells rowing machines and strength training from the rest of their sports */
    static Sport sport(long number, long sub) {
        if (number == 4 && sub == 14) return Sport.ROW;
        if (number == 10 && sub == 20) return Sport.STRENGTH;
        return switch ((int) number) {
            case 1 -> Sport.RUN;
            case 2, 21 -> Sport.RIDE;
            case 5 -> Sport.SWIM;
            case 11, 17 -> Sport.WALK;
            case 12 -> Sport.SKI;
            case 15 -> Sport.ROW;
            default -> Sport.OTHER;
        };
    }

    static int sportNumber(Sport sport) {
        return switch (sport) {
            case RUN -> 1;
            case RIDE -> 2;
            case SWIM -> 5;
            case STRENGTH -> 10;
            case WALK -> 11;
            case SKI -> 12;
            case ROW -> 15;
            case OTHER -> 0;
        };
    }

    static int subSportNumber(Sport sport) {
        return sport == Sport.STRENGTH ? 20 : 0;
    }
}
