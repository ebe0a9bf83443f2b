package pemblar.app.account;

import java.util.List;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import org.springframework.security.core.userdetails.User;
import pemblar.app.frame.HasViewer;
import pemblar.app.frame.Viewer;
import pemblar.app.frame.door.CodeDue;

/** What the web session keeps of the person who signed in. */
public class SignedIn extends User implements HasViewer {
    private static final long serialVersionUID = 1;
    private final Viewer viewer;

    /** @param codeDue whether a code is asked for besides the password */
    SignedIn(AccountRow row, boolean codeDue) {
        super(
                row.email,
                row.passwordHash,
                codeDue ? List.of(new SimpleGrantedAuthority(CodeDue.AUTHORITY)) : List.of());
        this.viewer = new Viewer(row.id, row.name);
    }

    @Override
    public Viewer getViewer() {
        return viewer;
    }
}
