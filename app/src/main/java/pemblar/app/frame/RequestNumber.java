package pemblar.app.frame;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.UUID;
import org.slf4j.MDC;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Each request has a number: every line of the log that it causes carries it, and so does its answer, so that what a
 * person reads of a fault can be found.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
public class RequestNumber extends OncePerRequestFilter {
    static final String HEADER = "X-Request-Id";
    private static final String NAME = "request";

    /** Of the request that is being answered; another one outside of any. */
    public static String present() {
        String number = MDC.get(NAME);
        return number == null ? made() : number;
    }

    private static String made() {
        return UUID.randomUUID().toString().substring(0, 8);
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String number = made();
        MDC.put(NAME, number);
        response.setHeader(HEADER, number);
        try {
            chain.doFilter(request, response);
        } finally {
            MDC.remove(NAME);
        }
    }
}
