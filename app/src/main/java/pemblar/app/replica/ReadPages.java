package pemblar.app.replica;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.io.IOException;
import java.sql.SQLException;
import java.time.Duration;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.core.Ordered;
import org.springframework.dao.DataAccessException;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Lets the copy answer whoever only reads: a page as a whole, so that nothing on it is of two moments. A person who
 * changed something is answered by the main database until the copy has that change too. What the copy cannot answer,
 * whatever the reason, is asked of the main one once more: only that one's refusals and faults are told to anybody. The
 * last of the filters, so that the request can be begun twice.
 */
final class ReadPages extends OncePerRequestFilter implements Ordered {
    private static final String WRITTEN = "replica.written";
    private static final String ONLY_READS = "25006";
    private static final int MOST_KNOWN = 1000;
    private static final Duration WROTE_COUNTS = Duration.ofMinutes(1);

    private final Replica replica;
    /** Pages that wrote while they were read, of every athlete alike, and when. */
    private final Map<String, Long> wrote = new ConcurrentHashMap<>();

    ReadPages(Replica replica) {
        this.replica = replica;
    }

    @Override
    public int getOrder() {
        return Ordered.LOWEST_PRECEDENCE;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (!isRead(request)) change(request, response, chain);
        else if (!mayBeElsewhere(request) || !elsewhere(request, response, chain)) chain.doFilter(request, response);
    }

    private static boolean isRead(HttpServletRequest request) {
        return request.getMethod().equals("GET") || request.getMethod().equals("HEAD");
    }

    /** How far the log is after it, is kept in the sign-in, whichever node is asked next. */
    private void change(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        try {
            chain.doFilter(request, response);
        } finally {
            HttpSession session = request.getSession(false);
            if (session != null) session.setAttribute(WRITTEN, written());
        }
    }

    private long written() {
        try {
            return replica.mainBytes();
        } catch (DataAccessException e) {
            return Long.MAX_VALUE; // not known: the main one answers until the next change
        }
    }

    /** Programs and devices have no sign-in to keep a position in: they are answered by the main one. */
    private boolean mayBeElsewhere(HttpServletRequest request) {
        HttpSession session = request.getUserPrincipal() == null ? null : request.getSession(false);
        if (session == null || wroteOfLate(page(request))) return false;
        return replica.mayAnswer(session.getAttribute(WRITTEN) instanceof Long bytes ? bytes : 0);
    }

    /** Some pages write only what is missing: after a while the copy is tried again. */
    private boolean wroteOfLate(String page) {
        Long at = wrote.get(page);
        return at != null && System.nanoTime() - at < WROTE_COUNTS.toNanos();
    }

    /** The address without its numbers. */
    private static String page(HttpServletRequest request) {
        return request.getServletPath().replaceAll("\\d+", "1");
    }

    private boolean elsewhere(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        Exception failed = null;
        Elsewhere.begin();
        try {
            chain.doFilter(request, response);
            if (request.getAttribute(FailedElsewhere.WHY) instanceof Exception e) failed = e;
        } catch (ServletException | RuntimeException e) {
            if (response.isCommitted()) throw e;
            failed = e;
        } finally {
            Elsewhere.end();
        }
        if (failed == null) {
            replica.answered();
            return true;
        }
        if (onlyReads(failed) && wrote.size() < MOST_KNOWN) wrote.put(page(request), System.nanoTime());
        replica.failed();
        request.removeAttribute(FailedElsewhere.WHY);
        response.resetBuffer();
        response.setStatus(HttpServletResponse.SC_OK);
        return false;
    }

    private static boolean onlyReads(Throwable e) {
        for (Throwable cause = e; cause != null && cause.getCause() != cause; cause = cause.getCause())
            if (cause instanceof SQLException sql && ONLY_READS.equals(sql.getSQLState())) return true;
        return false;
    }
}
