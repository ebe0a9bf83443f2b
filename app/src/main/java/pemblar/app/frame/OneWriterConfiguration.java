package pemblar.app.frame;

import java.lang.reflect.Method;
import java.lang.reflect.Parameter;
import java.util.Optional;
import org.aopalliance.intercept.MethodInterceptor;
import org.springframework.aop.support.DefaultPointcutAdvisor;
import org.springframework.aop.support.StaticMethodMatcherPointcut;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.beans.factory.config.BeanDefinition;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.annotation.Role;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.AnnotatedElementUtils;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.transaction.annotation.EnableTransactionManagement;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * One writer for each athlete at a time, on all nodes: every transaction that changes an athlete's data first takes the
 * athlete's lock in the database, and gives it back at its end. So an import, a recomputation and a person never write
 * over each other, and the later of two clicks sees what the earlier one did. The lock is taken inside the transaction,
 * before anything is read.
 */
@Configuration
@EnableTransactionManagement(proxyTargetClass = true, order = OneWriterConfiguration.TRANSACTION_ORDER)
class OneWriterConfiguration {
    static final int TRANSACTION_ORDER = 0;

    /** What changes belong to one athlete: the argument says which. */
    private static final String ID = "athleteId";

    @Bean
    @Role(BeanDefinition.ROLE_INFRASTRUCTURE)
    static DefaultPointcutAdvisor oneWriter(ObjectProvider<JdbcTemplate> sql, ObjectProvider<ChangeGuard> guard) {
        MethodInterceptor lock = call -> {
            if (TransactionSynchronizationManager.isActualTransactionActive()
                    && !TransactionSynchronizationManager.isCurrentTransactionReadOnly()) {
                long athleteId = athlete(call.getArguments()[0]);
                lock(sql.getObject(), athleteId);
                boolean seenSuffices = call.getMethod().isAnnotationPresent(SeenSuffices.class);
                viewer(call.getArguments())
                        .filter(viewer -> AskedOnce.isFirst(new Visit(athleteId, viewer), seenSuffices))
                        .ifPresent(viewer -> guard.getObject().before(new Visit(athleteId, viewer), seenSuffices));
            }
            return call.proceed();
        };
        DefaultPointcutAdvisor advisor = new DefaultPointcutAdvisor(new Writes(), lock);
        advisor.setOrder(Ordered.LOWEST_PRECEDENCE);
        return advisor;
    }

    static void lock(JdbcTemplate sql, long athleteId) {
        sql.query("select pg_advisory_xact_lock(?)", rs -> {}, athleteId);
    }

    /** The person who asks for the change; empty for the work of a job. */
    private static Optional<Viewer> viewer(Object[] arguments) {
        for (Object argument : arguments) {
            if (argument instanceof Viewer viewer) return Optional.of(viewer);
            if (argument instanceof OfAthlete of && of.viewer() != null) return Optional.of(of.viewer());
        }
        return Optional.empty();
    }

    private static long athlete(Object argument) {
        return argument instanceof OfAthlete of ? of.athleteId() : (Long) argument;
    }

    /** Methods that open a writing transaction and say first whose data they change. */
    private static final class Writes extends StaticMethodMatcherPointcut {
        /** Others' beans are many and change nobody's data: their methods are not looked at. */
        Writes() {
            setClassFilter(type -> type.getName().startsWith("pemblar.app."));
        }

        @Override
        public boolean matches(Method method, Class<?> type) {
            if (method.getParameterCount() == 0) return false;
            Transactional transactional = AnnotatedElementUtils.findMergedAnnotation(method, Transactional.class);
            if (transactional == null || transactional.readOnly()) return false;
            Parameter first = method.getParameters()[0];
            return OfAthlete.class.isAssignableFrom(first.getType())
                    || first.getType() == long.class && first.getName().equals(ID);
        }
    }
}
