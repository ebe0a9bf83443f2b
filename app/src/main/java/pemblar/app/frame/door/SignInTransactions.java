package pemblar.app.frame.door;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.annotation.Primary;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
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

    /** In the main database alone, also while a page is read from the copy. */
    @Bean
    TransactionOperations springSessionTransactionOperations(PlatformTransactionManager manager) {
        TransactionTemplate own = new TransactionTemplate(manager);
        own.setPropagationBehavior(TransactionDefinition.PROPAGATION_REQUIRES_NEW);
        return new TransactionOperations() {
            @Override
            public <T> T execute(TransactionCallback<T> work) {
                return Waited.once(() -> Elsewhere.atMain(() -> own.execute(work)));
            }
        };
    }
}
