package pemblar.app.session;

/** A recording was taken in and has its session. */
public record SessionArrived(long athleteId, long sessionId) {}
