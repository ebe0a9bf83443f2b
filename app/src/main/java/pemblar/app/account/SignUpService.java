package pemblar.app.account;

import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.athlete.AthleteService;
import pemblar.app.frame.Viewer;
import pemblar.core.sport.Sport;

/** An account and, for who trains, the athlete: both or neither. */
@Service
class SignUpService {
    private final AccountService accounts;
    private final AthleteService athletes;

    SignUpService(AccountService accounts, AthleteService athletes) {
        this.accounts = accounts;
        this.athletes = athletes;
    }

    /** @param sports of the athlete, the first one first; empty for a coach */
    @Transactional
    Viewer create(String email, String name, String password, List<Sport> sports, String zone) {
        Viewer viewer = accounts.create(email, name, password);
        if (!sports.isEmpty()) athletes.create(viewer, sports, zone);
        return viewer;
    }
}
