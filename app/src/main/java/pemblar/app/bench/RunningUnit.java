package pemblar.app.bench;

import java.util.List;
import pemblar.app.bench.Ride.Pressed;
import pemblar.benchunit.LiveUnit;
import pemblar.core.workout.SharedClock;

/**
 * A bench unit on its way through time: brought up to a moment from what it began with and the keys pressed since. It
 * is the same whoever brings it there and however often, so any node can.
 */
final class RunningUnit {
    private static final int FASTEST = 60;
    private static final int STEP_WATTS = 10;
    private static final int MILLIS = 1000;
    private final Ride ride;
    private Lead lead;
    private final LiveUnit unit;
    private int speed;
    private long now;
    private long livedMillis;
    private long livedSeconds;
    private int ledSecond;
    private long pausedAt;
    private long lastKey;

    /** @param lead null when the unit leads itself */
    RunningUnit(Ride ride, Lead lead) {
        this.ride = ride;
        this.lead = lead;
        this.unit = ride.unit();
        this.speed = lead == null ? clamped(ride.speed()) : lead.speed();
        this.now = ride.startedMillis();
        this.ledSecond = lead == null ? 0 : Math.max(0, lead.second(now));
        if (lead != null && unit.steps() != lead.clock().parts())
            throw new IllegalArgumentException("This workout has other steps than the group’s.");
    }

    /** Where an own unit would have to be built anew: what was done since is older than what it has lived. */
    boolean isBehind(List<Pressed> keys, Lead present) {
        boolean early = keys.stream().anyMatch(k -> k.id() > lastKey && k.atMillis() < now);
        return early || lead != null && !sameUntilNow(lead.events(), present.events());
    }

    private boolean sameUntilNow(List<SharedClock.Event> one, List<SharedClock.Event> other) {
        return lived(one).equals(lived(other));
    }

    private List<SharedClock.Event> lived(List<SharedClock.Event> events) {
        return events.stream().filter(e -> e.second() < ledSecond).toList();
    }

    /** The same start: a session can be done again on the unit. */
    boolean isOf(Ride other) {
        return other.startedMillis() == ride.startedMillis();
    }

    /** Takes the lead as it is now; only the coach's last word can differ, since {@link #isBehind} is asked first. */
    RunningUnit ledBy(Lead present) {
        lead = present;
        return this;
    }

    /** Presses the keys that are new to it, each at its moment, and lives on to now. */
    RunningUnit to(long millis, List<Pressed> keys) {
        for (Pressed key : keys)
            if (key.id() > lastKey) {
                live(key.atMillis());
                press(key.key());
                lastKey = key.id();
            }
        live(millis);
        return this;
    }

    private void live(long millis) {
        if (millis <= now) return;
        if (lead == null) {
            livedMillis += (millis - now) * speed;
            long seconds = livedMillis / MILLIS;
            unit.advance((int) Math.min(Integer.MAX_VALUE, seconds - livedSeconds));
            livedSeconds = seconds;
        } else {
            follow(lead.second(millis));
        }
        now = millis;
    }

    private void follow(int until) {
        while (ledSecond < until && !unit.isFinished()) {
            SharedClock.At at = lead.at(ledSecond);
            unit.place(at.part(), at.elapsed(), at.length());
            unit.advance(1);
            ledSecond++;
        }
        if (until >= 0 && !unit.isFinished()) {
            SharedClock.At at = lead.at(Math.max(0, until));
            unit.place(at.part(), at.elapsed(), at.length());
        }
    }

    private void press(String key) {
        switch (key) {
            case "lap" -> unit.lap();
            case "skip" -> unit.skip();
            case "stop" -> unit.stop();
            case "up" -> unit.nudge(STEP_WATTS);
            case "down" -> unit.nudge(-STEP_WATTS);
            case "athlete" -> unit.letAthleteDrive();
            case "pause" -> {
                if (pausedAt == 0) pausedAt = now;
                unit.pause();
            }
            case "resume" -> {
                if (pausedAt > 0) unit.resume((now - pausedAt) / (double) MILLIS * speed);
                pausedAt = 0;
            }
            default -> set(key);
        }
    }

    /** A letter and a figure: the speed, the power or the share that the person asks about. */
    private void set(String key) {
        int value = Integer.parseInt(key.substring(1));
        switch (key.charAt(0)) {
            case 'x' -> speed = lead == null ? clamped(value) : speed;
            case 'p' -> unit.askAboutPower(value);
            default -> unit.askAboutShare(value / 100.0);
        }
    }

    static boolean isKey(String key) {
        return key.matches("lap|skip|stop|up|down|athlete|pause|resume|[xps]\\d{1,4}");
    }

    private static int clamped(int speed) {
        return Math.max(1, Math.min(FASTEST, speed));
    }

    Ride ride() {
        return ride;
    }

    LiveRides.State state() {
        int waits = lead == null ? 0 : Math.max(0, -lead.second(now));
        return new LiveRides.State(
                ride.sessionId(),
                ride.athleteId(),
                unit.view(),
                unit.sport(),
                speed,
                lead == null ? null : new LiveRides.Led(lead.cue(), waits));
    }

    boolean isFinished() {
        return unit.isFinished();
    }

    int seconds() {
        return unit.view().second();
    }

    byte[] activity() {
        return unit.activity(
                lead == null ? ride.begins() : lead.instant(Math.max(0, lead.second(ride.startedMillis()))));
    }
}
