package pemblar.app.planner.demand;

import java.time.InstantSource;
import java.time.LocalDate;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.athlete.Athlete;
import pemblar.app.frame.NotFoundException;
import pemblar.app.frame.Viewer;
import pemblar.app.frame.Visit;
import pemblar.app.frame.page.Shown;
import pemblar.app.frame.page.Units;
import pemblar.app.season.SeasonEvent;
import pemblar.app.season.SeasonEvent.After;
import pemblar.app.season.SeasonEvent.EventDemand;
import pemblar.app.season.SeasonEvent.Unit;
import pemblar.app.session.reading.SessionService;
import pemblar.app.threshold.ThresholdService;
import pemblar.core.effort.AfterWork;
import pemblar.core.recording.Channel;
import pemblar.core.recording.Recording;
import pemblar.core.recording.Series;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Quantity;

/**
 * Reads a stretch of a recording as a demand. What somebody else did asks as much for each kilogram of whoever wants to
 * do the same: their watts become W/kg, and the work before it grows or shrinks with the mass. Where their mass is not
 * known, watts and work stay as they were, and the demand says so.
 */
@Component
class TakenDemand {
    private static final int SHORTEST = 5;
    private static final int LONGEST = 7200;
    private final SessionService sessions;
    private final ThresholdService thresholds;
    private final InstantSource clock;

    TakenDemand(SessionService sessions, ThresholdService thresholds, InstantSource clock) {
        this.sessions = sessions;
        this.thresholds = thresholds;
        this.clock = clock;
    }

    /** A demand that was read, with its sport. */
    record Taken(EventDemand demand, Sport sport) {
        /** Of one stage of an event, and of one sport where it has several. */
        EventDemand in(SeasonEvent event, int stage) {
            if (stage < 0 || stage > event.days())
                throw new IllegalArgumentException("Stage: this event has " + event.days() + "; choose one of them.");
            EventDemand d = demand;
            return new EventDemand(
                    d.seconds(),
                    d.unit(),
                    d.amount(),
                    d.after(),
                    d.afterAmount(),
                    d.source(),
                    stage,
                    event.sports().size() > 1 ? sport : null);
        }
    }

    /** Seconds of a session. */
    public record Stretch(long sessionId, int from, int to) {}

    /**
     * @param whose for whom it is a demand; the athlete of the recording, or for whom that one is kept
     * @return empty when the stretch has neither power nor speed, or is none
     */
    @Transactional(readOnly = true)
    public Optional<Taken> of(Athlete athlete, Athlete whose, Viewer viewer, Stretch stretch) {
        int from = stretch.from();
        int to = stretch.to();
        SessionService.Opened opened = sessions.open(new Visit(athlete.id(), viewer), stretch.sessionId());
        Recording recording = opened.recording().orElseThrow(() -> new NotFoundException("recording"));
        boolean power = recording.has(Channel.POWER);
        Series values = recording.channel(power ? Channel.POWER : Channel.SPEED).orElse(null);
        if (values == null || from < 0 || to > values.size() || to - from < SHORTEST || to - from > LONGEST)
            return Optional.empty();
        double mean = values.mean(from, to);
        if (!(mean > 0)) return Optional.empty();
        Sport sport = opened.slab().sport();
        LocalDate day = opened.slab().day();
        String source = opened.slab().title() + ", " + new Shown().date(day);
        if (!power) return Optional.of(new Taken(paced(mean, from, to, source(athlete, source)), sport));
        Part part = new Part(values, from, to);
        return Optional.of(new Taken(
                athlete.keptBy() == null ? watts(part, source) : scaled(athlete, whose, part, source), sport));
    }

    private static String source(Athlete athlete, String source) {
        return athlete.keptBy() == null ? source : cut(athlete.name() + ", " + source);
    }

    private static EventDemand paced(double mean, int from, int to, String source) {
        double level = 0;
        for (int seconds : AfterWork.seconds()) if (from >= seconds) level = seconds;
        return new EventDemand(to - from, Unit.SPEED, mean, level > 0 ? After.TIME : After.FRESH, level, source);
    }

    /** A stretch of a session's power. */
    private record Part(Series values, int from, int to) {
        double mean() {
            return values.mean(from, to);
        }

        int seconds() {
            return to - from;
        }

        double workBefore() {
            return AfterWork.workBefore(values, from);
        }
    }

    private static EventDemand watts(Part part, String source) {
        double level = level(part.workBefore());
        return new EventDemand(
                part.seconds(),
                Unit.WATTS,
                Math.rint(part.mean()),
                level > 0 ? After.WORK : After.FRESH,
                level,
                source);
    }

    /** Down to the level that is kept. */
    private static double level(double joulesBefore) {
        double level = 0;
        for (int joules : AfterWork.joules()) if (joulesBefore >= joules) level = joules;
        return level;
    }

    private EventDemand scaled(Athlete other, Athlete whose, Part part, String source) {
        double theirs = mass(other);
        double own = mass(whose);
        if (Double.isNaN(theirs))
            return watts(part, cut(other.name() + ", mass not known, watts as they were; " + source));
        double scale = Double.isNaN(own) ? 1 : own / theirs;
        double level = level(part.workBefore() * scale);
        return new EventDemand(
                part.seconds(),
                Unit.WATTS_PER_KG,
                part.mean() / theirs,
                level > 0 ? After.WORK : After.FRESH,
                level,
                cut(other.name() + " (" + Units.mine().mass(theirs, 1) + ")"
                        + (Double.isNaN(own) && level > 0
                                ? ", work before it as theirs, since your mass is not known"
                                : "")
                        + ", " + source));
    }

    private double mass(Athlete athlete) {
        return thresholds
                .of(athlete)
                .on(athlete.dayOf(clock.instant()))
                .get(Quantity.BODY_MASS)
                .orElse(Double.NaN);
    }

    private static String cut(String source) {
        return source.length() > 200 ? source.substring(0, 200) : source;
    }
}
