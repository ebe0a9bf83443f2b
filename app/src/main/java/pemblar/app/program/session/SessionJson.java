package pemblar.app.program.session;

import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.annotation.JsonRawValue;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Locale;
import java.util.Optional;
import pemblar.app.session.Slab;
import pemblar.core.design.Design;
import pemblar.core.strength.StrengthWorkout;
import pemblar.core.workout.ShorthandText;
import pemblar.core.workout.Workout;
import pemblar.formats.json.StrengthJson;

/**
 * A session, planned, done or both; what is not known is left out.
 *
 * @param start local clock time, as 17:30
 * @param workout in shorthand, at its present scale
 * @param strength a strength session (docs/formats/strength.schema.json)
 * @param version to be sent back as If-Match with a change
 */
@JsonInclude(JsonInclude.Include.NON_NULL)
public record SessionJson(
        long id,
        LocalDate day,
        String start,
        String sport,
        String title,
        String purpose,
        Integer plannedSeconds,
        Double plannedLoadPoints,
        Integer scalePercent,
        String workout,
        @JsonRawValue @Schema(type = "object") String strength,
        Boolean draft,
        int version,
        DoneJson done) {
    /** What was done. @param source of the load that counts @param recorded whether there is a recording */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    record DoneJson(
            boolean recorded,
            Instant startedAt,
            int seconds,
            Double loadPoints,
            String source,
            Double distanceMetres,
            Double equivalentPowerWatts,
            Double meanHeartRateBpm,
            Double meanSpeedMetresPerSecond,
            Double intensity,
            Double perceivedEffort,
            String note) {
        static DoneJson of(Slab.Done d) {
            return new DoneJson(
                    d.recorded(),
                    d.recorded() ? d.startedAt() : null,
                    d.seconds(),
                    d.load(),
                    d.load() == null ? null : d.loadSource(),
                    d.metres(),
                    d.equivalentWatts(),
                    d.meanBpm(),
                    d.meanSpeed(),
                    d.intensity(),
                    d.effort(),
                    d.note() == null || d.note().isEmpty() ? null : d.note());
        }
    }

    static SessionJson of(Slab s, Optional<Design> design) {
        return new SessionJson(
                s.id(),
                s.day(),
                clock(s.startMinute()),
                s.sport().key(),
                s.title(),
                s.purpose() == null ? null : s.purpose().name().toLowerCase(Locale.ROOT),
                s.plannedSeconds(),
                s.plannedLoad(),
                s.planned() ? s.scalePercent() : null,
                design.flatMap(Design::steps).map(ShorthandText::of).orElse(null),
                design.flatMap(SessionJson::strength).orElse(null),
                s.draft() ? Boolean.TRUE : null,
                s.version(),
                s.done() == null ? null : DoneJson.of(s.done()));
    }

    private static String clock(Integer minute) {
        return minute == null ? null : String.format(Locale.ROOT, "%02d:%02d", minute / 60, minute % 60);
    }

    private static Optional<String> strength(Design design) {
        return design.answer(new Design.Cases<>() {
            @Override
            public Optional<String> endurance(Workout workout) {
                return Optional.empty();
            }

            @Override
            public Optional<String> strength(StrengthWorkout workout) {
                return Optional.of(StrengthJson.write(workout));
            }
        });
    }

    /** Minutes since midnight. @throws IllegalArgumentException for what is no clock time */
    public static Integer minute(String start) {
        if (start == null || start.isBlank()) return null;
        if (!start.matches("([01][0-9]|2[0-3]):[0-5][0-9]"))
            throw new IllegalArgumentException("start: send a clock time as 17:30.");
        return Integer.parseInt(start.substring(0, 2)) * 60 + Integer.parseInt(start.substring(3));
    }
}
