package pemblar.app.frame.door;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.security.authentication.AnonymousAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * No body is read of somebody who is not signed in, beyond a small form; none that says it is larger than any upload,
 * and of a zip file than any person's archive.
 */
public class BodyLimit extends OncePerRequestFilter {
    /** A sign-in or a sign-up is far smaller. */
    private static final long SMALL_FORM = 64 << 10;

    static final long MOST = 512L << 20;
    /** No archive that is taken in is larger, bytes. */
    public static final long LARGEST_ARCHIVE = 4L << 30;

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String type = request.getContentType();
        boolean parts = type != null && type.toLowerCase(java.util.Locale.ROOT).startsWith("multipart/");
        long most = "application/zip".equals(type) ? LARGEST_ARCHIVE : MOST;
        if (request.getContentLengthLong() > most) refuse(response, HttpServletResponse.SC_REQUEST_ENTITY_TOO_LARGE);
        else if (isNobody()
                && !request.getServletPath().startsWith("/device/")
                && (parts || request.getContentLengthLong() > SMALL_FORM))
            refuse(response, HttpServletResponse.SC_UNAUTHORIZED);
        else chain.doFilter(request, response);
    }

    /** The connection ends, since what is still coming is not wanted. */
    private static void refuse(HttpServletResponse response, int status) throws IOException {
        response.setHeader("Connection", "close");
        response.sendError(status);
    }

    private static boolean isNobody() {
        Authentication who = SecurityContextHolder.getContext().getAuthentication();
        return who == null || who instanceof AnonymousAuthenticationToken || !who.isAuthenticated();
    }
}
