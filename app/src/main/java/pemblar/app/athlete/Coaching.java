package pemblar.app.athlete;

import java.time.Instant;

/**
 * One person's access to another's training.
 *
 * @param acceptedAt null while the coach has not accepted
 * @param endedAt null while it stands
 * @param plans may change the plan and all else; false: sees and writes notes
 */
public record Coaching(
        long athleteId,
        String athlete,
        long coachAccountId,
        String coach,
        boolean plans,
        Instant askedAt,
        Instant acceptedAt,
        Instant endedAt) {
    public boolean stands() {
        return acceptedAt != null && endedAt == null;
    }

    public boolean isOpen() {
        return acceptedAt == null && endedAt == null;
    }
}
