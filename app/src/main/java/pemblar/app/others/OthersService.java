package pemblar.app.others;

import java.time.InstantSource;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.AthleteService;
import pemblar.app.exchange.ImportService;
import pemblar.app.exchange.ImportService.Progress;
import pemblar.app.frame.NotFoundException;
import pemblar.app.frame.Viewer;
import pemblar.app.frame.Visit;
import pemblar.app.frame.page.Shown;
import pemblar.app.session.Slab;
import pemblar.app.session.reading.SessionService;
import pemblar.app.threshold.ThresholdService;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Quantity;
import pemblar.core.threshold.Thresholds;
import pemblar.core.zone.DatedZones;

/**
 * Keeps what somebody else recorded for an athlete. The other one is an athlete without pages of their own, so nothing
 * of theirs ever counts among the athlete's sessions, load or best efforts.
 */
@Service
public class OthersService {
    private static final int MOST = 30;
    private static final int LONGEST_NAME = 80;
    /** Recordings of all of them together. */
    private static final int SHOWN = 500;

    private final AthleteService athletes;
    private final ThresholdService thresholds;
    private final ImportService imports;
    private final SessionService sessions;
    private final InstantSource clock;

    OthersService(
            AthleteService athletes,
            ThresholdService thresholds,
            ImportService imports,
            SessionService sessions,
            InstantSource clock) {
        this.athletes = athletes;
        this.thresholds = thresholds;
        this.imports = imports;
        this.sessions = sessions;
        this.clock = clock;
    }

    /**
     * Somebody whose recordings are kept.
     *
     * @param massKilograms NaN when it is not known
     * @param threshold in watts or m/s, NaN when it is not known
     * @param waiting files that are not read yet, or were refused
     */
    public record Other(
            long id,
            String name,
            Sport sport,
            double massKilograms,
            Quantity quantity,
            double threshold,
            List<Slab> sessions,
            List<Progress> waiting) {
        public boolean knowsMass() {
            return !Double.isNaN(massKilograms);
        }

        public boolean knowsThreshold() {
            return !Double.isNaN(threshold);
        }

        public String thresholdWords() {
            if (!knowsThreshold()) return "threshold not known";
            Shown shown = new Shown();
            return "threshold "
                    + (quantity.unit().equals("m/s")
                            ? shown.speed(sport, threshold)
                            : shown.whole(threshold) + " " + quantity.unit());
        }
    }

    /** What is told of somebody. Values are null when they are not known. */
    public record Told(String name, Sport sport, Double massKilograms, Double threshold) {}

    @Transactional(readOnly = true)
    public List<Other> all(Athlete athlete) {
        LocalDate today = athlete.dayOf(clock.instant());
        List<Athlete> kept = athletes.keptFor(athlete);
        Map<Athlete, DatedZones> values = thresholds.zonesOf(kept);
        Map<Long, List<Slab>> done = sessions.lastDone(kept, SHOWN);
        Map<Long, List<Progress>> waiting = imports.notTaken(kept, SHOWN);
        return kept.stream()
                .map(o -> other(
                        o,
                        values.get(o).on(today).thresholds(),
                        done.getOrDefault(o.id(), List.of()),
                        waiting.getOrDefault(o.id(), List.of())))
                .toList();
    }

    private static Other other(Athlete other, Thresholds known, List<Slab> done, List<Progress> waiting) {
        Quantity quantity = quantity(other.first());
        return new Other(
                other.id(),
                other.name(),
                other.first(),
                known.get(Quantity.BODY_MASS).orElse(Double.NaN),
                quantity,
                known.get(quantity).orElse(Double.NaN),
                done,
                waiting);
    }

    /** What somebody of a sport is measured by first: power, pace or heart rate at the threshold. */
    static Quantity quantity(Sport sport) {
        return Quantity.of(
                switch (sport.measures().get(0)) {
                    case SPEED -> Quantity.Kind.THRESHOLD_SPEED;
                    case POWER -> Quantity.Kind.THRESHOLD_POWER;
                    case HEART_RATE -> Quantity.Kind.THRESHOLD_HEART_RATE;
                },
                sport);
    }

    /**
     * Begins to keep recordings of somebody who is new.
     *
     * @throws IllegalArgumentException with a sentence when a value is impossible; nobody is kept then
     */
    @Transactional
    public long keep(Visit visit, Told told) {
        Athlete athlete = athletes.require(visit);
        String name = told.name().strip();
        if (name.isEmpty() || name.length() > LONGEST_NAME)
            throw new IllegalArgumentException("Name: enter 1 to 80 characters.");
        if (athletes.keptFor(athlete).size() >= MOST)
            throw new IllegalArgumentException("Recordings of " + MOST + " others are kept at most; remove one first.");
        Athlete other = athletes.keep(athlete, name, told.sport());
        values(other, visit.viewer(), told);
        return other.id();
    }

    private void values(Athlete other, Viewer viewer, Told told) {
        Map<Quantity, Double> values = new HashMap<>();
        if (told.massKilograms() != null) values.put(Quantity.BODY_MASS, told.massKilograms());
        if (told.threshold() != null) values.put(quantity(told.sport()), told.threshold());
        LocalDate today = other.dayOf(clock.instant());
        if (!values.isEmpty()) thresholds.adopt(new Visit(other.id(), viewer), today, values, "");
    }

    /** A recording of somebody who is kept. */
    @Transactional
    public void add(Visit visit, long otherId, String name, byte[] content) {
        Athlete athlete = athletes.require(visit);
        if (athletes.keptFor(athlete).stream().noneMatch(o -> o.id() == otherId)) throw new NotFoundException("other");
        imports.upload(new Visit(otherId, visit.viewer()), name, content);
    }

    /** With all their recordings; demands that were taken from them stay. */
    @Transactional
    public void remove(Visit visit, long otherId) {
        athletes.dropKept(athletes.require(visit), otherId);
    }
}
