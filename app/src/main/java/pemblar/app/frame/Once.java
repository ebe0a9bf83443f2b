package pemblar.app.frame;

import java.util.List;
import java.util.function.Supplier;
import org.springframework.web.context.request.RequestAttributes;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;

/**
 * What several parts of one page ask is looked up once for it. Only a page that is read (GET) keeps anything, and no
 * longer than it takes: whatever writes, and every job, always looks anew. What is kept must not be changed.
 */
public final class Once {
    private static final String PREFIX = Once.class.getName() + ".";

    private Once() {}

    /** @param what is asked, @param of whom or of which, compared by equals */
    @SuppressWarnings("unchecked")
    public static <T> T of(String what, List<?> of, Supplier<T> look) {
        if (!isReading() || !(RequestContextHolder.getRequestAttributes() instanceof ServletRequestAttributes page))
            return look.get();
        String name = PREFIX + what;
        Kept kept = (Kept) page.getAttribute(name, RequestAttributes.SCOPE_REQUEST);
        if (kept == null) {
            kept = new Kept(new java.util.HashMap<>());
            page.setAttribute(name, kept, RequestAttributes.SCOPE_REQUEST);
        }
        Object known = kept.values().get(of);
        if (known == null) {
            known = look.get();
            kept.values().put(of, known);
        }
        return (T) known;
    }

    /** Whether it was looked up for this page already. */
    public static boolean isKnown(String what, List<?> of) {
        return RequestContextHolder.getRequestAttributes() instanceof ServletRequestAttributes page
                && page.getAttribute(PREFIX + what, RequestAttributes.SCOPE_REQUEST) instanceof Kept kept
                && kept.values().containsKey(of);
    }

    /** What was looked up together with other things: for whoever asks for it on this page. */
    public static void keep(String what, List<?> of, Object found) {
        Once.of(what, of, () -> found);
    }

    /** A page is read: nothing that is not committed can be seen, and nothing is changed. */
    public static boolean isReading() {
        return RequestContextHolder.getRequestAttributes() instanceof ServletRequestAttributes page
                && "GET".equals(page.getRequest().getMethod());
    }

    private record Kept(java.util.Map<List<?>, Object> values) {}
}
