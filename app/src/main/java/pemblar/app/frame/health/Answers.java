package pemblar.app.frame.health;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.concurrent.atomic.LongAdder;
import java.util.stream.Stream;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** Counts what this node answered since it began, and how soon. */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class Answers extends OncePerRequestFilter {
    private static final double[] SECONDS = {0.025, 0.05, 0.1, 0.25, 0.5, 1, 3, 10};
    private static final int HUNDRED = 100;
    private static final double NANOS = 1e9;
    private static final int KINDS = 5;
    /** By the first digit of the answer's number. */
    private final LongAdder[] answers = adders(KINDS);

    private final LongAdder[] within = adders(SECONDS.length);
    private final LongAdder nanos = new LongAdder();

    private static LongAdder[] adders(int count) {
        return Stream.generate(LongAdder::new).limit(count).toArray(LongAdder[]::new);
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        long begun = System.nanoTime();
        boolean answered = false;
        try {
            chain.doFilter(request, response);
            answered = true;
        } finally {
            count(answered ? response.getStatus() : 500, System.nanoTime() - begun);
        }
    }

    void count(int status, long took) {
        answers[Math.max(1, Math.min(KINDS, status / HUNDRED)) - 1].increment();
        nanos.add(took);
        for (int i = 0; i < SECONDS.length; i++) if (took <= SECONDS[i] * NANOS) within[i].increment();
    }

    void tell(FigureText text) {
        String name = "pemblar_requests_total";
        text.named(name, "counter", "answered since this node began, by the kind of answer");
        long all = 0;
        for (int i = 0; i < KINDS; i++) {
            long count = answers[i].sum();
            all += count;
            text.value(name, "answer", (i + 1) + "xx", count);
        }
        String took = "pemblar_request_seconds";
        text.named(took, "histogram", "from when this node takes a request up until it is answered");
        for (int i = 0; i < SECONDS.length; i++)
            text.value(took + "_bucket", "le", String.valueOf(SECONDS[i]), Math.min(all, within[i].sum()));
        text.value(took + "_bucket", "le", "+Inf", all);
        text.value(took + "_sum", nanos.sum() / NANOS).value(took + "_count", all);
    }
}
