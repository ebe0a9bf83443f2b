package pemblar.app.evidence;

import java.util.List;
import pemblar.core.threshold.Evidence;

/**
 * Evidence as pages show it.
 *
 * @param key names it for setting aside, also when it was found and not typed
 * @param sessionId the session it came from, or null
 * @param setAside why it does not count, or null when it does
 * @param kept true when a person kept it and can delete it
 * @param floor lowest critical powers by reserve, of a session that went below zero; else empty
 * @param covariance of critical power and W' where one fit gave both, W J; NaN else
 */
public record Piece(
        String key,
        Evidence evidence,
        Long sessionId,
        String setAside,
        boolean kept,
        List<Double> floor,
        double covariance) {
    public Piece(String key, Evidence evidence, Long sessionId, String setAside, boolean kept) {
        this(key, evidence, sessionId, setAside, kept, List.of(), Double.NaN);
    }

    public boolean counts() {
        return setAside == null;
    }
}
