package pemblar.app.frame;

import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyString;
import static org.mockito.Mockito.RETURNS_DEEP_STUBS;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import jakarta.servlet.http.HttpServletRequest;
import java.time.Instant;
import java.util.UUID;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.dao.ConcurrencyFailureException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.transaction.TransactionExecution;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;

@Tag("unit")
class OnceClaimsTest {
    private final JdbcClient sql = mock(JdbcClient.class, RETURNS_DEEP_STUBS);
    private final OnceClaims claims = new OnceClaims(sql, () -> Instant.EPOCH);

    private static TransactionExecution transaction(boolean readOnly) {
        TransactionExecution transaction = mock(TransactionExecution.class);
        when(transaction.isReadOnly()).thenReturn(readOnly);
        return transaction;
    }

    private void rows(int touched) {
        when(sql.sql(anyString()).params(any(Object.class), any(Object.class)).update())
                .thenReturn(touched);
    }

    private static void carrying() {
        HttpServletRequest request = mock(HttpServletRequest.class);
        OnceClaims.Claim claim = new OnceClaims.Claim("key", UUID.randomUUID());
        OnceClaims.carry(request, claim);
        verify(request).setAttribute(OnceClaims.class.getName(), claim);
        when(request.getAttribute(OnceClaims.class.getName())).thenReturn(claim);
        RequestContextHolder.setRequestAttributes(new ServletRequestAttributes(request));
    }

    @AfterEach
    void nothingCarried() {
        RequestContextHolder.resetRequestAttributes();
    }

    @Test
    void whoseClaimWasTakenOverCannotCommit() {
        carrying();
        rows(0);
        assertThatThrownBy(() -> claims.beforeCommit(transaction(false)))
                .isInstanceOf(ConcurrencyFailureException.class);
        rows(1);
        claims.beforeCommit(transaction(false));
    }

    @Test
    void readingAndJobsClaimNothing() {
        claims.beforeCommit(transaction(false));
        carrying();
        claims.beforeCommit(transaction(true));
        verify(sql, never()).sql("update request_once set done = true where key = ? and claim = ?");
    }
}
