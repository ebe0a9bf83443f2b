package pemblar.app.bench;

import java.time.Instant;
import java.util.Random;
import pemblar.benchunit.Body;
import pemblar.benchunit.Faults;
import pemblar.benchunit.LiveUnit;
import pemblar.core.model.Reserve;

/**
 * What a bench unit began with. With the keys that were pressed since it is all there is to know of it.
 *
 * @param accountId in whose name its recording arrives
 * @param hourId of the group whose clock leads it; null: it leads itself
 * @param reserve null when the unit was told none
 * @param begins of the recording
 * @param startedMillis of the wall
 */
record Ride(
        long sessionId,
        long athleteId,
        long accountId,
        Long hourId,
        byte[] workout,
        Body body,
        Reserve reserve,
        Instant begins,
        long startedMillis,
        int speed) {

    /** A key as it was pressed: at a moment of the wall, in the order of ids. */
    record Pressed(long id, long atMillis, String key) {}

    LiveUnit unit() {
        LiveUnit unit = LiveUnit.load(workout, body, new Random(sessionId), Faults.NONE.heat());
        return reserve == null ? unit : unit.withReserve(reserve);
    }
}
