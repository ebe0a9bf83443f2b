package pemblar.app.account;

import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.Session;
import org.springframework.stereotype.Component;
import pemblar.app.frame.door.CodeDue;

/** Where a person is signed in; each can be ended from anywhere. */
@Component
public class SignIns {
    private final FindByIndexNameSessionRepository<? extends Session> sessions;

    SignIns(FindByIndexNameSessionRepository<? extends Session> sessions) {
        this.sessions = sessions;
    }

    /** @param here the one from which is asked; {@code waits} when its second factor was not given */
    public record SignIn(Instant since, Instant lastSeen, boolean here, boolean waits) {
        public String words() {
            if (here) return "here";
            return waits ? "without its code" : "";
        }
    }

    List<SignIn> of(String email, String hereId) {
        return sessions.findByPrincipalName(email).values().stream()
                .map(s -> new SignIn(
                        s.getCreationTime(), s.getLastAccessedTime(), s.getId().equals(hereId), waits(s)))
                .sorted(Comparator.comparing(SignIn::lastSeen).reversed())
                .toList();
    }

    private static boolean waits(Session session) {
        SecurityContext context =
                session.getAttribute(HttpSessionSecurityContextRepository.SPRING_SECURITY_CONTEXT_KEY);
        return context != null && CodeDue.isDue(context.getAuthentication());
    }

    /** @param exceptId the one that stays; null ends all. @return how many were ended */
    public int end(String email, String exceptId) {
        List<String> ids = sessions.findByPrincipalName(email).keySet().stream()
                .filter(id -> !id.equals(exceptId))
                .toList();
        ids.forEach(sessions::deleteById);
        return ids.size();
    }
}
