package pemblar.app.frame.asked;

import java.lang.reflect.Constructor;
import java.lang.reflect.Parameter;
import java.util.Arrays;
import org.springframework.beans.BeanUtils;
import org.springframework.beans.factory.config.ConfigurableBeanFactory;
import org.springframework.core.DefaultParameterNameDiscoverer;
import org.springframework.core.MethodParameter;
import org.springframework.core.ParameterNameDiscoverer;
import org.springframework.core.annotation.SynthesizingMethodParameter;
import org.springframework.stereotype.Component;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.support.WebDataBinderFactory;
import org.springframework.web.context.request.NativeWebRequest;
import org.springframework.web.method.annotation.RequestParamMethodArgumentResolver;
import org.springframework.web.method.support.HandlerMethodArgumentResolver;
import org.springframework.web.method.support.ModelAndViewContainer;

/**
 * Fields of a form that belong together, as one record: each of its components says what a single field of a controller
 * says ({@link RequestParam}), and is read, converted and refused by the same rules.
 */
@Component
public class FormFields implements HandlerMethodArgumentResolver {
    private final RequestParamMethodArgumentResolver fields;
    private final ParameterNameDiscoverer names = new DefaultParameterNameDiscoverer();

    FormFields(ConfigurableBeanFactory beans) {
        this.fields = new RequestParamMethodArgumentResolver(beans, false);
    }

    @Override
    public boolean supportsParameter(MethodParameter parameter) {
        Class<?> type = parameter.getParameterType();
        return type.isRecord() && isOfFields(whole(type));
    }

    private static boolean isOfFields(Constructor<?> made) {
        return made.getParameterCount() > 0
                && Arrays.stream(made.getParameters()).allMatch(p -> p.isAnnotationPresent(RequestParam.class));
    }

    /** The constructor that takes every component. */
    private static Constructor<?> whole(Class<?> type) {
        Class<?>[] types =
                Arrays.stream(type.getRecordComponents()).map(c -> c.getType()).toArray(Class<?>[]::new);
        try {
            return type.getDeclaredConstructor(types);
        } catch (NoSuchMethodException e) {
            throw new IllegalStateException(type + " is a record without its own constructor", e);
        }
    }

    @Override
    public Object resolveArgument(
            MethodParameter parameter,
            ModelAndViewContainer page,
            NativeWebRequest request,
            WebDataBinderFactory binders)
            throws Exception {
        Constructor<?> made = whole(parameter.getParameterType());
        Parameter[] components = made.getParameters();
        Object[] values = new Object[components.length];
        for (int i = 0; i < values.length; i++) {
            MethodParameter field = new SynthesizingMethodParameter(made, i);
            field.initParameterNameDiscovery(names);
            values[i] = fields.resolveArgument(field, page, request, binders);
        }
        return BeanUtils.instantiateClass(made, values);
    }
}
