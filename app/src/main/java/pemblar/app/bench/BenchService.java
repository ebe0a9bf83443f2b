package pemblar.app.bench;

import java.time.Instant;
import java.time.InstantSource;
import java.time.LocalDate;
import java.util.Random;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.exchange.ImportService;
import pemblar.app.frame.Viewer;
import pemblar.app.session.SessionService;
import pemblar.benchunit.Body;
import pemblar.benchunit.Faults;
import pemblar.benchunit.HeadUnit;
import pemblar.core.Sport;
import pemblar.core.threshold.Quantity;
import pemblar.core.threshold.Thresholds;
import pemblar.formats.fit.FitWorkouts;
import pemblar.formats.fit.FitZones;

/** Sends a planned session to the bench unit as a FIT workout and takes the FIT activity back through the ordinary upload. */
@Service
public class BenchService {
    private static final long SERIAL = 4711;
    private static final int EVENING_MINUTE = 17 * 60;
    private final SessionService sessions;
    private final ImportService imports;
    private final InstantSource clock;

    BenchService(SessionService sessions, ImportService imports, InstantSource clock) {
        this.sessions = sessions;
        this.imports = imports;
        this.clock = clock;
    }

    /** The workout file of a planned session, as a device gets it. */
    public record WorkoutFile(String name, byte[] bytes) {}

    /** @throws IllegalArgumentException when the session has no plan or a threshold is missing */
    @Transactional(readOnly = true)
    public WorkoutFile workoutFile(long athleteId, Viewer viewer, long sessionId) {
        SessionService.Opened opened = sessions.open(athleteId, viewer, sessionId);
        var workout = opened.workout().orElseThrow(() -> new IllegalArgumentException("This session has no workout to send."));
        String title = opened.slab().title();
        return new WorkoutFile(title.replaceAll("[^\\p{L}\\p{N}]+", "-") + ".fit", FitWorkouts.of(title, workout, opened.zones()).write(SERIAL, clock.instant()));
    }

    /** The zones of the session's day and sport, as a device gets them beside the workout. */
    @Transactional(readOnly = true)
    public WorkoutFile zonesFile(long athleteId, Viewer viewer, long sessionId) {
        SessionService.Opened opened = sessions.open(athleteId, viewer, sessionId);
        return new WorkoutFile("zones-" + opened.slab().sport().key() + ".fit", FitZones.of(opened.zones(), opened.slab().sport(), clock.instant()).write(SERIAL));
    }

    /** Does the session on the bench unit and uploads what it recorded. */
    @Transactional
    public void perform(long athleteId, Viewer viewer, long sessionId) {
        SessionService.Opened opened = sessions.open(athleteId, viewer, sessionId);
        if (opened.slab().done() != null) throw new IllegalArgumentException("This session has a recording already.");
        WorkoutFile file = workoutFile(athleteId, viewer, sessionId);
        int minute = opened.slab().startMinute() == null ? EVENING_MINUTE : opened.slab().startMinute();
        LocalDate day = opened.slab().day();
        Instant start = day.atStartOfDay(opened.athlete().zone()).plusMinutes(minute).toInstant();
        byte[] activity = HeadUnit.follow(file.bytes(), body(opened.slab().sport(), opened.thresholds()), start, new Random(sessionId), Faults.NONE);
        imports.upload(athleteId, viewer, "bench-unit-" + day + ".fit", activity);
    }

    /** A stand-in body near to the athlete's own values; what is not known takes an ordinary value. */
    private static Body body(Sport sport, Thresholds t) {
        return new Body(sport == Sport.RUN ? Sport.RUN : Sport.RIDE, t.get(Quantity.THRESHOLD_POWER).orElse(220) * 1.01, t.get(Quantity.W_PRIME).orElse(16_000),
            t.get(Quantity.THRESHOLD_SPEED).orElse(3.6) * 1.005, t.get(Quantity.RESTING_HEART_RATE).orElse(52), t.get(Quantity.MAXIMUM_HEART_RATE).orElse(186),
            t.get(Quantity.BODY_MASS).orElse(70));
    }
}
