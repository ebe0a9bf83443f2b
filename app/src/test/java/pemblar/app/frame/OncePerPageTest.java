package pemblar.app.frame;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyString;
import static org.mockito.Mockito.doAnswer;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import jakarta.servlet.http.HttpServletRequest;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;

@Tag("unit")
class OncePerPageTest {
    private final AtomicInteger looks = new AtomicInteger();

    private static void page(String method) {
        Map<String, Object> kept = new HashMap<>();
        HttpServletRequest request = mock(HttpServletRequest.class);
        when(request.getMethod()).thenReturn(method);
        when(request.getAttribute(anyString())).thenAnswer(call -> kept.get((String) call.getArgument(0)));
        doAnswer(call -> kept.put(call.getArgument(0), call.getArgument(1)))
                .when(request)
                .setAttribute(anyString(), any());
        RequestContextHolder.setRequestAttributes(new ServletRequestAttributes(request));
    }

    @AfterEach
    void theNextHasNoPage() {
        RequestContextHolder.resetRequestAttributes();
    }

    private int look(long of) {
        return Once.of("season", List.of(of), looks::incrementAndGet);
    }

    @Test
    void aPageThatIsReadLooksOnceForEach() {
        page("GET");
        assertThat(List.of(look(1), look(1), look(2), look(1))).containsExactly(1, 1, 2, 1);
        page("GET");
        assertThat(look(1)).as("another page").isEqualTo(3);
    }

    @Test
    void whoeverWritesAndEveryJobLooksAnew() {
        page("POST");
        assertThat(List.of(look(1), look(1))).containsExactly(1, 2);
        RequestContextHolder.resetRequestAttributes();
        assertThat(List.of(look(1), look(1))).containsExactly(3, 4);
        assertThat(Once.isKnown("season", List.of(1L))).isFalse();
    }

    @Test
    void whatWasFoundTogetherWithOtherThingsIsNotLookedForAgain() {
        page("GET");
        assertThat(Once.isKnown("season", List.of(1L))).isFalse();
        Once.keep("season", List.of(1L), 70);
        assertThat(Once.isKnown("season", List.of(1L))).isTrue();
        assertThat(Once.isKnown("season", List.of(2L))).isFalse();
        assertThat(look(1)).isEqualTo(70);
        Once.keep("season", List.of(1L), 71);
        assertThat(look(1)).as("a page shows one and the same").isEqualTo(70);
    }
}
