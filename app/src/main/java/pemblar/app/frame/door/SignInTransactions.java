package pemblar.app.frame.door;

import java.util.function.Consumer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.annotation.Primary;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.TransactionStatus;
import org.springframework.transaction.support.TransactionCallback;
import org.springframework.transaction.support.TransactionOperations;
import org.springframework.transaction.support.TransactionTemplate;
import pemblar.app.frame.Waited;
import pemblar.app.replica.Elsewhere;

/** How sign-ins are read and kept, with a copy of the database and without. */
@Configuration
class SignInTransactions {
    /** For everybody else: the framework leaves it out where there is another one. */
    @Bean
    @Primary
    TransactionTemplate transactionTemplate(PlatformTransactionManager manager) {
        return new TransactionTemplate(manager);
    }

    /**
     * In the main database alone, also while a page is read from the copy. What is looked up is one statement, which
     * needs no transaction and so no second answer of the database; what is written has one of its own.
     */
    @Bean
    TransactionOperations springSessionTransactionOperations(PlatformTransactionManager manager) {
        TransactionTemplate own = new TransactionTemplate(manager);
        own.setPropagationBehavior(TransactionDefinition.PROPAGATION_REQUIRES_NEW);
        TransactionTemplate none = new TransactionTemplate(manager);
        none.setPropagationBehavior(TransactionDefinition.PROPAGATION_NOT_SUPPORTED);
        return new TransactionOperations() {
            @Override
            public <T> T execute(TransactionCallback<T> look) {
                return Waited.once(() -> Elsewhere.atMain(() -> none.execute(look)));
            }

            @Override
            public void executeWithoutResult(Consumer<TransactionStatus> write) {
                Waited.once(() -> Elsewhere.atMain(() -> own.execute(status -> {
                    write.accept(status);
                    return null;
                })));
            }
        };
    }
}
