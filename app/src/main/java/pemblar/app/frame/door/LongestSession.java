package pemblar.app.frame.door;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.time.Duration;
import java.time.Instant;
import java.time.InstantSource;
import org.springframework.security.core.context.DeferredSecurityContext;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;

/**
 * Who signed in thirty days ago signs in again, however often they came since: a stolen cookie does not live on. Looked
 * at only where it matters who asks, so that styles and scripts need no database.
 */
class LongestSession extends HttpSessionSecurityContextRepository {
    static final Duration LONGEST = Duration.ofDays(30);
    private final InstantSource clock;

    LongestSession(InstantSource clock) {
        this.clock = clock;
    }

    /** Whoever is let in is let in from somewhere. */
    @Override
    public void saveContext(SecurityContext context, HttpServletRequest request, HttpServletResponse response) {
        super.saveContext(context, request, response);
        if (context.getAuthentication() != null) SignedInFrom.keep(request);
    }

    @Override
    public DeferredSecurityContext loadDeferredContext(HttpServletRequest request) {
        DeferredSecurityContext kept = super.loadDeferredContext(request);
        return new DeferredSecurityContext() {
            private boolean looked;

            @Override
            public SecurityContext get() {
                look();
                return kept.get();
            }

            @Override
            public boolean isGenerated() {
                look();
                return kept.isGenerated();
            }

            private void look() {
                if (!looked) endWhenOld(request);
                looked = true;
            }
        };
    }

    private void endWhenOld(HttpServletRequest request) {
        HttpSession session = request.getSession(false);
        if (session != null
                && Instant.ofEpochMilli(session.getCreationTime()).plus(LONGEST).isBefore(clock.instant()))
            session.invalidate();
    }
}
