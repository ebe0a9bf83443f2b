package pemblar.app.recording.mend;

import java.time.InstantSource;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.AthleteService;
import pemblar.app.effort.EffortService;
import pemblar.app.effort.EffortService.Aside;
import pemblar.app.effort.EffortSource;
import pemblar.app.frame.NotFoundException;
import pemblar.app.frame.Visit;
import pemblar.app.recording.Summaries;
import pemblar.core.sport.Measure;

/** Efforts that a person says do not count: the curve follows at once, and lets them count again. */
@Service
public class SetAsides {
    private static final int LONGEST_REASON = 200;
    private final MendedRecordings mended;
    private final Summaries summaries;
    private final EffortService efforts;
    private final AthleteService athletes;
    private final InstantSource clock;

    SetAsides(
            MendedRecordings mended,
            Summaries summaries,
            EffortService efforts,
            AthleteService athletes,
            InstantSource clock) {
        this.mended = mended;
        this.summaries = summaries;
        this.efforts = efforts;
        this.athletes = athletes;
        this.clock = clock;
    }

    /** The best effort of a duration in a recording. */
    public record Which(long recordingId, Measure measure, int seconds) {}

    /** Sets an effort aside. @throws IllegalArgumentException naming the field that cannot be */
    @Transactional
    public void setAside(Visit visit, Which which, String reason) {
        athletes.require(visit);
        if (reason.isBlank() || reason.length() > LONGEST_REASON)
            throw new IllegalArgumentException(
                    "Reason: say in up to " + LONGEST_REASON + " characters why it does not count, such as “spike”.");
        EffortService.Counted counted = counted(visit.athleteId(), which.recordingId());
        efforts.setAside(
                counted,
                new EffortService.Said(
                        which.measure(),
                        which.seconds(),
                        reason.strip(),
                        visit.viewer().accountId(),
                        clock.instant()));
        summaries.curves(which.recordingId(), counted);
    }

    @Transactional
    public void takeBack(Visit visit, long setAsideId) {
        athletes.require(visit);
        long id = efforts.takeBack(visit.athleteId(), setAsideId).orElseThrow(() -> new NotFoundException("stretch"));
        summaries.curves(id, counted(visit.athleteId(), id));
    }

    private EffortService.Counted counted(long athleteId, long recordingId) {
        EffortSource of = summaries.require(athleteId, recordingId);
        MendedRecordings.Both both = mended.both(recordingId);
        return new EffortService.Counted(of, both.mended().sound(), both.trimmed());
    }

    /** In seconds of the recordings as they count, the latest first; for an athlete already asked for. */
    @Transactional(readOnly = true)
    public List<Aside> all(Athlete athlete) {
        List<Aside> all = efforts.setAsides(athlete.id());
        Map<Long, Integer> trimmed =
                mended.trimmed(all.stream().map(Aside::recordingId).distinct().toList());
        return all.stream()
                .map(aside -> shifted(aside, trimmed.getOrDefault(aside.recordingId(), 0)))
                .toList();
    }

    private static Aside shifted(Aside a, int by) {
        return new Aside(a.id(), a.recordingId(), Math.max(0, a.from() - by), Math.max(1, a.to() - by), a.reason());
    }
}
