package pemblar.app.frame.page;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.argThat;
import static org.mockito.Mockito.doAnswer;
import static org.mockito.Mockito.doThrow;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.sql.SQLException;
import java.util.HashMap;
import java.util.Map;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.transaction.IllegalTransactionStateException;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.TransactionStatus;
import org.springframework.transaction.TransactionSystemException;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.ModelAndView;

@Tag("unit")
class LookingTest {
    private final PlatformTransactionManager transactions = mock(PlatformTransactionManager.class);
    private final TransactionStatus status = mock(TransactionStatus.class);
    private final Looking looking = new Looking(transactions);
    private final HttpServletRequest request = mock(HttpServletRequest.class);
    private final HttpServletResponse response = mock(HttpServletResponse.class);
    private final Map<String, Object> kept = new HashMap<>();

    static class Handlers {
        @OneLook
        public void marked() {}

        public void other() {}
    }

    @BeforeEach
    void begins() {
        when(request.getServletPath()).thenReturn("/a/1/today");
        when(request.getAttribute(any())).thenAnswer(call -> kept.get((String) call.getArgument(0)));
        doAnswer(call -> kept.put(call.getArgument(0), call.getArgument(1)))
                .when(request)
                .setAttribute(any(), any());
        when(transactions.getTransaction(argThat(TransactionDefinition::isReadOnly)))
                .thenReturn(status);
    }

    private static HandlerMethod handler(String name) {
        try {
            return new HandlerMethod(new Handlers(), Handlers.class.getMethod(name));
        } catch (NoSuchMethodException e) {
            throw new AssertionError(e);
        }
    }

    @Test
    void aMarkedPageReadsInOneTransactionThatEndsBeforeItIsDrawn() {
        looking.preHandle(request, response, handler("marked"));
        verify(transactions, never()).getTransaction(argThat(d -> true));
        looking.begin();
        looking.begin();
        looking.postHandle(request, response, handler("marked"), null);
        looking.afterCompletion(request, response, handler("marked"), null);
        verify(transactions, times(1)).getTransaction(argThat(TransactionDefinition::isReadOnly));
        verify(transactions, times(1)).rollback(status);
    }

    /** What a look must write (that somebody looked) is written outside of it, and the page reads on in another. */
    @Test
    void whatIsWrittenInBetweenIsWrittenOutside() {
        looking.preHandle(request, response, handler("marked"));
        looking.begin();
        looking.between(() -> verify(transactions).rollback(status));
        looking.postHandle(request, response, handler("marked"), null);
        verify(transactions, times(2)).getTransaction(argThat(TransactionDefinition::isReadOnly));
        verify(transactions, times(2)).rollback(status);
        looking.preHandle(request, response, handler("other"));
        looking.begin();
        looking.between(() -> {});
        verify(transactions, times(2)).getTransaction(argThat(d -> true));
    }

    @Test
    void aWritingThatFailsLeavesNoLookOpen() {
        looking.preHandle(request, response, handler("marked"));
        looking.begin();
        IllegalStateException fault = new IllegalStateException("x");
        assertThatThrownBy(() -> looking.between(() -> {
                    throw fault;
                }))
                .isSameAs(fault);
        assertThat(looking.resolveException(request, response, handler("marked"), fault))
                .isNull();
        verify(transactions, times(1)).rollback(status);
    }

    @Test
    void anyOtherRequestReadsAsItDid() {
        looking.preHandle(request, response, handler("other"));
        looking.begin();
        looking.postHandle(request, response, handler("other"), null);
        verify(transactions, never()).getTransaction(argThat(d -> true));
    }

    @Test
    void aPageThatWritesIsOpenedOnceMoreWithout() {
        for (Exception wrote : new Exception[] {
            new IllegalTransactionStateException("not marked as read-only"),
            new RuntimeException(new SQLException("cannot execute INSERT", "25006"))
        }) {
            kept.clear();
            looking.preHandle(request, response, handler("marked"));
            looking.begin();
            ModelAndView again = looking.resolveException(request, response, handler("marked"), wrote);
            assertThat(again.getViewName()).isEqualTo("forward:/a/1/today");
            looking.preHandle(request, response, handler("marked"));
            looking.begin();
            assertThat(looking.resolveException(request, response, handler("marked"), wrote))
                    .as("and then the fault is told")
                    .isNull();
        }
        verify(transactions, times(2)).rollback(status);
    }

    /** A page of an error asks the database too, which refuses everything after a statement that failed. */
    @Test
    void theLookEndsBeforeAnyFaultIsTold() {
        looking.preHandle(request, response, handler("marked"));
        looking.begin();
        assertThat(looking.resolveException(request, response, handler("marked"), new IllegalStateException("x")))
                .isNull();
        verify(transactions).rollback(status);
    }

    /** What was read is there; whoever asks next is told that the database is away. */
    @Test
    void aDatabaseThatWentAwayMeanwhileTakesNoPageAlong() {
        doThrow(new TransactionSystemException("the connection is closed"))
                .when(transactions)
                .rollback(status);
        looking.preHandle(request, response, handler("marked"));
        looking.begin();
        looking.postHandle(request, response, handler("marked"), null);
        looking.preHandle(request, response, handler("marked"));
        looking.begin();
        assertThat(looking.resolveException(request, response, handler("marked"), new IllegalStateException("x")))
                .isNull();
    }

    /** A hundred at once do not take every connection, and each turn is given back however a page ends. */
    @Test
    void onlySoManyLookAtOnce() throws Exception {
        AtomicInteger open = new AtomicInteger();
        AtomicInteger most = new AtomicInteger();
        doAnswer(call -> {
                    most.accumulateAndGet(open.incrementAndGet(), Math::max);
                    Thread.sleep(2);
                    return status;
                })
                .when(transactions)
                .getTransaction(any());
        doAnswer(call -> open.decrementAndGet()).when(transactions).rollback(status);
        ExecutorService people = Executors.newFixedThreadPool(50);
        for (int i = 0; i < 300; i++) {
            boolean fails = i % 3 == 0;
            people.execute(() -> {
                looking.preHandle(request, response, handler("marked"));
                looking.begin();
                if (fails) looking.resolveException(request, response, null, new IllegalStateException("x"));
                else looking.postHandle(request, response, null, null);
                looking.afterCompletion(request, response, null, null);
            });
        }
        people.shutdown();
        assertThat(people.awaitTermination(30, TimeUnit.SECONDS)).isTrue();
        assertThat(most.get()).isEqualTo(Looking.AT_ONCE);
        assertThat(open.get()).isZero();
        verify(transactions, times(300)).rollback(status);
    }
}
