package pemblar.app.frame.health;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Duration;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

@Tag("unit")
class AnswersTest {
    private final Answers answers = new Answers();

    private String told() {
        FigureText text = new FigureText();
        answers.tell(text);
        return text.toString();
    }

    @Test
    void eachAnswerCountsOnceByItsKindAndInEveryBucketThatHoldsIt() {
        answers.count(200, Duration.ofMillis(25).toNanos());
        answers.count(302, Duration.ofMillis(26).toNanos());
        answers.count(404, Duration.ofSeconds(2).toNanos());
        answers.count(503, Duration.ofSeconds(11).toNanos());
        assertThat(told())
                .contains("pemblar_requests_total{answer=\"2xx\"} 1\n")
                .contains("pemblar_requests_total{answer=\"5xx\"} 1\n")
                .contains("pemblar_request_seconds_bucket{le=\"0.025\"} 1\n")
                .contains("pemblar_request_seconds_bucket{le=\"0.05\"} 2\n")
                .contains("pemblar_request_seconds_bucket{le=\"3.0\"} 3\n")
                .contains("pemblar_request_seconds_bucket{le=\"10.0\"} 3\n")
                .contains("pemblar_request_seconds_bucket{le=\"+Inf\"} 4\n")
                .contains("pemblar_request_seconds_sum 13.051\n")
                .contains("pemblar_request_seconds_count 4\n");
    }

    @Test
    void oneThatEndsInAFaultCountsAsFault() throws ServletException, IOException {
        HttpServletRequest request = mock(HttpServletRequest.class);
        HttpServletResponse response = mock(HttpServletResponse.class);
        when(response.getStatus()).thenReturn(200);
        FilterChain broken = (asked, answer) -> {
            throw new IllegalStateException("broken");
        };
        assertThatThrownBy(() -> answers.doFilterInternal(request, response, broken))
                .isInstanceOf(IllegalStateException.class);
        answers.doFilterInternal(request, response, (asked, answer) -> {});
        assertThat(told())
                .contains("pemblar_requests_total{answer=\"2xx\"} 1\n")
                .contains("pemblar_requests_total{answer=\"5xx\"} 1\n");
    }

    @Test
    void aLabelCannotEndItself() {
        assertThat(new FigureText().value("jobs", "kind", "a\"b\\c\nd", 3).toString())
                .isEqualTo("jobs{kind=\"a\\\"b\\\\c\\nd\"} 3\n");
    }
}
