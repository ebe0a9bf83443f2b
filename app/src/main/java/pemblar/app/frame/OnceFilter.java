package pemblar.app.frame;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Duration;
import java.time.InstantSource;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.Map;
import java.util.TreeMap;
import java.util.regex.Pattern;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * A form that is sent twice does its work once. A page may send a key of its own ({@code once}, kept for a day);
 * without one, the same fields to an address that makes something new, by the same person within two seconds, are one
 * form pressed twice. What failed may be sent again. Counted in the database, so on all nodes.
 */
class OnceFilter extends OncePerRequestFilter {
    private static final Duration SAME_PRESS = Duration.ofSeconds(2);
    private static final Duration KEPT = Duration.ofDays(1);
    private static final String CLAIM =
            "insert into request_once as r (key, at) values (:key, :now) on conflict (key) do update set at = "
                    + ":now where r.at < :before";
    /** Addresses that put something new on a plan. */
    private static final Pattern MAKES =
            Pattern.compile("/a/\\d{1,18}/(sessions|sketch|sessions/\\d{1,18}/copy|days/copy|templates/\\d{1,18}/put)");

    private final JdbcClient sql;
    private final InstantSource clock;

    OnceFilter(JdbcClient sql, InstantSource clock) {
        this.sql = sql;
        this.clock = clock;
    }

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        String path = request.getServletPath();
        String type = request.getContentType();
        boolean form = type == null || type.startsWith("application/x-www-form-urlencoded");
        return !request.getMethod().equals("POST")
                || !form
                || !MAKES.matcher(path).matches() && !hasKey(request);
    }

    private static boolean hasKey(HttpServletRequest request) {
        return request.getServletPath().startsWith("/a/")
                && request.getParameter("once") != null
                && !request.getParameter("once").isBlank();
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        Authentication who = SecurityContextHolder.getContext().getAuthentication();
        String own = request.getParameter("once");
        String key = Secret.hash((who == null ? "" : who.getName()) + "\n" + request.getServletPath() + "\n"
                + (own == null || own.isBlank() ? fields(request) : own));
        OffsetDateTime now = clock.instant().atOffset(ZoneOffset.UTC);
        OffsetDateTime before = now.minus(own == null || own.isBlank() ? SAME_PRESS : KEPT);
        if (sql.sql(CLAIM)
                        .param("key", key)
                        .param("now", now)
                        .param("before", before)
                        .update()
                == 0) {
            again(request, response);
            return;
        }
        boolean done = false;
        try {
            chain.doFilter(request, response);
            done = response.getStatus() < 400;
        } finally {
            if (!done)
                sql.sql("delete from request_once where key = ?").param(key).update();
        }
    }

    /** The first of the two answers; this one only does not disturb it. */
    private static void again(HttpServletRequest request, HttpServletResponse response) throws IOException {
        String from = request.getHeader("Referer");
        String path = from == null ? null : from.replaceFirst("^https?://[^/]*", "");
        if (request.getHeader("HX-Request") != null || path == null || !path.startsWith("/") || path.startsWith("//"))
            response.setStatus(HttpServletResponse.SC_NO_CONTENT);
        else response.sendRedirect(path);
    }

    private static String fields(HttpServletRequest request) {
        StringBuilder all = new StringBuilder();
        for (Map.Entry<String, String[]> field : new TreeMap<>(request.getParameterMap()).entrySet())
            if (!field.getKey().equals("_csrf"))
                all.append(field.getKey())
                        .append('=')
                        .append(String.join("\u0001", field.getValue()))
                        .append('\u0002');
        return all.toString();
    }
}
