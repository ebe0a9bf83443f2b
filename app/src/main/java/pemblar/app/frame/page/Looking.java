package pemblar.app.frame.page;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.sql.SQLException;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.annotation.Lazy;
import org.springframework.core.Ordered;
import org.springframework.stereotype.Component;
import org.springframework.transaction.IllegalTransactionStateException;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionException;
import org.springframework.transaction.TransactionStatus;
import org.springframework.transaction.support.DefaultTransactionDefinition;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.HandlerExceptionResolver;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.ModelAndView;

/**
 * Holds the one read of a page that is marked {@link OneLook}: begun when the page is opened, ended before it is drawn.
 * A page that turns out to write is opened once more without; nothing of it was written by then.
 */
@Component
public class Looking implements HandlerInterceptor, HandlerExceptionResolver, Ordered {
    private static final Logger LOG = LoggerFactory.getLogger(Looking.class);
    private static final String WRITES = Looking.class.getName() + ".writes";
    private static final String ONLY_READS = "25006";
    /**
     * Fewer than there are connections: who only wants to know who somebody is gets one, however many pages are asked.
     */
    static final int AT_ONCE = 8;

    private static final long PATIENCE_SECONDS = 30;

    private final PlatformTransactionManager transactions;
    private final ThreadLocal<Look> looks = new ThreadLocal<>();
    private final Semaphore turns = new Semaphore(AT_ONCE, true);

    Looking(@Lazy PlatformTransactionManager transactions) {
        this.transactions = transactions;
    }

    private static final class Look {
        TransactionStatus open;
    }

    /** From here on the page only reads. Does nothing for any other request. */
    public void begin() {
        Look look = looks.get();
        if (look == null || look.open != null) return;
        DefaultTransactionDefinition reading = new DefaultTransactionDefinition();
        reading.setReadOnly(true);
        look.open = transactions.getTransaction(reading);
    }

    /** Something that writes before the page reads on, in a look that is begun anew. */
    public void between(Runnable work) {
        Look look = looks.get();
        boolean reads = look != null && look.open != null;
        if (reads) close(look);
        work.run();
        if (reads) begin();
    }

    private void close(Look look) {
        TransactionStatus open = look.open;
        look.open = null;
        transactions.rollback(open); // nothing was written, and a refusal may mark it
    }

    private void end() {
        Look look = looks.get();
        if (look == null) return;
        looks.remove();
        try {
            if (look.open != null) close(look);
        } catch (TransactionException e) {
            LOG.info("the database went away while a page was read: {}", e.toString());
        } finally {
            turns.release();
        }
    }

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler) {
        if (handler instanceof HandlerMethod method
                && method.hasMethodAnnotation(OneLook.class)
                && request.getAttribute(WRITES) == null
                && isItsTurn()) looks.set(new Look());
        return true;
    }

    /** Whoever waited for long goes on as any other page does: by one short question after another. */
    private boolean isItsTurn() {
        try {
            return turns.tryAcquire(PATIENCE_SECONDS, TimeUnit.SECONDS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return false;
        }
    }

    @Override
    public void postHandle(
            HttpServletRequest request, HttpServletResponse response, Object handler, ModelAndView page) {
        end();
    }

    @Override
    public void afterCompletion(
            HttpServletRequest request, HttpServletResponse response, Object handler, Exception fault) {
        end();
    }

    /** Before any other: a page of an error may ask the database as well. */
    @Override
    public int getOrder() {
        return Ordered.HIGHEST_PRECEDENCE;
    }

    @Override
    public ModelAndView resolveException(
            HttpServletRequest request, HttpServletResponse response, Object handler, Exception e) {
        boolean open = looks.get() != null && looks.get().open != null;
        end();
        if (!open || !wrote(e)) return null;
        LOG.warn("{} writes and is opened anew: it is no page of one look", request.getServletPath());
        request.setAttribute(WRITES, true);
        return new ModelAndView("forward:" + request.getServletPath());
    }

    private static boolean wrote(Throwable e) {
        for (Throwable cause = e; cause != null; cause = cause.getCause()) {
            if (cause instanceof IllegalTransactionStateException) return true;
            if (cause instanceof SQLException sql && ONLY_READS.equals(sql.getSQLState())) return true;
        }
        return false;
    }
}
