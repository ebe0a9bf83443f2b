package pemblar.app.frame.door;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpSession;
import java.util.function.Function;

/**
 * What a person's list of sign-ins tells one device from another by, kept as long as the sign-in.
 *
 * @param agent what the browser said of itself; {@code address} the one that the request came from. Both null of a
 *     sign-in from before they were kept
 */
public record SignedInFrom(String agent, String address) {
    private static final String AGENT = "pemblar.agent";
    private static final String ADDRESS = "pemblar.address";
    /** A browser says some 100 letters; whatever says more is not told by the rest. */
    private static final int LONGEST = 300;

    /** Once, of who was let in just now. */
    public static void keep(HttpServletRequest request) {
        HttpSession session = request.getSession(false);
        if (session == null || session.getAttribute(ADDRESS) != null) return;
        String agent = request.getHeader("User-Agent");
        if (agent != null) session.setAttribute(AGENT, agent.substring(0, Math.min(agent.length(), LONGEST)));
        session.setAttribute(ADDRESS, request.getRemoteAddr());
    }

    /** @param attribute of the sign-in, by its name */
    public static SignedInFrom of(Function<String, String> attribute) {
        return new SignedInFrom(attribute.apply(AGENT), attribute.apply(ADDRESS));
    }
}
