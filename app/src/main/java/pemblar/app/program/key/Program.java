package pemblar.app.program.key;

import java.util.List;
import java.util.Set;
import org.springframework.security.authentication.AbstractAuthenticationToken;
import pemblar.app.frame.HasViewer;
import pemblar.app.frame.Viewer;

/** A program that acts for a person, within what its token may. */
public final class Program extends AbstractAuthenticationToken {
    private static final long serialVersionUID = 1;
    private final long tokenId;
    private final Acting acting;

    /** What controllers take as the principal; pages' principals have the same property. */
    public record Acting(Viewer viewer, Set<Scope> may) implements HasViewer {
        @Override
        public Viewer getViewer() {
            return viewer;
        }
    }

    Program(long tokenId, Viewer viewer, Set<Scope> may) {
        super(List.of());
        this.tokenId = tokenId;
        this.acting = new Acting(viewer, may);
        setAuthenticated(true);
    }

    long tokenId() {
        return tokenId;
    }

    boolean may(Scope scope) {
        return acting.may().contains(scope);
    }

    @Override
    public Acting getPrincipal() {
        return acting;
    }

    @Override
    public Object getCredentials() {
        return "";
    }
}
