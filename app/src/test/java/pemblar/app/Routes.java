package pemblar.app;

import java.lang.reflect.RecordComponent;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import org.springframework.core.DefaultParameterNameDiscoverer;
import org.springframework.core.MethodParameter;
import org.springframework.core.annotation.AnnotationUtils;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.method.RequestMappingInfo;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;
import pemblar.app.frame.Visit;
import pemblar.app.frame.asked.Sent;

/** Every address of the application with what it takes, as the router has them: no list that somebody must keep. */
final class Routes {
    private Routes() {}

    /** @param path of the address, not of the form or query */
    record Parameter(String name, Class<?> type, boolean path) {
        boolean isId() {
            return type == long.class || type == Long.class;
        }

        /** Something that such a field usually holds. */
        String plausible() {
            if (type == LocalDate.class)
                return LocalDate.now(ZoneOffset.UTC).plusDays(2).toString();
            if (type.isEnum()) return type.getEnumConstants()[0].toString();
            return type == boolean.class || type == Boolean.class ? "true" : "1";
        }
    }

    record Route(String method, String pattern, List<Parameter> parameters) {
        boolean changes() {
            return !method.equals("GET");
        }

        boolean ofAthlete() {
            return pattern.startsWith("/a/{athleteId}");
        }

        /** Of the interface for programs, which asks for a token. */
        boolean ofPrograms() {
            return pattern.startsWith("/api/");
        }

        @Override
        public String toString() {
            return method + " " + pattern;
        }
    }

    static List<Route> all() {
        List<Route> routes = new ArrayList<>();
        Running.APPLICATION
                .getBean("requestMappingHandlerMapping", RequestMappingHandlerMapping.class)
                .getHandlerMethods()
                .forEach((info, method) -> add(routes, info, method));
        routes.sort(Comparator.comparing(Route::toString));
        return routes;
    }

    private static void add(List<Route> routes, RequestMappingInfo info, HandlerMethod method) {
        if (!method.getBeanType().getName().startsWith("pemblar")) return;
        Set<RequestMethod> methods = info.getMethodsCondition().getMethods();
        for (String pattern : info.getPatternValues())
            for (RequestMethod verb : methods.isEmpty() ? Set.of(RequestMethod.GET) : methods)
                routes.add(new Route(verb.name(), pattern, parameters(method)));
    }

    private static List<Parameter> parameters(HandlerMethod method) {
        List<Parameter> all = new ArrayList<>();
        for (MethodParameter parameter : method.getMethodParameters()) {
            parameter.initParameterNameDiscovery(new DefaultParameterNameDiscoverer());
            Class<?> type = parameter.getParameterType();
            if (type == Visit.class || type == Sent.class) all.add(new Parameter("athleteId", long.class, true));
            else if (parameter.hasParameterAnnotation(PathVariable.class))
                all.add(new Parameter(parameter.getParameterName(), type, true));
            else if (parameter.hasParameterAnnotation(RequestParam.class)) {
                String given =
                        parameter.getParameterAnnotation(RequestParam.class).name();
                if (!MultipartFile.class.isAssignableFrom(type))
                    all.add(new Parameter(given.isEmpty() ? parameter.getParameterName() : given, type, false));
            } else if (type.isRecord() && type.getName().startsWith("pemblar.app")) all.addAll(fields(type));
        }
        return all;
    }

    /** Of a form as a record; a component may be called otherwise than its field. */
    private static List<Parameter> fields(Class<?> type) {
        RecordComponent[] components = type.getRecordComponents();
        java.lang.reflect.Parameter[] made = type.getDeclaredConstructors()[0].getParameters();
        List<Parameter> all = new ArrayList<>();
        for (int i = 0; i < components.length; i++) {
            RequestParam given = AnnotationUtils.getAnnotation(made[i], RequestParam.class);
            String name = given == null || given.name().isEmpty() ? components[i].getName() : given.name();
            if (!MultipartFile.class.isAssignableFrom(components[i].getType()))
                all.add(new Parameter(name, components[i].getType(), false));
        }
        return all;
    }
}
