package pemblar.app.evidence;

import pemblar.core.threshold.Evidence;

/**
 * Evidence as pages show it.
 * @param key       names it for setting aside, also when it was found and not typed
 * @param sessionId the session it came from, or null
 * @param setAside  why it does not count, or null when it does
 * @param kept      true when a person kept it and can delete it
 */
public record Piece(String key, Evidence evidence, Long sessionId, String setAside, boolean kept) {
    public boolean counts() {
        return setAside == null;
    }
}
