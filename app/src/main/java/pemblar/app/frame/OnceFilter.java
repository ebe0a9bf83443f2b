package pemblar.app.frame;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Duration;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import java.util.concurrent.locks.LockSupport;
import java.util.regex.Pattern;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * A form that is sent twice does its work once. A page may send a key of its own ({@code once}, kept for a day);
 * without one, the same fields to an address that makes something new, by the same person within two seconds, are one
 * form pressed twice. What failed may be sent again, and what a node began and died of as well ({@link OnceClaims}).
 */
public class OnceFilter extends OncePerRequestFilter {
    private static final Duration SAME_PRESS = Duration.ofSeconds(2);
    private static final Duration KEPT = Duration.ofDays(1);
    private static final Duration LOOK_AGAIN = Duration.ofMillis(200);
    /** Addresses that put something new on a plan. */
    private static final Pattern MAKES =
            Pattern.compile("/a/\\d{1,18}/(sessions|sketch|sessions/\\d{1,18}/copy|days/copy|templates/\\d{1,18}/put)");

    private final OnceClaims claims;

    public OnceFilter(OnceClaims claims) {
        this.claims = claims;
    }

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        String path = request.getServletPath();
        String type = request.getContentType();
        boolean form = type == null || type.startsWith("application/x-www-form-urlencoded");
        return !request.getMethod().equals("POST")
                || !form
                || !MAKES.matcher(path).matches() && !hasKey(request);
    }

    private static boolean hasKey(HttpServletRequest request) {
        return request.getServletPath().startsWith("/a/")
                && request.getParameter("once") != null
                && !request.getParameter("once").isBlank();
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        Authentication who = SecurityContextHolder.getContext().getAuthentication();
        String own = request.getParameter("once");
        boolean hasOwn = own != null && !own.isBlank();
        String key = Secret.hash((who == null ? "" : who.getName()) + "\n" + request.getServletPath() + "\n"
                + (hasOwn ? own : fields(request)));
        OnceClaims.Claim claim = new OnceClaims.Claim(key, UUID.randomUUID());
        if (!isMine(claim, hasOwn)) {
            again(request, response);
            return;
        }
        OnceClaims.carry(request, claim);
        boolean done = false;
        try {
            chain.doFilter(request, response);
            done = response.getStatus() < 400;
        } finally {
            OnceClaims.carry(request, null); // the page of an error is written by the same request, and is no work
            if (done) claims.done(claim);
            else claims.release(claim);
        }
    }

    /** Of a form with a key of its own that is being worked at, it is waited how that ends: its node may have died. */
    private boolean isMine(OnceClaims.Claim claim, boolean hasOwn) {
        OnceClaims.State state = claims.claim(claim, hasOwn ? KEPT : SAME_PRESS);
        long rounds = OnceClaims.ABANDONED.dividedBy(LOOK_AGAIN) + 2;
        for (long i = 0; hasOwn && state == OnceClaims.State.PENDING && i < rounds; i++) {
            LockSupport.parkNanos(LOOK_AGAIN.toNanos());
            state = claims.claim(claim, KEPT);
        }
        return state == OnceClaims.State.MINE;
    }

    /** The first of the two answers; this one only does not disturb it. */
    private static void again(HttpServletRequest request, HttpServletResponse response) throws IOException {
        String from = request.getHeader("Referer");
        String path = from == null ? null : from.replaceFirst("^https?://[^/]*", "");
        if (request.getHeader("HX-Request") != null || path == null || !path.startsWith("/") || path.startsWith("//"))
            response.setStatus(HttpServletResponse.SC_NO_CONTENT);
        else response.sendRedirect(path);
    }

    private static String fields(HttpServletRequest request) {
        StringBuilder all = new StringBuilder();
        for (Map.Entry<String, String[]> field : new TreeMap<>(request.getParameterMap()).entrySet())
            if (!field.getKey().equals("_csrf"))
                all.append(field.getKey())
                        .append('=')
                        .append(String.join("\u0001", field.getValue()))
                        .append('\u0002');
        return all.toString();
    }
}
