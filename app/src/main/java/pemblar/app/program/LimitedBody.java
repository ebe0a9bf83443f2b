package pemblar.app.program;

import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import java.io.IOException;

/** A body that says nothing of its length is read up to a limit, and no further. */
public class LimitedBody extends HttpServletRequestWrapper {
    private final int most;

    public LimitedBody(HttpServletRequest request, int most) {
        super(request);
        this.most = most;
    }

    /** The body goes on past the limit. */
    public static final class TooLarge extends IOException {
        private static final long serialVersionUID = 1;

        private TooLarge(int most) {
            super("At most " + most + " bytes can be sent here.");
        }
    }

    @Override
    public ServletInputStream getInputStream() throws IOException {
        return new Counted(super.getInputStream());
    }

    private final class Counted extends ServletInputStream {
        private final ServletInputStream in;
        private long read;

        private Counted(ServletInputStream in) {
            this.in = in;
        }

        private int count(int bytes) throws IOException {
            if (bytes > 0 && (read += bytes) > most) throw new TooLarge(most);
            return bytes;
        }

        @Override
        public int read() throws IOException {
            int one = in.read();
            if (one >= 0) count(1);
            return one;
        }

        @Override
        public int read(byte[] into, int from, int length) throws IOException {
            return count(in.read(into, from, length));
        }

        @Override
        public boolean isFinished() {
            return in.isFinished();
        }

        @Override
        public boolean isReady() {
            return in.isReady();
        }

        @Override
        public void setReadListener(ReadListener listener) {
            in.setReadListener(listener);
        }
    }
}
