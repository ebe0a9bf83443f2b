package pemblar.app.bench;

/** Groups that are led; kept by the area of the group hours. */
public interface Leads {
    /** @throws pemblar.app.frame.NotFoundException when it is gone */
    Lead of(long hourId, long nowMillis);
}
