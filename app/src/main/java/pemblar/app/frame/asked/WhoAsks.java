package pemblar.app.frame.asked;

import jakarta.servlet.http.HttpServletRequest;
import java.util.Map;
import org.springframework.beans.TypeMismatchException;
import org.springframework.core.MethodParameter;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;
import org.springframework.web.bind.support.WebDataBinderFactory;
import org.springframework.web.context.request.NativeWebRequest;
import org.springframework.web.context.request.RequestAttributes;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.method.support.HandlerMethodArgumentResolver;
import org.springframework.web.method.support.ModelAndViewContainer;
import org.springframework.web.servlet.HandlerMapping;
import pemblar.app.frame.HasViewer;
import pemblar.app.frame.NotFoundException;
import pemblar.app.frame.Viewer;
import pemblar.app.frame.Visit;

/** Gives controllers the person who asks, the athlete that the address names, and what was sent. */
@Component
public class WhoAsks implements HandlerMethodArgumentResolver {
    private static final String ATHLETE = "athleteId";

    @Override
    public boolean supportsParameter(MethodParameter parameter) {
        Class<?> type = parameter.getParameterType();
        return type == Visit.class || type == Viewer.class || type == Sent.class;
    }

    @Override
    public Object resolveArgument(
            MethodParameter parameter,
            ModelAndViewContainer page,
            NativeWebRequest request,
            WebDataBinderFactory binders)
            throws Exception {
        Viewer viewer = viewer();
        if (parameter.getParameterType() == Viewer.class) return viewer;
        Visit visit = new Visit(athlete(parameter, request, binders), viewer);
        return parameter.getParameterType() == Visit.class
                ? visit
                : new Sent(visit, request.getNativeRequest(HttpServletRequest.class), (Model) page.getModel());
    }

    private static Viewer viewer() {
        Authentication who = SecurityContextHolder.getContext().getAuthentication();
        if (who != null && who.getPrincipal() instanceof HasViewer person) return person.getViewer();
        throw new NotFoundException("page");
    }

    private static long athlete(MethodParameter parameter, NativeWebRequest request, WebDataBinderFactory binders)
            throws Exception {
        Map<?, ?> named = (Map<?, ?>)
                request.getAttribute(HandlerMapping.URI_TEMPLATE_VARIABLES_ATTRIBUTE, RequestAttributes.SCOPE_REQUEST);
        Object text = named == null ? null : named.get(ATHLETE);
        if (text == null) throw new IllegalStateException("no athlete in the address of " + parameter.getMethod());
        try {
            return binders.createBinder(request, null, ATHLETE).convertIfNecessary(text, long.class, parameter);
        } catch (TypeMismatchException e) {
            throw new MethodArgumentTypeMismatchException(text, long.class, ATHLETE, parameter, e);
        }
    }
}
