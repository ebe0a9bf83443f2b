package pemblar.app.bench;

import java.time.Instant;
import java.time.InstantSource;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Consumer;
import org.springframework.stereotype.Component;
import pemblar.benchunit.LiveUnit;
import pemblar.core.sport.Sport;

/**
 * Bench units that are running on this node. A unit lives on by the wall clock times its speed, and is brought up to
 * the moment whenever it is looked at; one that nobody looks at for half a day is forgotten, as a device whose battery
 * ran out.
 */
@Component
class LiveRides {
    private static final long FORGOTTEN_MILLIS = 12 * 3_600_000L;
    private static final int MOST = 200;
    private static final int FASTEST = 60;
    private final Map<Long, Ride> rides = new ConcurrentHashMap<>();
    private final InstantSource clock;

    LiveRides(InstantSource clock) {
        this.clock = clock;
    }

    /** One running unit. */
    static final class Ride {
        private final long athleteId;
        private final LiveUnit unit;
        private final Instant start;
        private int speed;
        private long lived;
        private double carry;
        private long pausedAt;
        private boolean delivered;

        private Ride(long athleteId, LiveUnit unit, Instant start, int speed, long now) {
            this.athleteId = athleteId;
            this.unit = unit;
            this.start = start;
            this.speed = speed;
            this.lived = now;
        }
    }

    /** What the page shows of a running unit. */
    record State(LiveUnit.View view, Sport sport, int speed) {}

    void start(long athleteId, long sessionId, LiveUnit unit, Instant start, int speed) {
        long now = clock.millis();
        rides.values().removeIf(ride -> now - ride.lived > FORGOTTEN_MILLIS);
        if (rides.size() >= MOST)
            throw new IllegalArgumentException("Too many bench units run at once. Try again in a while.");
        rides.put(sessionId, new Ride(athleteId, unit, start, clamped(speed), now));
    }

    private static int clamped(int speed) {
        return Math.max(1, Math.min(FASTEST, speed));
    }

    Optional<State> state(long athleteId, long sessionId) {
        return with(athleteId, sessionId, ride -> {});
    }

    /** Presses a key, after the unit has lived up to this moment. */
    Optional<State> key(long athleteId, long sessionId, String key) {
        return with(athleteId, sessionId, ride -> press(ride, key));
    }

    private Optional<State> with(long athleteId, long sessionId, Consumer<Ride> action) {
        Ride ride = rides.get(sessionId);
        if (ride == null || ride.athleteId != athleteId) return Optional.empty();
        synchronized (ride) {
            live(ride);
            action.accept(ride);
            return Optional.of(new State(ride.unit.view(), ride.unit.sport(), ride.speed));
        }
    }

    private void live(Ride ride) {
        long now = clock.millis();
        ride.carry += (now - ride.lived) / 1000.0 * ride.speed;
        ride.lived = now;
        int seconds = (int) ride.carry;
        ride.carry -= seconds;
        ride.unit.advance(seconds);
    }

    private void press(Ride ride, String key) {
        switch (key) {
            case "lap" -> ride.unit.lap();
            case "skip" -> ride.unit.skip();
            case "stop" -> ride.unit.stop();
            case "up" -> ride.unit.nudge(10);
            case "down" -> ride.unit.nudge(-10);
            case "athlete" -> ride.unit.letAthleteDrive();
            case "pause" -> {
                if (ride.pausedAt == 0) ride.pausedAt = clock.millis();
                ride.unit.pause();
            }
            case "resume" -> {
                if (ride.pausedAt > 0) ride.unit.resume((clock.millis() - ride.pausedAt) / 1000.0 * ride.speed);
                ride.pausedAt = 0;
            }
            default -> set(ride, key);
        }
    }

    /** A letter and a figure: the speed, the power or the share that the person asks about. */
    private static void set(Ride ride, String key) {
        if (!key.matches("[xps]\\d{1,4}")) return;
        int value = Integer.parseInt(key.substring(1));
        switch (key.charAt(0)) {
            case 'x' -> ride.speed = clamped(value);
            case 'p' -> ride.unit.askAboutPower(value);
            default -> ride.unit.askAboutShare(value / 100.0);
        }
    }

    /**
     * Hands over the activity of a unit that has finished; only once that has worked the unit is put away, so that a
     * full disk loses no ride. One that was stopped before it began leaves none.
     */
    boolean finish(long athleteId, long sessionId, Consumer<byte[]> deliver) {
        Ride ride = rides.get(sessionId);
        if (ride == null || ride.athleteId != athleteId) return false;
        synchronized (ride) {
            if (!ride.unit.isFinished() || ride.delivered) return false;
            if (ride.unit.view().second() > 0) deliver.accept(ride.unit.activity(ride.start));
            ride.delivered = true;
            rides.remove(sessionId);
            return true;
        }
    }

    /** Sessions of an athlete whose unit has finished and still holds its ride. */
    List<Long> waiting(long athleteId) {
        return rides.entrySet().stream()
                .filter(e ->
                        e.getValue().athleteId == athleteId && e.getValue().unit.isFinished())
                .map(Map.Entry::getKey)
                .toList();
    }
}
