package pemblar.app.replica;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.core.Ordered;
import org.springframework.web.servlet.HandlerExceptionResolver;
import org.springframework.web.servlet.ModelAndView;

/** Notes what failed while the copy was asked, before a page of an error is made of it. */
final class FailedElsewhere implements HandlerExceptionResolver, Ordered {
    static final String WHY = FailedElsewhere.class.getName();

    @Override
    public int getOrder() {
        return Ordered.HIGHEST_PRECEDENCE;
    }

    @Override
    public ModelAndView resolveException(
            HttpServletRequest request, HttpServletResponse response, Object handler, Exception e) {
        if (!Elsewhere.isOn()) return null;
        request.setAttribute(WHY, e);
        return new ModelAndView();
    }
}
