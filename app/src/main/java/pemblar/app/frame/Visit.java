package pemblar.app.frame;

/**
 * Who asks, and about which athlete: what nearly every page and change begins with. Whether they may is for the
 * services to say.
 */
public record Visit(long athleteId, Viewer viewer) implements OfAthlete {}
