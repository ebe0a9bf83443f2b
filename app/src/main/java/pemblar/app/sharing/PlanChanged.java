package pemblar.app.sharing;

/**
 * Something in an athlete's plan changed. @param shared whether the athlete sees it; a draft is seen by coaches alone
 */
public record PlanChanged(long athleteId, boolean shared) {}
