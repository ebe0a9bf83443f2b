package pemblar.app.program.key;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.HandlerInterceptor;
import pemblar.app.program.Problem;

/** A token does what it may and nothing else. */
class MayGate implements HandlerInterceptor {
    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler)
            throws IOException {
        May may = handler instanceof HandlerMethod method ? method.getMethodAnnotation(May.class) : null;
        if (may == null) {
            Problem.write(response, HttpStatus.NOT_FOUND, "There is nothing at this address.");
            return false;
        }
        if (SecurityContextHolder.getContext().getAuthentication() instanceof Program program
                && program.may(may.value())) return true;
        Problem.write(
                response,
                HttpStatus.FORBIDDEN,
                "This token may not " + may.value().words() + ". Make one that may, on the page of programs.");
        return false;
    }
}
