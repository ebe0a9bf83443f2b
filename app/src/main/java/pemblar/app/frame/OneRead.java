package pemblar.app.frame;

import java.util.function.Supplier;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * All that a page reads, in one transaction: one moment for all its figures, and half the ways to the database that a
 * transaction for each question would take. Nothing can be written in it. It ends as if it had not been, so that a
 * question that failed and was answered for does not fail the page.
 */
@Component
public class OneRead {
    private final TransactionTemplate template;

    OneRead(PlatformTransactionManager transactions) {
        this.template = new TransactionTemplate(transactions);
        template.setReadOnly(true);
        template.setIsolationLevel(TransactionDefinition.ISOLATION_DEFAULT);
    }

    public <T> T of(Supplier<T> reading) {
        return template.execute(status -> {
            status.setRollbackOnly();
            return reading.get();
        });
    }
}
