package pemblar.app.frame.door;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.security.authorization.AuthorizationDecision;
import org.springframework.security.authorization.AuthorizationManager;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.access.AccessDeniedHandlerImpl;
import org.springframework.security.web.access.intercept.RequestAuthorizationContext;
import org.springframework.security.web.savedrequest.HttpSessionRequestCache;

/** Who gave the password but not yet the code of the second factor: signed in for one page alone. */
public final class CodeDue {
    /** What such a person's sign-in carries, until the code was right. */
    public static final String AUTHORITY = "CODE_DUE";

    public static final String PAGE = "/sign-in/code";

    private CodeDue() {}

    public static boolean isDue(Authentication who) {
        return who != null && who.getAuthorities().stream().anyMatch(a -> AUTHORITY.equals(a.getAuthority()));
    }

    static AuthorizationManager<RequestAuthorizationContext> wholly() {
        return (who, request) -> {
            Authentication is = who.get();
            boolean signedIn = is != null && is.isAuthenticated() && !"anonymousUser".equals(is.getPrincipal());
            return new AuthorizationDecision(signedIn && !isDue(is));
        };
    }

    /** Leads to the page of the code, and keeps what was wanted for after it. */
    static final class Ask extends AccessDeniedHandlerImpl {
        private final HttpSessionRequestCache wanted = new HttpSessionRequestCache();

        @Override
        public void handle(HttpServletRequest request, HttpServletResponse response, AccessDeniedException denied)
                throws IOException, jakarta.servlet.ServletException {
            if (!isDue(SecurityContextHolder.getContext().getAuthentication())) {
                super.handle(request, response, denied);
                return;
            }
            if (request.getMethod().equals("GET")) wanted.saveRequest(request, response);
            response.sendRedirect(PAGE);
        }
    }
}
