package pemblar.app.recording;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.athlete.Athlete;
import pemblar.app.recording.bytes.RecordingBytes;
import pemblar.app.recording.bytes.SummaryJson;
import pemblar.app.recording.mend.Corrections;
import pemblar.app.recording.mend.MendedRecordings;
import pemblar.core.recording.Recording;
import pemblar.core.sport.Sport;
import pemblar.core.workout.SpeedOfPower;

/** Reads recordings: one whole with its channels, its original, and what several tell from their summaries. */
@Service
public class RecordingReading {
    private static final LocalDate FIRST = LocalDate.of(1900, 1, 1);
    private static final LocalDate LAST = LocalDate.of(9999, 1, 1);
    private final RecordingRepository recordings;
    private final RecordingBytes bytes;
    private final MendedRecordings mended;

    RecordingReading(RecordingRepository recordings, RecordingBytes bytes, MendedRecordings mended) {
        this.bytes = bytes;
        this.recordings = recordings;
        this.mended = mended;
    }

    /**
     * A recording as it counts, with what is stored beside its channels.
     *
     * @param trimmed seconds that were cut off the start of the original
     * @param bests best means by seconds
     */
    public record Whole(
            Recording recording,
            int trimmed,
            int originalSeconds,
            List<Corrections.Made> corrections,
            RecordingFacts facts,
            TreeMap<Integer, Double> bests) {}

    /** For a caller who may see it. */
    @Transactional(readOnly = true)
    public Whole whole(long recordingId) {
        MendedRecordings.Both both = mended.both(recordingId);
        return new Whole(
                both.mended(),
                both.trimmed(),
                both.original().seconds(),
                both.made(),
                RecordingFacts.of(recordings.findById(recordingId).orElseThrow()),
                SummaryJson.bests(bytes.bests(recordingId)));
    }

    /** As it counts, with its corrections; for a caller who may see it. */
    @Transactional(readOnly = true)
    public Recording mended(long recordingId) {
        return mended.read(recordingId);
    }

    /** The file as it came; for a caller who may see it. */
    @Transactional(readOnly = true)
    public byte[] original(long recordingId) {
        return bytes.original(recordingId);
    }

    /** A file that was taken in. */
    public record File(long recordingId, LocalDate day, String name) {}

    /** All of an athlete whom the caller has already asked for, in order of their days. */
    @Transactional(readOnly = true)
    public List<File> files(Athlete athlete) {
        return recordings.within(athlete.id(), FIRST, LAST).stream()
                .map(r -> new File(r.id, r.day, r.fileName))
                .toList();
    }

    /** Another recording of the same time, that could lend a channel. */
    public record Other(long recordingId, String fileName, Set<String> channels) {}

    /** The first few of an athlete whom the caller has already asked for. */
    @Transactional(readOnly = true)
    public List<Other> atTheSameTime(Athlete athlete, RecordingFacts facts) {
        Instant end = facts.startedAt().plusMillis(Math.round(1000 * facts.elapsedSeconds()));
        return recordings.atTheSameTime(athlete.id(), facts.recordingId(), facts.startedAt(), end).stream()
                .map(r ->
                        new Other(r.id, r.fileName, mended.read(r.id).channels().keySet()))
                .toList();
    }

    /** How fast the athlete rides at a power, from the rides since a day; empty when they do not tell. */
    @Transactional(readOnly = true)
    public Optional<SpeedOfPower> speedOfPower(Athlete athlete, LocalDate from) {
        return SpeedOfPower.of(recordings.rides(athlete.id(), Sport.RIDE, from));
    }

    /** Rides that tell how fast the athlete is at a power, from a day on. */
    @Transactional(readOnly = true)
    public List<DayRide> rides(Athlete athlete, Sport sport, LocalDate from) {
        return recordings.dayRides(athlete.id(), sport, from);
    }

    /** Recordings of a sport: all, those without a heart rate, and of the others those without output. */
    public record Counted(int recordings, int withoutHeartRate, int withoutOutput) {
        /** As the database counts: sums of no rows are null. */
        Counted(Long all, Long withoutHeartRate, Long withoutOutput) {
            this(plain(all), plain(withoutHeartRate), plain(withoutOutput));
        }

        private static int plain(Long count) {
            return count == null ? 0 : count.intValue();
        }
    }

    /** From a day on; for an athlete whom the caller has already asked for. */
    @Transactional(readOnly = true)
    public Counted counted(Athlete athlete, Sport sport, LocalDate from) {
        return recordings.counted(athlete.id(), sport, from, sport.onWheels());
    }
}
