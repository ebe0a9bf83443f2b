package pemblar.app.program;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** A body that says nothing of its length is read to the limit and no byte further. */
@Tag("unit")
class LimitedBodyTest {
    private static final int MOST = 1000;
    private int read;

    private ServletInputStream body(int bytes) throws IOException {
        InputStream in = new ByteArrayInputStream(new byte[bytes]);
        HttpServletRequest request = mock(HttpServletRequest.class);
        when(request.getInputStream()).thenReturn(new ServletInputStream() {
            @Override
            public int read() throws IOException {
                int one = in.read();
                if (one >= 0) read++;
                return one;
            }

            @Override
            public boolean isFinished() {
                return false;
            }

            @Override
            public boolean isReady() {
                return true;
            }

            @Override
            public void setReadListener(ReadListener listener) {}
        });
        return new LimitedBody(request, MOST).getInputStream();
    }

    @Test
    void upToTheLimitAllIsRead() throws IOException {
        assertThat(body(0).readAllBytes()).isEmpty();
        assertThat(body(MOST).readAllBytes()).hasSize(MOST);
    }

    @Test
    void oneMoreIsRefusedHoweverItIsRead() throws IOException {
        assertThatThrownBy(() -> body(MOST + 1).readAllBytes())
                .isInstanceOf(LimitedBody.TooLarge.class)
                .hasMessageContaining("1000 bytes");
        ServletInputStream one = body(MOST + 1);
        for (int i = 0; i < MOST; i++) assertThat(one.read()).isZero();
        assertThatThrownBy(one::read).isInstanceOf(LimitedBody.TooLarge.class);
    }

    @Test
    void whatFollowsIsNotReadOn() throws IOException {
        ServletInputStream body = body(1_000_000);
        byte[] part = new byte[100];
        assertThatThrownBy(() -> {
                    while (body.read(part) >= 0) assertThat(part).isNotNull();
                })
                .isInstanceOf(LimitedBody.TooLarge.class);
        assertThat(read).isLessThanOrEqualTo(MOST + part.length);
    }
}
