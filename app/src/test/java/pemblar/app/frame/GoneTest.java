package pemblar.app.frame;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import org.apache.catalina.connector.ClientAbortException;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.web.context.request.async.AsyncRequestNotUsableException;

/** Who leaves while an answer is written is no fault of the server; a file that cannot be read is one. */
@Tag("unit")
class GoneTest {
    @Test
    void whoeverLeftIsNoFault() {
        assertThat(ErrorAdvice.isGone(new IllegalStateException("template", new ClientAbortException("broken pipe"))))
                .isTrue();
        assertThat(ErrorAdvice.isGone(new UncheckedIOException(new AsyncRequestNotUsableException("gone"))))
                .isTrue();
        assertThat(ErrorAdvice.isGone(new UncheckedIOException(new IOException("no such file"))))
                .isFalse();
        assertThat(ErrorAdvice.isGone(new IllegalStateException("a fault"))).isFalse();
    }
}
