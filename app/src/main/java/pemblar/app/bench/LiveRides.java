package pemblar.app.bench;

import java.time.InstantSource;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiConsumer;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.bench.Ride.Pressed;
import pemblar.benchunit.LiveUnit;
import pemblar.core.sport.Sport;

/**
 * Bench units that are running, on whatever node. A unit lives on by the wall clock times its speed, and is brought up
 * to the moment whenever it is looked at. What the database holds of it is enough to do so; what a node keeps in memory
 * only saves it the way, and may be lost.
 */
@Component
class LiveRides {
    private static final long FORGOTTEN_MILLIS = 12 * 3_600_000L;
    private static final long NOTED_EVERY_MILLIS = 20_000;
    private static final int MOST_OF_ONE = 5;
    private static final int MOST_KEYS = 5000;
    private static final int MOST_FORGOTTEN = 50;
    /** Timer seconds of all units that a node keeps: at 72 bytes each. */
    private static final int MOST_KEPT_SECONDS = 1_000_000;

    private final Map<Long, Kept> kept = new LinkedHashMap<>(16, 0.75f, true);
    private final RideStore store;
    private final ObjectProvider<Leads> leads;
    private final InstantSource clock;

    LiveRides(RideStore store, ObjectProvider<Leads> leads, InstantSource clock) {
        this.store = store;
        this.leads = leads;
        this.clock = clock;
    }

    /** A unit that this node has brought to a moment. */
    private static final class Kept {
        private RunningUnit unit;
        private long noted;
    }

    /**
     * How a group leads. @param cue fresh words of the coach, else empty @param waits seconds until it begins, else 0
     */
    record Led(String cue, int waits) {}

    /** What the page shows of a running unit. @param led null when it leads itself */
    record State(long sessionId, long athleteId, LiveUnit.View view, Sport sport, int speed, Led led) {}

    /** Starts a unit; one that runs for the session already goes on. */
    @Transactional
    public void start(Ride ride) {
        Optional<Ride> running = store.find(ride.athleteId(), ride.sessionId());
        if (running.isEmpty() && store.running(ride.athleteId()) >= MOST_OF_ONE)
            throw new IllegalArgumentException(
                    "Several bench units run already. End one of them on its page, then start this.");
        if (store.start(ride)) return;
        Ride there =
                running.or(() -> store.find(ride.athleteId(), ride.sessionId())).orElse(ride);
        if (!java.util.Objects.equals(there.hourId(), ride.hourId()))
            throw new IllegalArgumentException(
                    "This session runs on the bench unit already. End it there, then begin it in another way.");
    }

    Optional<State> state(long athleteId, long sessionId) {
        return store.find(athleteId, sessionId).map(this::present);
    }

    /** Presses a key, after the unit has lived up to this moment. */
    @Transactional
    public Optional<State> key(long athleteId, long sessionId, String key) {
        if (RunningUnit.isKey(key)) store.press(athleteId, sessionId, clock.millis(), key, MOST_KEYS);
        return state(athleteId, sessionId);
    }

    private State present(Ride ride) {
        return of(List.of(ride)).get(0);
    }

    /** All units of a group, each at this moment. */
    List<State> ofHour(long hourId) {
        return of(store.ofHour(hourId));
    }

    private List<State> of(List<Ride> rides) {
        long now = clock.millis();
        Map<Long, List<Pressed>> keys =
                store.keys(rides.stream().map(Ride::sessionId).toList());
        Map<Long, Lead> known = new LinkedHashMap<>();
        List<State> states = new ArrayList<>();
        for (Ride ride : rides) {
            Lead lead = ride.hourId() == null
                    ? null
                    : known.computeIfAbsent(
                            ride.hourId(), id -> leads.getObject().of(id, now));
            states.add(at(ride, lead, keys.getOrDefault(ride.sessionId(), List.of()), now, RunningUnit::state));
        }
        return states;
    }

    private <T> T at(
            Ride ride, Lead lead, List<Pressed> keys, long now, java.util.function.Function<RunningUnit, T> answer) {
        Kept here = kept(ride.sessionId());
        synchronized (here) {
            boolean foreign = here.unit == null || !here.unit.isOf(ride);
            if (foreign || here.unit.isBehind(keys, lead)) here.unit = new RunningUnit(ride, lead);
            here.unit.ledBy(lead).to(now, keys);
            if (now - here.noted > NOTED_EVERY_MILLIS) {
                store.looked(ride.sessionId(), now);
                here.noted = now;
            }
            return answer.apply(here.unit);
        }
    }

    private Kept kept(long sessionId) {
        synchronized (kept) {
            Kept here = kept.computeIfAbsent(sessionId, id -> new Kept());
            int seconds = kept.values().stream()
                    .mapToInt(k -> k.unit == null ? 0 : k.unit.seconds())
                    .sum();
            var oldest = kept.entrySet().iterator();
            while (seconds > MOST_KEPT_SECONDS && kept.size() > 1) {
                Kept gone = oldest.next().getValue();
                if (gone == here) continue;
                seconds -= gone.unit == null ? 0 : gone.unit.seconds();
                oldest.remove();
            }
            return here;
        }
    }

    /**
     * Hands over the activity of a unit that has finished and puts the unit away, both or neither: what cannot be
     * delivered is not lost. One that was stopped before it began leaves none.
     *
     * @param deliver takes the unit and the FIT activity
     */
    @Transactional
    public boolean finish(long athleteId, long sessionId, BiConsumer<Ride, byte[]> deliver) {
        if (!store.lock(athleteId, sessionId)) return false;
        Ride ride = store.find(athleteId, sessionId).orElseThrow();
        long now = clock.millis();
        Lead lead = ride.hourId() == null ? null : leads.getObject().of(ride.hourId(), now);
        List<Pressed> keys = store.keys(List.of(sessionId)).getOrDefault(sessionId, List.of());
        boolean forgotten = now - ride.startedMillis() > FORGOTTEN_MILLIS;
        byte[] activity = at(ride, lead, keys, now, unit -> {
            if (!unit.isFinished() && !forgotten) return null;
            return unit.seconds() > 0 ? unit.activity() : new byte[0];
        });
        if (activity == null) return false;
        if (activity.length > 0) deliver.accept(ride, activity);
        store.putAway(sessionId);
        synchronized (kept) {
            kept.remove(sessionId);
        }
        return true;
    }

    /** Sessions of an athlete whose unit has finished and still holds its ride. */
    List<Long> waiting(long athleteId) {
        return of(store.ofAthlete(athleteId)).stream()
                .filter(s -> s.view().finished())
                .map(State::sessionId)
                .toList();
    }

    /** Lives a unit on though nobody looks. */
    void look(Ride ride) {
        store.looked(ride.sessionId(), clock.millis());
        present(ride);
    }

    /** Units at which nobody has looked for a while. */
    List<Ride> unseen() {
        return store.unseenSince(clock.millis() - 2 * NOTED_EVERY_MILLIS, MOST_FORGOTTEN);
    }
}
