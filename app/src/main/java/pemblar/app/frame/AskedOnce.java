package pemblar.app.frame;

import java.util.HashSet;
import java.util.Set;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * Whose change of whose data was asked for in the present transaction: a change that calls on other services is one
 * change, in the rights and in the trail.
 */
final class AskedOnce {
    private AskedOnce() {}

    private record Change(long athleteId, long accountId, boolean seenSuffices) {}

    /** False when it was asked for in this transaction already, as strictly. */
    static boolean isFirst(Visit visit, boolean seenSuffices) {
        Set<Object> asked = asked();
        if (asked.contains(new Change(visit.athleteId(), visit.viewer().accountId(), false))) return false;
        return asked.add(new Change(visit.athleteId(), visit.viewer().accountId(), seenSuffices));
    }

    @SuppressWarnings("unchecked")
    private static Set<Object> asked() {
        Object bound = TransactionSynchronizationManager.getResource(AskedOnce.class);
        if (bound != null) return (Set<Object>) bound;
        Set<Object> fresh = new HashSet<>();
        TransactionSynchronizationManager.bindResource(AskedOnce.class, fresh);
        TransactionSynchronizationManager.registerSynchronization(new Forgetting(fresh));
        return fresh;
    }

    /** A transaction within another one asks for itself. */
    private record Forgetting(Set<Object> asked) implements TransactionSynchronization {
        @Override
        public void suspend() {
            TransactionSynchronizationManager.unbindResource(AskedOnce.class);
        }

        @Override
        public void resume() {
            TransactionSynchronizationManager.bindResource(AskedOnce.class, asked);
        }

        @Override
        public void afterCompletion(int status) {
            TransactionSynchronizationManager.unbindResourceIfPossible(AskedOnce.class);
        }
    }
}
