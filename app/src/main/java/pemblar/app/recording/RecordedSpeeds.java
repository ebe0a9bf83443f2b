package pemblar.app.recording;

import java.time.InstantSource;
import java.time.LocalDate;
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
        return new Own(recordings, athlete.id(), athlete.dayOf(clock.instant()));
    }

    /** Those of one athlete and day are equal, so that what rests on them can be kept for that day. */
    private static final class Own implements OwnSpeeds {
        private final RecordingRepository recordings;
        private final long athleteId;
        private final LocalDate day;
        private final Map<Sport, Optional<SpeedOfPower>> known = new EnumMap<>(Sport.class);

        Own(RecordingRepository recordings, long athleteId, LocalDate day) {
            this.recordings = recordings;
            this.athleteId = athleteId;
            this.day = day;
        }

        @Override
        public OptionalDouble at(Sport sport, double watts) {
            Optional<SpeedOfPower> line;
            synchronized (known) {
                line = known.computeIfAbsent(sport, this::look);
            }
            return line.map(l -> OptionalDouble.of(l.at(watts))).orElse(OptionalDouble.empty());
        }

        private Optional<SpeedOfPower> look(Sport sport) {
            return SpeedOfPower.of(recordings.rides(athleteId, sport, day.minusDays(RECENT_DAYS)), sport);
        }

        @Override
        public boolean equals(Object other) {
            return other instanceof Own own && own.athleteId == athleteId && own.day.equals(day);
        }

        @Override
        public int hashCode() {
            return Long.hashCode(athleteId) * 31 + day.hashCode();
        }
    }
}
