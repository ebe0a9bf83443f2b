package pemblar.app.bench;

import java.time.Instant;
import java.time.InstantSource;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.AthleteService;
import pemblar.app.bench.sync.DeviceFiles;
import pemblar.app.exchange.ImportService;
import pemblar.app.frame.Viewer;
import pemblar.app.frame.Visit;
import pemblar.app.session.Slab;
import pemblar.app.session.reading.SessionService;
import pemblar.app.threshold.ThresholdService;
import pemblar.benchunit.Body;
import pemblar.benchunit.Faults;
import pemblar.benchunit.HeadUnit;
import pemblar.core.model.Reserve;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Quantity;
import pemblar.core.threshold.Thresholds;
import pemblar.core.zone.Zones;
import pemblar.formats.fit.FitWorkout;
import pemblar.formats.fit.FitWorkouts;
import pemblar.formats.fit.FitZones;

/**
 * Sends a planned session to the bench unit as a FIT workout and takes the FIT activity back through the ordinary
 * upload.
 */
@Service
public class BenchService {
    private static final Logger LOG = LoggerFactory.getLogger(BenchService.class);
    private static final long SERIAL = 4711;
    private static final int EVENING_MINUTE = 17 * 60;
    private static final int DAYS_ON_DEVICE = 7;
    private final SessionService sessions;
    private final ImportService imports;
    private final AthleteService athletes;
    private final ThresholdService thresholds;
    private final DeviceFiles files;
    private final LiveRides rides;
    private final TransactionTemplate inTransaction;
    private final InstantSource clock;

    BenchService(
            SessionService sessions,
            ImportService imports,
            AthleteService athletes,
            ThresholdService thresholds,
            DeviceFiles files,
            LiveRides rides,
            TransactionTemplate inTransaction,
            InstantSource clock) {
        this.sessions = sessions;
        this.imports = imports;
        this.athletes = athletes;
        this.thresholds = thresholds;
        this.files = files;
        this.rides = rides;
        this.inTransaction = inTransaction;
        this.clock = clock;
    }

    /** A workout on the device, as the device reads it; {@code problem} when it cannot. */
    public record OnDevice(
            long sessionId, LocalDate day, Sport sport, String name, List<FitWorkout.FitStep> steps, String problem) {}

    /** What is on the device, and whether its zones are those of today. */
    public record Device(List<OnDevice> workouts, List<String> outdated, boolean isSynced) {}

    @Transactional(readOnly = true)
    public Device device(Visit visit) {
        Athlete athlete = athletes.require(visit);
        List<OnDevice> workouts = new ArrayList<>();
        boolean synced = false;
        LocalDate today = athlete.dayOf(clock.instant());
        Map<Long, LocalDate> days =
                sessions.between(athlete, today.minusDays(DAYS_ON_DEVICE), today.plusDays(2 * DAYS_ON_DEVICE)).stream()
                        .collect(Collectors.toMap(Slab::id, Slab::day));
        for (DeviceFiles.DeviceFile file : files.inbox(visit.athleteId())) {
            synced = true;
            if (!file.name().startsWith("workout-")) continue;
            FitWorkout.Answer answer = FitWorkout.read(file.bytes());
            long id = Long.parseLong(file.name().replaceAll("\\D", ""));
            workouts.add(
                    answer.workout() == null
                            ? new OnDevice(
                                    id,
                                    days.get(id),
                                    Sport.OTHER,
                                    file.name(),
                                    List.of(),
                                    answer.problems().toString())
                            : new OnDevice(
                                    id,
                                    days.get(id),
                                    answer.workout().sport(),
                                    answer.workout().name(),
                                    answer.workout().steps(),
                                    null));
        }
        return new Device(workouts, outdated(athlete), synced);
    }

    /** Sports whose zones on the device differ from those in Pemblar. */
    private List<String> outdated(Athlete athlete) {
        Zones now = thresholds.zonesOf(athlete).on(athlete.dayOf(clock.instant()));
        List<String> outdated = new ArrayList<>();
        for (Sport sport : athlete.sports())
            files.named(athlete.id(), DeviceFiles.zonesName(sport))
                    .flatMap(file -> FitZones.read(file.bytes()).zones())
                    .ifPresent(onDevice -> {
                        FitZones wanted = FitZones.read(FitZones.of(now, sport, onDevice.created())
                                        .write(SERIAL))
                                .zones()
                                .orElse(null);
                        if (!onDevice.equals(wanted))
                            outdated.add(sport.doing() + ", of " + athlete.dayOf(onDevice.created()));
                    });
        return outdated;
    }

    /**
     * Puts the workouts of today and the next days and the zones of today on the device, and fetches what it recorded.
     * Not in one transaction: a file leaves the outbox only after its upload is committed.
     */
    public int sync(Visit visit) {
        Athlete athlete = athletes.require(visit).seeingDrafts(false);
        LocalDate today = athlete.dayOf(clock.instant());
        List<DeviceFiles.DeviceFile> made = new ArrayList<>();
        for (Slab slab : sessions.between(athlete, today, today.plusDays(DAYS_ON_DEVICE)))
            if (slab.planned() && slab.done() == null && slab.plannedSeconds() != null)
                made.add(new DeviceFiles.DeviceFile(
                        DeviceFiles.workoutName(slab.id()),
                        workoutFile(visit, slab.id()).bytes()));
        Zones zones = thresholds.zonesOf(athlete).on(today);
        for (Sport sport : athlete.sports()) {
            FitZones own = FitZones.of(zones, sport, clock.instant());
            if (!own.power().isEmpty()
                    || !own.heartRate().isEmpty()
                    || !own.speed().isEmpty())
                made.add(new DeviceFiles.DeviceFile(DeviceFiles.zonesName(sport), own.write(SERIAL)));
        }
        inTransaction.executeWithoutResult(status -> files.load(visit.athleteId(), made));
        for (long sessionId : rides.waiting(visit.athleteId())) deliver(visit, sessionId);
        collect(visit);
        return made.size();
    }

    private void collect(Visit visit) {
        for (DeviceFiles.DeviceFile file : files.outbox(visit.athleteId())) {
            imports.upload(visit, file.name(), file.bytes());
            files.collected(visit.athleteId(), file.name());
        }
    }

    /**
     * Starts a workout on the unit; one that is not on it yet is sent first.
     *
     * @throws IllegalArgumentException when it is done already, lies ahead or cannot be sent, with the reason
     */
    @Transactional
    public void start(Visit visit, long sessionId, int speed) {
        rides.start(ride(visit, sessionId, speed, null));
    }

    /** Starts it by the clock of a group: the unit goes where the group is, whenever it comes. */
    @Transactional
    public void join(Visit visit, long sessionId, long hourId) {
        rides.start(ride(visit, sessionId, 1, hourId));
    }

    private Ride ride(Visit visit, long sessionId, int speed, Long hourId) {
        SessionService.Opened opened = sessions.open(visit, sessionId);
        if (opened.slab().done() != null) throw new IllegalArgumentException("This session has a recording already.");
        if (opened.slab().day().isAfter(opened.athlete().dayOf(clock.instant())))
            throw new IllegalArgumentException("“" + opened.slab().title() + "” is planned for "
                    + opened.slab().day() + ": move it to today on the board, then sync.");
        Thresholds own = opened.thresholds().forSport(opened.slab().sport());
        return new Ride(
                sessionId,
                visit.athleteId(),
                visit.viewer().accountId(),
                hourId,
                onDevice(visit, sessionId, hourId != null),
                body(opened.slab().sport(), opened.thresholds()),
                own.knows(Quantity.CRITICAL_POWER, Quantity.W_PRIME)
                        ? new Reserve(own.require(Quantity.CRITICAL_POWER), own.require(Quantity.W_PRIME))
                        : null,
                begin(opened),
                clock.millis(),
                Math.max(1, Math.min(60, speed)));
    }

    /** The workout as it lies on the unit, or as it is now when it is not there or must be of this moment. */
    private byte[] onDevice(Visit visit, long sessionId, boolean anew) {
        String name = DeviceFiles.workoutName(sessionId);
        Optional<DeviceFiles.DeviceFile> there = anew ? Optional.empty() : files.named(visit.athleteId(), name);
        if (there.isPresent()) return there.get().bytes();
        byte[] sent = workoutFile(visit, sessionId).bytes();
        files.add(visit.athleteId(), new DeviceFiles.DeviceFile(name, sent));
        return sent;
    }

    /** The running unit; empty when none runs for this session. */
    public Optional<LiveRides.State> state(Visit visit, long sessionId) {
        athletes.require(visit);
        return finish(visit, sessionId, rides.state(visit.athleteId(), sessionId));
    }

    /** Screens of all units that a group's clock leads; for those who may see the group. */
    public List<Screen> ofHour(long hourId) {
        return rides.ofHour(hourId).stream().map(Screen::of).toList();
    }

    public Optional<LiveRides.State> key(Visit visit, long sessionId, String key) {
        athletes.require(visit);
        return finish(visit, sessionId, rides.key(visit.athleteId(), sessionId, key));
    }

    /**
     * A unit that has just finished leaves its file in the outbox, and Pemblar fetches it through the ordinary upload.
     */
    private Optional<LiveRides.State> finish(Visit visit, long sessionId, Optional<LiveRides.State> state) {
        if (state.isPresent() && state.get().view().finished()) deliver(visit, sessionId);
        return state;
    }

    /**
     * What cannot be delivered now stays with the unit, and the next look, sync or round of the job tries again. The
     * recording arrives in the name of whoever started the unit.
     */
    private void deliver(Visit visit, long sessionId) {
        boolean delivered = rides.finish(
                visit.athleteId(),
                sessionId,
                (ride, bytes) -> files.deliver(
                        visit.athleteId(),
                        new DeviceFiles.DeviceFile(
                                "bench-unit-" + sessionId + "-" + ride.startedMillis() + ".fit", bytes)));
        if (delivered) collect(visit);
    }

    /** Brings in what units that nobody looks at any more have finished. */
    void bringIn() {
        for (Ride ride : rides.unseen())
            try {
                rides.look(ride);
                deliver(new Visit(ride.athleteId(), new Viewer(ride.accountId(), "bench unit")), ride.sessionId());
            } catch (RuntimeException e) {
                LOG.warn("a bench unit could not be brought in: {}", e.getMessage());
            }
    }

    /** The workout file of a planned session, as a device gets it. */
    public record WorkoutFile(String name, byte[] bytes) {}

    /** @throws IllegalArgumentException when the session has no plan or a threshold is missing */
    @Transactional(readOnly = true)
    public WorkoutFile workoutFile(Visit visit, long sessionId) {
        SessionService.Opened opened = sessions.open(visit, sessionId);
        var workout = opened.workout()
                .orElseThrow(() -> new IllegalArgumentException("This session has no workout to send."));
        String title = opened.slab().title();
        return new WorkoutFile(
                title.replaceAll("[^\\p{L}\\p{N}]+", "-") + ".fit",
                FitWorkouts.of(title, workout, opened.zones()).write(SERIAL, clock.instant()));
    }

    /** The zones of the session's day and sport, as a device gets them beside the workout. */
    @Transactional(readOnly = true)
    public WorkoutFile zonesFile(Visit visit, long sessionId) {
        SessionService.Opened opened = sessions.open(visit, sessionId);
        return new WorkoutFile(
                "zones-" + opened.slab().sport().key() + ".fit",
                FitZones.of(opened.zones(), opened.slab().sport(), clock.instant())
                        .write(SERIAL));
    }

    /** Does the session on the bench unit and uploads what it recorded. */
    @Transactional
    public void perform(Visit visit, long sessionId) {
        SessionService.Opened opened = sessions.open(visit, sessionId);
        if (opened.slab().done() != null) throw new IllegalArgumentException("This session has a recording already.");
        WorkoutFile file = workoutFile(visit, sessionId);
        byte[] activity = HeadUnit.follow(
                file.bytes(),
                body(opened.slab().sport(), opened.thresholds()),
                begin(opened),
                new Random(sessionId),
                Faults.NONE);
        imports.upload(visit, "bench-unit-" + opened.slab().day() + ".fit", activity);
    }

    /** A simulated session happens at its planned time; one of a day ahead is done today, and has just ended. */
    private Instant begin(SessionService.Opened opened) {
        LocalDate today = opened.athlete().dayOf(clock.instant());
        int minute = opened.slab().startMinute() == null
                ? EVENING_MINUTE
                : opened.slab().startMinute();
        if (!opened.slab().day().isAfter(today))
            return opened.athlete().at(opened.slab().day(), minute);
        Instant midnight = opened.athlete().at(today, 0);
        Instant begun = clock.instant().minusSeconds(opened.slab().longestSeconds());
        return begun.isBefore(midnight) ? midnight : begun;
    }

    /** A stand-in body near to the athlete's own values; what is not known takes an ordinary value. */
    private static Body body(Sport sport, Thresholds t) {
        return new Body(
                sport,
                t.get(Quantity.THRESHOLD_POWER).orElse(220) * 1.01,
                t.get(Quantity.W_PRIME).orElse(16_000),
                t.forSport(sport).get(Quantity.THRESHOLD_SPEED).orElse(Body.usualSpeed(sport)) * 1.005,
                t.get(Quantity.RESTING_HEART_RATE).orElse(52),
                t.get(Quantity.MAXIMUM_HEART_RATE).orElse(186),
                t.get(Quantity.BODY_MASS).orElse(70));
    }
}
