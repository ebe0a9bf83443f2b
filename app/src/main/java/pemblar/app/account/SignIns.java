package pemblar.app.account;

import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.Session;
import org.springframework.stereotype.Component;

/** Where a person is signed in; each can be ended from anywhere. */
@Component
class SignIns {
    private final FindByIndexNameSessionRepository<? extends Session> sessions;

    SignIns(FindByIndexNameSessionRepository<? extends Session> sessions) {
        this.sessions = sessions;
    }

    /** @param here the one from which is asked */
    record SignIn(Instant since, Instant lastSeen, boolean here) {}

    List<SignIn> of(String email, String hereId) {
        return sessions.findByPrincipalName(email).values().stream()
                .map(s -> new SignIn(
                        s.getCreationTime(), s.getLastAccessedTime(), s.getId().equals(hereId)))
                .sorted(Comparator.comparing(SignIn::lastSeen).reversed())
                .toList();
    }

    /** @param exceptId the one that stays; null ends all. @return how many were ended */
    int end(String email, String exceptId) {
        List<String> ids = sessions.findByPrincipalName(email).keySet().stream()
                .filter(id -> !id.equals(exceptId))
                .toList();
        ids.forEach(sessions::deleteById);
        return ids.size();
    }
}
