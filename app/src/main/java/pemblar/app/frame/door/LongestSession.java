package pemblar.app.frame.door;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.io.IOException;
import java.time.Duration;
import java.time.Instant;
import java.time.InstantSource;
import org.springframework.web.filter.OncePerRequestFilter;

/** Who signed in thirty days ago signs in again, however often they came since: a stolen cookie does not live on. */
class LongestSession extends OncePerRequestFilter {
    static final Duration LONGEST = Duration.ofDays(30);
    private final InstantSource clock;

    LongestSession(InstantSource clock) {
        this.clock = clock;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        HttpSession session = request.getSession(false);
        if (session != null
                && Instant.ofEpochMilli(session.getCreationTime()).plus(LONGEST).isBefore(clock.instant()))
            session.invalidate();
        chain.doFilter(request, response);
    }
}
