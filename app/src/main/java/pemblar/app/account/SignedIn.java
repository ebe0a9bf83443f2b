package pemblar.app.account;

import java.util.List;
import org.springframework.security.core.userdetails.User;
import pemblar.app.frame.Viewer;

/** What the web session keeps of the person who signed in. */
public class SignedIn extends User {
    private static final long serialVersionUID = 1;
    private final Viewer viewer;

    SignedIn(AccountRow row) {
        super(row.email, row.passwordHash, List.of());
        this.viewer = new Viewer(row.id, row.name);
    }

    public Viewer getViewer() {
        return viewer;
    }
}
