package pemblar.app.account;

import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.athlete.AthleteService;
import pemblar.app.frame.Viewer;
import pemblar.core.Sport;

/** An account and, for who trains, the athlete: both or neither. */
@Service
class SignUpService {
    private final AccountService accounts;
    private final AthleteService athletes;

    SignUpService(AccountService accounts, AthleteService athletes) {
        this.accounts = accounts;
        this.athletes = athletes;
    }

    /** @param sport of the athlete; null for a coach */
    @Transactional
    Viewer create(String email, String name, String password, Sport sport, String zone) {
        Viewer viewer = accounts.create(email, name, password);
        if (sport != null) athletes.create(viewer, sport, zone);
        return viewer;
    }
}
