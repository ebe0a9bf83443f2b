package pemblar.app.program;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.time.LocalDate;
import pemblar.app.checkin.Checkin;

/** One morning; what is left out is not said. Scales are 1 to 5. */
@JsonInclude(JsonInclude.Include.NON_EMPTY)
record MorningJson(
        LocalDate day,
        Double restingHeartRateBpm,
        Double rmssdMilliseconds,
        Double sleepMinutes,
        Integer soreness,
        Integer mood,
        Integer stress,
        Integer energy,
        Double bodyMassKilograms,
        String illness,
        String injury,
        String note) {
    static MorningJson of(Checkin c) {
        return new MorningJson(
                c.day(),
                c.restingHeartRate(),
                c.rmssd(),
                c.sleepMinutes(),
                c.soreness(),
                c.mood(),
                c.stress(),
                c.energy(),
                c.bodyMass(),
                c.illness(),
                c.injury(),
                c.note());
    }

    /** The day of the address is the one that counts. @throws IllegalArgumentException naming the field */
    Checkin on(LocalDate counting) {
        if (day != null && !day.equals(counting))
            throw new IllegalArgumentException("day: is another than that of the address; leave it out.");
        return new Checkin(
                counting,
                Ranges.within("restingHeartRateBpm", restingHeartRateBpm, 25, 150),
                Ranges.within("rmssdMilliseconds", rmssdMilliseconds, 1, 300),
                Ranges.within("sleepMinutes", sleepMinutes, 0, 1440),
                Ranges.scale("soreness", soreness),
                Ranges.scale("mood", mood),
                Ranges.scale("stress", stress),
                Ranges.scale("energy", energy),
                Ranges.within("bodyMassKilograms", bodyMassKilograms, 25, 250),
                Ranges.word("illness", illness, 60),
                Ranges.word("injury", injury, 60),
                Ranges.word("note", note, 500));
    }
}
