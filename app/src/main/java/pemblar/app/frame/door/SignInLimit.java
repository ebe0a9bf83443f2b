package pemblar.app.frame.door;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Slows down guessing: too many sign-ins for one name or from one address go back to the form with a reason; so do
 * sign-ups.
 */
class SignInLimit extends OncePerRequestFilter {
    private final Limits limits;

    SignInLimit(Limits limits) {
        this.limits = limits;
    }

    /** The path is compared decoded, as the application reads it. */
    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        boolean post = request.getMethod().equals("POST");
        boolean signIn = post && request.getServletPath().equals("/sign-in");
        boolean signUp = post && request.getServletPath().equals("/sign-up");
        if (signIn && !limits.allowSignIn(request.getParameter("username"), request.getRemoteAddr()))
            response.sendRedirect("/sign-in?later");
        else if (signUp && !limits.allowSignUp(request.getRemoteAddr())) response.sendRedirect("/sign-in?later");
        else chain.doFilter(request, response);
    }
}
