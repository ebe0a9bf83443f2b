package pemblar.app.account;

import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.function.Predicate;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.Session;
import org.springframework.stereotype.Component;
import pemblar.app.frame.Secret;
import pemblar.app.frame.door.CodeDue;
import pemblar.app.frame.door.SignedInFrom;

/** Where a person is signed in; each can be ended from anywhere. */
@Component
public class SignIns {
    private final FindByIndexNameSessionRepository<? extends Session> sessions;
    private final Devices devices;

    SignIns(FindByIndexNameSessionRepository<? extends Session> sessions, Devices devices) {
        this.sessions = sessions;
        this.devices = devices;
    }

    /**
     * @param which names it on the page: the number itself would let in whoever reads it there
     * @param device in words; {@code address} from which it began, null when that was not kept
     * @param here the one from which is asked; {@code waits} when its second factor was not given
     */
    public record SignIn(
            String which, String device, String address, Instant since, Instant lastSeen, boolean here, boolean waits) {
        public String words() {
            if (here) return "here";
            return waits ? "without its code" : "";
        }
    }

    List<SignIn> of(String email, String hereId) {
        return sessions.findByPrincipalName(email).values().stream()
                .map(s -> signIn(s, hereId))
                .sorted(Comparator.comparing(SignIn::here)
                        .thenComparing(SignIn::lastSeen)
                        .reversed())
                .toList();
    }

    private SignIn signIn(Session session, String hereId) {
        SignedInFrom from = SignedInFrom.of(session::getAttribute);
        return new SignIn(
                which(session.getId()),
                devices.words(from.agent()),
                from.address(),
                session.getCreationTime(),
                session.getLastAccessedTime(),
                session.getId().equals(hereId),
                waits(session));
    }

    private static String which(String id) {
        return Secret.hash(id);
    }

    private static boolean waits(Session session) {
        SecurityContext context =
                session.getAttribute(HttpSessionSecurityContextRepository.SPRING_SECURITY_CONTEXT_KEY);
        return context != null && CodeDue.isDue(context.getAuthentication());
    }

    /** @param exceptId the one that stays; null ends all. @return how many were ended */
    public int end(String email, String exceptId) {
        return end(email, id -> !id.equals(exceptId));
    }

    /** @return false when it is over already */
    boolean endOne(String email, String which) {
        return end(email, id -> which(id).equals(which)) > 0;
    }

    private int end(String email, Predicate<String> which) {
        List<String> ids = sessions.findByPrincipalName(email).keySet().stream()
                .filter(which)
                .toList();
        ids.forEach(sessions::deleteById);
        return ids.size();
    }
}
