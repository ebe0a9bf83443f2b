package pemblar.app.frame.door;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.anyBoolean;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpSession;
import java.time.Duration;
import java.time.Instant;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.security.core.context.DeferredSecurityContext;

/** What a stylesheet asks for needs no session; who asks for a page with an old one is nobody. */
@Tag("unit")
class LongestSessionTest {
    private static final Instant NOW = Instant.parse("2026-03-02T10:00:00Z");
    private final LongestSession sessions = new LongestSession(() -> NOW);
    private final HttpServletRequest request = mock(HttpServletRequest.class);
    private final HttpSession session = mock(HttpSession.class);

    private DeferredSecurityContext begun(Duration ago) {
        when(request.getSession(false)).thenReturn(session);
        when(session.getCreationTime()).thenReturn(NOW.minus(ago).toEpochMilli());
        return sessions.loadDeferredContext(request);
    }

    @Test
    void nothingIsReadUntilItMattersWhoAsks() {
        begun(Duration.ofDays(40));
        verify(request, never()).getSession(anyBoolean());
    }

    @Test
    void thirtyDaysAfterItBeganItEnds() {
        begun(LongestSession.LONGEST).get();
        verify(session, never()).invalidate();
        DeferredSecurityContext old = begun(LongestSession.LONGEST.plusMillis(1));
        assertThat(old.isGenerated()).isTrue();
        assertThat(old.get().getAuthentication()).isNull();
        verify(session).invalidate();
    }
}
