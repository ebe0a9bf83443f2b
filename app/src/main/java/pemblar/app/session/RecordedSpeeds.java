package pemblar.app.session;

import java.time.InstantSource;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.springframework.stereotype.Component;
import pemblar.app.athlete.Athlete;
import pemblar.app.threshold.PowerSpeeds;
import pemblar.core.sport.Sport;
import pemblar.core.workout.SpeedOfPower;
import pemblar.core.zone.OwnSpeeds;

/** Speed at a power from the recordings of the last half year. */
@Component
class RecordedSpeeds implements PowerSpeeds {
    private static final int RECENT_DAYS = 180;
    private final RecordingRepository recordings;
    private final InstantSource clock;

    RecordedSpeeds(RecordingRepository recordings, InstantSource clock) {
        this.recordings = recordings;
        this.clock = clock;
    }

    @Override
    public OwnSpeeds of(Athlete athlete) {
        Map<Sport, Optional<SpeedOfPower>> known = new EnumMap<>(Sport.class);
        return (sport, watts) -> known.computeIfAbsent(sport, s -> look(athlete, s))
                .map(line -> OptionalDouble.of(line.at(watts)))
                .orElse(OptionalDouble.empty());
    }

    private Optional<SpeedOfPower> look(Athlete athlete, Sport sport) {
        return SpeedOfPower.of(
                recordings.rides(
                        athlete.id(), sport, athlete.dayOf(clock.instant()).minusDays(RECENT_DAYS)),
                sport);
    }
}
