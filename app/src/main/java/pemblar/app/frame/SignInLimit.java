package pemblar.app.frame;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.web.filter.OncePerRequestFilter;

/** Slows down guessing: too many sign-ins from one address for one name go back to the form with a reason. */
class SignInLimit extends OncePerRequestFilter {
    private final Limits limits;

    SignInLimit(Limits limits) {
        this.limits = limits;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain) throws ServletException, IOException {
        boolean signIn = request.getMethod().equals("POST") && request.getRequestURI().equals("/sign-in");
        String key = request.getRemoteAddr() + " " + String.valueOf(request.getParameter("username")).toLowerCase(java.util.Locale.ROOT);
        if (signIn && !limits.allowSignIn(key)) response.sendRedirect("/sign-in?later");
        else chain.doFilter(request, response);
    }
}
